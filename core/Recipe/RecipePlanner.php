<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Cautions\Caution;
use KnottyPrism\Core\Recipe\Cautions\Remedies;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\Complements\Neutralisers;
use KnottyPrism\Core\Recipe\School\Beneath;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\Candidate;
use KnottyPrism\Core\Recipe\Search\LaidSheets;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Objective;
use KnottyPrism\Core\Recipe\Search\PairBook;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Search\Shortlist;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;

/** Finds up to four clearly different recipes for one colour from one drawer on one paper, in one school of working. */
final class RecipePlanner
{
    /** Raised whenever the same question may get another answer, so that nothing stale is shown. */
    public const VERSION = 10;

    public const MOST_PASSES = 5;

    /** Stacks improved by small changes, each of another set of pencils. */
    private const REFINED = 8;

    private const REFINED_BENEATH = 2;

    /** Share of the stacks laid where a search looks for one further answer. */
    private const LESS_EFFORT = 0.5;

    private const REFINED_STEADY = 4;

    /** Up to which pressure a complement is tried beneath. */
    private const BENEATH_PRESSURE = 0.55;

    private readonly Moves $moves;

    private readonly ComplementTable $complements;

    private readonly Neutralisers $neutralisers;

    /** @var list<Pencil> known but not at hand */
    private readonly array $missing;

    private ?Atlas $atlas = null;

    private ?LaidSheets $sheets = null;

    private ?Shortlist $shortlist = null;

    private ?PairBook $book = null;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(Drawer $drawer, private readonly Paper $paper, private readonly School $school, private readonly ?AtlasShelf $shelf = null, private readonly Mode $mode = Mode::ColourAndValue)
    {
        $this->moves = new Moves($drawer, $paper);
        OutOfRange::check('the number of pencils that may be used', count($this->moves->pencils), 1, 1000);
        $this->missing = array_values(array_filter($drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned && ! $p->isBlender()));
        $this->complements = new ComplementTable($this->moves->pencils, $paper);
        $this->neutralisers = new Neutralisers($this->moves, $this->complements, $school->neutralising);
    }

    /**
     * @param  array<string, float>  $strangeness  ΔE00 that a pencil costs besides, by its identifier: for those not in use yet
     * @return list<Recipe> the closest first
     *
     * @throws SchoolRefuses when the school leaves no stack for this colour
     */
    public function recipesFor(Lab $target, int $maxPasses = self::MOST_PASSES, int $count = 4, array $strangeness = []): array
    {
        OutOfRange::check('the number of passes', $maxPasses, 1, 8);
        OutOfRange::check('the number of recipes', $count, 1, 4);
        $neutralisers = $this->school->beneath === Beneath::Complement || count($this->moves->pencils) > Shortlist::LENGTH ? $this->beneath($target) : [];
        [$moves, $atlas, $sheets] = $this->groundFor($target, $neutralisers);
        $rules = new Rules($this->school, $moves, $target, $neutralisers);
        $objective = new Objective($strangeness === [] ? [] : array_map(static fn (Pencil $p): float => $strangeness[$p->id()] ?? 0.0, $moves->pencils));
        $search = new RecipeSearch($moves, $atlas, $sheets, $rules, $objective, $target, $this->mode, $maxPasses);
        $pool = $search->run($rules->firsts, self::REFINED, $count > 2 ? self::REFINED_STEADY : 0);
        $choice = new Answers($moves, $rules, $pool);
        $answers = $choice->distinct($count);
        if ($answers === []) {
            throw SchoolRefuses::stacks($this->school->settings());
        }
        if ($this->school->beneath === Beneath::Any && $maxPasses > 1 && count($answers) < $count) {
            $beneath = $this->withComplementBeneath($search, $answers);
            if ($beneath !== null) {
                $answers = $choice->withBeneath($answers, $beneath);
            }
        }
        if (count($answers) < $count && ($other = $choice->otherPencils($answers)) !== null) {
            $answers[RecipeLabel::OtherPencils->value] = $other;
        }
        $remedies = new Remedies($this->paper, $this->moves->pencils, $this->missing, self::bound($search->rules, $moves), $choice->likelyFreeOf(...));
        $recipes = [];
        foreach ($answers as $label => $candidate) {
            $recipes[] = Recipe::of(RecipeLabel::from($label), $target, $choice->stackOf($candidate), $this->paper, $remedies);
        }

        return $recipes;
    }

    /**
     * What tries to remove the cautions of a stack that lies there already. It keeps to the school where the stack does: what an artist
     * laid otherwise, or what was planned freely as the school had nothing for it, is not held to it afterwards.
     */
    public function remediesFor(Stack $stack, Lab $target): Remedies
    {
        $allowed = self::bound(new Rules($this->school, $this->moves, $target, $this->school->beneath === Beneath::Complement ? $this->beneath($target) : []), $this->moves);

        return new Remedies($this->paper, $this->moves->pencils, $this->missing, $allowed === null || ! $allowed($stack) ? null : $allowed);
    }

    /** @return ?\Closure(Stack): bool whether the rules allow a stack of these moves; null where they allow all */
    private static function bound(Rules $rules, Moves $moves): ?\Closure
    {
        return $rules->isFree() ? null : static fn (Stack $stack): bool => ($numbers = $moves->numbersOf($stack)) !== null && $rules->allow($numbers);
    }

    /** @return list<Pencil> what may lie beneath a target's local colour to neutralise it */
    private function beneath(Lab $target): array
    {
        return $this->neutralisers->of($target);
    }

    /** The one pencil in one pass that comes nearest, for comparison. */
    public function nearestSingle(Lab $target): Recipe
    {
        return Recipe::of(RecipeLabel::Closest, $target, new Stack([$this->neutralisers->nearestPass($target)]), $this->paper);
    }

    /** What works on what, among the pencils at hand. */
    public function complements(): ComplementTable
    {
        return $this->complements;
    }

    /**
     * @param  list<Pencil>  $wanted  pencils to keep whatever they do
     * @return array{Moves, Atlas, LaidSheets} what is searched: the whole of a small drawer, a target's shortlist of a large one
     */
    private function groundFor(Lab $target, array $wanted): array
    {
        if (count($this->moves->pencils) <= Shortlist::LENGTH) {
            return [$this->moves, $this->atlas ??= Atlas::kept($this->moves, $this->shelf), $this->sheets ??= new LaidSheets($this->moves)];
        }
        $this->shortlist ??= new Shortlist($this->moves);
        $moves = new Moves($this->shortlist->for($target, $wanted), $this->paper);

        return [$moves, Atlas::of($moves, $this->book ??= new PairBook), new LaidSheets($moves)];
    }

    /** @param  array<string, Candidate>  $taken */
    private function withComplementBeneath(RecipeSearch $search, array $taken): ?Candidate
    {
        $closest = $taken[RecipeLabel::Closest->value];
        $complements = $this->neutralisers->ofPencil($search->target, $this->strongestPencil($search->moves, $closest));
        $moves = $search->moves;
        $firsts = array_filter(array_intersect($moves->with($complements), $search->rules->firsts), static fn (int $m): bool => $moves->passes[$m]->pressure <= self::BENEATH_PRESSURE);
        $pool = $search->run(array_values($firsts), self::REFINED_BENEATH, 0, self::LESS_EFFORT);
        $used = array_map(static fn (Candidate $c): string => $c->pencilKey(), $taken);
        foreach ($pool->cheapest() as $candidate) {
            if ($candidate->pencilCount() > 1 && ! in_array($candidate->pencilKey(), $used, true)) {
                return $candidate->deltaE00 <= $closest->deltaE00 + Caution::OUT_OF_REACH ? $candidate : null;
            }
        }

        return null;
    }

    /** The pencil of a stack with the strongest colour. */
    private function strongestPencil(Moves $moves, Candidate $candidate): Pencil
    {
        $pencils = (new Stack($moves->passesOf($candidate->moves)))->pencils();
        usort($pencils, static fn (Pencil $a, Pencil $b): int => Character::of($b)->heavy->chroma() <=> Character::of($a)->heavy->chroma());

        return $pencils[0];
    }
}
