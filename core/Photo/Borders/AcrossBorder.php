<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * What the photo has across a border, pixel by pixel from one zone into the other, in the mean of some length of it: grain and texture are
 * gone then, an edge is not.
 */
final readonly class AcrossBorder
{
    /** Pixels to either side that are looked at. */
    public const REACH = 10;

    /** Edges before and after one whose mean is taken. */
    private const ALONG = 6;

    /** Of those, the share that must have a pixel so far from the border. */
    private const KNOWN = 0.5;

    /** ΔE00 from one pixel to the next, over three steps across, below which there is no edge. */
    private const NO_EDGE = 2.0;

    /**
     * @param  array<int, array{float, float, float}>  $means L*, a* and b* by place: 0 and up within the one zone, −1 and down within the
     *   other
     */
    private function __construct(private array $means)
    {
    }

    /**
     * @param  PixelGrid  $photo  without grain
     * @param  non-empty-list<array{int, int, int, int, int}>  $edges  of a stretch, in their order
     * @return list<self> at every edge
     */
    public static function along(array $edges, int $one, int $other, LabelGrid $labels, PixelGrid $photo): array
    {
        $n = count($edges);
        $lines = [];
        foreach ($edges as $i => $edge) {
            $lines[] = self::pixels($edge, self::heading($edges, $i), $one, $other, $labels);
        }
        $found = $sums = [];
        // What comes into the length that counts is added, what leaves it taken off.
        for ($i = -self::ALONG; $i < $n; $i++) {
            foreach ([[$i + self::ALONG, 1], [$i - self::ALONG - 1, -1]] as [$k, $sign]) {
                foreach ($lines[$k] ?? [] as $place => $at) {
                    $sum = $sums[$place] ?? [0.0, 0.0, 0.0, 0];
                    $sums[$place] = [
                        $sum[0] + $sign * $photo->l[$at],
                        $sum[1] + $sign * $photo->a[$at],
                        $sum[2] + $sign * $photo->b[$at],
                        $sum[3] + $sign,
                    ];
                }
            }
            if ($i >= 0) {
                $least = self::KNOWN * (min($n - 1, $i + self::ALONG) - max(0, $i - self::ALONG) + 1);
                $known = array_filter($sums, static fn (array $sum): bool => $sum[3] >= $least);
                $found[] = new self(
                    array_map(static fn (array $sum): array => [$sum[0] / $sum[3], $sum[1] / $sum[3], $sum[2] / $sum[3]], $known),
                );
            }
        }

        return $found;
    }

    /** Whether the photo has no edge here. */
    public function hasNoEdge(): bool
    {
        return $this->steepest() < self::NO_EDGE;
    }

    /** ΔE00 from one pixel to the next over three steps across, at most; without end where a zone is too thin to tell. */
    public function steepest(): float
    {
        return isset($this->means[-2], $this->means[1]) ? max($this->step(-1), $this->step(0), $this->step(1)) : INF;
    }

    /**
     * Over how many pixels the photo goes from the one zone's colour to the other's: as far as the whole change would take at its steepest.
     */
    public function width(): float
    {
        $near = array_filter([-2, -1, 0, 1, 2], fn (int $place): bool => isset($this->means[$place], $this->means[$place - 1]));
        $steepest = max([1e-6, ...array_map($this->step(...), $near)]);
        [$first, $last] = [0, -1];
        while (isset($this->means[$first + 1])) {
            $first++;
        }
        while (isset($this->means[$last - 1])) {
            $last--;
        }
        $whole = isset($this->means[$first], $this->means[$last]) ? self::apart($this->means[$first], $this->means[$last]) : 0.0;

        // Where nothing changes to speak of, what is steepest is grain.
        return $whole < self::NO_EDGE ? 2.0 * self::REACH : min(2.0 * self::REACH, $whole / $steepest);
    }

    private function step(int $place): float
    {
        return self::apart($this->means[$place], $this->means[$place - 1]);
    }

    /**
     * ΔE00
     *
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     */
    private static function apart(array $a, array $b): float
    {
        return (new Lab(...$a))->deltaE00(new Lab(...$b));
    }

    /**
     * Which way the border runs around an edge: stairs of pixels are a slope.
     *
     * @param  non-empty-list<array{int, int, int, int, int}>  $edges
     * @return array{float, float}
     */
    private static function heading(array $edges, int $at): array
    {
        [$first, $last] = [$edges[max(0, $at - self::ALONG)], $edges[min(count($edges) - 1, $at + self::ALONG)]];
        [$dx, $dy] = [$last[2] - $first[0], $last[3] - $first[1]];
        $long = hypot($dx, $dy);

        return $long > 0.0
            ? [$dx / $long, $dy / $long]
            : [(float) ($edges[$at][2] - $edges[$at][0]), (float) ($edges[$at][3] - $edges[$at][1])];
    }

    /**
     * The pixels on a line across an edge, as far as they are of the two zones.
     *
     * @param  array{int, int, int, int, int}  $edge
     * @param  array{float, float}  $heading
     * @return array<int, int> by place
     */
    private static function pixels(array $edge, array $heading, int $one, int $other, LabelGrid $labels): array
    {
        [$x, $y] = [($edge[0] + $edge[2]) / 2, ($edge[1] + $edge[3]) / 2];
        // The one zone lies to the right of the way along the border.
        [$nx, $ny] = [-$heading[1], $heading[0]];
        $pixels = [];
        foreach ([[1, 0, chr($one)], [-1, -1, chr($other)]] as [$side, $first, $zone]) {
            for ($step = 0; $step < self::REACH; $step++) {
                $off = $side * ($step + 0.5);
                [$u, $v] = [(int) floor($x + $nx * $off), (int) floor($y + $ny * $off)];
                $at = $v * $labels->width + $u;
                if ($u < 0 || $v < 0 || $u >= $labels->width || $v >= $labels->height || $labels->bytes[$at] !== $zone) {
                    // Stairs may lie a pixel before or behind the slope.
                    if ($step === 0) {
                        continue;
                    }
                    break;
                }
                $pixels[$first + $side * $step] = $at;
            }
        }

        return $pixels;
    }
}
