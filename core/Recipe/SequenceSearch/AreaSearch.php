<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Sequence\ShadeOutcome;

/** One area's search: its value run as a whole, then its touches into that, then the choice of clearly different answers. */
final readonly class AreaSearch
{
    /** Runs polished, each of another set of pencils, and of these those whose sway in a hand is worked out in full. */
    private const POLISHED = 12;

    private const JUDGED = 6;

    /** How much worse than the surest an answer of fewer pencils may be on paper, ΔE00. */
    private const FEWER_MAY_COST = 1.5;

    /** An answer is closest in theory when it misses by so much less. */
    private const CLEARLY_CLOSER = 0.4;

    /** @var list<int> places of the given shades: the run from the lightest, then the touches */
    private array $order;

    /** @var list<ShadeAim> in that order */
    private array $aims;

    private Ground $ground;

    private float $weight;

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  list<Pencil>  $neutralisers  of its local colour, in the school's way
     * @param  list<float>  $strangeness  by pencil
     */
    public function __construct(private Kit $kit, private School $school, private Mode $mode, private array $shades, array $neutralisers, int $mostPasses, array $strangeness)
    {
        $order = array_keys($shades);
        usort($order, static fn (int $a, int $b): int => [$shades[$a]->touch, -$shades[$a]->target->l] <=> [$shades[$b]->touch, -$shades[$b]->target->l]);
        $this->order = $order;
        $sorted = array_map(static fn (int $i): Shade => $shades[$i], $order);
        $rules = array_map(static fn (Shade $s): Rules => new Rules($school, $kit->moves, $s->target, $neutralisers), $sorted);
        $this->aims = array_map(static fn (Shade $s, Rules $r): ShadeAim => new ShadeAim($s, $kit->atlas, $kit->book, $mode, $r->finish), $sorted, $rules);
        $this->weight = array_sum(array_map(static fn (Shade $s): float => $s->weight, $shades));
        $craft = new Craft($school, $kit->moves, $sorted, $rules, (int) array_search(Shade::main($shades), $sorted, true));
        $run = array_values(array_filter($this->aims, static fn (ShadeAim $a): bool => ! $a->shade->touch));
        $this->ground = new Ground($kit->book, $kit->outlook, $craft, new Prices($strangeness), $run, $mostPasses, $this->weight);
    }

    /** @return list<SequenceAnswer> up to so many, the surest first; none where the school leaves nothing */
    public function answers(int $count): array
    {
        $found = $this->ground->craft->worked === [] ? [$this->ground->node(new Run)] : (new Beam($this->ground))->run();
        $polish = new Polish($this->ground);
        $done = [];
        foreach (array_slice($found, 0, self::POLISHED) as $node) {
            $better = $polish->improved($node);
            $done[$better->run->key()] = $better;
        }
        usort($done, static fn (Node $a, Node $b): int => $a->cost <=> $b->cost);
        $surest = $this->surest(array_slice($done, 0, self::JUDGED));
        if ($surest === null) {
            return [];
        }
        $answers = [$this->answer(RecipeLabel::Surest, $surest->run)];
        $taken = [$surest->run->pencilKey()];
        $others = $count < 2 ? [] : array_filter([
            RecipeLabel::FewestPencils->value => $this->fewest($surest, $done, $found),
            RecipeLabel::PerfectHand->value => $this->closest($surest, $done),
        ]);
        foreach ($others as $label => $node) {
            if (count($answers) < $count && ! in_array($node->run->pencilKey(), $taken, true)) {
                $answers[] = $this->answer(RecipeLabel::from($label), $node->run);
                $taken[] = $node->run->pencilKey();
            }
        }

        return $answers;
    }

    /**
     * Judged by what a hand sways in full, which the search only estimates.
     *
     * @param  list<Node>  $nodes
     */
    private function surest(array $nodes): ?Node
    {
        $surest = null;
        $least = INF;
        foreach ($nodes as $node) {
            $price = $this->ground->prices->ofRun($node->run);
            $sequence = $this->sequence($node->run);
            foreach ($this->ground->aims as $shade => $aim) {
                $outcome = ShadeOutcome::of($aim->shade, $sequence->stackIn($this->order[$shade]), $this->kit->moves->paper, $this->mode);
                $price += $this->ground->weights[$shade] * ($outcome->errorOnPaper() + $this->ground->prices->ofTooth($outcome->toothUsed));
            }
            if ($price < $least) {
                [$surest, $least] = [$node, $price];
            }
        }

        return $surest;
    }

    /**
     * @param  list<Node>  $done
     * @param  list<Node>  $found
     */
    private function fewest(Node $surest, array $done, array $found): ?Node
    {
        $few = array_filter([...$done, ...$found], static fn (Node $n): bool => $n->run->pencilCount() < $surest->run->pencilCount() && $n->cost <= $surest->cost + self::FEWER_MAY_COST);
        usort($few, static fn (Node $a, Node $b): int => [$a->run->pencilCount(), $a->cost] <=> [$b->run->pencilCount(), $b->cost]);

        return $few === [] ? null : (new Polish($this->ground))->improved($few[0]);
    }

    /** @param  list<Node>  $done */
    private function closest(Node $surest, array $done): ?Node
    {
        $missed = fn (Node $n): float => array_sum(array_map(fn (ShadeAim $aim, Laid $laid, float $weight): float => $weight * $aim->judge($laid)->missed, $this->ground->aims, $n->laid, $this->ground->weights));
        usort($done, static fn (Node $a, Node $b): int => $missed($a) <=> $missed($b));

        return $done !== [] && $missed($done[0]) < $missed($surest) - self::CLEARLY_CLOSER * array_sum($this->ground->weights) ? $done[0] : null;
    }

    private function answer(RecipeLabel $label, Run $run): SequenceAnswer
    {
        $runShades = count($this->ground->aims);
        foreach (array_slice($this->aims, $runShades) as $i => $touch) {
            // Every touch is a shade of its own in the passes that are there so far.
            $run = (new Touches($this->ground, $touch, $runShades + $i, $touch->shade->weight / $this->weight))->into($run);
        }

        return SequenceAnswer::of($label, $this->sequence($run), $this->shades, $this->kit->moves->paper, $this->mode);
    }

    /** As passes over the shades in the order in which they were given, with the finish that the school wants at the end. */
    private function sequence(Run $run): Sequence
    {
        $marks = PressureMark::cases();
        $none = array_fill(0, count($this->shades), null);
        $coats = array_fill(0, count($this->shades), 0);
        $passes = [];
        foreach ($run->pencils as $at => $pencil) {
            $graded = $none;
            foreach ($run->marks[$at] as $i => $mark) {
                if ($mark > 0) {
                    $graded[$this->order[$i]] = $marks[$mark - 1];
                    $coats[$i]++;
                }
            }
            $passes[] = new GradedPass($this->kit->moves->pencils[$pencil], array_values($graded));
        }
        $finished = [];
        foreach ($this->aims as $i => $aim) {
            if ($aim->finish !== null && Craft::takes($aim->finish, $coats[$i])) {
                $finished[$aim->finish->value][$this->order[$i]] = PressureMark::Medium;
            }
        }
        foreach ($finished as $finish => $where) {
            $passes[] = new GradedPass(Finish::from($finish), array_values(array_replace($none, $where)));
        }

        return new Sequence($passes);
    }
}
