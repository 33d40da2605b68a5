<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Recipes;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/**
 * Lays a recipe of the book with the pencils of today. For each that is missing, those whose swatches are nearest are laid in its place,
 * as firmly, a step firmer and a step lighter, and what brings the whole nearest to what it came to is taken.
 */
final class LayAgain
{
    /** Pencils that are tried for a missing one. */
    private const TRIED = 8;

    /** @throws OutOfRange when nothing is available */
    public static function with(BookRecipe $recipe, Drawer $drawer, Paper $paper): LaidAgain
    {
        $hand = $drawer->usable()->pencils;
        OutOfRange::check('the number of pencils that may be used', count($hand), 1, 10_000);
        $today = [];
        foreach ($hand as $pencil) {
            $today[$pencil->id()] = $pencil;
        }
        // A pencil measured again since is laid as it is known today.
        $sequence = new Sequence(
            array_map(
                static fn (GradedPass $p): GradedPass => $p->tool instanceof Pencil && isset($today[$p->tool->id()])
                    ? new GradedPass($today[$p->tool->id()], $p->pressures)
                    : $p,
                $recipe->sequence()->passes,
            ),
        );
        $standIns = [];
        foreach ($sequence->pencils() as $pencil) {
            if (! isset($today[$pencil->id()]) && ! $pencil->isBlender()) {
                [$sequence, $standIns[]] = self::replaced($recipe, $sequence, $pencil, $hand, $paper);
            }
        }

        return new LaidAgain(
            SequenceAnswer::of(RecipeLabel::Closest, $sequence, $recipe->shades, $paper, Mode::ColourAndValue),
            $standIns,
        );
    }

    /**
     * @param  list<Pencil>  $hand  at least one
     * @return array{Sequence, StandIn}
     */
    private static function replaced(BookRecipe $recipe, Sequence $sequence, Pencil $missing, array $hand, Paper $paper): array
    {
        $best = null;
        foreach (self::nearest($missing, $hand) as $pencil) {
            foreach ([0, 1, -1] as $pressures) {
                $tried = new Sequence(
                    array_map(
                        static fn (GradedPass $p): GradedPass => $p->tool === $missing ? self::pressed($pencil, $p, $pressures) : $p,
                        $sequence->passes,
                    ),
                );
                $apart = self::apart($recipe, $tried, $paper);
                if ($best === null || $apart < $best[1]->apart) {
                    $best = [$tried, new StandIn($missing, $pencil, $pressures, $apart)];
                }
            }
        }

        return $best ?? throw new \LogicException('at least one pencil is available');
    }

    /**
     * @param  list<Pencil>  $hand
     * @return list<Pencil> by their heavy and light swatches together: both must be near
     */
    private static function nearest(Pencil $missing, array $hand): array
    {
        [$heavy, $light] = [Swatch::Heavy->colourOf($missing), Swatch::Light->colourOf($missing)];
        $apart = array_map(
            static fn (Pencil $p): float => Swatch::Heavy->colourOf($p)->deltaE00($heavy) + Swatch::Light->colourOf($p)->deltaE00($light),
            $hand,
        );
        asort($apart);

        return array_map(static fn (int $i): Pencil => $hand[$i], array_slice(array_keys($apart), 0, self::TRIED));
    }

    private static function pressed(Pencil $pencil, GradedPass $pass, int $pressures): GradedPass
    {
        $all = Pressure::cases();

        return new GradedPass(
            $pencil,
            array_map(
                static fn (?Pressure $m): ?Pressure => $m === null
                    ? null
                    : $all[max(0, min(count($all) - 1, $m->strokes() - 1 + $pressures))],
                $pass->pressures,
            ),
        );
    }

    /** ΔE00 of what comes of it from what the recipe came to, the mean of its shades by their weight. */
    private static function apart(BookRecipe $recipe, Sequence $sequence, Paper $paper): float
    {
        $sum = $weight = 0.0;
        foreach ($recipe->shades as $i => $shade) {
            $sum += $shade->weight * Lab::ofXyz($sequence->stackIn($i)->on($paper)->xyz())->deltaE00($shade->target);
            $weight += $shade->weight;
        }

        return $sum / $weight;
    }
}
