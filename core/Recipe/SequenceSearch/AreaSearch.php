<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Complements\Neutralisers;
use KnottyPrism\Core\Recipe\Method\Beneath;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Breadth;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Grainy;

/** One area's search: its value run as a whole, then the choice of clearly different answers, and its touches into each of them. */
final class AreaSearch
{
    /** An area whose best costs more than this in an even hand, ΔE00 with what shows through, is searched again. */
    private const FAR_OFF = 6.5;

    /** And one that stays grainy where it should be smooth is searched as if grain counted so much. */
    private const EVENNESS_ALONE = 0.7;

    /** @var list<int> places of the given shades: the run from the lightest, then the touches */
    private readonly array $order;

    /** @var list<Shade> in that order */
    private readonly array $sorted;

    /** @var list<Rules> in that order */
    private readonly array $rules;

    /** @var list<ShadeAim> in that order */
    private readonly array $aims;

    private readonly Ground $ground;

    private readonly float $weight;

    private ?Found $found = null;

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  list<Pencil>  $beneath  the neutralisers of its local colour, where the method begins with them
     * @param  list<float>  $strangeness  by pencil
     */
    public function __construct(
        private readonly Kit $kit,
        private readonly Method $method,
        private readonly Mode $mode,
        private readonly array $shades,
        private readonly Neutralisers $neutralisers,
        array $beneath,
        int $mostPasses,
        array $strangeness,
    ) {
        $order = array_keys($shades);
        usort(
            $order,
            static fn (int $a, int $b): int => [$shades[$a]->touch, -$shades[$a]->target->l] <=> [
                $shades[$b]->touch,
                -$shades[$b]->target->l,
            ],
        );
        $this->order = $order;
        $this->sorted = array_map(static fn (int $i): Shade => $shades[$i], $order);
        $this->rules = array_map(static fn (Shade $s): Rules => new Rules($method, $kit->moves, $s->target, $beneath), $this->sorted);
        $this->aims = array_map(
            static fn (Shade $s, Rules $r): ShadeAim => new ShadeAim($s, $kit->atlas, $kit->book, $mode, $r),
            $this->sorted,
            $this->rules,
        );
        $this->weight = array_sum(array_map(static fn (Shade $s): float => $s->weight, $shades));
        $this->ground = $this->ground($strangeness, $mostPasses, null);
    }

    /**
     * @param  list<float>  $strangeness  by pencil
     * @param  ?list<int>  $firsts  see {@see Craft}
     */
    private function ground(array $strangeness, int $mostPasses, ?array $firsts): Ground
    {
        $craft = new Craft(
            $this->method,
            $this->kit->moves,
            $this->sorted,
            $this->rules,
            (int) array_search(Shade::main($this->shades), $this->sorted, true),
            $firsts,
        );
        $run = array_values(array_filter($this->aims, static fn (ShadeAim $a): bool => ! $a->shade->touch));

        return new Ground($this->kit->book, $this->kit->outlook, $craft, new Prices($strangeness), $run, $mostPasses, $this->weight);
    }

    /** @return list<SequenceAnswer> up to so many, the surest first; none where the method leaves nothing */
    public function answers(int $count): array
    {
        $found = $this->found();
        if ($found->surest === null) {
            return [];
        }
        $answers = [$this->answer(RecipeLabel::Surest, $found->surest->run)];
        $taken = [$found->surest->run->pencilKey()];
        foreach (
            [
                RecipeLabel::FewestPencils->value => $found->fewest(...),
                RecipeLabel::PerfectHand->value => $found->closest(...),
                RecipeLabel::Evenest->value => $found->evenest(...),
                RecipeLabel::ComplementBeneath->value => $this->complementBeneath(...),
                RecipeLabel::OtherPencils->value => static function () use ($found, &$taken): ?Node {
                    return $found->other($taken);
                },
            ] as $label => $find
        ) {
            $node = count($answers) < $count ? $find() : null;
            if ($node !== null && ! in_array($node->run->pencilKey(), $taken, true)) {
                $answers[] = $this->answer(RecipeLabel::from($label), $node->run);
                $taken[] = $node->run->pencilKey();
            }
        }

        return $answers;
    }

    /** What a narrow search finds; null when the method leaves nothing. */
    public function atAGlance(): ?SequenceAnswer
    {
        $node = $this->search($this->ground, Breadth::glance())->surest;

        return $node === null ? null : $this->answer(RecipeLabel::Surest, $node->run);
    }

    /** @return list<Node> all that was found, the cheapest first */
    public function nodes(): array
    {
        return $this->found()->nodes();
    }

    private function found(): Found
    {
        return $this->found ??= $this->searched();
    }

    /**
     * What ends far off is searched again more broadly, and then as if a pencil more in the picture were no matter; in what is compared it
     * is. So is what stays grainy, as if evenness were all.
     */
    private function searched(): Found
    {
        $found = $this->search($this->ground, Breadth::over(count($this->ground->aims)));
        if ($found->surest === null || count($this->ground->aims) < 2) {
            return $found;
        }
        $least = $found->surest->cost;
        $farOff = self::FAR_OFF * max(1.0, $this->kit->moves->paper->hand->spread); // what a hand wanders no search brings back
        $strangeness = $this->ground->prices->strangeness;
        foreach (array_sum($strangeness) > 0 ? [$strangeness, array_fill(0, count($strangeness), 0.0)] : [$strangeness] as $prices) {
            if ($least < $farOff) {
                break;
            }
            $again = $this->search($this->ground($prices, $this->ground->mostPasses, null), Breadth::again());
            $cost = $again->surest === null ? INF : $this->ground->node($again->surest->run)->cost;
            if ($cost < $least) {
                [$found, $least] = [$again, $cost];
            }
        }
        if ($this->sorted[0]->grainCounts < Grainy::SMOOTH_FROM || ! $found->isGrainy()) {
            return $found;
        }

        // A pale pencil beneath promises nothing to a search that minds colour first; what one finds that minds evenness first is judged by
        // the same prices.
        return $found->orEvener($this->search($this->ground->minding(self::EVENNESS_ALONE), Breadth::over(count($this->ground->aims))));
    }

    private function search(Ground $ground, Breadth $breadth): Found
    {
        $found = $ground->craft->worked === [] ? [$ground->node(new Run())] : (new Beam($ground, $breadth->beam))->run();
        $polish = new Polish($ground, $breadth);
        $done = $polish->all(array_slice($found, 0, $breadth->polished));

        return new Found($ground, $polish, $this->surest(array_slice($done, 0, $breadth->judged)), $done, $found);
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
                $outcome = Outcome::of($aim->shade, $sequence->stackIn($this->order[$shade]), $this->kit->moves->paper, $this->mode);
                $price +=
                    $this->ground->weights[$shade] * ($outcome->errorOnPaper() + $this->ground->prices->ofTooth($outcome->toothUsed));
            }
            if ($price < $least) {
                [$surest, $least] = [$node, $price];
            }
        }

        return $surest;
    }

    /**
     * What begins with what neutralises the strongest pencil of the surest, as many like to work; null when the method says what lies
     * beneath.
     */
    private function complementBeneath(): ?Node
    {
        $surest = $this->found()->surest;
        if (
            $surest === null ||
            $surest->run->pencils === [] ||
            $this->method->of(Beneath::class) !== Beneath::Any ||
            $this->ground->mostPasses < 2
        ) {
            return null;
        }
        $pencils = $this->kit->moves->pencils;
        $laid = array_map(static fn (int $p): Pencil => $pencils[$p], $surest->run->pencils);
        usort($laid, static fn (Pencil $a, Pencil $b): int => Character::of($b)->heavy->chroma() <=> Character::of($a)->heavy->chroma());
        $wanted = $this->neutralisers->ofPencil(Shade::main($this->shades)->target, $laid[0]);
        $firsts = array_keys(array_filter($pencils, static fn (Pencil $p): bool => in_array($p, $wanted, true)));
        if ($firsts === []) {
            return null;
        }
        $nodes = $this->search(
            $this->ground($this->ground->prices->strangeness, $this->ground->mostPasses, $firsts),
            Breadth::aside(),
        )->nodes();

        return array_values(
            array_filter(
                $nodes,
                static fn (Node $n): bool => $n->run->pencilCount() > 1 &&
                    $n->run->pencilKey() !== $surest->run->pencilKey() &&
                    $n->cost <= $surest->cost + Found::OTHERWISE_MAY_COST,
            ),
        )[0] ?? null;
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

    /** As passes over the shades in the order in which they were given, with the finish that the method wants at the end. */
    public function sequence(Run $run): Sequence
    {
        $pressures = Pressure::cases();
        $none = array_fill(0, count($this->shades), null);
        $coats = array_fill(0, count($this->shades), 0);
        $passes = [];
        foreach ($run->pencils as $at => $pencil) {
            $graded = $none;
            foreach ($run->pressures[$at] as $i => $pressure) {
                if ($pressure > 0) {
                    $graded[$this->order[$i]] = $pressures[$pressure - 1];
                    $coats[$i]++;
                }
            }
            $passes[] = new GradedPass($this->kit->moves->pencils[$pencil], array_values($graded));
        }
        $finished = [];
        foreach ($this->aims as $i => $aim) {
            $finish = $aim->rules->finish;
            if ($finish !== null && Craft::takes($finish, $coats[$i])) {
                $finished[$finish->value][$this->order[$i]] = Pressure::Medium;
            }
        }
        foreach ($finished as $finish => $where) {
            $passes[] = new GradedPass(Finish::from($finish), array_values(array_replace($none, $where)));
        }

        return new Sequence($passes);
    }
}
