<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * Builds runs pass by pass from the paper up. At every length the most promising are kept, of each set of pencils a few; what one more
 * pass would make of them is forecast for every pencil in every grading, and the best of that is laid.
 */
final readonly class Beam
{
    /** Runs kept at every length with the same pencils. */
    private const PER_PENCILS = 3;

    /** Gradings of one pencil that are looked at further, and passes laid on every run. */
    private const PER_PENCIL = 3;

    private const LAID = 8;

    /** Passes laid besides that end a run as the method wants it: few promise anything by themselves. */
    private const ENDINGS = 2;

    /** @param  int  $width  runs kept at every length */
    public function __construct(private Ground $ground, private int $width)
    {
    }

    /** @return list<Node> runs that may be an answer, the cheapest first, one for each set of pencils */
    public function run(): array
    {
        $beam = [$this->ground->node(new Run())];
        $found = [];
        while ($beam !== []) {
            $next = [];
            foreach ($beam as $node) {
                foreach ($this->followers($node) as $key => $follower) {
                    $next[$key] = $follower;
                }
            }
            foreach ($next as $node) {
                $set = $node->run->pencilKey();
                if ($this->ground->craft->ends($node->run) && (! isset($found[$set]) || $node->cost < $found[$set]->cost)) {
                    $found[$set] = $node;
                }
            }
            $beam = $this->kept(array_filter($next, static fn (Node $n): bool => ! $n->closed));
        }
        usort($found, static fn (Node $a, Node $b): int => $a->cost <=> $b->cost);

        return $found;
    }

    /**
     * Half of them by what they promise, the others by what they may become at best: a dark over little is nothing yet, and all the same
     * the way to a good one.
     *
     * @param  array<string, Node>  $nodes
     * @return list<Node>
     */
    private function kept(array $nodes): array
    {
        $sets = [];
        uasort($nodes, static fn (Node $a, Node $b): int => [$a->promise(), $a->cost] <=> [$b->promise(), $b->cost]);
        $promising = self::first($nodes, intdiv($this->width + 1, 2), $sets);
        $nodes = array_diff_key($nodes, $promising);
        uasort($nodes, static fn (Node $a, Node $b): int => [$a->hope, $a->cost] <=> [$b->hope, $b->cost]);

        return array_values([...$promising, ...self::first($nodes, $this->width - count($promising), $sets)]);
    }

    /**
     * The first of them, of each set of pencils a few.
     *
     * @param  array<string, Node>  $nodes
     * @param  array<string, int>  $sets  how many of each are kept so far
     * @return array<string, Node>
     */
    private static function first(array $nodes, int $count, array &$sets): array
    {
        $first = [];
        foreach ($nodes as $key => $node) {
            if (count($first) === $count) {
                break;
            }
            $set = $node->run->pencilKey();
            if (($sets[$set] ?? 0) < self::PER_PENCILS) {
                $sets[$set] = ($sets[$set] ?? 0) + 1;
                $first[$key] = $node;
            }
        }

        return $first;
    }

    /** @return array<string, Node> by key */
    private function followers(Node $node): array
    {
        $tried = $this->promising($node);
        asort($tried);
        $followers = [];
        $most = self::LAID;
        $endings = $this->ground->craft->endsPale ? self::ENDINGS : 0;
        foreach (array_keys($tried) as $key) {
            [$pencil, $pressures] = explode(':', (string) $key);
            $pressures = array_map(intval(...), str_split($pressures));
            $ends = $endings > 0 && $this->ground->craft->burnishes((int) $pencil, $pressures);
            if ($most-- <= 0 && ! $ends) {
                continue;
            }
            $endings -= $ends ? 1 : 0;
            $run = $node->run->with((int) $pencil, $pressures);
            if (
                ! $this->ground->craft->comesIn($node->run->pencils, (int) $pencil, max(0, ...$pressures)) ||
                ! $this->ground->craft->burnishesOnce($run)
            ) {
                continue;
            }
            $followers[$run->key()] = $this->ground->judged($run, $this->ground->onto($node->laid, (int) $pencil, $pressures));
        }

        return $followers;
    }

    /** @return array<string, float> what is promised, by "pencil:pressures" */
    private function promising(Node $node): array
    {
        [$ground, $craft] = [$this->ground, $this->ground->craft];
        [$errors, $promises] = $this->forecasts($node, $ground->mostPasses - $node->run->length() - 1);
        $patterns = $this->patterns($node);
        $promising = [];
        foreach ($ground->book->moves->pencils as $pencil => $_) {
            if (! $craft->comesIn($node->run->pencils, $pencil, Craft::FULL)) {
                continue;
            }
            $price = $ground->prices->ofOneMore($node->run->pencils, $pencil);
            // What a shade may not have is out of reach.
            $goOn = $last = [];
            foreach ($node->laid as $shade => $laid) {
                $uses = $craft->uses($shade, $pencil, $laid->moves === []);
                $goOn[] = $uses ? $promises[$shade][$pencil] : [$promises[$shade][$pencil][0], INF, INF, INF, INF, INF];
                $last[] = $uses ? $errors[$shade][$pencil] : [$errors[$shade][$pencil][0], INF, INF, INF, INF, INF];
            }
            $best = [];
            foreach ($patterns as $key => [$pattern, $isLast, $grading]) {
                $sum = $price + $grading;
                $of = $isLast ? $last : $goOn;
                foreach ($pattern as $shade => $pressure) {
                    $sum += $of[$shade][$pressure];
                }
                $best[$key] = $sum;
            }
            asort($best);
            // The best few, and where the method ends with burnishing the best that does.
            $ending = $craft->endsPale
                ? array_values(
                    array_filter(array_keys($best), static fn (string $key): bool => $craft->burnishes($pencil, $patterns[$key][0])),
                )
                : [];
            foreach ([...array_slice(array_keys($best), 0, self::PER_PENCIL), ...array_slice($ending, 0, 1)] as $key) {
                if ($best[$key] < INF) {
                    $promising["$pencil:".substr($key, 1)] = $best[$key];
                }
            }
        }

        return $promising;
    }

    /**
     * @return array<string, array{list<int>, bool, float}> the gradings that may follow, by "m" and their pressures; whether they are the
     *   last,
     *   and their price
     */
    private function patterns(Node $node): array
    {
        $craft = $this->ground->craft;
        $worked = count($craft->worked);
        $patterns = [];
        foreach (Patterns::over(count($this->ground->aims), $craft->worked) as $pattern) {
            $covered = count(array_filter($pattern));
            if ($node->run->length() === 0 && $covered < $worked) {
                continue;
            }
            foreach ($pattern as $shade => $pressure) {
                if ($pressure > 0 && ! $craft->follows($shade, $node->laid[$shade]->pressures, $pressure)) {
                    continue 2;
                }
            }
            $patterns['m'.implode('', $pattern)] = [$pattern, $craft->isLast($pattern), $this->ground->prices->ofGrading($pattern)];
        }

        return $patterns;
    }

    /**
     * Errors, and what they promise with further passes, by shade, pencil and pressure, weighted; pressure 0 stands for leaving a shade as
     * it is.
     *
     * @return array{list<list<list<float>>>, list<list<list<float>>>}
     */
    private function forecasts(Node $node, int $left): array
    {
        $errors = $promises = [];
        foreach ($this->ground->aims as $shade => $aim) {
            $weight = $this->ground->weights[$shade];
            $laid = $node->laid[$shade];
            [$error, $hope] = $aim->forecast($laid, $this->ground->outlook->from($laid), $left);
            $now = $weight * $aim->judge($laid)->error();
            $then = Ground::promise($now, $weight * $aim->hope($laid, $left));
            $errorsHere = $promisesHere = [];
            foreach (array_chunk($error, Moves::PRESSURES) as $pencil => $pressures) {
                $row = [$now];
                $promise = [$then];
                foreach ($pressures as $pressure => $e) {
                    $row[] = $weight * $e;
                    $promise[] = Ground::promise($weight * $e, $weight * $hope[$pencil * Moves::PRESSURES + $pressure]);
                }
                $errorsHere[] = $row;
                $promisesHere[] = $promise;
            }
            $errors[] = $errorsHere;
            $promises[] = $promisesHere;
        }

        return [$errors, $promises];
    }
}
