<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** How coats are joined. */
enum Joining: string implements Setting
{
    case Free = 'free';
    case LightCoats = 'light-coats';
    case Solvent = 'solvent';
    case Blender = 'blender';
    case LightPencil = 'light-pencil';
    case Tissue = 'tissue';

    public static function name(): string
    {
        return 'joining';
    }

    public static function place(): int
    {
        return 6;
    }

    public static function title(): string
    {
        return 'Joining';
    }

    public function why(): string
    {
        return match ($this) {
            self::Free => 'As each recipe asks.',
            self::LightCoats => 'Light coats alone: slow, even, and the tooth is kept.',
            self::Solvent => 'Melts wax into the valleys; open a window, no flame, follow the label and local rules.',
            self::Blender => 'A colourless blender presses the layers together.',
            self::LightPencil => 'A pale pencil, pressed, joins and lightens.',
            self::Tissue => 'Rubbing with tissue softens first coats.',
        };
    }
}
