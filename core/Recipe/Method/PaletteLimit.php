<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** How many pencils a picture may take. */
enum PaletteLimit: string implements Setting
{
    case Whole = 'whole';
    case AtMost3 = 'at-most-3';
    case AtMost6 = 'at-most-6';
    case AtMost9 = 'at-most-9';
    case AtMost12 = 'at-most-12';
    case ExactlyThree = 'exactly-three';

    public static function name(): string
    {
        return 'palette';
    }

    public static function place(): int
    {
        return 7;
    }

    public static function title(): string
    {
        return 'How many pencils';
    }

    public function why(): string
    {
        return match ($this) {
            self::Whole => 'The whole drawer.',
            self::AtMost3 => 'Three pencils teach more than thirty.',
            self::AtMost6 => 'Six carry most pictures.',
            self::AtMost9 => 'Nine cover almost everything.',
            self::AtMost12 => 'Twelve fit in one row beside the drawing.',
            self::ExactlyThree => 'A light, a mid and a dark, named for their parts.',
        };
    }

    /** Nothing for the whole drawer. */
    public function most(): ?int
    {
        return match ($this) {
            self::Whole => null,
            self::AtMost3, self::ExactlyThree => 3,
            self::AtMost6 => 6,
            self::AtMost9 => 9,
            self::AtMost12 => 12,
        };
    }
}
