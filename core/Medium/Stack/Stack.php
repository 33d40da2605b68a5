<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Stack;

use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** Passes and finishes in the order they are done, from the paper up. */
final readonly class Stack
{
    /** @param  list<Pass|Finish>  $steps */
    public function __construct(public array $steps)
    {
    }

    /** Does the whole stack on fresh paper. */
    public function on(Paper $paper): Sheet
    {
        $laid = LaidStack::of($this, $paper);

        return $laid->after($laid->steps());
    }

    public static function apply(Pass|Finish $step, Sheet $sheet, float $laydown = 1.0): void
    {
        if ($step instanceof Finish) {
            $step->applyTo($sheet);
        } elseif ($step->pencil->isBlender()) {
            Blender::it()->applyTo($sheet);
        } else {
            LayPass::onto($sheet, $step->pencil, $step->pressure, $laydown);
        }
    }

    /** @return list<Pass> */
    public function passes(): array
    {
        return array_values(array_filter($this->steps, static fn (Pass|Finish $s): bool => $s instanceof Pass));
    }

    /** The pencils used, each once, in the order they are first picked up.
     *
     * @return list<Pencil>
     */
    public function pencils(): array
    {
        $pencils = [];
        foreach ($this->passes() as $pass) {
            $pencils[$pass->pencil->id()] = $pass->pencil;
        }

        return array_values($pencils);
    }

    /** As written on a card and on the command line: "101@0.35,114@0.55,solvent". */
    public function text(): string
    {
        return implode(
            ',',
            array_map(
                static fn (Pass|Finish $s): string => $s instanceof Finish
                    ? $s->value
                    : sprintf('%s@%.2f', $s->pencil->id(), $s->pressure),
                $this->steps,
            ),
        );
    }

    /** As said at the desk: "101 light, then 114 medium, then solvent". */
    public function words(): string
    {
        return implode(
            ', then ',
            array_map(
                static fn (Pass|Finish $s): string => $s instanceof Finish
                    ? $s->value
                    : sprintf('%s %s', $s->pencil->record->number, Pressure::nearest($s->pressure)->value),
                $this->steps,
            ),
        );
    }
}
