<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper;
use KnottyPrism\Core\Medium\Pass;
use KnottyPrism\Core\Medium\Pencil;
use KnottyPrism\Core\Medium\Stack;
use KnottyPrism\Core\Medium\Steadiness;
use KnottyPrism\Core\Medium\Swatch;

/** Finds up to four clearly different recipes for one colour from one drawer on one paper. */
final class RecipePlanner
{
    /** Raised whenever the same question may get another answer, so that nothing stale is shown. */
    public const VERSION = 2;

    public const MOST_PASSES = 5;

    /** Stacks improved by small changes, each of another set of pencils. */
    private const REFINED = 6;

    private const REFINED_BENEATH = 2;

    private const REFINED_STEADY = 4;

    /** Price of being farther than a steadier recipe may be, per ΔE00, while steadiness is improved. */
    private const PER_FAR = 10.0;

    /** How much worse than the closest a recipe with fewer pencils may be, ΔE00. */
    private const FEWER_MAY_COST = 1.5;

    /** A recipe this close is close enough to save a pencil, whatever the closest reaches. */
    private const CLOSE_ENOUGH = 2.5;

    /** What a steadier recipe may cost, ΔE00: first a little, then more if nothing steadier was found. */
    private const STEADIER_MAY_COST = [1.2, 3.0, 6.0, 12.0];

    /** Stacks whose steadiness is worked out, of those that by estimate are the steadiest. */
    private const STEADIED = 14;

    private const STEADIED_EXACTLY_FROM = 1;

    /** Targets weaker than this (OKLCh) have no complement of their own; the strongest pencil's is taken. */
    private const HUELESS = 0.02;

    /** Complements tried beneath, and up to which pressure. */
    private const COMPLEMENTS = 3;

    private const BENEATH_PRESSURE = 0.55;

    private readonly Moves $moves;

    private ?Atlas $atlas = null;

    private ?Shortlist $shortlist = null;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(Drawer $drawer, private readonly Paper $paper, private readonly School $school, private readonly ?AtlasShelf $shelf = null)
    {
        $this->moves = new Moves($drawer, $paper, $school);
        OutOfRange::check('the number of pencils that may be used', count($this->moves->pencils), 1, 1000);
    }

    /** @return list<Recipe> the closest first */
    public function recipesFor(Lab $target, int $maxPasses = self::MOST_PASSES, int $count = 4): array
    {
        OutOfRange::check('the number of passes', $maxPasses, 1, 8);
        OutOfRange::check('the number of recipes', $count, 1, 4);
        [$moves, $atlas] = $this->groundFor($target);
        $forecast = new Forecast($moves, $atlas, $target);
        $pool = new Pool;
        $answers = [];
        if ($this->school->beneath !== 'complement') {
            $refinement = $this->search($moves, $forecast, $pool, array_keys($moves->passes), $maxPasses, self::REFINED, self::REFINED_STEADY);
            $answers = $this->distinctAnswers($moves, $pool, $refinement, $count);
        }
        if ($this->school->beneath !== 'nothing' && $maxPasses > 1 && count($answers) < $count) {
            $main = $answers === [] ? $this->nearestPencil($target) : $this->strongestPencil($moves, $answers[RecipeLabel::Closest->value]);
            $beneath = $this->withComplementBeneath($moves, $forecast, $main, $maxPasses, $answers);
            if ($beneath !== null) {
                $answers[RecipeLabel::ComplementBeneath->value] = $beneath;
            }
        }

        if (count($answers) < $count && $answers !== [] && ($other = $this->otherPencils($pool, $answers)) !== null) {
            $answers[RecipeLabel::OtherPencils->value] = $other;
        }

        $recipes = [];
        foreach ($answers as $label => $candidate) {
            $recipes[] = Recipe::of(RecipeLabel::from($label), $target, new Stack($moves->passesOf($candidate->moves)), $this->paper);
        }

        return $recipes;
    }

    /** The one pencil in one pass that comes nearest, for comparison. */
    public function nearestSingle(Lab $target): Recipe
    {
        $apart = array_map(fn (Pass $pass): float => Look::at((new Stack([$pass]))->on($this->paper))->lab->deltaE00($target), $this->moves->passes);
        asort($apart);

        return Recipe::of(RecipeLabel::Closest, $target, new Stack([$this->moves->passes[(int) array_key_first($apart)]]), $this->paper);
    }

    /** @return array{Moves, Atlas} what is searched: the whole of a small drawer, a target's shortlist of a large one */
    private function groundFor(Lab $target): array
    {
        if (count($this->moves->pencils) <= Shortlist::LENGTH) {
            return [$this->moves, $this->atlas ??= $this->atlasOfDrawer()];
        }
        $this->shortlist ??= new Shortlist($this->moves);
        $complements = array_slice($this->complementsOf($this->localColour($target, $this->nearestPencil($target)), $this->moves->pencils), 0, self::COMPLEMENTS);
        $moves = new Moves($this->shortlist->for($target, $complements), $this->paper, $this->school);

        return [$moves, Atlas::of($moves)];
    }

    private function atlasOfDrawer(): Atlas
    {
        $key = sprintf('atlas/%d/%s', self::VERSION, $this->moves->fingerprint());
        $kept = $this->shelf?->fetch($key);
        $atlas = $kept === null ? null : Atlas::unpack($kept, $this->moves);
        if ($atlas === null) {
            $atlas = Atlas::of($this->moves);
            $this->shelf?->keep($key, $atlas->pack());
        }

        return $atlas;
    }

    /** @param  list<int>  $firsts */
    private function search(Moves $moves, Forecast $forecast, Pool $pool, array $firsts, int $maxPasses, int $refined, int $steadied): Refinement
    {
        $search = new StackSearch($moves, $forecast, $pool);
        $search->run($firsts, $maxPasses);
        $refinement = new Refinement($search, $forecast, $pool, $firsts);
        foreach (array_slice($pool->cheapestPerPencils(), 0, $refined) as $candidate) {
            $refinement->improve($candidate, Objective::price(...));
        }
        $near = $pool->cheapest()[0]->deltaE00 + self::STEADIER_MAY_COST[0];
        foreach (array_slice($pool->steadiestPerPencils($near), 0, $steadied) as $candidate) {
            $refinement->improve($candidate, static fn (Candidate $c): float => sqrt($c->sway) + self::PER_FAR * max(0.0, $c->deltaE00 - $near));
        }

        return $refinement;
    }

    /** @return array<string, Candidate> by label */
    private function distinctAnswers(Moves $moves, Pool $pool, Refinement $refinement, int $count): array
    {
        $perPencils = $pool->cheapestPerPencils();
        $closest = $perPencils[0];
        $others = array_slice($perPencils, 1);
        $answers = [RecipeLabel::Closest->value => $closest];

        $enough = max($closest->deltaE00 + self::FEWER_MAY_COST, self::CLOSE_ENOUGH);
        $near = array_filter($others, static fn (Candidate $c): bool => $c->deltaE00 <= $enough);
        usort($near, static fn (Candidate $a, Candidate $b): int => [$a->pencilCount(), Objective::price($a)] <=> [$b->pencilCount(), Objective::price($b)]);
        $fewest = ($near === [] ? $others : $near)[0] ?? null;
        if ($fewest !== null && $count > 1) {
            $answers[RecipeLabel::FewestPencils->value] = $fewest;
        }
        if ($count < 3) {
            return $answers;
        }
        $taken = array_values(array_map(static fn (Candidate $c): string => $c->pencilKey(), $answers));
        $steadiest = $this->steadier($moves, $pool, $refinement, $closest, $taken);
        if ($steadiest === null && ($asClose = $this->asClose($pool, $closest, $taken)) !== null) {
            $answers[RecipeLabel::Closest->value] = $asClose;
            $steadiest = $closest;
        }
        if ($steadiest !== null) {
            $answers[RecipeLabel::Steadiest->value] = $steadiest;
        }

        return $answers;
    }

    /**
     * The steadiest of the near stacks that use other pencils, if it is steadier than the closest.
     *
     * @param  list<string>  $taken  pencil keys of the answers so far
     */
    private function steadier(Moves $moves, Pool $pool, Refinement $refinement, Candidate $closest, array $taken): ?Candidate
    {
        $swing = fn (Candidate $c): float => $this->swing($moves, $c);
        $least = $swing($closest);
        foreach (self::STEADIER_MAY_COST as $tier => $cost) {
            $near = array_values(array_filter($pool->steadiestPerPencils($closest->deltaE00 + $cost), static fn (Candidate $c): bool => ! in_array($c->pencilKey(), $taken, true)));
            $near = array_slice($near, 0, self::STEADIED);
            $swings = array_map($swing, $near);
            if ($swings !== [] && min($swings) < $least) {
                return $near[(int) array_search(min($swings), $swings, true)];
            }
            if ($tier === self::STEADIED_EXACTLY_FROM && $swings !== []) {
                // Estimates did not help: let the steadiest be improved by what its steadiness really is, which is slow but rare.
                $best = $refinement->improve($near[(int) array_search(min($swings), $swings, true)], fn (Candidate $c): float => $swing($c) + self::PER_FAR * max(0.0, $c->deltaE00 - $closest->deltaE00 - $cost));
                if ($swing($best) < $least && ! in_array($best->pencilKey(), $taken, true)) {
                    return $best;
                }
            }
        }

        return null;
    }

    private function swing(Moves $moves, Candidate $candidate): float
    {
        return Steadiness::of(new Stack($moves->passesOf($candidate->moves)), $this->paper);
    }

    /**
     * A stack of other pencils that is as close as the one chosen for its price, which is the steadiest of all near ones itself.
     *
     * @param  list<string>  $taken
     */
    private function asClose(Pool $pool, Candidate $closest, array $taken): ?Candidate
    {
        foreach ($pool->cheapest() as $candidate) {
            if ($candidate->deltaE00 <= $closest->deltaE00 && ! in_array($candidate->pencilKey(), $taken, true)) {
                return $candidate;
            }
        }

        return null;
    }

    /** @param  array<string, Candidate>  $taken */
    private function withComplementBeneath(Moves $moves, Forecast $forecast, Pencil $main, int $maxPasses, array $taken): ?Candidate
    {
        $complements = array_slice($this->complementsOf($this->localColour($forecast->target, $main), $moves->pencils), 0, self::COMPLEMENTS);
        $firsts = array_values(array_filter($moves->with($complements), static fn (int $m): bool => $moves->passes[$m]->pressure <= self::BENEATH_PRESSURE));
        if ($firsts === []) {
            return null;
        }
        $pool = new Pool;
        $this->search($moves, $forecast, $pool, $firsts, $maxPasses, self::REFINED_BENEATH, 0);
        $used = array_map(static fn (Candidate $c): string => $c->pencilKey(), $taken);
        foreach ($pool->cheapest() as $candidate) {
            if ($candidate->pencilCount() > 1 && ! in_array($candidate->pencilKey(), $used, true)) {
                return $candidate;
            }
        }

        return null;
    }

    /**
     * A further answer where one of the others has nothing to say: what shares least with the closest, and of that the cheapest.
     *
     * @param  non-empty-array<string, Candidate>  $taken
     */
    private function otherPencils(Pool $pool, array $taken): ?Candidate
    {
        $used = array_map(static fn (Candidate $c): string => $c->pencilKey(), $taken);
        $known = explode('+', $used[array_key_first($used)]);
        $best = null;
        $fewest = PHP_INT_MAX;
        foreach ($pool->cheapestPerPencils() as $candidate) {
            $shared = count(array_intersect($known, explode('+', $candidate->pencilKey())));
            if ($shared < $fewest && ! in_array($candidate->pencilKey(), $used, true) && $candidate->deltaE00 <= Caution::OUT_OF_REACH) {
                [$best, $fewest] = [$candidate, $shared];
            }
        }

        return $best;
    }

    /** The colour whose complement is wanted: the target's, or for a grey target the pencil's. */
    private function localColour(Lab $target, Pencil $main): Oklch
    {
        $local = Oklch::ofLab($target);

        return $local->chroma >= self::HUELESS ? $local : Oklch::ofLab(Swatch::Heavy->colourOf($main));
    }

    /**
     * @param  list<Pencil>  $among
     * @return list<Pencil> the strongest complements first
     */
    private function complementsOf(Oklch $local, array $among): array
    {
        $apart = [];
        $pencils = [];
        foreach ($among as $pencil) {
            $colour = Oklch::ofLab(Swatch::Heavy->colourOf($pencil));
            if (School::complements($local, $colour)) {
                $pencils[] = $pencil;
                $apart[] = 180 - abs(abs(fmod($local->hueDegrees - $colour->hueDegrees + 540, 360) - 180));
            }
        }
        array_multisort($apart, SORT_ASC, SORT_NUMERIC, $pencils);

        return $pencils;
    }

    /** The pencil of a stack with the strongest colour. */
    private function strongestPencil(Moves $moves, Candidate $candidate): Pencil
    {
        $pencils = (new Stack($moves->passesOf($candidate->moves)))->pencils();
        usort($pencils, static fn (Pencil $a, Pencil $b): int => Swatch::Heavy->colourOf($b)->chroma() <=> Swatch::Heavy->colourOf($a)->chroma());

        return $pencils[0];
    }

    private function nearestPencil(Lab $target): Pencil
    {
        return $this->nearestSingle($target)->stack->pencils()[0];
    }
}
