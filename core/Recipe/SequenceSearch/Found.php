<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Medium\Laying\Evenness;

/** What a search has found for one value run, and which of it may stand beside the surest as a clearly different answer. */
final readonly class Found
{
    /** How much worse than the surest an answer of fewer pencils may be on paper, ΔE00. */
    private const FEWER_MAY_COST = 1.5;

    /** The same for one that begins with a complement, or takes other pencils. */
    public const OTHERWISE_MAY_COST = 2.5;

    /** Of what another search has found those that are judged again, and of these those that are polished. */
    private const JUDGED_AGAIN = 12;

    private const POLISHED_AGAIN = 3;

    /**
     * An answer is evenest when its grain is less by so much, L*, and than such a share of the surest's; and it may be so much farther off
     * in all, ΔE00.
     */
    private const CLEARLY_EVENER = 3.0;

    private const SHARE_EVENER = 0.7;

    private const EVENNESS_MAY_COST = 1.5;

    /** An answer is closest in theory when it misses by so much less. */
    private const CLEARLY_CLOSER = 0.4;

    /**
     * @param  list<Node>  $done  polished, the cheapest first
     * @param  list<Node>  $built  as they were built, one for each set of pencils, the cheapest first
     */
    public function __construct(
        private Ground $ground,
        private Polish $polish,
        public ?Node $surest,
        private array $done,
        private array $built,
    ) {
    }

    /** @return list<Node> the cheapest first */
    public function nodes(): array
    {
        return $this->cheapest([...$this->done, ...$this->built]);
    }

    /** Whether paper shows anywhere in the surest. */
    public function isGrainy(): bool
    {
        return array_filter($this->surest->laid ?? [], fn (Laid $laid): bool => $this->ground->book->grain($laid) >= Evenness::GRAINY) !==
            [];
    }

    /** With the best of what another search has found to take, where that is cheaper here. */
    public function orEvener(self $other): self
    {
        $judged = $this->cheapest(
            array_map(fn (Node $n): Node => $this->ground->node($n->run), array_slice($other->nodes(), 0, self::JUDGED_AGAIN)),
        );
        $best = $this->cheapest(array_map($this->polish->improved(...), array_slice($judged, 0, self::POLISHED_AGAIN)))[0] ?? null;

        return $best === null || ($this->surest !== null && $best->cost >= $this->surest->cost)
            ? $this
            : new self($this->ground, $this->polish, $best, [$best, ...$this->done], $this->built);
    }

    /**
     * @param  list<Node>  $nodes
     * @return list<Node> the cheapest first
     */
    private function cheapest(array $nodes): array
    {
        usort($nodes, static fn (Node $a, Node $b): int => $a->cost <=> $b->cost);

        return $nodes;
    }

    public function fewest(): ?Node
    {
        $surest = $this->surest;
        $few = array_filter(
            $this->nodes(),
            static fn (Node $n): bool => $surest !== null &&
                $n->run->pencilCount() < $surest->run->pencilCount() &&
                $n->cost <= $surest->cost + self::FEWER_MAY_COST,
        );
        usort($few, static fn (Node $a, Node $b): int => [$a->run->pencilCount(), $a->cost] <=> [$b->run->pencilCount(), $b->cost]);

        if ($few === []) {
            return null;
        }
        $better = $this->polish->improved($few[0]);

        return $better->run->pencilCount() > $few[0]->run->pencilCount() ? $few[0] : $better;
    }

    /** What misses clearly less than the surest, in a perfect hand. */
    public function closest(): ?Node
    {
        $done = $this->done;
        usort($done, fn (Node $a, Node $b): int => $this->missed($a) <=> $this->missed($b));

        return $this->surest !== null &&
            $done !== [] &&
            $this->missed($done[0]) < $this->missed($this->surest) - self::CLEARLY_CLOSER * array_sum($this->ground->weights)
            ? $done[0]
            : null;
    }

    /** What shows clearly less of the paper than the surest; null when the surest is even, or nothing near it is evener. */
    public function evenest(): ?Node
    {
        $surest = $this->surest;
        if ($surest === null) {
            return null;
        }
        $may = array_filter($this->done, static fn (Node $n): bool => $n->cost <= $surest->cost + self::EVENNESS_MAY_COST);
        usort($may, fn (Node $a, Node $b): int => $this->grain($a) <=> $this->grain($b));
        $most = min($this->grain($surest) - self::CLEARLY_EVENER, self::SHARE_EVENER * $this->grain($surest));

        return $may !== [] && $this->grain($may[0]) <= $most ? $may[0] : null;
    }

    /**
     * What shares least with the surest, and of that the cheapest: for who has lent a pencil away.
     *
     * @param  list<string>  $taken  sets of pencils that are answers already
     */
    public function other(array $taken): ?Node
    {
        $best = null;
        $fewest = PHP_INT_MAX;
        $surest = $this->surest;
        if ($surest === null) {
            return null;
        }
        foreach ($this->nodes() as $node) {
            $shared = count(array_intersect(array_unique($node->run->pencils), $surest->run->pencils));
            if (
                $shared < $fewest &&
                $node->cost <= $surest->cost + self::OTHERWISE_MAY_COST &&
                ! in_array($node->run->pencilKey(), $taken, true)
            ) {
                [$best, $fewest] = [$node, $shared];
            }
        }

        return $best;
    }

    /** L* in the mean of the run. */
    private function grain(Node $node): float
    {
        return array_sum(
            array_map(
                fn (Laid $laid, float $weight): float => $weight * $this->ground->book->grain($laid),
                $node->laid,
                $this->ground->weights,
            ),
        ) / max(1e-9, array_sum($this->ground->weights));
    }

    private function missed(Node $node): float
    {
        return array_sum(
            array_map(
                static fn (ShadeAim $aim, Laid $laid, float $weight): float => $weight * $aim->judge($laid)->missed,
                $this->ground->aims,
                $node->laid,
                $this->ground->weights,
            ),
        );
    }
}
