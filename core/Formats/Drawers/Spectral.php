<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Drawers;

use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;

/**
 * Measurement text with reflectances in hundredths for every ten nanometres, the smoothest that have the recorded colour; read as {@see
 * Cgats} is.
 */
final class Spectral extends DrawerFormat
{
    public function __construct()
    {
        parent::__construct('spectral', 5, 'txt', 'text/plain', 'reflectances', 'number, name and spectrum (CGATS)');
    }

    /** What holds measurements is read by the other of the two, whichever it holds. */
    public function isOne(string $start): bool
    {
        return false;
    }

    public function read(string $text): DrawerReading
    {
        return Cgats::it()->read($text);
    }

    public function write(string $title, array $rows): string
    {
        $last = Observer::FIRST_NM + Observer::STEP_NM * (Observer::BANDS - 1);
        $fields = array_map(static fn (int $nm): string => "SPEC_$nm", range(Observer::FIRST_NM, $last, Observer::STEP_NM));
        // What readers ask for beside the columns themselves.
        $keywords = [
            'SPECTRAL_BANDS' => Observer::BANDS,
            'SPECTRAL_START_NM' => Observer::FIRST_NM,
            'SPECTRAL_END_NM' => $last,
            'SPECTRAL_NORM' => 100,
        ];
        $percent = static fn (float $r): float => 100 * $r;

        return Cgats::table(
            $title,
            $fields,
            array_map(
                static fn (ShelfRow $r): array => [
                    $r->record,
                    ...array_map($percent, array_values(SmoothestReflectance::ofHex($r->record->heavy))),
                ],
                $rows,
            ),
            $keywords,
        );
    }
}
