<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Breadth;

/**
 * Improves a run by small changes while its cost falls: a pressure, a steeper or flatter pass, another pencil, a pass more, less or
 * elsewhere.
 */
final class Polish
{
    /** Of a drawer so small every pencil is tried in every place of the best few. */
    private const SMALL = 12;

    private const DEEPENED = 5;

    private const MOST_ROUNDS = 6;

    private const DEEPER = 2;

    /** A change must lower the cost by so much. */
    private const LEAST_GAIN = 0.003;

    /** @var array<string, float> the cost of runs, or what it is at least */
    private array $known = [];

    private readonly Pressing $pressing;

    private readonly RunChanges $changes;

    public function __construct(private readonly Ground $ground, private readonly Breadth $breadth)
    {
        $this->pressing = new Pressing($ground);
        $this->changes = new RunChanges($ground);
    }

    /**
     * All of them improved a little, the best of those as far as it goes, and of these the best looked into further.
     *
     * @param  list<Node>  $nodes
     * @return list<Node> the cheapest first
     */
    public function all(array $nodes): array
    {
        $done = [];
        foreach ($nodes as $node) {
            $better = $this->improved($node, 1);
            $done[$better->run->key()] = $better;
        }
        $done = $this->best($done, $this->breadth->finished, $this->improved(...));
        [$further, $most] =
            count($this->ground->book->moves->pencils) <= self::SMALL
                ? [$this->deepened(...), self::DEEPENED]
                : [$this->widened(...), $this->breadth->widened];

        return $this->best($done, $most, $further);
    }

    /**
     * The first few of the cheapest taken further.
     *
     * @param  array<Node>  $nodes
     * @param  \Closure(Node): Node  $further
     * @return list<Node> the cheapest first
     */
    private function best(array $nodes, int $most, \Closure $further): array
    {
        $sorted = self::sorted($nodes);

        return self::sorted([...array_map($further, array_slice($sorted, 0, $most)), ...array_slice($sorted, $most)]);
    }

    /**
     * @param  array<Node>  $nodes
     * @return list<Node>
     */
    private static function sorted(array $nodes): array
    {
        usort($nodes, static fn (Node $a, Node $b): int => $a->cost <=> $b->cost);

        return $nodes;
    }

    public function improved(Node $node, int $rounds = self::MOST_ROUNDS): Node
    {
        // What was not worked out to the end for one run says nothing beside a dearer one.
        $this->known = [];
        $run = $node->run;
        $least = $node->cost;
        for ($round = 0; $round < $rounds; $round++) {
            $before = $least;
            foreach ([$this->changes->regraded(...), $this->changes->exchanged(...), $this->changes->moved(...)] as $changes) {
                [$run, $least] = $this->least($run, $least, $changes($run));
            }
            if ($before - $least < self::LEAST_GAIN) {
                break;
            }
        }

        return $run === $node->run ? $node : $this->ground->node($run);
    }

    /**
     * As {@see self::improved()}, and besides with a pencil more, any, anywhere: a base that promises nothing by itself is not built on,
     * yet carries what lies over it, above all where a method has an order.
     */
    private function widened(Node $node): Node
    {
        $best = $this->improved($node);
        for ($round = 0; $round < $this->breadth->rounds; $round++) {
            $this->known = [];
            [$run, $least] = $this->least($best->run, $best->cost, $this->changes->oneMore($best->run));
            if ($best->cost - $least < self::LEAST_GAIN) {
                break;
            }
            $best = $this->improved($this->ground->node($run));
        }

        return $best;
    }

    /**
     * As {@see self::improved()}, and besides with every pencil in every place, the passes around it pressed again: two changes that only
     * together are better are found so. Worth its time for the best few.
     */
    private function deepened(Node $node): Node
    {
        [$best, $least] = [$node->run, $node->cost];
        $tried = [];
        for ($round = 0; $round < self::DEEPER; $round++) {
            $before = $least;
            foreach ($this->changes->orders($best) as [$run, $free]) {
                $key = $run->key().'/'.implode(',', $free);
                if (! isset($tried[$key])) {
                    $tried[$key] = true;
                    [$best, $least] = $this->pressing->of($run, $free, $least) ?? [$best, $least];
                }
            }
            if ($before - $least < self::LEAST_GAIN) {
                break;
            }
        }

        return $best === $node->run ? $node : $this->ground->node($best);
    }

    /**
     * @param  iterable<Run>  $runs
     * @return array{Run, float}
     */
    private function least(Run $run, float $least, iterable $runs): array
    {
        foreach ($runs as $tried) {
            if ($tried->length() > $this->ground->mostPasses || ! $this->ground->craft->keeps($tried)) {
                continue;
            }
            $cost = $this->known[$tried->key()] ??= $this->ground->cost($tried, $least);
            if ($cost < $least) {
                [$run, $least] = [$tried, $cost];
            }
        }

        return [$run, $least];
    }
}
