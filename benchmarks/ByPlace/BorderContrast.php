<?php

declare(strict_types=1);

namespace Benchmarks\ByPlace;

use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** What is seen to either side of the borders between patches: an edge of the photo, or the same thing graded on. */
final class BorderContrast
{
    /** Pixels to either side that are looked at. */
    private const DEPTH = 3;

    /**
     * @var array<int, array<int, array{int, float}>> by patch and patch: length in pixel edges, and that times the ΔE between the means of
     *   its two sides
     */
    public readonly array $borders;

    /** @param  list<int>  $labels  by pixel */
    public function __construct(private readonly PixelGrid $grid, private readonly array $labels)
    {
        $sides = [];
        foreach ($labels as $at => $label) {
            $this->meet($at, $at % $grid->width < $grid->width - 1 ? 1 : 0, $label, $sides);
            $this->meet($at, $at + $grid->width < count($labels) ? $grid->width : 0, $label, $sides);
        }
        $borders = [];
        foreach ($sides as $one => $others) {
            foreach ($others as $other => [$length, $n, $l, $a, $b, $m, $l2, $a2, $b2]) {
                $apart = sqrt(($l / $n - $l2 / $m) ** 2 + ($a / $n - $a2 / $m) ** 2 + ($b / $n - $b2 / $m) ** 2);
                $borders[$one][$other] = $borders[$other][$one] = [$length, $length * $apart];
            }
        }
        $this->borders = $borders;
    }

    /**
     * Adds what lies to either side of one pixel edge, if it parts two patches.
     *
     * @param  array<int, array<int, array{int, int, float, float, float, int, float, float, float}>>  $sides by the lower and the higher
     *   patch: length; pixels, sums of L*, a*, b* of the one, and of the other
     */
    private function meet(int $at, int $step, int $label, array &$sides): void
    {
        $other = $this->labels[$at + $step];
        if ($other === $label) {
            return;
        }
        [$low, $high] = $label < $other ? [$label, $other] : [$other, $label];
        $sides[$low][$high] ??= [0, 0, 0.0, 0.0, 0.0, 0, 0.0, 0.0, 0.0];
        $sum = &$sides[$low][$high];
        $sum[0]++;
        foreach ([[$at, -$step, $label], [$at + $step, $step, $other]] as [$from, $by, $own]) {
            $first = $own === $low ? 1 : 5;
            for ($n = 0; $n < self::DEPTH && ($this->labels[$from] ?? -1) === $own; $n++, $from += $by) {
                $sum[$first]++;
                $sum[$first + 1] += $this->grid->l[$from];
                $sum[$first + 2] += $this->grid->a[$from];
                $sum[$first + 3] += $this->grid->b[$from];
            }
        }
    }
}
