<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Palette\MadeArea;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\Palette\Purchases;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\PassCautions\PassCaution;
use KnottyPrism\Core\Recipe\PassCautions\SequenceRemedy;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * Plans a picture, whole or part by part: first its palette, then each zone on its own. A zone's sequence follows from its colours, its
 * school and the palette, and from nothing else: a change plans anew only what it touches, and command line and page come to the same
 * plan.
 */
final class PlanPicture
{
    /** ΔE00 that a zone may lose rather than take up a pencil that the base of the picture does without. */
    private const NEW_IN_PICTURE = 0.12;

    /** Of the best purchases. */
    private const PURCHASES = 3;

    /** @var array<string, RecipePlanner> by school and hand */
    private array $planners = [];

    /** @var array<string, FindSequences> by school and hand */
    private array $finders = [];

    /** @param  int  $mostPasses  of a zone's value run */
    public function __construct(
        private readonly Drawer $drawer,
        private readonly Paper $paper,
        private readonly PlanSettings $settings = new PlanSettings,
        private readonly AtlasShelf $shelf = new MemoryShelf,
        private readonly int $mostPasses = FindSequences::MOST_PASSES,
        private readonly ?Kits $kits = null,
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
        $byZone = array_map(fn (Zone $zone, int $number): array => Wish::of($number, $zone, 1.0, $this->settings->schoolOf($number), $tone->fitted(...)), $map->zones, array_keys($map->zones));
        $wishes = array_merge(...$byZone);
        $tell = $progress ?? static fn (): null => null;
        $palette = $this->palette($wishes, static fn (int $done, int $of) => $tell('palette', $done, $of));
        $zones = $targets = [];
        foreach ($byZone as $own) {
            $tell('sequences', count($zones), count($map->zones));
            $own = PlannedZone::inOrder($own);
            $zones[$own[0]->zone] = $answer = $this->sequences($own, $palette, 1)[0];
            foreach ($own as $shade => $wish) {
                $targets[] = $this->target($wish, $answer->sequence->stackIn($shade), $answer->label, $palette);
            }
        }
        $tell('sequences', count($zones), count($zones));

        return new PlannedPicture($this->paper, $map, $tone, $zones, $targets, $palette->curve, $this->cautions($map, $targets, $zones, $palette), $this->purchases($zones));
    }

    private function target(Wish $wish, Stack $stack, RecipeLabel $label, PalettePart $palette): PlannedTarget
    {
        $remedies = $stack->steps === [] ? null : $this->plannerFor($wish->zone, $palette)->remediesFor($stack, $wish->fitted, $wish->grainCounts);

        return new PlannedTarget($wish->zone, $wish->role, $wish->seen, $wish->fitted, $wish->weight, Recipe::of($label, $wish->fitted, $stack, $this->paper, $remedies, $wish->grainCounts));
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
        return (new ChoosePalette($this->hand(), $this->paper, $this->settings, $this->shelf))->for($wishes, $progress);
    }

    /**
     * The sequences in which a zone may be worked, the first of them the one to take.
     *
     * @param  non-empty-list<Wish>  $wishes  of the zone, in order
     * @return non-empty-list<SequenceAnswer>
     */
    public function sequences(array $wishes, PalettePart $palette, int $count): array
    {
        $hand = $this->handOf($palette);
        $strangeness = [];
        foreach ($hand as $pencil) {
            $strangeness[$pencil->id()] = in_array($pencil->id(), $palette->base, true) ? 0.0 : self::NEW_IN_PICTURE;
        }
        $shades = PlannedZone::shades($wishes);
        try {
            return $this->finder($this->settings->schoolOf($wishes[0]->zone), $hand)->for($shades, $this->mostPasses, $count, $strangeness);
        } catch (SchoolRefuses) {
            // A school may forbid what a zone needs; it is planned all the same, in a free school.
            return $this->finder(School::free(), $hand)->for($shades, $this->mostPasses, $count, $strangeness);
        }
    }

    /** @param  list<Pencil>  $hand */
    private function finder(School $school, array $hand): FindSequences
    {
        return $this->finders[implode(',', $school->settings()).'|'.implode(',', Pencil::identifiers($hand))] ??= new FindSequences(new Drawer($hand), $this->paper, $school, $this->shelf, $this->settings->mode, $this->kits);
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

        return $this->planners[implode(',', $school->settings()).'|'.implode(',', Pencil::identifiers($hand))]
            ??= new RecipePlanner(new Drawer([...$hand, ...array_values($missing)]), $this->paper, $school, $this->shelf, $this->settings->mode);
    }

    /**
     * What to mind between and within zones; where a change can be found that removes it, with that change.
     *
     * @param  list<PlannedTarget>  $targets
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return list<ZoneCaution>
     */
    private function cautions(ZoneMap $map, array $targets, array $answers, PalettePart $palette): array
    {
        return array_map(fn (ZoneCaution $c): ZoneCaution => $this->tried($c, $answers, $palette), ZoneCautions::in($map, $targets));
    }

    /** @param  array<int, SequenceAnswer>  $answers  by zone */
    public function tried(ZoneCaution $caution, array $answers, PalettePart $palette): ZoneCaution
    {
        if (! isset($answers[$caution->zone])) {
            return $caution;
        }
        $hand = $this->handOf($palette);
        /** @param  list<Shade>  $shades */
        $anew = function (array $shades) use ($caution, $hand): ?Sequence {
            try {
                return $shades === [] ? null : $this->finder($this->settings->schoolOf($caution->zone), $hand)->for(array_values($shades), $this->mostPasses)[0]->sequence;
            } catch (SchoolRefuses) {
                return null;
            }
        };

        return $caution->tried($answers, $this->paper, $this->settings->mode, $hand, $this->allowed($caution->zone, $answers[$caution->zone], $palette), $anew);
    }

    /** A small change of a zone's sequence that removes a caution; nothing where none that was tried does. */
    public function remedy(int $zone, PassCaution $caution, SequenceAnswer $answer, PalettePart $palette): ?SequenceRemedy
    {
        return SequenceRemedy::of($caution, $answer, $this->paper, $this->settings->mode, $this->handOf($palette), $this->allowed($zone, $answer, $palette));
    }

    /** @return ?\Closure(Sequence): bool whether a change keeps craft and school; nothing where the sequence itself is laid otherwise */
    private function allowed(int $zone, SequenceAnswer $answer, PalettePart $palette): ?\Closure
    {
        $shades = $answer->shades();
        $allowed = $shades === [] ? null : $this->finder($this->settings->schoolOf($zone), $this->handOf($palette))->allowingSequences($shades);

        return $allowed !== null && $allowed($answer->sequence) ? $allowed : null;
    }

    /**
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return list<Purchase>
     */
    private function purchases(array $answers): array
    {
        $missing = array_values(array_filter($this->drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned && ! $p->isBlender()));

        return Purchases::for(array_map(fn (SequenceAnswer $a, int $zone): MadeArea => new MadeArea($a, $this->settings->schoolOf($zone), $this->settings->mode), $answers, array_keys($answers)), $missing, $this->paper, self::PURCHASES, $this->mostPasses);
    }
}
