<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Palette\PaletteGround;
use KnottyPrism\Core\Picture\Palette\Purchases;
use KnottyPrism\Core\Recipe\RecipePlanner;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;

/** Plans a whole picture: fits its tones, chooses the pencils where there are to be few, finds a recipe for every target. */
final class PicturePlanner
{
    private const CURVE = [3, 24];

    /** ΔE00 that a recipe may lose rather than take up a pencil that its zone, or the whole picture, does without. */
    private const NEW_IN_ZONE = 0.12;

    private const NEW_IN_PICTURE = 0.3;

    private const PURCHASES = 3;

    /** @param  ?\Closure(string, int, int): void  $progress  told what is done, how far, of how much */
    public function __construct(
        private readonly Drawer $drawer,
        private readonly Paper $paper,
        private readonly School $school,
        private readonly AtlasShelf $shelf = new MemoryShelf,
        private readonly ?\Closure $progress = null,
        private readonly Mode $mode = Mode::ColourAndValue,
    ) {
    }

    /**
     * @param  ?int  $pencils  at most so many for the whole picture; null for what the school says
     * @param  array<int, float>  $importance  by zone, 1 where nothing is said
     * @param  list<string>  $lockedIn  identifiers of pencils that the palette must hold
     * @param  list<string>  $lockedOut  and of those that it must not
     */
    public function plan(PixelGrid $grid, ZoneMap $map, ?int $pencils = null, int $maxPasses = RecipePlanner::MOST_PASSES, array $importance = [], array $lockedIn = [], array $lockedOut = []): PicturePlan
    {
        OutOfRange::check('the number of pencils that may be used', count($this->drawer->usable()->pencils), 1, 1000);
        $tone = $this->toneOf($grid);
        $wanted = $this->wanted($map, $tone, $importance);
        $hand = $this->drawer->usable()->without(self::identifiers($this->drawer, $lockedOut));
        $lockedIn = self::identifiers($hand, $lockedIn);
        $ground = PaletteGround::for($hand, $this->paper, $wanted, $lockedIn, $this->mode, fn (int $done, int $of) => $this->tell('palette', $done, $of));
        $pencils ??= $this->school->mostPencils();
        if ($pencils !== null && $pencils < count($hand->pencils)) {
            $hand = new Drawer(array_map(static fn (int $p): Pencil => $ground->pencils[$p], $ground->search->best($pencils, $ground->placesOf($lockedIn))));
        }
        $targets = $this->recipes($hand, $wanted, $maxPasses);
        $palette = (new Stack(array_merge(...array_map(static fn (PlannedTarget $t): array => $t->recipe->stack->passes(), $targets))))->pencils();
        usort($palette, static fn (Pencil $a, Pencil $b): int => Character::of($b)->heavy->l <=> Character::of($a)->heavy->l);

        return new PicturePlan(
            $this->paper,
            $map,
            $tone,
            $targets,
            $palette,
            $ground->search->curve(...self::CURVE),
            $this->cautions($map, $grid->count(), $targets, $hand),
            $this->purchases($targets),
        );
    }

    /** What the pencils at hand reach on this paper, and the photo folded into it. */
    public function toneOf(PixelGrid $grid): ToneFit
    {
        return ReachableTone::fit($this->drawer->usable()->pencils, $this->paper, $grid->l);
    }

    /**
     * @param  array<int, float>  $importance
     * @return list<array{zone: int, role: string, seen: Lab, fitted: Lab, weight: float}>
     */
    private function wanted(ZoneMap $map, ToneFit $tone, array $importance): array
    {
        $wanted = [];
        foreach ($map->zones as $index => $zone) {
            // The mid first: what it takes, the others of its zone should take too.
            foreach (array_merge(['mid' => $zone->targets['mid']], $zone->targets) as $role => $lab) {
                $wanted[] = ['zone' => $index, 'role' => $role, 'seen' => $lab, 'fitted' => $tone->fitted($lab), 'weight' => $zone->area * Wish::ROLE_SHARES[$role] * ($importance[$index] ?? 1.0)];
            }
        }

        return $wanted;
    }

    /**
     * @param  list<array{zone: int, role: string, seen: Lab, fitted: Lab, weight: float}>  $wanted
     * @return list<PlannedTarget>
     */
    private function recipes(Drawer $hand, array $wanted, int $maxPasses): array
    {
        $missing = array_filter($this->drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned);
        $planner = new RecipePlanner(new Drawer([...$hand->pencils, ...array_values($missing)]), $this->paper, $this->school, $this->shelf, $this->mode);
        $free = null;
        $targets = $inZone = $inPicture = [];
        foreach ($wanted as $i => ['zone' => $zone, 'role' => $role, 'seen' => $seen, 'fitted' => $fitted, 'weight' => $weight]) {
            $this->tell('recipes', $i, count($wanted));
            $strangeness = [];
            foreach ($hand->pencils as $pencil) {
                $strangeness[$pencil->id()] = isset($inZone[$zone][$pencil->id()]) ? 0.0 : (isset($inPicture[$pencil->id()]) ? self::NEW_IN_ZONE : self::NEW_IN_PICTURE);
            }
            try {
                $recipe = $planner->recipesFor($fitted, $maxPasses, 1, $strangeness)[0];
            } catch (SchoolRefuses) {
                // A school may forbid what one target needs; the picture is planned all the same, in a free school there.
                $free ??= new RecipePlanner($hand, $this->paper, School::free(), $this->shelf, $this->mode);
                $recipe = $free->recipesFor($fitted, $maxPasses, 1, $strangeness)[0];
            }
            foreach ($recipe->stack->pencils() as $pencil) {
                $inZone[$zone][$pencil->id()] = $inPicture[$pencil->id()] = true;
            }
            $targets[] = new PlannedTarget($zone, $role, $seen, $fitted, $weight, $recipe);
        }
        $this->tell('recipes', count($wanted), count($wanted));

        return $targets;
    }

    /**
     * @param  list<PlannedTarget>  $targets
     * @return list<array{pencil: Pencil, gain: float}>
     */
    private function purchases(array $targets): array
    {
        $missing = array_values(array_filter($this->drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned && ! $p->isBlender()));

        return Purchases::for(array_map(static fn (PlannedTarget $t): array => ['target' => $t->fitted, 'stack' => $t->recipe->stack, 'deltaE00' => $t->recipe->comparison->deltaE00, 'weight' => $t->weight], $targets), $missing, $this->paper, self::PURCHASES);
    }

    /**
     * What to mind between and within zones; where a recipe can be found that removes it, with that recipe.
     *
     * @param  list<PlannedTarget>  $targets
     * @return list<ZoneCaution>
     */
    private function cautions(ZoneMap $map, int $pixels, array $targets, Drawer $hand): array
    {
        $found = ZoneCautions::in($map->zones, $map->borders(), $pixels, $targets);
        $planner = $found === [] ? null : new RecipePlanner($hand, $this->paper, $this->school, $this->shelf, $this->mode);

        return array_map(fn (ZoneCaution $c): ZoneCaution => $planner === null ? $c : $c->tried($planner, $targets), $found);
    }

    /**
     * @param  list<string>  $ids
     * @return list<string> in full, as the drawer knows them
     */
    private static function identifiers(Drawer $drawer, array $ids): array
    {
        return array_map(static fn (string $id): string => $drawer->pencil($id)->id(), $ids);
    }

    private function tell(string $what, int $done, int $of): void
    {
        if ($this->progress !== null) {
            ($this->progress)($what, $done, $of);
        }
    }
}
