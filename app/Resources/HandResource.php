<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\Ladder;
use KnottyPrism\Core\Medium\Strips\Rung;
use KnottyPrism\Core\Medium\Strips\Strip;
use KnottyPrism\Core\Recipe\NextMove\NextMove;

/**
 * A hand, the strips that teach it, and what a strip says to do next.
 *
 * @phpstan-import-type StripAskedJson from \Described
 * @phpstan-import-type StripCameJson from \Described
 * @phpstan-import-type StripsReadJson from \Described
 */
final class HandResource
{
    /** @return array{pressure: float, laydown: float, spread: float, drag: float, packing: float, contact: float} */
    public static function figures(Hand $hand): array
    {
        return [
            'pressure' => round($hand->pressure, 3),
            'laydown' => round($hand->laydown, 3),
            'spread' => round($hand->spread, 2),
            'drag' => round($hand->drag, 2),
            'packing' => round($hand->packing, 3),
            'contact' => round($hand->contact, 2),
        ];
    }

    /** @return StripAskedJson a strip to lay, and the dabs it is held beside */
    public static function asked(Stack $stack, Paper $paper): array
    {
        return [
            'stack' => $stack->text(),
            'words' => $stack->words(),
            'ladder' => array_map(
                static fn (Rung $r): array => [
                    'words' => $r->words(),
                    'hex' => self::hex(Lab::ofXyz($r->sheet->xyz())),
                    'strata' => $r->sheet->dab(),
                ],
                Ladder::of($stack, $paper),
            ),
        ];
    }

    /** @return StripCameJson what came of a strip, and what would mend it */
    public static function came(Strip $strip, NextMove $move): array
    {
        return [
            'stack' => $strip->stack->text(),
            'words' => $strip->stack->words(),
            'meantHex' => self::hex($move->target),
            'foundHex' => self::hex($strip->found),
            'deltaE00' => Figures::difference($move->deltaBefore()),
            'fault' => $move->fault(),
            'move' => $move->words(),
            'toothUsed' => Figures::share($move->toothUsed),
        ];
    }

    /** @return StripsReadJson['boxes'] each try by itself */
    public static function read(ChartReading $reading): array
    {
        return array_map(
            static fn (BoxReading $b): array => [
                'stack' => $b->box->pencil,
                'try' => $b->box->kind->value,
                'hex' => $b->hex(),
                'filled' => $b->filled,
                'doubt' => round($b->doubt, 1),
                'note' => $b->note,
            ],
            $reading->boxes,
        );
    }

    private static function hex(Lab $lab): string
    {
        return Srgb::ofXyz($lab->xyz())->hex();
    }
}
