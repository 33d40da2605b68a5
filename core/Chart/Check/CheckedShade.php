<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** One shade of a zone as it is planned. */
final readonly class CheckedShade
{
    /**
     * @param  Lab  $seen  in the photo
     * @param  Lab  $fitted  what the plan aims at
     * @param  list<int>  $laidAfter  how many steps of its stack are laid after so many passes of the zone, from none
     */
    public function __construct(
        public ShadeName $of,
        public string $name,
        public Lab $seen,
        public Lab $fitted,
        public Stack $stack,
        private array $laidAfter,
    ) {
    }

    /**
     * @param  list<Shade>  $shades
     * @return list<self> the value run of a zone: touches are too small to be read
     */
    public static function run(array $shades, Sequence $sequence): array
    {
        $run = [];
        foreach ($shades as $i => $shade) {
            if (! $shade->touch) {
                $laid = [0];
                foreach ($sequence->passes as $pass) {
                    $laid[] = $laid[count($laid) - 1] + ($pass->in($i) === null ? 0 : 1);
                }
                $run[] = new self(
                    ShadeName::from($shade->name),
                    $shade->called(),
                    $shade->seen,
                    $shade->target,
                    $sequence->stackIn($i),
                    $laid,
                );
            }
        }

        return $run;
    }

    /** What of the stack is laid after so many passes of the zone. */
    public function done(int $passes): Stack
    {
        return new Stack(array_slice($this->stack->steps, 0, $this->laid($passes)));
    }

    /** What is still to come. */
    public function toCome(int $passes): Stack
    {
        return new Stack(array_slice($this->stack->steps, $this->laid($passes)));
    }

    private function laid(int $passes): int
    {
        return $this->laidAfter[max(0, min(count($this->laidAfter) - 1, $passes))] ?? 0;
    }
}
