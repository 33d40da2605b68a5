<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\School\Mode;

/**
 * Predicts, for one target, how far stacks would end from it without laying them, from the {@see Atlas}. All figures are in the
 * target's {@see LocalMetric}, where a length is about a ΔE00; they rank stacks, and whatever is chosen is then laid exactly.
 */
final readonly class Forecast
{
    /** How much of g the pass right beneath, the one below it and all further ones contribute; fitted to random stacks. */
    public const BENEATH = [1.0, 0.5, 0.25];

    /** Beyond this predicted distance a prediction is not worth a trial. */
    private const FARTHEST = 8.0;

    /** A pass that lays less than this share of its film changes nothing that the stack without it is not. */
    private const NOTHING = 0.01;

    /** Share of its film on bare paper that a pass in a stack lays, on the whole. */
    private const EXCHANGE = 0.75;

    /** Predictions kept before the farther half of them is dropped. */
    private const CROWD = 6000;

    /** Farther from any target than any film can bring back. */
    private const OUT_OF_REACH = 1e7;

    /** @var array{float, float, float} */
    private array $targetLogs;

    private LocalMetric $metric;

    /** @var list<array<int, float>> per dimension: where each pair lies, from the target */
    private array $pairs;

    /** @var list<list<float>> per dimension: density of each pass */
    private array $densities;

    /** @var list<list<list<float>>> per dimension, row a: g(a, c) */
    private array $interplay;

    /** @var list<float> by mark */
    private array $swayOfFilm;

    public function __construct(private Moves $moves, private Atlas $atlas, public Lab $target, public Rules $rules, private Mode $mode = Mode::ColourAndValue)
    {
        $this->targetLogs = Look::of($target)->logs;
        $this->metric = new LocalMetric($target, $mode);
        $pairs = $this->stretched($atlas->pairs, $this->targetLogs);
        $this->densities = $this->stretched($atlas->densities, [0.0, 0.0, 0.0]);
        $interplay = $this->stretched($atlas->interplay, [0.0, 0.0, 0.0]);
        if (! $rules->isFree()) {
            // What the school forbids is put out of reach, so that the loops need not ask.
            foreach ($this->forbidden() as $at) {
                $interplay[0][$at] = self::OUT_OF_REACH;
                $pairs[0][$at] = self::OUT_OF_REACH;
            }
        }
        $this->pairs = $pairs;
        $this->interplay = array_map(static fn (array $flat): array => array_chunk($flat, max(1, $atlas->size)), $interplay);
        $this->swayOfFilm = $this->swayOfFilm();
    }

    /**
     * The single passes that end nearest, nearest first.
     *
     * @param  list<int>  $firsts
     * @return list<int>
     */
    public function singles(array $firsts, int $count): array
    {
        $miss = [];
        foreach ($firsts as $a) {
            $miss[$a] = self::squared($this->away($this->atlas->singles[$a]));
        }
        asort($miss);

        return array_slice(array_keys($miss), 0, $count);
    }

    /**
     * The pairs that end nearest: these are exact up to the metric.
     *
     * @param  list<int>  $firsts
     * @return list<array{int, int}>
     */
    public function pairs(array $firsts, int $count): array
    {
        $n = $this->atlas->size;
        [$p0, $p1, $p2] = $this->pairs;
        $miss = [];
        foreach ($firsts as $a) {
            for ($at = $a * $n, $end = $at + $n; $at < $end; $at++) {
                $miss[$at] = $p0[$at] * $p0[$at] + $p1[$at] * $p1[$at] + $p2[$at] * $p2[$at];
            }
        }
        asort($miss);

        return array_map(static fn (int $at): array => [intdiv($at, $n), $at % $n], array_slice(array_keys($miss), 0, $count));
    }

    /**
     * The three passes predicted to end nearest, out of all there are. This is the search's hot loop: for the last pass c the
     * three dimensions are predicted one after the other and given up as soon as they are too far, and a whole mark of passes
     * is skipped when even the one that suits best can't bring the first dimension home.
     *
     * @param  list<int>  $firsts
     * @return array<int, float> squared distance by (a·n + b)·n + c, nearest first
     */
    public function triples(array $firsts, int $count): array
    {
        $n = $this->atlas->size;
        [$p0, $p1, $p2] = $this->pairs;
        [$g0, $g1, $g2] = $this->interplay;
        [$lowG, $highG] = $this->extremes($g0);
        $found = [];
        $size = 0;
        $limit = self::FARTHEST;
        $limit2 = $limit * $limit;
        foreach ($firsts as $a) {
            $h0 = $this->above($a, 0);
            $h1 = $this->above($a, 1);
            $h2 = $this->above($a, 2);
            [[$lowH], [$highH]] = $this->extremes([$h0]);
            for ($b = 0; $b < $n; $b++) {
                $at = $a * $n + $b;
                $x = $p0[$at];
                $y = $p1[$at];
                $z = $p2[$at];
                $gb0 = $g0[$b];
                $gb1 = $g1[$b];
                $gb2 = $g2[$b];
                for ($mark = 0; $mark < Moves::MARKS; $mark++) {
                    $s = $this->atlas->pairShares[$mark][$at];
                    if ($s < self::NOTHING || $x + $s * ($lowH[$mark] + $lowG[$b][$mark]) > $limit || $x + $s * ($highH[$mark] + $highG[$b][$mark]) < -$limit) {
                        continue;
                    }
                    for ($c = $mark; $c < $n; $c += Moves::MARKS) {
                        $e = $x + $s * ($h0[$c] + $gb0[$c]);
                        $q = $e * $e;
                        if ($q < $limit2) {
                            $e = $y + $s * ($h1[$c] + $gb1[$c]);
                            $q += $e * $e;
                            if ($q < $limit2) {
                                $e = $z + $s * ($h2[$c] + $gb2[$c]);
                                $q += $e * $e;
                                if ($q < $limit2) {
                                    $found[$at * $n + $c] = $q;
                                    $size++;
                                }
                            }
                        }
                    }
                }
            }
            if ($size > self::CROWD) {
                // Only the limit is wanted here, so plain values are sorted: keys need not follow until the end.
                $distances = array_values($found);
                sort($distances);
                $limit2 = $distances[intdiv(self::CROWD, 2)] ?: $limit2;
                $limit = sqrt($limit2);
                $found = array_filter($found, static fn (float $q): bool => $q < $limit2);
                $size = count($found);
            }
        }
        asort($found);

        return array_slice($found, 0, $count, true);
    }

    /**
     * How far off every set of one, two or three pencils is likely to be on paper in up to three passes, by forecast: what is missed, what
     * an ordinary hand adds, and what the model may err by. First and second passes are tried at every other mark only: what they miss,
     * the passes over them make up for.
     *
     * @return array<int, float> about ΔE00, by the set as bits (pencil 0 is 1)
     */
    public function nearestOfEverySet(): array
    {
        $n = $this->atlas->size;
        [$p0, $p1, $p2] = $this->pairs;
        [$g0, $g1, $g2] = $this->interplay;
        $sways = HandSway::ofMoves($this->moves, $this->atlas, $this->metric);
        [$doubt1, $doubt2, $doubt3] = [Doubt::first() ** 2, (Doubt::first() + Doubt::STEP) ** 2, (Doubt::first() + 2 * Doubt::STEP) ** 2];
        $least = [];
        foreach ($this->rules->firsts as $a) {
            if ($a % Moves::MARKS % 2 === 1) {
                continue;
            }
            $h0 = $this->above($a, 0);
            $h1 = $this->above($a, 1);
            $h2 = $this->above($a, 2);
            $bitA = 1 << intdiv($a, Moves::MARKS);
            $one = self::squared($this->away($this->atlas->singles[$a])) + $doubt1 + $sways[$a];
            $least[$bitA] = min($least[$bitA] ?? INF, $one);
            for ($b = 0; $b < $n; $b++) {
                if ($b % Moves::MARKS % 2 === 1) {
                    continue;
                }
                $at = $a * $n + $b;
                $x = $p0[$at];
                $y = $p1[$at];
                $z = $p2[$at];
                $sway = $sways[$a] + $sways[$b];
                $bits = $bitA | (1 << intdiv($b, Moves::MARKS));
                $two = $x * $x + $y * $y + $z * $z + $doubt2 + $sway;
                if ($two < ($least[$bits] ?? INF)) {
                    $least[$bits] = $two;
                }
                $gb0 = $g0[$b];
                $gb1 = $g1[$b];
                $gb2 = $g2[$b];
                $shares = [$this->atlas->pairShares[0][$at], $this->atlas->pairShares[1][$at], $this->atlas->pairShares[2][$at], $this->atlas->pairShares[3][$at], $this->atlas->pairShares[4][$at]];
                for ($c = 0; $c < $n;) {
                    $set = $bits | (1 << intdiv($c, Moves::MARKS));
                    $best = $least[$set] ?? INF;
                    // The marks of one pencil, one after the other.
                    for ($mark = 0; $mark < Moves::MARKS; $mark++, $c++) {
                        $s = $shares[$mark];
                        $e = $x + $s * ($h0[$c] + $gb0[$c]);
                        $q = $e * $e + $doubt3 + $sway + $s * $s * $sways[$c];
                        if ($q < $best) {
                            $e = $y + $s * ($h1[$c] + $gb1[$c]);
                            $f = $z + $s * ($h2[$c] + $gb2[$c]);
                            $q += $e * $e + $f * $f;
                            if ($q < $best) {
                                $best = $q;
                            }
                        }
                    }
                    $least[$set] = $best;
                }
            }
        }

        return array_map(sqrt(...), $least);
    }

    /**
     * Where three passes are predicted to end, from the target.
     *
     * @return array{float, float, float}
     */
    public function predicted(int $a, int $b, int $c): array
    {
        $at = $a * $this->atlas->size + $b;
        $share = $this->atlas->pairShares[$c % Moves::MARKS][$at];
        $end = [];
        foreach ($this->pairs as $dimension => $pairs) {
            $interplay = $this->interplay[$dimension];
            $end[] = $pairs[$at] + $share * ($this->densities[$dimension][$c] + self::BENEATH[0] * $interplay[$b][$c] + self::BENEATH[1] * $interplay[$a][$c]);
        }

        /** @var array{float, float, float} */
        return $end;
    }

    /** How far a look is from the target, exactly. */
    public function apart(Look $look): float
    {
        return $this->mode->apart($look->lab, $this->target);
    }

    /**
     * Where a laid stack has ended, from the target.
     *
     * @return array{float, float, float}
     */
    public function ended(Candidate $laid): array
    {
        return $this->away($laid->look->logs);
    }

    /**
     * The passes that would bring a laid stack nearest, nearest first.
     *
     * @return list<int>
     */
    public function next(Candidate $on, int $count): array
    {
        $at = $this->away($on->look->logs);
        $shares = $this->moves->shares($on->sheet);
        $beneath = array_reverse($on->moves);
        $effect = $this->densities;
        foreach ($effect as $dimension => $row) {
            foreach ($beneath as $depth => $below) {
                $weight = self::BENEATH[min($depth, 2)];
                foreach ($this->interplay[$dimension][$below] as $c => $g) {
                    $row[$c] += $weight * $g;
                }
            }
            $effect[$dimension] = $row;
        }
        [$u0, $u1, $u2] = $effect;
        $miss = [];
        foreach ($u0 as $c => $u) {
            $s = $shares[$c % Moves::MARKS];
            $e0 = $at[0] + $s * $u;
            $e1 = $at[1] + $s * $u1[$c];
            $e2 = $at[2] + $s * $u2[$c];
            $miss[$c] = $e0 * $e0 + $e1 * $e1 + $e2 * $e2;
        }
        asort($miss);

        return array_slice(array_keys($miss), 0, $count);
    }

    /**
     * How far a laid stack would about end from the target, squared, with other passes in place of one, or with none.
     *
     * @param  list<int>  $others
     */
    public function exchanged(Candidate $laid, int $move, array $others): float
    {
        $sum = 0.0;
        foreach ($this->ended($laid) as $dimension => $at) {
            $change = -$this->densities[$dimension][$move];
            foreach ($others as $other) {
                $change += $this->densities[$dimension][$other];
            }
            $sum += ($at + self::EXCHANGE * $change) ** 2;
        }

        return $sum;
    }

    /**
     * Passes of other pencils that change a bare paper most like this one.
     *
     * @return list<int>
     */
    public function alike(int $move, int $count): array
    {
        [$d0, $d1, $d2] = $this->densities;
        $apart = [];
        foreach ($d0 as $other => $d) {
            if (Moves::pencilOf($other) !== Moves::pencilOf($move)) {
                $apart[$other] = self::squared([$d - $d0[$move], $d1[$other] - $d1[$move], $d2[$other] - $d2[$move]]);
            }
        }
        asort($apart);

        return array_slice(array_keys($apart), 0, $count);
    }

    /**
     * Squared ΔE00 that an ordinary hand adds by one pass, estimated: the change that the pass made is taken to grow with its film,
     * and its film with pressure as on bare paper. For choosing which stacks deserve {@see Steadiness}.
     */
    public function sway(Look $before, Look $after, int $mark): float
    {
        $change = self::squared($this->metric->stretch([$after->logs[0] - $before->logs[0], $after->logs[1] - $before->logs[1], $after->logs[2] - $before->logs[2]]));

        return $change * $this->swayOfFilm[$mark];
    }

    /** @return iterable<int> pairs (a, b), at a·n + b, of which one pencil may not lie over the other */
    private function forbidden(): iterable
    {
        $n = $this->atlas->size;
        for ($at = 0; $at < $n * $n; $at++) {
            if (! $this->rules->follows(Moves::pencilOf(intdiv($at, $n)), Moves::pencilOf($at % $n))) {
                yield $at;
            }
        }
    }

    /** @return list<float> squared relative change of film in an ordinary hand, by mark */
    private function swayOfFilm(): array
    {
        $sways = [];
        foreach ($this->moves->bareFilm as $mark => $film) {
            $up = min(Moves::MARKS - 1, $mark + 1);
            $down = max(0, $mark - 1);
            $slope = ($this->moves->bareFilm[$up] - $this->moves->bareFilm[$down]) / ($this->moves->pressures[$up] - $this->moves->pressures[$down]);
            $sways[] = Steadiness::LAYDOWN_DEVIATION ** 2 + (Steadiness::PRESSURE_DEVIATION * $slope / $film) ** 2;
        }

        return $sways;
    }

    /**
     * What a pass c on a and on something over a changes, all but g of what lies right beneath.
     *
     * @return list<float> by c
     */
    private function above(int $a, int $dimension): array
    {
        return array_map(static fn (float $g, float $d): float => $d + self::BENEATH[1] * $g, $this->interplay[$dimension][$a], $this->densities[$dimension]);
    }

    /**
     * @param  array<int, list<float>>  $rows
     * @return array{array<int, list<float>>, array<int, list<float>>} the least and the greatest of every row at each mark
     */
    private function extremes(array $rows): array
    {
        $low = $high = [];
        foreach ($rows as $r => $row) {
            $low[$r] = array_slice($row, 0, Moves::MARKS);
            $high[$r] = $low[$r];
            foreach ($row as $c => $value) {
                $mark = $c % Moves::MARKS;
                if ($value < $low[$r][$mark]) {
                    $low[$r][$mark] = $value;
                } elseif ($value > $high[$r][$mark]) {
                    $high[$r][$mark] = $value;
                }
            }
        }

        return [$low, $high];
    }

    /**
     * @param  array{float, float, float}  $logs
     * @return array{float, float, float} from the target, in the metric
     */
    private function away(array $logs): array
    {
        return $this->metric->stretch([$logs[0] - $this->targetLogs[0], $logs[1] - $this->targetLogs[1], $logs[2] - $this->targetLogs[2]]);
    }

    /** @param  array{float, float, float}  $v */
    private static function squared(array $v): float
    {
        return $v[0] * $v[0] + $v[1] * $v[1] + $v[2] * $v[2];
    }

    /**
     * {@see LocalMetric::stretch()} of long rows.
     *
     * @param  list<list<float>>  $rows  one a cone
     * @param  array{float, float, float}  $from
     * @return list<list<float>>
     */
    private function stretched(array $rows, array $from): array
    {
        [$a, $b, $c, $d, $e, $f] = $this->metric->factor;
        [$from0, $from1, $from2] = $from;
        [$r0, $r1, $r2] = $rows;
        $o0 = $o1 = $o2 = [];
        foreach ($r0 as $i => $v) {
            $x = $v - $from0;
            $y = $r1[$i] - $from1;
            $z = $r2[$i] - $from2;
            $o0[] = $a * $x + $b * $y + $c * $z;
            $o1[] = $d * $y + $e * $z;
            $o2[] = $f * $z;
        }

        return [$o0, $o1, $o2];
    }
}
