<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Palette\PaletteGround;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/**
 * Plans a study's picture part by part: first its palette, then each target on its own. A target's recipe follows from its colour, its
 * zone's school, the palette and its zone's mid, and from nothing else, so that a change plans anew only what it touches.
 */
final class StudyPlanner
{
    private const CURVE = [3, 24];

    /** The base holds the fewest pencils whose cost is within this of what all would cost, ΔE00. */
    private const FLAT = 0.15;

    /** ΔE00 that a recipe may lose rather than take up a pencil that its zone, or the base of the picture, does without. */
    private const NEW_IN_ZONE = 0.12;

    private const NEW_IN_PICTURE = 0.3;

    /** @var array<string, RecipePlanner> by school and hand */
    private array $planners = [];

    public function __construct(private readonly Drawer $drawer, private readonly Paper $paper, private readonly PlanSettings $settings, private readonly AtlasShelf $shelf)
    {
    }

    /**
     * The pencils that may be used.
     *
     * @throws OutOfRange when none is left, or more than can be searched
     */
    public function hand(): Drawer
    {
        $hand = $this->drawer->usable()->without($this->settings->without);
        OutOfRange::check('the number of pencils that may be used', count($hand->pencils), 1, 1000);

        return $hand;
    }

    /**
     * @param  list<Wish>  $wishes
     * @param  ?\Closure(int, int): void  $progress  told how far, of how much
     *
     * @throws OutOfRange when no pencil is left
     */
    public function palette(array $wishes, ?\Closure $progress = null): PalettePart
    {
        $hand = $this->hand();
        $ground = PaletteGround::for($hand, $this->paper, array_map(static fn (Wish $w): array => ['fitted' => $w->fitted, 'weight' => $w->weight], $wishes), $this->kept($hand), $this->settings->mode, $progress);
        $keep = $ground->placesOf($this->settings->keep);
        $curve = $ground->search->curve(...self::CURVE);
        $most = $this->settings->mostPencils();
        $all = array_keys($ground->pencils);
        $chosen = $most === null || $most >= count($hand->pencils) ? null : $ground->search->best(max($most, count($keep)), $keep);
        $base = $chosen ?? $ground->search->best($this->flatFrom($curve, count($all)), $keep);
        $ids = static fn (array $places): array => array_map(static fn (int $p): string => $ground->pencils[$p]->id(), array_values($places));

        return new PalettePart(
            $chosen === null ? array_map(static fn (Pencil $p): string => $p->id(), $hand->pencils) : $ids($chosen),
            $ids($base),
            $curve,
            $chosen === null ? [] : self::suffering($wishes, $ground->clusterOf, $ground->search->costs($chosen), $ground->search->costs($all)),
        );
    }

    /**
     * The recipes for one target, the first of them the one to take.
     *
     * @param  list<string>  $inZone  identifiers of pencils that its zone takes already
     * @return list<Recipe>
     */
    public function recipes(Wish $wish, PalettePart $palette, array $inZone, int $count): array
    {
        $hand = $this->handOf($palette);
        $strangeness = [];
        foreach ($hand as $pencil) {
            $strangeness[$pencil->id()] = in_array($pencil->id(), $inZone, true) ? 0.0 : (in_array($pencil->id(), $palette->base, true) ? self::NEW_IN_ZONE : self::NEW_IN_PICTURE);
        }
        try {
            return $this->planner($this->settings->schoolOf($wish->zone), $hand)->recipesFor($wish->fitted, RecipePlanner::MOST_PASSES, $count, $strangeness);
        } catch (SchoolRefuses) {
            // A school may forbid what one target needs; it is planned all the same, in a free school.
            return $this->planner(School::free(), $hand)->recipesFor($wish->fitted, RecipePlanner::MOST_PASSES, $count, $strangeness);
        }
    }

    /**
     * The planner of a zone's recipes: in the zone's way of working, with the pencils of the palette, or all at hand before there is one.
     *
     * @throws OutOfRange when no pencil is left
     */
    public function plannerFor(int $zone, ?PalettePart $palette): RecipePlanner
    {
        return $this->planner($this->settings->schoolOf($zone), $palette === null ? $this->hand()->pencils : $this->handOf($palette));
    }

    /** @return list<Pencil> */
    private function handOf(PalettePart $palette): array
    {
        return array_values(array_filter($this->drawer->pencils, static fn (Pencil $p): bool => in_array($p->id(), $palette->hand, true)));
    }

    /** @param  list<Pencil>  $hand */
    private function planner(School $school, array $hand): RecipePlanner
    {
        $missing = array_filter($this->drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned);

        return $this->planners[implode(',', $school->settings()).'|'.implode(',', array_map(static fn (Pencil $p): string => $p->id(), $hand))]
            ??= new RecipePlanner(new Drawer([...$hand, ...array_values($missing)]), $this->paper, $school, $this->shelf, $this->settings->mode);
    }

    /** @return list<string> kept pencils that are at hand */
    private function kept(Drawer $hand): array
    {
        $ids = array_map(static fn (Pencil $p): string => $p->id(), $hand->pencils);

        return array_values(array_intersect($this->settings->keep, $ids));
    }

    /** @param  array<int, float>  $curve */
    private function flatFrom(array $curve, int $all): int
    {
        $end = $curve === [] ? 0.0 : min($curve);
        foreach ($curve as $count => $cost) {
            if ($cost <= $end + self::FLAT) {
                return $count;
            }
        }

        return $all;
    }

    /**
     * @param  list<Wish>  $wishes
     * @param  list<int>  $clusterOf
     * @param  list<float>  $with  ΔE00 of each cluster with the palette
     * @param  list<float>  $whole  and with all pencils
     * @return array<int, float>
     */
    private static function suffering(array $wishes, array $clusterOf, array $with, array $whole): array
    {
        $lost = $weight = [];
        foreach ($wishes as $i => $wish) {
            $lost[$wish->zone] = ($lost[$wish->zone] ?? 0.0) + $wish->weight * ($with[$clusterOf[$i]] - $whole[$clusterOf[$i]]);
            $weight[$wish->zone] = ($weight[$wish->zone] ?? 0.0) + $wish->weight;
        }

        foreach ($lost as $zone => $sum) {
            $lost[$zone] = $weight[$zone] > 0 ? $sum / $weight[$zone] : 0.0;
        }

        return $lost;
    }
}
