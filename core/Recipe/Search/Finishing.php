<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Recipe\School\Mode;

/**
 * Searches stacks that end with a finish. Solvent or a blender moves the colour of everything beneath, so the passes are aimed
 * beside the target by as much as the finish last moved the best stack, and what is found is judged after the finish.
 */
final readonly class Finishing
{
    /** How often the aim is corrected. */
    private const AIMS = 2;

    /** Stacks finished at each aim, of the cheapest. */
    private const FINISHED = 40;

    /** Stacks improved at each aim, judged after the finish. */
    private const REFINED = 3;

    public function __construct(private Finish $finish, private Lab $target, private Mode $mode, private Objective $objective = new Objective)
    {
    }

    /**
     * @param  \Closure(Lab): array{Pool, Refinement}  $search  finds stacks for a colour, without the finish
     * @return Pool finished stacks, their ΔE00 to the target
     */
    public function run(\Closure $search): Pool
    {
        $finished = new Pool($this->objective);
        $aim = $this->target;
        for ($n = 0; $n < self::AIMS; $n++) {
            $best = null;
            [$pool, $refinement] = $search($aim);
            $done = array_map($this->finished(...), array_slice($pool->cheapestPerPencils(), 0, self::FINISHED));
            usort($done, static fn (Candidate $a, Candidate $b): int => $a->deltaE00 <=> $b->deltaE00);
            array_map($finished->offer(...), $done);
            $best = $done[0] ?? null;
            if ($best === null) {
                break;
            }
            foreach (array_slice($done, 0, self::REFINED) as $near) {
                $refinement->improve($near->before ?? $near, function (Candidate $c) use ($finished): float {
                    $done = $this->finished($c);
                    $finished->offer($done);

                    return $finished->objective->price($done);
                });
            }
            $got = $best->look->lab;
            $aim = new Lab(max(0.0, min(100.0, $aim->l + $this->target->l - $got->l)), $aim->a + $this->target->a - $got->a, $aim->b + $this->target->b - $got->b);
        }

        return $finished;
    }

    private function finished(Candidate $candidate): Candidate
    {
        $sheet = clone $candidate->sheet;
        $this->finish->applyTo($sheet);
        $look = Look::at($sheet);

        return new Candidate($candidate->moves, $sheet, $look, $this->mode->apart($look->lab, $this->target), $candidate->sway, $candidate);
    }
}
