<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Palette\PalettePencil;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Picture\Palette\PlannedStack;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\ShadeOutcome;

/** A whole picture: its zones, a recipe for every target, the pencils they take, and what to mind. */
final readonly class PlannedPicture
{
    /**
     * @param  array<int, SequenceAnswer>  $zones  by number, over each zone's targets in their order
     * @param  list<PlannedTarget>  $targets
     * @param  array<int, float>  $curve  mean ΔE00 by the number of pencils, by forecast
     * @param  list<ZoneCaution>  $cautions
     * @param  list<Purchase>  $purchases  known pencils not at hand that would help most, each alone, and by how much mean ΔE00
     */
    public function __construct(
        public Paper $paper,
        public ZoneMap $map,
        public ToneFit $tone,
        public array $zones,
        public array $targets,
        public array $curve,
        public array $cautions,
        public array $purchases,
    ) {
    }

    /** @return list<PalettePencil> the pencils that the recipes take, lightest first */
    public function palette(): array
    {
        return PlannedPalette::of(array_map(static fn (PlannedTarget $t): PlannedStack => new PlannedStack($t->zone, $t->recipe->stack), $this->targets));
    }

    /** ΔE00 to what was aimed at, weighted by area. */
    public function meanDeltaE00(): float
    {
        $sum = $weight = 0.0;
        foreach ($this->targets as $target) {
            $sum += $target->weight * $target->recipe->comparison->deltaE00;
            $weight += $target->weight;
        }

        return $weight > 0 ? $sum / $weight : 0.0;
    }

    /** How far off the picture is likely to be on paper, ΔE00, weighted by area: what is missed, what a hand adds, what the model may err by. */
    public function errorOnPaper(): float
    {
        return $this->overZones(static fn (ShadeOutcome $o): float => $o->errorOnPaper());
    }

    /** The same of its colours alone. */
    public function colourError(): float
    {
        return $this->overZones(static fn (ShadeOutcome $o): float => $o->colourError());
    }

    /** The same if the model were right. */
    public function errorInHand(): float
    {
        return $this->overZones(static fn (ShadeOutcome $o): float => $o->errorInHand());
    }

    /** Passes over all zones together. */
    public function passes(): int
    {
        return array_sum(array_map(static fn (SequenceAnswer $a): int => count($a->sequence->passes), $this->zones));
    }

    /** @param  \Closure(ShadeOutcome): float  $of */
    private function overZones(\Closure $of): float
    {
        $sum = $weight = 0.0;
        foreach ($this->zones as $zone) {
            foreach ($zone->outcomes as $outcome) {
                $sum += $outcome->shade->weight * $of($outcome);
                $weight += $outcome->shade->weight;
            }
        }

        return $weight > 0 ? $sum / $weight : 0.0;
    }

    /** @return array<string, PlannedTarget> a zone's targets by role */
    public function targetsOf(int $zone): array
    {
        $targets = [];
        foreach ($this->targets as $target) {
            if ($target->zone === $zone) {
                $targets[$target->role->value] = $target;
            }
        }

        return $targets;
    }

    /**
     * What to lay when: every zone's first step, the lightest results first, then every second one.
     *
     * @return list<LayingStep>
     */
    public function order(): array
    {
        return LayingOrder::of($this->targets);
    }
}
