<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\Sheet;

/** Dry tissue evens what lies on the peaks, and costs no tooth. */
final class Tissue extends Finish
{
    private const EVENS = 0.15;

    public function __construct()
    {
        parent::__construct('tissue', 3, 'a folded tissue', 3000.0);
    }

    protected function onto(Sheet $sheet): void
    {
        MixFilms::within($sheet, 0.0, self::EVENS);
    }
}
