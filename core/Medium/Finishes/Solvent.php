<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\Sheet;

/** Solvent dissolves laid film, runs it together and gives back some tooth. */
final class Solvent extends Finish
{
    /** Share of every film that solvent dissolves; the rest stays as a stain where it was. */
    private const DISSOLVES = 0.75;

    /** Dissolved film runs together: this share of it ends up even over all strata. */
    private const EVENS = 0.85;

    /** Dissolved and dried, film packs into less of the tooth. */
    private const PACKS = 0.8;

    public function __construct()
    {
        parent::__construct(
            'solvent',
            1,
            'a brush, nearly dry',
            1500.0,
            coats: 2,
            dries: true,
            layOut: 'and a brush, a jar that closes, a rag',
            care: 'Solvent: read its label first. Window open, no flame, the jar closed between strokes, gloves on; the rag goes into a '
                .'lidded metal bin.',
            careInShort: 'open a window, no flame; follow the label and local rules; let it dry',
        );
    }

    protected function onto(Sheet $sheet): void
    {
        MixFilms::within($sheet, self::DISSOLVES, self::EVENS);
        foreach ($sheet->fill as $m => $fill) {
            $held = 0.0;
            foreach ($sheet->deposits as $deposit) {
                $held += $deposit->thickness[$m];
            }
            $sheet->fill[$m] = min($sheet->capacity[$m], self::PACKS * $held);
            $sheet->slick[$m] *= 0.3;
        }
    }
}
