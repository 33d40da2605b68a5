<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Palette\PalettePencil;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Warnings\Warning;

/** A whole picture: its zones, each with its recipe, the pencils they take, and what to look out for between them. */
final readonly class PlannedPicture
{
    /**
     * @param  array<int, Recipe>  $zones  by number
     * @param  array<int, float>  $curve  mean ΔE00 by the number of pencils, by forecast
     * @param  list<Warning>  $warnings  between zones, and about whole ones
     * @param  list<Purchase>  $purchases  known pencils not available that would help most, each alone, and by how much mean ΔE00
     */
    public function __construct(
        public Paper $paper,
        public ZoneMap $map,
        public ToneFit $tone,
        public array $zones,
        public array $curve,
        public array $warnings,
        public array $purchases,
    ) {
    }

    /** @return array<int, SequenceAnswer> by zone */
    public function answers(): array
    {
        return array_map(static fn (Recipe $r): SequenceAnswer => $r->answer, $this->zones);
    }

    /** @return list<PalettePencil> the pencils that the recipes take, lightest first */
    public function palette(): array
    {
        return PlannedPalette::of(array_map(static fn (SequenceAnswer $a): Sequence => $a->sequence, $this->answers()));
    }

    /** ΔE00 to what was aimed at, weighted by area. */
    public function meanDeltaE00(): float
    {
        return $this->overZones(static fn (Outcome $o): float => $o->comparison()->deltaE00);
    }

    /**
     * How far off the picture is likely to be on paper, ΔE00, weighted by area: what is missed, what a hand adds, what the model may err
     * by.
     */
    public function errorOnPaper(): float
    {
        return $this->overZones(static fn (Outcome $o): float => $o->errorOnPaper());
    }

    /** The same of its colours alone. */
    public function colourError(): float
    {
        return $this->overZones(static fn (Outcome $o): float => $o->colourError());
    }

    /** The same if the model were right. */
    public function errorInHand(): float
    {
        return $this->overZones(static fn (Outcome $o): float => $o->errorInHand());
    }

    /** Passes over all zones together. */
    public function passes(): int
    {
        return array_sum(array_map(static fn (SequenceAnswer $a): int => count($a->sequence->passes), $this->answers()));
    }

    /** @param  \Closure(Outcome): float  $of */
    private function overZones(\Closure $of): float
    {
        $sum = $weight = 0.0;
        foreach ($this->answers() as $answer) {
            foreach ($answer->outcomes as $outcome) {
                $sum += $outcome->shade->weight * $of($outcome);
                $weight += $outcome->shade->weight;
            }
        }

        return $weight > 0 ? $sum / $weight : 0.0;
    }
}
