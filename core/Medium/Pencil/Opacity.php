<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Pencil;

/** Hiding power as an artist knows it without a swatch over black; each stands for a typical scattering per unit of film. */
enum Opacity: string
{
    case Transparent = 'transparent';
    case Semi = 'semi';
    case Opaque = 'opaque';

    public function scattering(): float
    {
        return match ($this) {
            self::Transparent => 0.12,
            self::Semi => 0.30,
            self::Opaque => 1.10,
        };
    }
}
