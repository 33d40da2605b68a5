<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** How an area is worked as a whole, from the paper up: one list of passes, each graded over its shades. */
final readonly class Sequence
{
    /** @param  list<GradedPass>  $passes */
    public function __construct(public array $passes)
    {
    }

    /** Over a single shade, each pass at the nearest of the five pressures. */
    public static function ofStack(Stack $stack): self
    {
        return new self(
            array_map(
                static fn (Pass|Finish $step): GradedPass => $step instanceof Finish
                    ? new GradedPass($step, [Pressure::Medium])
                    : new GradedPass($step->pencil, [Pressure::nearest($step->pressure)]),
                $stack->steps,
            ),
        );
    }

    /** What lies in one shade after all passes. */
    public function stackIn(int $shade): Stack
    {
        return new Stack(
            array_values(array_filter(array_map(static fn (GradedPass $p): Pass|Finish|null => $p->in($shade), $this->passes))),
        );
    }

    /** @return list<Pencil> each once, in the order in which they come in */
    public function pencils(): array
    {
        $pencils = [];
        foreach ($this->passes as $pass) {
            if ($pass->tool instanceof Pencil) {
                $pencils[$pass->tool->id()] = $pass->tool;
            }
        }

        return array_values($pencils);
    }
}
