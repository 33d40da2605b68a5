<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\MethodRefuses;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Remedies\Remedies;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\AreaSearch;
use KnottyPrism\Core\Recipe\SequenceSearch\Laid;
use KnottyPrism\Core\Recipe\SequenceSearch\Node;
use KnottyPrism\Core\Recipe\Warnings\Grainy;
use KnottyPrism\Core\Recipe\Warnings\Unsteady;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\WarningKind;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/**
 * Recipes for a spot, which is a zone of one shade: searched as every zone is, with what to look out for in each answer and what removes
 * it.
 */
final readonly class RecipePlanner
{
    public const MOST_PASSES = 5;

    /** Sequences offered in place of one with a warning. */
    private const LOOKED_AT = 60;

    private FindSequences $find;

    /** @var list<Pencil> */
    private array $usable;

    /** @var list<Pencil> known but not owned */
    private array $missing;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(
        Drawer $drawer,
        private Paper $paper,
        private Method $method,
        ?AtlasShelf $shelf = null,
        private Mode $mode = Mode::ColourAndValue,
    ) {
        $this->find = new FindSequences($drawer, $paper, $method, $shelf, $mode);
        $this->usable = $drawer->usable()->pencils;
        $this->missing = $drawer->missing();
    }

    /**
     * @param  array<string, float>  $strangeness  ΔE00 that a pencil costs besides, by its identifier: for those not in use yet
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     * @return non-empty-list<Recipe> clearly different, the surest on paper first; without a pass where the colour is the paper's own
     *
     * @throws MethodRefuses when the method leaves no sequence for this colour
     */
    public function recipesFor(
        Lab $target,
        int $maxPasses = self::MOST_PASSES,
        int $count = 4,
        array $strangeness = [],
        float $grainCounts = Shade::SMOOTH,
    ): array {
        OutOfRange::check('the number of recipes', $count, 1, 4);
        $shades = [Shade::ofSpot($target, $grainCounts)];
        $search = $this->find->search($shades, $maxPasses, $strangeness);
        $answers = $search->answers($count) ?: throw MethodRefuses::stacks($this->method->settings());
        $remedies = new Remedies($this->paper, $this->mode, $this->usable, $this->find->allowing($shades), $this->missing);
        $tried = static function (Warning $w, SequenceAnswer $answer) use ($remedies, $search): Warning {
            $remedy = $remedies->for($w, $answer, self::likelyFreeOf($w->kind, $search));

            return $remedy === null ? $w : $w->remedied($remedy->words, $remedy->answer);
        };

        return array_map(
            static fn (SequenceAnswer $a): Recipe => new Recipe(
                $a,
                array_map(static fn (Warning $w): Warning => $tried($w, $a), Warnings::in($a)),
            ),
            $answers,
        );
    }

    /**
     * @return iterable<string, Sequence> of what was found, the likeliest to be free of a warning first: the steadiest, the evenest, or the
     *   surest
     */
    private static function likelyFreeOf(WarningKind $kind, AreaSearch $search): iterable
    {
        $nodes = $search->nodes();
        $by = match (true) {
            $kind instanceof Unsteady => static fn (?Laid $l): float => $l->sway ?? INF,
            $kind instanceof Grainy => static fn (?Laid $l): float => $l->grain ?? INF,
            default => null,
        };
        if ($by !== null) {
            usort($nodes, static fn (Node $a, Node $b): int => $by($a->laid[0] ?? null) <=> $by($b->laid[0] ?? null));
        }
        foreach (array_slice($nodes, 0, self::LOOKED_AT) as $node) {
            $sequence = $search->sequence($node->run);
            yield "Lay {$sequence->stackIn(0)->words()} instead" => $sequence;
        }
    }

    /** The one pencil in one pass that comes nearest, for comparison. */
    public function nearestSingle(Lab $target): SequenceAnswer
    {
        $stack = new Stack([$this->find->neutralisers->nearestPass($target)]);

        return SequenceAnswer::of(RecipeLabel::Closest, Sequence::ofStack($stack), [Shade::ofSpot($target)], $this->paper, $this->mode);
    }

    /** What works on what, among the available pencils. */
    public function complements(): ComplementTable
    {
        return $this->find->complements;
    }
}
