<?php

declare(strict_types=1);

namespace Benchmarks\ByPlace;

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Joins touching patches, the most alike first, until as many are left as a hand wants to name. Alike is above all what no edge parts: what
 * is seen to either side of the border they share. A sky or a wall that grades is one, however far its ends lie apart. Colour as a whole
 * and texture count less; small patches join sooner than large ones, as in Ward's clustering.
 */
final class RegionMerge
{
    /** Weights of the difference across the border (ΔE), of that between the means, and of that in texture (standard deviation of L*). */
    private const EDGE = 0.9;

    private const MEANS = 0.2;

    private const TEXTURE = 0.6;

    /** Patches more unlike than this stay apart while there are not too many. */
    private const UNLIKE = 8.0;

    /** And less unlike than this they are one thing that grades, however few there are. */
    private const GRADES = 5.5;

    /** Small ones join first of all, and what only grades before what an edge parts, whatever their size. */
    private const SMALL_FIRST = 0.01;

    private const GRADES_EARLY = 0.1;

    /** Regions smaller than this share of the picture don't count as zones, however unlike they are. */
    private const LEAST_SHARE = 0.006;

    /** @var array<int, array{float, float, float, float, int}> sums of L*, a*, b*, L*², and the number of pixels */
    private array $sums = [];

    /**
     * @var array<int, array<int, array{int, float}>> length of the border that two share, and the sum along it of what its sides differ by,
     *   ΔE
     */
    private array $borders;

    /** @var array<int, int> */
    private array $into = [];

    /** @param  list<int>  $labels */
    public function __construct(private readonly PixelGrid $grid, private readonly array $labels)
    {
        foreach ($labels as $at => $label) {
            $this->sums[$label] ??= [0.0, 0.0, 0.0, 0.0, 0];
            $this->sums[$label][0] += $grid->l[$at];
            $this->sums[$label][1] += $grid->a[$at];
            $this->sums[$label][2] += $grid->b[$at];
            $this->sums[$label][3] += $grid->l[$at] ** 2;
            $this->sums[$label][4]++;
            $this->into[$label] = $label;
        }
        $this->borders = (new BorderContrast($grid, $labels))->borders;
    }

    /**
     * @param  int  $fewest  unless that would cut what only grades
     * @return list<int> the region of each pixel
     */
    public function to(int $fewest, int $most): array
    {
        while (count($this->sums) > 1) {
            [$one, $other, $apart] = $this->nearestPair();
            $kept = count($this->sums) <= $fewest ? self::GRADES : (count($this->sums) <= $most ? self::UNLIKE : INF);
            if ($one === null || $other === null || $apart > $kept) {
                break;
            }
            $this->join($one, $other);
        }

        return Patchwork::numbered(
            array_map(function (int $label): int {
                while ($this->into[$label] !== $label) {
                    $label = $this->into[$label];
                }

                return $label;
            }, $this->labels),
        );
    }

    /** @return array{?int, ?int, float} the pair to join next, and how unlike its two are */
    private function nearestPair(): array
    {
        $best = [null, null, INF];
        $least = INF;
        $small = self::LEAST_SHARE * $this->grid->count();
        foreach ($this->borders as $one => $others) {
            foreach ($others as $other => [$length, $contrast]) {
                if ($other < $one) {
                    continue;
                }
                $apart = $this->unlike($one, $other, $contrast / $length);
                [$n, $m] = [$this->sums[$one][4], $this->sums[$other][4]];
                $isSmall = min($n, $m) < $small;
                $cost =
                    $apart *
                    sqrt(($n * $m) / ($n + $m)) *
                    ($isSmall ? self::SMALL_FIRST : ($apart < self::GRADES ? self::GRADES_EARLY : 1.0));
                if ($cost < $least) {
                    $least = $cost;
                    $best = [$one, $other, $isSmall ? 0.0 : $apart];
                }
            }
        }

        return $best;
    }

    private function unlike(int $one, int $other, float $edge): float
    {
        [$l, $a, $b, $sq, $n] = $this->sums[$one];
        [$l2, $a2, $b2, $sq2, $m] = $this->sums[$other];
        $texture = sqrt(max(0.0, $sq / $n - ($l / $n) ** 2)) - sqrt(max(0.0, $sq2 / $m - ($l2 / $m) ** 2));

        $means = ($l / $n - $l2 / $m) ** 2 + ($a / $n - $a2 / $m) ** 2 + ($b / $n - $b2 / $m) ** 2;

        return sqrt((self::EDGE * $edge) ** 2 + self::MEANS ** 2 * $means + (self::TEXTURE * $texture) ** 2);
    }

    private function join(int $one, int $other): void
    {
        [$l, $a, $b, $sq, $n] = $this->sums[$one];
        [$l2, $a2, $b2, $sq2, $m] = $this->sums[$other];
        $this->sums[$one] = [$l + $l2, $a + $a2, $b + $b2, $sq + $sq2, $n + $m];
        foreach ($this->borders[$other] as $third => [$length, $contrast]) {
            unset($this->borders[$third][$other]);
            if ($third !== $one) {
                [$longer, $more] = $this->borders[$one][$third] ?? [0, 0.0];
                $this->borders[$one][$third] = $this->borders[$third][$one] = [$longer + $length, $more + $contrast];
            }
        }
        unset($this->sums[$other], $this->borders[$other]);
        $this->into[$other] = $one;
    }
}
