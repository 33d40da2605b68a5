<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Candidate;
use KnottyPrism\Core\Recipe\Search\Finishing;
use KnottyPrism\Core\Recipe\Search\Forecast;
use KnottyPrism\Core\Recipe\Search\LaidSheets;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Objective;
use KnottyPrism\Core\Recipe\Search\Pool;
use KnottyPrism\Core\Recipe\Search\Refinement;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Search\StackSearch;

/** One colour's search: lays the stacks that by forecast come near, improves the best of them, and finishes them where the school says so. */
final readonly class RecipeSearch
{
    /** Changes laid in a round of making a stack steadier: what is nearest is not what is steadiest. */
    private const STEADY_TRIED = 24;

    /** Price of being farther than a steadier recipe may be, per ΔE00, while steadiness is improved. */
    private const PER_FAR = 10.0;

    public function __construct(public Moves $moves, private Atlas $atlas, private LaidSheets $sheets, public Rules $rules, private Objective $objective, public Lab $target, private Mode $mode, private int $maxPasses)
    {
    }

    /**
     * @param  list<int>  $firsts  the passes a stack may begin with
     * @param  int  $refined  stacks improved by small changes, each of another set of pencils
     * @param  int  $steadied  the same for steadiness
     * @param  float  $effort  share of the stacks laid
     * @return Pool what was laid, after the finish where there is one
     */
    public function run(array $firsts, int $refined, int $steadied = 0, float $effort = 1.0): Pool
    {
        if ($firsts === []) {
            return new Pool($this->objective);
        }
        $finish = $this->rules->finish;
        if ($finish === null) {
            return $this->towards($this->target, $firsts, $refined, $steadied, $effort)[0];
        }

        return (new Finishing($finish, $this->target, $this->mode, $this->objective))->run(fn (Lab $aim): array => $this->towards($aim, $firsts, 0, 0, $effort));
    }

    /**
     * @param  list<int>  $firsts
     * @return array{Pool, Refinement}
     */
    private function towards(Lab $aim, array $firsts, int $refined, int $steadied, float $effort): array
    {
        $forecast = new Forecast($this->moves, $this->atlas, $aim, $this->rules, $this->mode);
        $pool = new Pool($this->objective);
        $search = new StackSearch($this->moves, $forecast, $pool, $this->rules, $this->sheets, $effort);
        $search->run($firsts, $this->maxPasses);
        $refinement = new Refinement($search, $forecast, $pool, $this->rules, $firsts, $this->maxPasses);
        foreach (array_slice($pool->cheapestPerPencils(), 0, $refined) as $candidate) {
            $refinement->improve($candidate, $this->objective->price(...));
        }
        if ($steadied > 0 && ! $pool->isEmpty()) {
            $nearest = $pool->cheapest()[0];
            $near = $nearest->deltaE00 + Answers::STEADIER_MAY_COST[0];
            foreach ([$nearest, ...array_slice($pool->steadiestPerPencils($near), 0, $steadied)] as $candidate) {
                $refinement->improve($candidate, static fn (Candidate $c): float => sqrt($c->sway) + self::PER_FAR * max(0.0, $c->deltaE00 - $near), self::STEADY_TRIED, true);
            }
        }

        return [$pool, $refinement];
    }
}
