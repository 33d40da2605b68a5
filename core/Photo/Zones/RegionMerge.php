<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Joins touching patches, the most alike first, until as many are left as a hand wants to name. Alike is what has near colour,
 * near value and near texture; small patches join sooner than large ones, as in Ward's clustering.
 */
final class RegionMerge
{
    /** Weight of the difference in texture (standard deviation of L*) against ΔE. */
    private const TEXTURE = 0.6;

    /** Patches more unlike than this, ΔE between their means, stay apart while there are not too many. */
    private const UNLIKE = 13.0;

    /** Regions smaller than this share of the picture don't count as zones, however unlike they are. */
    private const LEAST_SHARE = 0.006;

    /** @var array<int, array{float, float, float, float, int}> sums of L*, a*, b*, L*², and the number of pixels */
    private array $sums = [];

    /** @var array<int, array<int, int>> */
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
        $this->borders = Patchwork::borders($labels, $grid->width, $grid->height);
    }

    /** @return list<int> the region of each pixel */
    public function to(int $fewest, int $most): array
    {
        while (count($this->sums) > $fewest) {
            [$one, $other, $apart] = $this->nearestPair($most);
            if ($one === null || $other === null || (count($this->sums) <= $most && $apart > self::UNLIKE)) {
                break;
            }
            $this->join($one, $other);
        }

        return Patchwork::numbered(array_map(function (int $label): int {
            while ($this->into[$label] !== $label) {
                $label = $this->into[$label];
            }

            return $label;
        }, $this->labels));
    }

    /** @return array{?int, ?int, float} the pair to join next, and how unlike its two are */
    private function nearestPair(int $most): array
    {
        $best = [null, null, INF];
        $least = INF;
        $small = self::LEAST_SHARE * $this->grid->count();
        foreach ($this->borders as $one => $others) {
            foreach ($others as $other => $border) {
                if ($other < $one) {
                    continue;
                }
                $apart = $this->unlike($one, $other);
                [$n, $m] = [$this->sums[$one][4], $this->sums[$other][4]];
                $isSmall = min($n, $m) < $small;
                $cost = $apart * sqrt($n * $m / ($n + $m)) * ($isSmall ? 0.01 : 1.0);
                if ($cost < $least) {
                    $least = $cost;
                    $best = [$one, $other, $isSmall ? 0.0 : $apart];
                }
            }
        }

        return $best;
    }

    private function unlike(int $one, int $other): float
    {
        [$l, $a, $b, $sq, $n] = $this->sums[$one];
        [$l2, $a2, $b2, $sq2, $m] = $this->sums[$other];
        $texture = sqrt(max(0.0, $sq / $n - ($l / $n) ** 2)) - sqrt(max(0.0, $sq2 / $m - ($l2 / $m) ** 2));

        return sqrt(($l / $n - $l2 / $m) ** 2 + ($a / $n - $a2 / $m) ** 2 + ($b / $n - $b2 / $m) ** 2 + (self::TEXTURE * $texture) ** 2);
    }

    private function join(int $one, int $other): void
    {
        [$l, $a, $b, $sq, $n] = $this->sums[$one];
        [$l2, $a2, $b2, $sq2, $m] = $this->sums[$other];
        $this->sums[$one] = [$l + $l2, $a + $a2, $b + $b2, $sq + $sq2, $n + $m];
        foreach ($this->borders[$other] as $third => $length) {
            unset($this->borders[$third][$other]);
            if ($third !== $one) {
                $this->borders[$one][$third] = ($this->borders[$one][$third] ?? 0) + $length;
                $this->borders[$third][$one] = ($this->borders[$third][$one] ?? 0) + $length;
            }
        }
        unset($this->sums[$other], $this->borders[$other]);
        $this->into[$other] = $one;
    }
}
