<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\Sheet;

/** A kneaded eraser takes a share of the newest film. */
final class Lift extends Finish
{
    /** Share of the newest film that one pressing of a kneaded eraser takes from a surface that is not slick. */
    private const SHARE = 0.40;

    /** How deep an eraser reaches, film units. */
    private const REACH = 0.6;

    public function __construct()
    {
        parent::__construct('lift', 4, 'a kneaded eraser, pressed and lifted', 600.0, lifts: true);
    }

    /** Takes film from the top down, as far as the eraser reaches; burnished film holds on. */
    protected function onto(Sheet $sheet): void
    {
        $deposits = $sheet->deposits;
        foreach ($sheet->fill as $m => $fill) {
            $reach = self::REACH;
            for ($d = count($deposits) - 1; $d >= 0 && $reach > 0; $d--) {
                $thickness = $deposits[$d]->thickness;
                $taken = min($thickness[$m], $reach) * self::SHARE * (1 - $sheet->slick[$m]);
                $reach -= $thickness[$m];
                $thickness[$m] -= $taken;
                $deposits[$d] = $deposits[$d]->withThickness(array_values($thickness));
                $sheet->fill[$m] = max(0.0, $sheet->fill[$m] - $taken);
            }
        }
        $sheet->deposits = array_values($deposits);
    }
}
