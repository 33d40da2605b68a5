<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\Cautions\Remedies;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\AreaSearch;
use KnottyPrism\Core\Recipe\SequenceSearch\Node;

/** Recipes for one colour: an area of one shade, searched as every area is, with what to mind in each answer and what removes it. */
final readonly class RecipePlanner
{
    public const MOST_PASSES = 5;

    /** Stacks offered in place of one with a caution. */
    private const LOOKED_AT = 60;

    private FindSequences $find;

    /** @var list<Pencil> */
    private array $usable;

    /** @var list<Pencil> known but not at hand */
    private array $missing;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(Drawer $drawer, private Paper $paper, private School $school, ?AtlasShelf $shelf = null, Mode $mode = Mode::ColourAndValue)
    {
        $this->find = new FindSequences($drawer, $paper, $school, $shelf, $mode);
        $this->usable = $drawer->usable()->pencils;
        $this->missing = array_values(array_filter($drawer->pencils, static fn (Pencil $p): bool => ! $p->record->owned && ! $p->isBlender()));
    }

    /**
     * @param  array<string, float>  $strangeness  ΔE00 that a pencil costs besides, by its identifier: for those not in use yet
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     * @return non-empty-list<Recipe> clearly different, the surest on paper first; none of its passes where the colour is the paper's own
     *
     * @throws SchoolRefuses when the school leaves no stack for this colour
     */
    public function recipesFor(Lab $target, int $maxPasses = self::MOST_PASSES, int $count = 4, array $strangeness = [], float $grainCounts = Shade::SMOOTH): array
    {
        OutOfRange::check('the number of recipes', $count, 1, 4);
        $search = $this->find->search([new Shade('', $target, grainCounts: $grainCounts)], $maxPasses, $strangeness);
        $answers = $search->answers($count) ?: throw SchoolRefuses::stacks($this->school->settings());
        $remedies = new Remedies($this->paper, $this->usable, $this->missing, $this->find->allowing($target), static fn (CautionCode $code): array => self::likelyFreeOf($code, $search), $grainCounts);

        return array_map(fn (SequenceAnswer $a): Recipe => Recipe::of($a->label, $target, $a->sequence->stackIn(0), $this->paper, $remedies, $grainCounts), $answers);
    }

    /**
     * What tries to remove the cautions of a stack that lies there already. It keeps to the craft and the school where the stack does: what
     * an artist laid otherwise, or what was planned freely as the school had nothing for it, is not held to them afterwards.
     */
    public function remediesFor(Stack $stack, Lab $target, float $grainCounts = Shade::SMOOTH): Remedies
    {
        $allowed = $this->find->allowing($target);

        return new Remedies($this->paper, $this->usable, $this->missing, $allowed($stack) ? $allowed : null, null, $grainCounts);
    }

    /** @return list<Stack> of what was found, the likeliest to be free of a caution first: the steadiest, the evenest, or the surest */
    private static function likelyFreeOf(CautionCode $code, AreaSearch $search): array
    {
        $nodes = $search->nodes();
        if ($code === CautionCode::Unsteady) {
            usort($nodes, static fn (Node $a, Node $b): int => ($a->laid[0]->sway ?? INF) <=> ($b->laid[0]->sway ?? INF));
        }

        if ($code === CautionCode::Grainy) {
            usort($nodes, static fn (Node $a, Node $b): int => ($a->laid[0]->grain ?? INF) <=> ($b->laid[0]->grain ?? INF));
        }

        return array_map(static fn (Node $n): Stack => $search->sequence($n->run)->stackIn(0), array_slice($nodes, 0, self::LOOKED_AT));
    }

    /** The one pencil in one pass that comes nearest, for comparison. */
    public function nearestSingle(Lab $target): Recipe
    {
        return Recipe::of(RecipeLabel::Closest, $target, new Stack([$this->find->neutralisers->nearestPass($target)]), $this->paper);
    }

    /** What works on what, among the pencils at hand. */
    public function complements(): ComplementTable
    {
        return $this->find->complements;
    }
}
