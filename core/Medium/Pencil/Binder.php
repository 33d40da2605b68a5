<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Pencil;

/** What carries the pigment, and what is assumed of a pencil where nothing was measured. */
enum Binder: string
{
    case Wax = 'wax';
    case Oil = 'oil';
    /** Binder without pigment: a colourless blender. */
    case Blender = 'blender';

    /** Laydown rate q: film laid by a full-contact pass, relative to a soft wax of 1. */
    public function laydown(): float
    {
        return match ($this) {
            self::Wax, self::Blender => 0.95,
            self::Oil => 0.80,
        };
    }

    /** Scattering S per unit of film. */
    public function scattering(): float
    {
        return match ($this) {
            self::Wax => 0.26,
            self::Oil => 0.20,
            self::Blender => 0.01,
        };
    }

    /** How slick a full-pressure pass leaves the surface, 0–1: the share of a next pass that it refuses. */
    public function slickness(): float
    {
        return match ($this) {
            self::Wax => 0.25,
            self::Oil => 0.18,
            self::Blender => 0.45,
        };
    }

    /** Whether a heavy film of it raises a haze after some days. */
    public function blooms(): bool
    {
        return $this !== self::Oil;
    }
}
