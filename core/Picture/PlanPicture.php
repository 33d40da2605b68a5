<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Palette\MadeColour;
use KnottyPrism\Core\Picture\Palette\PaletteGround;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\Palette\Purchases;
use KnottyPrism\Core\Picture\Palette\WantedColour;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;

/**
 * Plans a picture, whole or part by part: first its palette, then each target on its own. A target's recipe follows from its colour, its
 * zone's school, the palette and its zone's mid, and from nothing else: a change plans anew only what it touches, and command line and
 * page come to the same plan.
 */
final class PlanPicture
{
    private const CURVE = [3, 24];

    /** The base holds the fewest pencils whose cost is within this of what all would cost, ΔE00. */
    private const FLAT = 0.15;

    /** ΔE00 that a recipe may lose rather than take up a pencil that its zone, or the base of the picture, does without. */
    private const NEW_IN_ZONE = 0.12;

    private const NEW_IN_PICTURE = 0.3;

    /** Of the best purchases. */
    private const PURCHASES = 3;

    /** @var array<string, RecipePlanner> by school and hand */
    private array $planners = [];

    /** @param  int  $mostPasses  of a recipe */
    public function __construct(
        private readonly Drawer $drawer,
        private readonly Paper $paper,
        private readonly PlanSettings $settings = new PlanSettings,
        private readonly AtlasShelf $shelf = new MemoryShelf,
        private readonly int $mostPasses = RecipePlanner::MOST_PASSES,
    ) {
    }

    /**
     * All of it, one part after the other; zones are numbered as the map has them.
     *
     * @param  ?\Closure(string, int, int): void  $progress  told what is done, how far, of how much
     *
     * @throws OutOfRange when no pencil is left, or more than can be searched
     */
    public function whole(PixelGrid $grid, ZoneMap $map, ?\Closure $progress = null): PlannedPicture
    {
        $this->hand();
        $tone = ReachableTone::fit($this->drawer->usable()->pencils, $this->paper, $grid->l);
        $wishes = [];
        foreach ($map->zones as $number => $zone) {
            array_push($wishes, ...Wish::of($number, $zone, 1.0, $tone->fitted(...)));
        }
        $tell = $progress ?? static fn (): null => null;
        $palette = $this->palette($wishes, static fn (int $done, int $of) => $tell('palette', $done, $of));
        $targets = $inZone = [];
        foreach ($wishes as $i => $wish) {
            $tell('recipes', $i, count($wishes));
            $recipe = $this->recipes($wish, $palette, $wish->role === Role::Mid ? [] : $inZone[$wish->zone], 1)[0];
            // The mid comes first: what it takes, the others of its zone should take too.
            $inZone[$wish->zone] ??= self::identifiers($recipe->stack->pencils());
            $targets[] = new PlannedTarget($wish->zone, $wish->role, $wish->seen, $wish->fitted, $wish->weight, $recipe);
        }
        $tell('recipes', count($wishes), count($wishes));

        return new PlannedPicture($this->paper, $map, $tone, $targets, $palette->curve, $this->cautions($map, $targets, $palette), $this->purchases($targets));
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
        $ground = PaletteGround::for($hand, $this->paper, array_map(static fn (Wish $w): WantedColour => new WantedColour($w->fitted, $w->weight), $wishes), $this->kept($hand), $this->settings->mode, $progress);
        $keep = $ground->placesOf($this->settings->keep);
        $curve = $ground->search->curve(...self::CURVE);
        $most = $this->settings->mostPencils();
        $all = array_keys($ground->pencils);
        $chosen = $most === null || $most >= count($hand->pencils) ? null : $ground->search->best(max($most, count($keep)), $keep);
        $base = $chosen ?? $ground->search->best($this->flatFrom($curve, count($all)), $keep);
        $ids = static fn (array $places): array => self::identifiers(array_map(static fn (int $p): Pencil => $ground->pencils[$p], array_values($places)));

        return new PalettePart(
            $chosen === null ? self::identifiers($hand->pencils) : $ids($chosen),
            $ids($base),
            $curve,
            $chosen === null ? [] : self::suffering($wishes, $ground->clusterOf, $ground->search->costs->each($chosen), $ground->search->costs->each($all)),
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
            return $this->planner($this->settings->schoolOf($wish->zone), $hand)->recipesFor($wish->fitted, $this->mostPasses, $count, $strangeness);
        } catch (SchoolRefuses) {
            // A school may forbid what one target needs; it is planned all the same, in a free school.
            return $this->planner(School::free(), $hand)->recipesFor($wish->fitted, $this->mostPasses, $count, $strangeness);
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

        return $this->planners[implode(',', $school->settings()).'|'.implode(',', self::identifiers($hand))]
            ??= new RecipePlanner(new Drawer([...$hand, ...array_values($missing)]), $this->paper, $school, $this->shelf, $this->settings->mode);
    }

    /** @return list<string> kept pencils that are at hand */
    private function kept(Drawer $hand): array
    {
        return array_values(array_intersect($this->settings->keep, self::identifiers($hand->pencils)));
    }

    /**
     * What to mind between and within zones; where a recipe can be found that removes it, with that recipe.
     *
     * @param  list<PlannedTarget>  $targets
     * @return list<ZoneCaution>
     */
    private function cautions(ZoneMap $map, array $targets, PalettePart $palette): array
    {
        return array_map(fn (ZoneCaution $c): ZoneCaution => $c->tried($this->plannerFor($c->zone, $palette), $targets), ZoneCautions::in($map, $targets));
    }

    /**
     * @param  list<PlannedTarget>  $targets
     * @return list<Purchase>
     */
    private function purchases(array $targets): array
    {
        $missing = array_values(array_filter($this->drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned && ! $p->isBlender()));

        return Purchases::for(array_map(static fn (PlannedTarget $t): MadeColour => $t->made(), $targets), $missing, $this->paper, self::PURCHASES);
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return list<string>
     */
    private static function identifiers(array $pencils): array
    {
        return array_map(static fn (Pencil $p): string => $p->id(), $pencils);
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
