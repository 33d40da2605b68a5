<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Neighbours agree unless the photo has an edge between them: a Potts term that contrast weakens, by iterated conditional modes (J. Besag,
 * "On the statistical analysis of dirty pictures", Journal of the Royal Statistical Society B 48, 1986).
 */
final readonly class Agreement
{
    /** What a border between two pixels that look alike counts, and the ΔE at which it counts e times less. */
    private const BORDER = 2.4;

    private const EDGE = 5.0;

    /** ΔE between two pixels below which the photo has no edge there. */
    private const NO_EDGE = 3.0;

    private const SWEEPS = 3;

    /** @var list<float> what a border to the right, and one below, counts at each pixel */
    private array $right;

    /** @var list<float> */
    private array $below;

    public function __construct(private PixelGrid $grid)
    {
        [$w, $n] = [$grid->width, $grid->count()];
        $counts = static fn (int $at, int $other): float => self::BORDER *
            exp(
                -(
                    ($grid->l[$at] - $grid->l[$other]) ** 2 +
                    ($grid->a[$at] - $grid->a[$other]) ** 2 +
                    ($grid->b[$at] - $grid->b[$other]) ** 2
                ) /
                    self::EDGE ** 2,
            );
        $right = $below = [];
        for ($at = 0; $at < $n; $at++) {
            $right[] = $at % $w < $w - 1 ? $counts($at, $at + 1) : 0.0;
            $below[] = $at + $w < $n ? $counts($at, $at + $w) : 0.0;
        }
        [$this->right, $this->below] = [$right, $below];
    }

    /**
     * Iterated conditional modes, from what each pixel would be by itself.
     *
     * @param  list<int>  $labels
     * @param  array<int, list<float>>  $costs  by label
     * @return list<int>
     */
    public function of(array $labels, array $costs): array
    {
        [$w, $n, $right, $below] = [$this->grid->width, $this->grid->count(), $this->right, $this->below];
        $alone = $labels;
        for ($sweep = 0; $sweep < self::SWEEPS; $sweep++) {
            $moved = 0;
            for ($at = 0; $at < $n; $at++) {
                $own = $labels[$at];
                $x = $at % $w;
                $near = [];
                $whole = 0.0;
                if ($x > 0) {
                    $near[$labels[$at - 1]] = $right[$at - 1];
                    $whole += $right[$at - 1];
                }
                if ($x < $w - 1) {
                    $near[$labels[$at + 1]] = ($near[$labels[$at + 1]] ?? 0.0) + $right[$at];
                    $whole += $right[$at];
                }
                if ($at >= $w) {
                    $near[$labels[$at - $w]] = ($near[$labels[$at - $w]] ?? 0.0) + $below[$at - $w];
                    $whole += $below[$at - $w];
                }
                if ($at + $w < $n) {
                    $near[$labels[$at + $w]] = ($near[$labels[$at + $w]] ?? 0.0) + $below[$at];
                    $whole += $below[$at];
                }
                if (count($near) === 1 && isset($near[$own])) {
                    continue;
                }
                $near[$own] ??= 0.0;
                $near[$alone[$at]] ??= 0.0;
                $least = INF;
                $best = $own;
                foreach ($near as $label => $agrees) {
                    $cost = $costs[$label][$at] + $whole - $agrees;
                    if ($cost < $least) {
                        [$least, $best] = [$cost, $label];
                    }
                }
                if ($best !== $own) {
                    $labels[$at] = $best;
                    $moved++;
                }
            }
            if ($moved === 0) {
                break;
            }
        }

        return array_values($labels);
    }

    /**
     * @param  list<int>  $labels
     * @return array<int, array<int, float>> length, pixels, of the border that two share where the photo has no edge
     */
    public function unedged(array $labels): array
    {
        $lengths = [];
        $flat = self::BORDER * exp(-((self::NO_EDGE / self::EDGE) ** 2));
        $w = $this->grid->width;
        foreach ($labels as $at => $label) {
            foreach ([[$at + 1, $this->right[$at]], [$at + $w, $this->below[$at]]] as [$other, $counts]) {
                if ($counts >= $flat && $labels[$other] !== $label) {
                    $lengths[$label][$labels[$other]] = ($lengths[$label][$labels[$other]] ?? 0.0) + 1;
                    $lengths[$labels[$other]][$label] = ($lengths[$labels[$other]][$label] ?? 0.0) + 1;
                }
            }
        }

        return $lengths;
    }
}
