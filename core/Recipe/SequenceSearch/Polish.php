<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/** Improves a run by small changes while its cost falls: a mark, a steeper or flatter pass, another pencil, a pass more, less or elsewhere. */
final class Polish
{
    /** Other pencils tried in place of a pass's. */
    private const ALIKE = 4;

    private const MOST_ROUNDS = 6;

    private const DEEPER = 3;

    /** A change must lower the cost by so much. */
    private const LEAST_GAIN = 0.003;

    /** @var array<string, float> the cost of runs, or what it is at least */
    private array $known = [];

    /** @var array<int, list<int>> by pencil */
    private array $alike = [];

    public function __construct(private readonly Ground $ground)
    {
    }

    public function improved(Node $node): Node
    {
        // What was not worked out to the end for one run says nothing beside a dearer one.
        $this->known = [];
        $run = $node->run;
        $least = $node->cost;
        for ($round = 0; $round < self::MOST_ROUNDS; $round++) {
            $before = $least;
            foreach ([$this->regraded(...), $this->exchanged(...), $this->moved(...)] as $changes) {
                [$run, $least] = $this->best($run, $least, $changes($run));
            }
            if ($before - $least < self::LEAST_GAIN) {
                break;
            }
        }

        return $run === $node->run ? $node : $this->ground->node($run);
    }

    /** As {@see self::improved()}, and besides with every pencil in every place: worth its time for the best few. */
    public function deepened(Node $node): Node
    {
        $best = $this->improved($node);
        for ($round = 0; $round < self::DEEPER; $round++) {
            $this->known = [];
            [$run, $least] = $this->best($best->run, $best->cost, $this->inEveryPlace($best->run));
            if ($best->cost - $least < self::LEAST_GAIN) {
                break;
            }
            $best = $this->improved($this->ground->node($run));
        }

        return $best;
    }

    /** @return iterable<Run> every pencil in place of every pass, a mark firmer or lighter too, and as a pass more */
    private function inEveryPlace(Run $run): iterable
    {
        $rising = $this->rising();
        foreach (array_keys($this->ground->book->moves->pencils) as $pencil) {
            foreach ($run->marks as $at => $marks) {
                if ($pencil !== $run->pencils[$at]) {
                    foreach ([0, 1, -1] as $by) {
                        yield $run->exchanged($at, $pencil, array_map(static fn (int $m): int => $m === 0 ? 0 : max(Craft::WHISPER, min(Craft::FULL, $m + $by)), $marks));
                    }
                }
            }
            for ($at = 0; $at <= $run->length(); $at++) {
                foreach ($rising as $marks) {
                    yield $run->inserted($at, $pencil, $marks);
                }
            }
        }
    }

    /** @return list<list<int>> gradings that rise evenly from the lightest shade that is worked to the darkest, and none of them firm but in the dark */
    private function rising(): array
    {
        $worked = $this->ground->craft->worked;
        $last = max(1, count($worked) - 1);
        $gradings = [];
        for ($from = 0; $from <= Craft::LIGHT; $from++) {
            for ($to = max($from, Craft::WHISPER); $to <= Craft::FIRM; $to++) {
                $marks = array_fill(0, count($this->ground->aims), 0);
                foreach ($worked as $i => $shade) {
                    $marks[$shade] = (int) round($from + ($to - $from) * ($last === $i || count($worked) === 1 ? 1 : $i / $last));
                }
                $gradings[implode($marks)] = array_values($marks);
            }
        }

        return array_values($gradings);
    }

    /**
     * @param  iterable<Run>  $runs
     * @return array{Run, float}
     */
    private function best(Run $run, float $least, iterable $runs): array
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

    /** @return iterable<Run> one pass graded otherwise: one or more of its marks a step up or down */
    private function regraded(Run $run): iterable
    {
        foreach ($run->pencils as $at => $pencil) {
            foreach (Patterns::over(count($this->ground->aims), $this->ground->craft->worked) as $marks) {
                $far = max(0, ...array_map(static fn (int $a, int $b): int => abs($a - $b), $marks, $run->marks[$at]));
                if ($far === 1) {
                    yield $run->exchanged($at, $pencil, $marks);
                }
            }
        }
    }

    /** @return iterable<Run> one pass with another pencil: one like it, or one that the run has already */
    private function exchanged(Run $run): iterable
    {
        foreach ($run->pencils as $at => $pencil) {
            foreach (array_unique([...$this->alike($pencil), ...$run->pencils]) as $other) {
                if ($other !== $pencil) {
                    yield $run->exchanged($at, $other, $run->marks[$at]);
                }
            }
        }
    }

    /** @return iterable<Run> one pass left out, moved, or laid once more in a light hand */
    private function moved(Run $run): iterable
    {
        $n = $run->length();
        for ($at = 0; $at < $n; $at++) {
            yield $run->without($at);
            if ($at < $n - 1) {
                yield $run->swapped($at);
            }
        }
        $light = array_fill(0, count($this->ground->aims), 0);
        foreach ($this->ground->craft->worked as $shade) {
            $light[$shade] = Craft::LIGHT;
        }
        foreach (array_unique($run->pencils) as $pencil) {
            for ($at = 0; $at <= $n; $at++) {
                yield $run->inserted($at, $pencil, array_values($light));
                yield $run->inserted($at, $pencil, array_values(array_map(static fn (int $m): int => $m > 0 ? Craft::WHISPER : 0, $light)));
            }
        }
    }

    /** @return list<int> pencils that change a bare paper most like this one */
    private function alike(int $pencil): array
    {
        if (isset($this->alike[$pencil])) {
            return $this->alike[$pencil];
        }
        $of = fn (int $p): array => $this->ground->book->onto($this->ground->book->bare, $p * Moves::MARKS + Craft::MEDIUM - 1)->look->logs;
        $own = $of($pencil);
        $apart = [];
        foreach (array_keys($this->ground->book->moves->pencils) as $other) {
            if ($other !== $pencil) {
                $apart[$other] = array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $own, $of($other)));
            }
        }
        asort($apart);

        return $this->alike[$pencil] = array_slice(array_keys($apart), 0, self::ALIKE);
    }
}
