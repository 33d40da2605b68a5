<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Recipe\Method\Mode;

/** A sequence for an area, what it is good at, and what comes of it in every shade. */
final readonly class SequenceAnswer
{
    /** @param  list<Outcome>  $outcomes  by shade, in the order that was asked */
    public function __construct(public RecipeLabel $label, public Sequence $sequence, public array $outcomes)
    {
    }

    /** @param  list<Shade>  $shades */
    public static function of(RecipeLabel $label, Sequence $sequence, array $shades, Paper $paper, Mode $mode): self
    {
        return new self(
            $label,
            $sequence,
            array_map(
                static fn (Shade $shade, int $i): Outcome => Outcome::of($shade, $sequence->stackIn($i), $paper, $mode),
                $shades,
                array_keys($shades),
            ),
        );
    }

    /** @return list<Shade> */
    public function shades(): array
    {
        return array_map(static fn (Outcome $o): Shade => $o->shade, $this->outcomes);
    }

    /** The place of a shade by its name; null when there is none. */
    public function shadeNamed(string $name): ?int
    {
        foreach ($this->outcomes as $i => $outcome) {
            if ($outcome->shade->name === $name) {
                return $i;
            }
        }

        return null;
    }

    public function words(): SequenceWords
    {
        return SequenceWords::of($this->sequence, $this->shades());
    }

    /** How far off the area is likely to be on paper, ΔE00, by the weight of its shades. */
    public function errorOnPaper(): float
    {
        return $this->mean(static fn (Outcome $o): float => $o->errorOnPaper());
    }

    /** In the steadiest of hands: error on paper is no less. */
    public function leastError(): float
    {
        return $this->mean(static fn (Outcome $o): float => $o->leastError());
    }

    /** The same of its colours alone, as from so far that nothing shows through. */
    public function colourError(): float
    {
        return $this->mean(static fn (Outcome $o): float => $o->colourError());
    }

    /** L*, by the weight of its shades. */
    public function grain(): float
    {
        return $this->mean(static fn (Outcome $o): float => $o->evenness->grain);
    }

    public function errorInHand(): float
    {
        return $this->mean(static fn (Outcome $o): float => $o->errorInHand());
    }

    public function missed(): float
    {
        return $this->mean(static fn (Outcome $o): float => $o->missed);
    }

    /** @param  \Closure(Outcome): float  $of */
    private function mean(\Closure $of): float
    {
        $sum = $weight = 0.0;
        foreach ($this->outcomes as $outcome) {
            $sum += $outcome->shade->weight * $of($outcome);
            $weight += $outcome->shade->weight;
        }

        return $weight > 0 ? $sum / $weight : 0.0;
    }
}
