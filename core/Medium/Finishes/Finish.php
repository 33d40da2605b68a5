<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Medium\Laying\Deposit;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Film;

/** What can be done to laid film between passes, without laying colour. Figures and reasons: docs/model.md, "Finishes". */
enum Finish: string
{
    case Solvent = 'solvent';
    case Blender = 'blender';
    case Tissue = 'tissue';
    case Lift = 'lift';

    /** Minutes before a next pass may follow, shortest and longest; [0, 0] where there is nothing to wait for. */
    public const SOLVENT_DRYING_MINUTES = [5, 15];

    /** Share of every film that solvent dissolves; the rest stays as a stain where it was. */
    private const SOLVENT_DISSOLVES = 0.75;

    /** Dissolved film runs together: this share of it ends up even over all strata. */
    private const SOLVENT_EVENS = 0.85;

    /** Dissolved and dried, film packs into less of the tooth. */
    private const SOLVENT_PACKS = 0.80;

    private const BLENDER_MIXES = 0.35;

    private const BLENDER_EVENS = 0.55;

    private const BLENDER_PRESSURE = 0.85;

    private const TISSUE_EVENS = 0.15;

    /** Share of the newest film that one pressing of a kneaded eraser takes from a surface that is not slick. */
    private const LIFT_SHARE = 0.40;

    /** How deep an eraser reaches, film units. */
    private const LIFT_REACH = 0.6;

    public function applyTo(Sheet $sheet): void
    {
        match ($this) {
            self::Solvent => self::dissolve($sheet),
            self::Blender => self::burnish($sheet),
            self::Tissue => self::mixFilms($sheet, 0.0, self::TISSUE_EVENS),
            self::Lift => self::lift($sheet),
        };
        $sheet->rebuild();
    }

    private static function dissolve(Sheet $sheet): void
    {
        self::mixFilms($sheet, self::SOLVENT_DISSOLVES, self::SOLVENT_EVENS);
        foreach ($sheet->fill as $m => $fill) {
            $held = 0.0;
            foreach ($sheet->deposits as $deposit) {
                $held += $deposit->thickness[$m];
            }
            $sheet->fill[$m] = min($sheet->capacity[$m], self::SOLVENT_PACKS * $held);
            $sheet->slick[$m] *= 0.3;
        }
    }

    private static function burnish(Sheet $sheet): void
    {
        self::mixFilms($sheet, self::BLENDER_MIXES, self::BLENDER_EVENS);
        LayPass::crush($sheet, self::BLENDER_PRESSURE);
        $slick = Binder::Blender->slickness() * self::BLENDER_PRESSURE ** 1.5;
        foreach ($sheet->slick as $m => $was) {
            $sheet->slick[$m] = max($was, $slick);
        }
    }

    /**
     * Turns a share of all films into one even mixture on top (mean K and S weighted by film) and levels film between strata.
     *
     * @param  float  $mixed  0–1, the share of each film that joins the mixture; 0 levels each film by itself
     * @param  float  $evened  0–1, how far what moves becomes the same in all strata
     */
    private static function mixFilms(Sheet $sheet, float $mixed, float $evened): void
    {
        if ($sheet->deposits === []) {
            return;
        }
        $before = self::heldFilm($sheet->deposits);
        if ($mixed === 0.0) {
            $sheet->deposits = array_map(static fn (Deposit $d): Deposit => $d->withThickness(self::levelled($d->thickness, $evened)), $sheet->deposits);
        } else {
            $stains = array_map(static fn (Deposit $d): Deposit => $d->withThickness(self::scaled($d->thickness, 1 - $mixed)), $sheet->deposits);
            $mixture = self::mixtureOf($sheet->deposits);
            $sheet->deposits = [...$stains, $mixture->withThickness(self::levelled(self::scaled($before, $mixed), $evened))];
        }
        foreach (self::heldFilm($sheet->deposits) as $m => $held) {
            $moved = $held - $before[$m];
            $sheet->fill[$m] = max(0.0, min($sheet->capacity[$m], $sheet->fill[$m] + $moved));
        }
    }

    /** @param  non-empty-list<Deposit>  $deposits */
    private static function mixtureOf(array $deposits): Deposit
    {
        $film = max(1e-9, array_sum(array_map(static fn (Deposit $d): float => $d->total(), $deposits)));
        $absorption = array_fill(0, Observer::BANDS, 0.0);
        $scattering = 0.0;
        foreach ($deposits as $deposit) {
            $share = $deposit->total() / $film;
            $scattering += $share * $deposit->scattering;
            foreach ($deposit->a as $i => $a) {
                $absorption[$i] += $share * ($a - 1) * $deposit->scattering;
            }
        }
        [$a, $b] = Film::coefficients($absorption, max(1e-6, $scattering));

        return new Deposit($a, $b, max(1e-6, $scattering), array_fill(0, Tooth::STRATA, 0.0));
    }

    /** Takes film from the top down, as far as the eraser reaches; burnished film holds on. */
    private static function lift(Sheet $sheet): void
    {
        $deposits = $sheet->deposits;
        foreach ($sheet->fill as $m => $fill) {
            $reach = self::LIFT_REACH;
            for ($d = count($deposits) - 1; $d >= 0 && $reach > 0; $d--) {
                $thickness = $deposits[$d]->thickness;
                $taken = min($thickness[$m], $reach) * self::LIFT_SHARE * (1 - $sheet->slick[$m]);
                $reach -= $thickness[$m];
                $thickness[$m] -= $taken;
                $deposits[$d] = $deposits[$d]->withThickness(array_values($thickness));
                $sheet->fill[$m] = max(0.0, $sheet->fill[$m] - $taken);
            }
        }
        $sheet->deposits = array_values($deposits);
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
