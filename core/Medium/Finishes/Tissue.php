<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\Sheet;

/** Dry tissue evens what lies on the peaks, and costs no tooth. */
final class Tissue
{
    private const EVENS = 0.15;

    public static function onto(Sheet $sheet): void
    {
        MixFilms::within($sheet, 0.0, self::EVENS);
    }
}
