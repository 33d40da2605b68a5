<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Stack;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;

/** A stack as it was laid on a paper, step by step: the one way from passes to colours. */
final readonly class LaidStack
{
    /** @param  non-empty-list<Sheet>  $sheets  the bare paper, then after every step */
    private function __construct(public Stack $stack, private array $sheets)
    {
    }

    public static function of(Stack $stack, Paper $paper): self
    {
        $sheet = new Sheet($paper);
        $sheets = [clone $sheet];
        foreach ($stack->steps as $step) {
            Stack::apply($step, $sheet);
            $sheets[] = clone $sheet;
        }

        return new self($stack, $sheets);
    }

    /** How many steps it has. */
    public function steps(): int
    {
        return count($this->sheets) - 1;
    }

    /** @param  int  $step  after which one: 0 the bare paper, beyond the last the end; not to be changed */
    public function after(int $step): Sheet
    {
        return $this->sheets[max(0, min($step, $this->steps()))];
    }

    public function lab(int $step): Lab
    {
        return Lab::ofReflectance($this->after($step)->meanReflectance());
    }

    /** @return list<LaidStep> how it looks after every step */
    public function looks(): array
    {
        return array_map(
            fn (Pass|Finish $step, int $at): LaidStep => LaidStep::of($step, $this->after($at + 1)),
            $this->stack->steps,
            array_keys($this->stack->steps),
        );
    }

    /** Root-mean-square ΔE00 of the strata from the whole: 0 for a flat film, more where flecks play. */
    public function liveliness(): float
    {
        $whole = $this->lab($this->steps());
        $sum = 0.0;
        foreach ($this->strata($this->steps()) as $stratum) {
            $sum += $stratum->deltaE00($whole) ** 2;
        }

        return sqrt($sum / Tooth::STRATA);
    }

    /** @return list<Lab> of each stratum after a step, peaks first */
    public function strata(int $step): array
    {
        return array_map(Lab::ofReflectance(...), $this->after($step)->strata());
    }
}
