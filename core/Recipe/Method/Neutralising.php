<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** How a colour is greyed. */
enum Neutralising: string implements Setting
{
    case Computed = 'computed';
    case Traditional = 'traditional';

    public static function name(): string
    {
        return 'neutralising';
    }

    public static function place(): int
    {
        return 5;
    }

    public static function title(): string
    {
        return 'Neutralising';
    }

    public function why(): string
    {
        return match ($this) {
            self::Computed => 'Whichever available pencil greys this one on this paper, without a green cast.',
            self::Traditional => 'Opposites on the painter’s wheel: red and green, blue and orange, yellow and violet.',
        };
    }
}
