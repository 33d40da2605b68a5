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

    public function swatch(): Swatch
    {
        return match ($this) {
            self::Heavy => Swatch::Heavy,
            self::Light => Swatch::Light,
            self::Black => Swatch::OverBlack,
        };
    }

    /** As it is printed above the boxes. */
    public function words(): string
    {
        return match ($this) {
            self::Heavy => 'two coats, full pressure',
            self::Light => 'one light coat',
            self::Black => 'one firm coat over black',
        };
    }
}
