<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** In which order values come in. */
enum ValueOrder: string implements Setting
{
    case Free = 'free';
    case LightToDark = 'light-to-dark';
    case DarkToLight = 'dark-to-light';
    case FormFirst = 'form-first';

    public static function name(): string
    {
        return 'values';
    }

    public static function place(): int
    {
        return 1;
    }

    public static function title(): string
    {
        return 'Order of value';
    }

    public function why(): string
    {
        return match ($this) {
            self::Free => 'Whichever is most accurate.',
            self::LightToDark => 'Lights stay clean, and a mistake can still be darkened.',
            self::DarkToLight => 'The drawing stands from the start; pale pencils knit it together.',
            self::FormFirst => 'Shadows modelled first in greys or violet carry a pale local colour.',
        };
    }
}
