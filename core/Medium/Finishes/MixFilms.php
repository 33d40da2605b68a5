<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\Deposit;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Film;

/** Laid films moved: into one another, and from stratum to stratum. */
final class MixFilms
{
    /**
     * Turns a share of all films into one even mixture on top (mean K and S weighted by film) and levels film between strata.
     *
     * @param  float  $mixed  0–1, the share of each film that joins the mixture; 0 levels each film by itself
     * @param  float  $evened  0–1, how far what moves becomes the same in all strata
     */
    public static function within(Sheet $sheet, float $mixed, float $evened): void
    {
        if ($sheet->deposits === []) {
            return;
        }
        $before = self::heldFilm($sheet->deposits);
        if ($mixed === 0.0) {
            $sheet->deposits = array_map(
                static fn (Deposit $d): Deposit => $d->withThickness(self::levelled($d->thickness, $evened)),
                $sheet->deposits,
            );
        } else {
            $stains = array_map(
                static fn (Deposit $d): Deposit => $d->withThickness(self::scaled($d->thickness, 1 - $mixed)),
                $sheet->deposits,
            );
            $mixture = Deposit::mixtureOf($sheet->deposits);
            $sheet->deposits = [...$stains, $mixture->withThickness(self::levelled(self::scaled($before, $mixed), $evened))];
        }
        foreach (self::heldFilm($sheet->deposits) as $m => $held) {
            $moved = $held - $before[$m];
            $sheet->fill[$m] = max(0.0, min($sheet->capacity[$m], $sheet->fill[$m] + $moved));
        }
    }

    /**
     * @param  list<Deposit>  $deposits
     * @return array<int, float> film per stratum
     */
    private static function heldFilm(array $deposits): array
    {
        $held = array_fill(0, Tooth::STRATA, 0.0);
        foreach ($deposits as $deposit) {
            foreach ($deposit->thickness as $m => $thickness) {
                $held[$m] += $thickness;
            }
        }

        return array_values($held);
    }

    /**
     * @param  array<int, float>  $film
     * @return array<int, float>
     */
    private static function levelled(array $film, float $evened): array
    {
        $mean = array_sum($film) / count($film);

        return array_map(static fn (float $t): float => (1 - $evened) * $t + $evened * $mean, $film);
    }

    /**
     * @param  array<int, float>  $film
     * @return array<int, float>
     */
    private static function scaled(array $film, float $factor): array
    {
        return array_map(static fn (float $t): float => $t * $factor, $film);
    }
}
