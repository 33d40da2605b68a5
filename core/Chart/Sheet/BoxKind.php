<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Sheet;

use KnottyPrism\Core\Medium\Swatches\Swatch;

/** What is to be laid in a box of the chart. */
enum BoxKind: string
{
    case Heavy = 'heavy';
    case Light = 'light';
    case Black = 'black';
    /** A strip is laid twice: how far two tries differ tells how even a hand is. */
    case First = 'first';
    case Second = 'second';

    /** What is laid of every pencil that is measured. */
    public const OF_PENCIL = [self::Heavy, self::Light, self::Black];

    /** What is laid of every strip. */
    public const OF_STRIP = [self::First, self::Second];

    /** Nothing for a strip, which is a stack of its own. */
    public function swatch(): ?Swatch
    {
        return match ($this) {
            self::Heavy => Swatch::Heavy,
            self::Light => Swatch::Light,
            self::Black => Swatch::OverBlack,
            self::First, self::Second => null,
        };
    }

    /** As it is printed above the boxes. */
    public function words(): string
    {
        return match ($this) {
            self::Heavy => 'two coats, full pressure',
            self::Light => 'one light coat',
            self::Black => 'one firm coat over black',
            self::First => 'once',
            self::Second => 'and again',
        };
    }
}
