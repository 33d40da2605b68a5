<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/**
 * The straight edge of a shadow across something flat, from the light on the paper along its four sides: where two sides step by the same
 * share, a line leads from one step to the other. Joining the sides themselves would smear such an edge over all that lies between.
 *
 * Places are shares across and down, the line n·place = d with n of length 1, and a place lies in shadow by 1/(1 + e^−(n·place − d)/w).
 */
final readonly class ShadowEdge
{
    /** Places looked at for a step, and how far to either side it is measured, in samples of a side. */
    private const MOST = 10;

    private const REACH = 3;

    /** The least step that is one, of the logarithm of light. */
    private const STEP = 0.03;

    /** How gradually light goes over into shadow, shares of the side. */
    private const WIDTHS = [0.006, 0.012, 0.02, 0.035, 0.06];

    /** Of the unevenness along the sides so much must be told by the edge; the rest is how the light falls off, strokes and noise. */
    private const TELLS = 0.5;

    /** How the ends of the line are moved to fit better, shares of a side: this far at first, halved so often. */
    private const MOVE = 0.02;

    private const FINER = 4;

    /** @param  float  $depth  logarithm of what the shadow leaves of the light, below 0 on the shaded side of the line */
    private function __construct(private float $nx, private float $ny, private float $d, private float $width, private float $depth)
    {
    }

    /**
     * @param  list<list<float>>  $sides logarithms of the light on the paper above, below, left and right, from left to right and from top
     *   to
     *   bottom, evenly spaced
     * @return ?self null when no line tells enough
     */
    public static function across(array $sides): ?self
    {
        $steps = self::steps($sides);
        $best = null;
        $most = self::TELLS * self::roughness(array_map(self::bends(...), $sides));
        foreach ($steps as $i => $one) {
            foreach (array_slice($steps, $i + 1) as $other) {
                if ($one[0] === $other[0]) {
                    continue;
                }
                foreach (self::WIDTHS as $width) {
                    [$tells, $edge] = self::through($one, $other, $width, $sides);
                    if ($tells > $most) {
                        [$most, $best] = [$tells, [$one, $other, $width, $edge]];
                    }
                }
            }
        }

        return $best === null ? null : self::fitted($best, $most, $sides);
    }

    /** What the shadow leaves of the light at a place, above 0; 1 where it does not fall. */
    public function leaves(float $u, float $v): float
    {
        return exp($this->depth * self::shaded($this->nx * $u + $this->ny * $v - $this->d, $this->width));
    }

    /** @return array{float, float} a place along a side, see {@see self::across()} */
    public static function place(int $side, float $share): array
    {
        return match ($side) {
            0 => [$share, 0.0],
            1 => [$share, 1.0],
            2 => [0.0, $share],
            default => [1.0, $share],
        };
    }

    private static function shaded(float $beyond, float $width): float
    {
        return 1 / (1 + exp(max(-60.0, min(60.0, -$beyond / $width))));
    }

    /**
     * @param  list<list<float>>  $sides
     * @return list<array{int, float}> side and share of it, the largest steps first
     */
    private static function steps(array $sides): array
    {
        $found = [];
        foreach ($sides as $side => $along) {
            $last = count($along) - 1;
            $step = [];
            foreach (array_keys($along) as $i) {
                $step[] = abs($along[min($last, $i + self::REACH)] - $along[max(0, $i - self::REACH)]);
            }
            foreach ($step as $i => $size) {
                if ($size >= self::STEP && $size >= max(0.0, ...array_slice($step, max(0, $i - self::REACH), 2 * self::REACH + 1))) {
                    $found[] = [$size, $side, $i / $last];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_map(static fn (array $f): array => [$f[1], $f[2]], array_slice($found, 0, self::MOST));
    }

    /**
     * @param  array{int, float}  $one
     * @param  array{int, float}  $other
     * @param  list<list<float>>  $sides
     * @return array{float, ?self} how much of the sides' bends an edge through two places tells, and that edge at its best depth
     */
    private static function through(array $one, array $other, float $width, array $sides): array
    {
        [[$u, $v], [$p, $q]] = [self::place(...$one), self::place(...$other)];
        $length = hypot($p - $u, $q - $v);
        if ($length < 0.05) {
            return [0.0, null];
        }
        [$nx, $ny] = [($q - $v) / $length, ($u - $p) / $length];
        $d = $nx * $u + $ny * $v;
        $both = $own = 0.0;
        foreach ($sides as $side => $along) {
            $last = count($along) - 1;
            $shaded = array_map(static function (int $i) use ($side, $last, $nx, $ny, $d, $width): float {
                [$x, $y] = self::place($side, $i / $last);

                return self::shaded($nx * $x + $ny * $y - $d, $width);
            }, array_keys($along));
            $seen = self::bends($along);
            foreach (self::bends($shaded) as $i => $bend) {
                $both += $bend * $seen[$i];
                $own += $bend * $bend;
            }
        }

        return $own < 1e-9 ? [0.0, null] : [($both * $both) / $own, new self($nx, $ny, $d, $width, $both / $own)];
    }

    /**
     * @param  array{array{int, float}, array{int, float}, float, ?self}  $best
     * @param  list<list<float>>  $sides
     */
    private static function fitted(array $best, float $most, array $sides): ?self
    {
        for ($move = self::MOVE, $round = 0; $round < self::FINER; $round++, $move /= 2) {
            foreach ([0, 0, 1, 1] as $k => $end) {
                $moved = $best;
                $moved[$end][1] = max(0.0, min(1.0, $best[$end][1] + ($k % 2 === 0 ? $move : -$move)));
                [$tells, $edge] = self::through($moved[0], $moved[1], $best[2], $sides);
                if ($tells > $most) {
                    $moved[3] = $edge;
                    [$most, $best] = [$tells, $moved];
                }
            }
        }

        return $best[3];
    }

    /**
     * How values along a side bend, over a few samples: a fall-off of light hardly does, an edge does.
     *
     * @param  list<float>  $along
     * @return list<float>
     */
    private static function bends(array $along): array
    {
        $bends = [];
        for ($i = self::REACH; $i < count($along) - self::REACH; $i++) {
            $bends[] = $along[$i - self::REACH] - 2 * $along[$i] + $along[$i + self::REACH];
        }

        return $bends;
    }

    /** @param  list<list<float>>  $bends */
    private static function roughness(array $bends): float
    {
        return array_sum(array_map(static fn (float $b): float => $b * $b, array_merge(...$bends)));
    }
}
