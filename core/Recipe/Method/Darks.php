<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** What darks are made of. */
enum Darks: string implements Setting
{
    case BlackAllowed = 'black-allowed';
    case BlackLast = 'black-last';
    case NeverBlack = 'never-black';

    public static function name(): string
    {
        return 'darks';
    }

    public static function place(): int
    {
        return 3;
    }

    public static function title(): string
    {
        return 'Darks';
    }

    public function why(): string
    {
        return match ($this) {
            self::BlackAllowed => 'Black where it is most accurate.',
            self::BlackLast => 'Black only as the last accent, on top.',
            self::NeverBlack => 'Darks mixed from colours stay lively.',
        };
    }
}
