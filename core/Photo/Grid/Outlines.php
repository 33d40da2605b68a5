<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Grid;

/** Follows the borders of areas on a grid and draws them as smooth closed lines. */
final class Outlines
{
    /** Weights of the moving mean along a border, in pixel edges: stairs become slopes, corners of some pixels stay. */
    private const SMOOTHING = [1, 2, 3, 2, 1];

    /** Every so many points of a smoothed line are kept. */
    private const KEPT = 2;

    private const DIGITS = 4;

    /** @var array<int, list<array{int, int, int, int, int}>> by zone, closed loops one after the other: see {@see self::loops()} */
    private array $edges = [];

    /** @var array<int, list<non-empty-list<array{int, int, int, int, int}>>> by zone */
    private array $loops = [];

    private readonly int $width;

    private readonly int $height;

    private readonly string $labels;

    public function __construct(LabelGrid $grid)
    {
        [$width, $height, $labels] = [$this->width, $this->height, $this->labels] = [$grid->width, $grid->height, $grid->bytes];
        for ($y = 0, $at = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++, $at++) {
                $own = $labels[$at];
                $above = $y > 0 ? $labels[$at - $width] : "\0";
                $right = $x < $width - 1 ? $labels[$at + 1] : "\0";
                $below = $y < $height - 1 ? $labels[$at + $width] : "\0";
                $left = $x > 0 ? $labels[$at - 1] : "\0";
                $zone = ord($own);
                // Clockwise, so that the zone lies to the right of each edge.
                if ($above !== $own) {
                    $this->edges[$zone][] = [$x, $y, $x + 1, $y, ord($above)];
                }
                if ($right !== $own) {
                    $this->edges[$zone][] = [$x + 1, $y, $x + 1, $y + 1, ord($right)];
                }
                if ($below !== $own) {
                    $this->edges[$zone][] = [$x + 1, $y + 1, $x, $y + 1, ord($below)];
                }
                if ($left !== $own) {
                    $this->edges[$zone][] = [$x, $y + 1, $x, $y, ord($left)];
                }
            }
        }
    }

    /**
     * The closed lines round some pixels of a grid.
     *
     * @param  list<int>  $pixels
     * @return list<list<float>> each x, y, x, y, … as shares of width and height; none round nothing
     */
    public static function around(int $width, int $height, array $pixels): array
    {
        $mask = str_repeat("\2", $width * $height);
        foreach ($pixels as $at) {
            $mask[$at] = "\1";
        }

        return $pixels === [] ? [] : (new self(new LabelGrid($width, $height, $mask)))->of(1);
    }

    /**
     * The closed lines round an area.
     *
     * @return list<list<float>> each x, y, x, y, … as shares of width and height
     */
    public function of(int $zone): array
    {
        return array_map(function (array $loop): array {
            $points = $this->smoothed(array_map(static fn (array $edge): array => [$edge[0], $edge[1]], $loop), true);

            return $this->flat($points);
        }, $this->loops($zone));
    }

    /**
     * The lines along which two areas touch.
     *
     * @return list<list<float>> each x, y, x, y, … as shares of width and height
     */
    public function between(int $zone, int $other): array
    {
        return array_map($this->line(...), $this->stretches($zone, $other));
    }

    /**
     * The same as pixel edges, along the border, with the first area to their right.
     *
     * @return list<non-empty-list<array{int, int, int, int, int}>> edges from x, y to x, y
     */
    public function stretches(int $zone, int $other): array
    {
        $stretches = [];
        foreach ($this->loops($zone) as $loop) {
            // Begin where the border begins, so that a stretch is not cut in two by where the loop happens to start.
            $n = count($loop);
            for ($start = 0; $start < $n && $loop[$start][4] === $other; $start++);
            $stretch = [];
            for ($i = 0; $i <= $n; $i++) {
                $edge = $loop[($start + $i) % $n];
                if ($edge[4] === $other && $i < $n) {
                    $stretch[] = $edge;
                } elseif ($stretch !== []) {
                    $stretches[] = $stretch;
                    $stretch = [];
                }
            }
        }

        return $stretches;
    }

    /**
     * Pixel edges that follow each other as one smooth open line.
     *
     * @param  non-empty-list<array{int, int, int, int, int}>  $edges
     * @return list<float> x, y, x, y, … as shares of width and height
     */
    public function line(array $edges): array
    {
        $last = $edges[count($edges) - 1];

        return $this->flat(
            $this->smoothed([...array_map(static fn (array $edge): array => [$edge[0], $edge[1]], $edges), [$last[2], $last[3]]], false),
        );
    }

    /**
     * Pixels to either side of the border between two areas, some steps deep.
     *
     * @return array{list<int>, list<int>} none where they do not touch
     */
    public function alongside(int $zone, int $other, int $depth): array
    {
        $sides = [$zone => [], $other => []];
        foreach ($this->edges[$zone] ?? [] as [$x0, $y0, $x1, $y1, $beyond]) {
            if ($beyond !== $other) {
                continue;
            }
            [$dx, $dy] = [$y0 - $y1, $x1 - $x0];
            $x = min($x0, $x1) + ($dx < 0 ? -1 : 0);
            $y = min($y0, $y1) + ($dy < 0 ? -1 : 0);
            for ($step = $depth - 1; $step >= -$depth; $step--) {
                [$u, $v] = [$x + $dx * $step, $y + $dy * $step];
                if ($u >= 0 && $v >= 0 && $u < $this->width && $v < $this->height) {
                    $sides[ord($this->labels[$v * $this->width + $u])][$v * $this->width + $u] = true;
                }
            }
        }

        return [array_keys($sides[$zone]), array_keys($sides[$other])];
    }

    /** @return array<int, int> how many pixel edges an area shares with every other; 0 is the frame */
    public function shared(int $zone): array
    {
        return array_count_values(array_column($this->edges[$zone] ?? [], 4));
    }

    /** @return list<non-empty-list<array{int, int, int, int, int}>> edges from x, y to x, y, with what lies beyond */
    private function loops(int $zone): array
    {
        if (isset($this->loops[$zone])) {
            return $this->loops[$zone];
        }
        $from = [];
        foreach ($this->edges[$zone] ?? [] as $edge) {
            $from[$edge[1] * ($this->width + 1) + $edge[0]][] = $edge;
        }
        $loops = [];
        while ($from !== []) {
            $key = array_key_first($from);
            $loop = [];
            while (isset($from[$key])) {
                $edge = array_pop($from[$key]);
                if ($edge === null) {
                    break;
                }
                if ($from[$key] === []) {
                    unset($from[$key]);
                }
                $loop[] = $edge;
                $key = $edge[3] * ($this->width + 1) + $edge[2];
            }
            if ($loop !== []) {
                $loops[] = $loop;
            }
        }

        return $this->loops[$zone] = $loops;
    }

    /**
     * @param  list<array{int, int}>  $points
     * @return list<array{float, float}>
     */
    private function smoothed(array $points, bool $closed): array
    {
        $n = count($points);
        $reach = intdiv(count(self::SMOOTHING), 2);
        $smooth = [];
        foreach ($points as $i => [$px, $py]) {
            $x = $y = 0.0;
            $sum = 0;
            foreach (self::SMOOTHING as $k => $weight) {
                $at = $i + $k - $reach;
                if ($closed) {
                    $at = ($at + 2 * $n) % $n;
                } elseif ($at < 0 || $at >= $n || min($i, $n - 1 - $i) < abs($k - $reach)) {
                    continue;
                }
                $x += $weight * $points[$at][0];
                $y += $weight * $points[$at][1];
                $sum += $weight;
            }
            // What lies on the picture's frame stays on it.
            if ($i % self::KEPT === 0 || $i === $n - 1) {
                $smooth[] = [
                    $px === 0 || $px === $this->width ? (float) $px : $x / max(1, $sum),
                    $py === 0 || $py === $this->height ? (float) $py : $y / max(1, $sum),
                ];
            }
        }

        return $smooth;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<float>
     */
    private function flat(array $points): array
    {
        $flat = [];
        foreach ($points as [$x, $y]) {
            $flat[] = round($x / $this->width, self::DIGITS);
            $flat[] = round($y / $this->height, self::DIGITS);
        }

        return $flat;
    }
}
