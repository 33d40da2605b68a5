<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\GrainForecast;
use KnottyPrism\Core\Recipe\Search\HandSway;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * What every small set of pencils may make of one colour, without laying anything: from the {@see Atlas}, in the colour's
 * {@see LocalMetric}, where a length is about a ΔE00. It chooses palettes; whatever is planned with them is then laid exactly.
 */
final readonly class SetForecast
{
    /** @var array{float, float, float} */
    private array $targetLogs;

    private LocalMetric $metric;

    /** @var list<array<int, float>> per dimension: where each pair lies, from the target */
    private array $pairs;

    /** @var list<list<float>> per dimension: density of each pass */
    private array $densities;

    /** @var list<list<list<float>>> per dimension, row a: g(a, c) */
    private array $interplay;

    /** @param  float  $grainCounts  see {@see \KnottyPrism\Core\Recipe\Sequence\Shade::$grainCounts} */
    public function __construct(
        private Moves $moves,
        private Atlas $atlas,
        Lab $target,
        Mode $mode = Mode::ColourAndValue,
        private float $grainCounts = 0.0,
    ) {
        $this->targetLogs = Look::of($target)->logs;
        $this->metric = new LocalMetric($target, $mode);
        $this->pairs = $this->stretched($atlas->pairs, $this->targetLogs);
        $this->densities = $this->stretched($atlas->densities, [0.0, 0.0, 0.0]);
        $this->interplay = array_map(
            static fn (array $flat): array => array_chunk($flat, max(1, $atlas->size)),
            $this->stretched($atlas->interplay, [0.0, 0.0, 0.0]),
        );
    }

    /**
     * How far off every set of one, two or three pencils is likely to be on paper in up to three passes, by forecast: what is missed, what
     * an ordinary hand adds, what the model may err by, and what shows through. First and second passes are tried at every other pressure
     * only: what they miss, the passes over them make up for.
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
        $grains = GrainForecast::ofMoves($this->moves);
        $counts = $this->grainCounts ** 2;
        $least = [];
        for ($a = 0; $a < $n; $a++) {
            if (($a % Moves::PRESSURES) % 2 === 1) {
                continue;
            }
            [$h0, $h1, $h2] = [$this->above($a, 0), $this->above($a, 1), $this->above($a, 2)];
            $bitA = 1 << intdiv($a, Moves::PRESSURES);
            $one = self::squared($this->away($this->atlas->singles[$a])) + $doubt1 + $sways[$a] + $counts * $grains[$a] ** 2;
            $least[$bitA] = min($least[$bitA] ?? INF, $one);
            for ($b = 0; $b < $n; $b++) {
                if (($b % Moves::PRESSURES) % 2 === 1) {
                    continue;
                }
                $at = $a * $n + $b;
                [$x, $y, $z] = [$p0[$at], $p1[$at], $p2[$at]];
                $sway = $sways[$a] + $sways[$b];
                $bits = $bitA | (1 << intdiv($b, Moves::PRESSURES));
                $grain = self::grainAfter($grains[$a], $this->atlas->singleShares[$b % Moves::PRESSURES][$a], $grains[$b]);
                $two = $x * $x + $y * $y + $z * $z + $doubt2 + $sway + $counts * $grain * $grain;
                if ($two < ($least[$bits] ?? INF)) {
                    $least[$bits] = $two;
                }
                [$gb0, $gb1, $gb2] = [$g0[$b], $g1[$b], $g2[$b]];
                $shares = [
                    $this->atlas->pairShares[0][$at],
                    $this->atlas->pairShares[1][$at],
                    $this->atlas->pairShares[2][$at],
                    $this->atlas->pairShares[3][$at],
                    $this->atlas->pairShares[4][$at],
                ];
                [$stays, $covered] = [GrainForecast::STAYS * $grain - GrainForecast::LESS, GrainForecast::COVERED * $grain];
                for ($c = 0; $c < $n;) {
                    $set = $bits | (1 << intdiv($c, Moves::PRESSURES));
                    $best = $least[$set] ?? INF;
                    // The pressures of one pencil, one after the other.
                    for ($pressure = 0; $pressure < Moves::PRESSURES; $pressure++, $c++) {
                        $s = $shares[$pressure];
                        $e = $x + $s * ($h0[$c] + $gb0[$c]);
                        $q = $e * $e + $doubt3 + $sway + $s * $s * $sways[$c];
                        $left = $stays + $s * (GrainForecast::OF_PASS * $grains[$c] - $covered);
                        $q += $left > 0.0 ? $counts * $left * $left : 0.0;
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
     * What a pass c on a and on something over a changes, all but g of what lies right beneath.
     *
     * @return list<float> by c
     */
    private function above(int $a, int $dimension): array
    {
        return array_map(
            static fn (float $g, float $d): float => $d + Atlas::BENEATH[1] * $g,
            $this->interplay[$dimension][$a],
            $this->densities[$dimension],
        );
    }

    /**
     * @param  array{float, float, float}  $logs
     * @return array{float, float, float} from the target, in the metric
     */
    private function away(array $logs): array
    {
        return $this->metric->stretch([
            $logs[0] - $this->targetLogs[0],
            $logs[1] - $this->targetLogs[1],
            $logs[2] - $this->targetLogs[2],
        ]);
    }

    private static function grainAfter(float $before, float $share, float $ofPass): float
    {
        return max(
            0.0,
            GrainForecast::STAYS * $before +
                $share * (GrainForecast::OF_PASS * $ofPass - GrainForecast::COVERED * $before) -
                GrainForecast::LESS,
        );
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
