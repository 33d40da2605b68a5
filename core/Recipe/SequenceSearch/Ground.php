<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/** All that the search for one value run stands on: its shades, the pencils, the rules, the prices, and what was laid so far. */
final readonly class Ground
{
    /** @var list<float> shares of the shades in the area */
    public array $weights;

    /**
     * @param  list<ShadeAim>  $aims  of the value run, lightest first
     * @param  float  $whole  weight of the area with its touches
     */
    public function __construct(
        public LaidBook $book,
        public Outlook $outlook,
        public Craft $craft,
        public Prices $prices,
        public array $aims,
        public int $mostPasses,
        float $whole,
    ) {
        $this->weights = array_map(static fn (ShadeAim $a): float => $a->shade->weight / $whole, $aims);
    }

    /** The same where grain counts otherwise. */
    public function minding(float $grainCounts): self
    {
        $whole = $this->aims === [] ? 1.0 : $this->aims[0]->shade->weight / $this->weights[0];

        return new self(
            $this->book,
            $this->outlook,
            $this->craft,
            $this->prices,
            array_map(static fn (ShadeAim $a): ShadeAim => $a->minding($grainCounts), $this->aims),
            $this->mostPasses,
            $whole,
        );
    }

    /**
     * What is worth going on from, of errors or costs: half for what it is, half for what it may become. Either alone finds dearer runs.
     */
    public static function promise(float $error, float $hope): float
    {
        return 0.5 * ($error + $hope);
    }

    /** A run laid from the paper up. */
    public function node(Run $run): Node
    {
        return $this->judged($run, $this->laid($run));
    }

    /**
     * What a run costs; more than a limit is not worked out to the end. Most that is tried is too dear by its price and its doubt already,
     * before anything is laid, and most of the rest before it is known what a hand sways.
     */
    public function cost(Run $run, float $limit): float
    {
        $cost = $this->prices->ofRun($run);
        $least = $moves = $laid = [];
        foreach ($this->weights as $shade => $weight) {
            $moves[] = $run->movesIn($shade);
            $least[] = $weight * $this->book->doubtOf($moves[$shade]);
            $cost += $least[$shade];
        }
        foreach ($this->aims as $shade => $aim) {
            if ($cost >= $limit) {
                return $cost;
            }
            $laid[] = $this->book->lay($moves[$shade]);
            $now = $this->weights[$shade] * $aim->leastError($laid[$shade]);
            $cost += $this->weights[$shade] * $this->prices->ofTooth($laid[$shade]->toothUsed) + $now - $least[$shade];
            $least[$shade] = $now;
        }
        foreach ($this->aims as $shade => $aim) {
            if ($cost >= $limit) {
                return $cost;
            }
            $cost += $this->weights[$shade] * $aim->judge($laid[$shade])->error() - $least[$shade];
        }

        return $cost;
    }

    /** @return list<Laid> by shade */
    private function laid(Run $run): array
    {
        $laid = array_fill(0, count($this->aims), $this->book->bare);
        foreach ($run->pencils as $at => $pencil) {
            $laid = $this->onto($laid, $pencil, $run->pressures[$at]);
        }

        return $laid;
    }

    /**
     * One more pass on what lies in every shade.
     *
     * @param  list<Laid>  $laid
     * @param  list<int>  $pressures
     * @return list<Laid>
     */
    public function onto(array $laid, int $pencil, array $pressures): array
    {
        foreach ($pressures as $shade => $pressure) {
            if ($pressure > 0) {
                $laid[$shade] = $this->book->onto($laid[$shade], $pencil * Moves::PRESSURES + $pressure - 1);
            }
        }

        return array_values($laid);
    }

    /** @param  list<Laid>  $laid  by shade */
    public function judged(Run $run, array $laid): Node
    {
        $left = $this->mostPasses - $run->length();
        $price = $this->prices->ofRun($run);
        $cost = $hope = $price;
        foreach ($this->aims as $shade => $aim) {
            $tooth = $this->prices->ofTooth($laid[$shade]->toothUsed);
            $error = $aim->judge($laid[$shade])->error();
            $cost += $this->weights[$shade] * ($error + $tooth);
            $hope += $this->weights[$shade] * ($aim->hope($laid[$shade], $left) + $tooth);
        }
        $last = $run->length() - 1;
        $closed = $left < 1 || ($last >= 0 && $this->craft->isLast($run->pressures[$last]));

        return new Node($run, $laid, $cost, $hope, $closed);
    }
}
