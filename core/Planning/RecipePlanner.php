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
use KnottyPrism\Core\Medium\Sheet;
use KnottyPrism\Core\Medium\Stack;
use KnottyPrism\Core\Medium\Steadiness;
use KnottyPrism\Core\Medium\Swatch;

/** Finds up to four clearly different recipes for one colour from one drawer on one paper. */
final class RecipePlanner
{
    public const MOST_PASSES = 5;

    private const WIDTH = 32;

    private const COMPLEMENT_WIDTH = 12;

    /** Candidates improved by small changes, each of another set of pencils. */
    private const REFINED = 8;

    /** How much worse than the closest a recipe with fewer pencils or a steadier one may be, ΔE00. */
    private const FEWER_MAY_COST = 1.5;

    /** A recipe this close is close enough to save a pencil, whatever the closest reaches. */
    private const CLOSE_ENOUGH = 2.5;

    /** First a small cost, then larger ones if nothing steadier was found. */
    private const STEADIER_MAY_COST = [1.2, 3.0, 5.0];

    /** Targets weaker than this (OKLCh) have no complement of their own; the strongest pencil's is taken. */
    private const HUELESS = 0.02;

    /** Candidates whose steadiness is worked out. */
    private const STEADIED = 36;

    /** Complements tried beneath, and how lightly. */
    private const COMPLEMENTS = 3;

    private const BENEATH_PRESSURES = [0.20, 0.35, 0.55];

    private readonly Moves $moves;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(private readonly Drawer $drawer, private readonly Paper $paper, private readonly School $school)
    {
        $this->moves = new Moves($drawer, $paper, $school);
        OutOfRange::check('the number of pencils that may be used', count($this->moves->passes) / 5, 1, 1000);
    }

    /** @return list<Recipe> the closest first */
    public function recipesFor(Lab $target, int $maxPasses = self::MOST_PASSES, int $count = 4): array
    {
        OutOfRange::check('the number of passes', $maxPasses, 1, 8);
        OutOfRange::check('the number of recipes', $count, 1, 4);
        $bare = Candidate::bare(new Sheet($this->paper), $target);
        $pool = new Pool;
        $search = new BeamSearch($this->moves, $target, $pool);
        $main = null;
        if ($this->school->beneath !== 'complement') {
            $search->run([$bare], $maxPasses, self::WIDTH);
            $this->refine($search, $pool, $bare);
            $main = $this->strongestPencil($pool->cheapest()[0]);
        }
        $answers = $this->distinctAnswers($pool);
        if ($this->school->beneath !== 'nothing' && $maxPasses > 1) {
            $main ??= $this->nearestPencil($target);
            $beneath = $this->withComplementBeneath($bare, $target, $main, $maxPasses, $answers);
            if ($beneath !== null) {
                $answers[RecipeLabel::ComplementBeneath->value] = $beneath;
            }
        }

        $recipes = [];
        foreach (array_slice($answers, 0, $count) as $label => $candidate) {
            $recipes[] = Recipe::of(RecipeLabel::from($label), $target, new Stack($candidate->passes), $this->paper);
        }

        return $recipes;
    }

    /** The one pencil in one pass that comes nearest, for comparison. */
    public function nearestSingle(Lab $target): Recipe
    {
        $pool = new Pool;
        $search = new BeamSearch($this->moves, $target, $pool);
        $bare = Candidate::bare(new Sheet($this->paper), $target);
        $best = null;
        foreach ($this->moves->passes as $pass) {
            $try = $search->extend($bare, $pass);
            $best = $best === null || $try->deltaE00 < $best->deltaE00 ? $try : $best;
        }

        return Recipe::of(RecipeLabel::Closest, $target, new Stack($best->passes ?? []), $this->paper);
    }

    private function refine(BeamSearch $search, Pool $pool, Candidate $bare, int $keepFirst = 0, int $many = self::REFINED): void
    {
        $refinement = new Refinement($search, $this->moves, $bare, $pool, $keepFirst);
        foreach (array_slice($pool->cheapestPerPencils(), 0, $many) as $candidate) {
            $refinement->improve($candidate);
        }
    }

    /** @return array<string, Candidate> by label */
    private function distinctAnswers(Pool $pool): array
    {
        $perPencils = $pool->cheapestPerPencils();
        if ($perPencils === []) {
            return [];
        }
        $closest = $perPencils[0];
        $others = array_slice($perPencils, 1);
        $answers = [RecipeLabel::Closest->value => $closest];

        $enough = max($closest->deltaE00 + self::FEWER_MAY_COST, self::CLOSE_ENOUGH);
        $near = array_filter($others, static fn (Candidate $c): bool => $c->deltaE00 <= $enough);
        usort($near, static fn (Candidate $a, Candidate $b): int => [$a->pencilCount(), Objective::price($a)] <=> [$b->pencilCount(), Objective::price($b)]);
        $fewest = ($near === [] ? $others : $near)[0] ?? null;
        if ($fewest !== null) {
            $answers[RecipeLabel::FewestPencils->value] = $fewest;
        }
        $steadiest = $this->steadier($pool, $closest, [$closest->pencilKey(), $fewest?->pencilKey()]);
        if ($steadiest !== null) {
            $answers[RecipeLabel::Steadiest->value] = $steadiest;
        }

        return $answers;
    }

    /**
     * The steadiest of the near candidates that use other pencils, if it is steadier than the closest.
     *
     * @param  list<?string>  $taken  pencil keys of the answers so far
     */
    private function steadier(Pool $pool, Candidate $closest, array $taken): ?Candidate
    {
        $least = Steadiness::of(new Stack($closest->passes), $this->paper);
        $best = null;
        foreach (self::STEADIER_MAY_COST as $cost) {
            $near = array_filter($pool->cheapestPerPencils(), static fn (Candidate $c): bool => $c->deltaE00 <= $closest->deltaE00 + $cost && ! in_array($c->pencilKey(), $taken, true));
            foreach (array_slice($near, 0, self::STEADIED) as $candidate) {
                $swing = Steadiness::of(new Stack($candidate->passes), $this->paper);
                if ($swing < $least) {
                    [$best, $least] = [$candidate, $swing];
                }
            }
            if ($best !== null) {
                break;
            }
        }

        return $best;
    }

    /** @param  array<string, Candidate>  $taken */
    private function withComplementBeneath(Candidate $bare, Lab $target, Pencil $main, int $maxPasses, array $taken): ?Candidate
    {
        $local = Oklch::ofLab($target)->chroma >= self::HUELESS ? Oklch::ofLab($target) : Oklch::ofLab(Swatch::Heavy->colourOf($main));
        $pool = new Pool;
        $search = new BeamSearch($this->moves, $target, $pool);
        $seeds = [];
        foreach ($this->complementsOf($local) as $pencil) {
            foreach (self::BENEATH_PRESSURES as $pressure) {
                $seeds[] = $search->extend($bare, new Pass($pencil, $pressure));
            }
        }
        if ($seeds === []) {
            return null;
        }
        $search->run($seeds, $maxPasses, self::COMPLEMENT_WIDTH);
        $this->refine($search, $pool, $bare, keepFirst: 1, many: 3);
        $used = array_map(static fn (Candidate $c): string => $c->pencilKey(), $taken);
        $fresh = array_filter($pool->cheapest(), static fn (Candidate $c): bool => count($c->passes) > 1 && $c->pencilCount() > 1 && ! in_array($c->pencilKey(), $used, true));

        return array_values($fresh)[0] ?? null;
    }

    /** @return list<Pencil> the strongest complements first */
    private function complementsOf(Oklch $local): array
    {
        $apart = [];
        $pencils = [];
        foreach ($this->drawer->usable()->pencils as $pencil) {
            $colour = Oklch::ofLab(Swatch::Heavy->colourOf($pencil));
            if ($this->school->allows($pencil) && School::complements($local, $colour)) {
                $pencils[] = $pencil;
                $apart[] = 180 - abs(abs(fmod($local->hueDegrees - $colour->hueDegrees + 540, 360) - 180));
            }
        }
        array_multisort($apart, SORT_ASC, SORT_NUMERIC, $pencils);

        return array_slice($pencils, 0, self::COMPLEMENTS);
    }

    /** The pencil of a stack with the strongest colour. */
    private function strongestPencil(Candidate $candidate): Pencil
    {
        $pencils = (new Stack($candidate->passes))->pencils();
        usort($pencils, static fn (Pencil $a, Pencil $b): int => Swatch::Heavy->colourOf($b)->chroma() <=> Swatch::Heavy->colourOf($a)->chroma());

        return $pencils[0];
    }

    private function nearestPencil(Lab $target): Pencil
    {
        return $this->nearestSingle($target)->stack->pencils()[0];
    }
}
