<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Pieces that no hand would name: they go to that neighbour whose line explains them best, unless they stand out, as a lamp does or an eye.
 */
final readonly class Crumbs
{
    /** Pieces below this share of the picture, and below that one where they stand out by so much, ΔE00. */
    private const LEAST = 0.0015;

    private const LEAST_STANDING_OUT = 0.0003;

    private const STANDS_OUT = 20.0;

    /** One may have gone to another that went elsewhere itself. */
    private const ROUNDS = 6;

    public function __construct(private PixelGrid $grid, private Explained $explained)
    {
    }

    /**
     * @param  list<int>  $labels
     * @return list<int>
     */
    public function swept(array $labels): array
    {
        $costs = $this->explained->costs($labels, isFar: false);
        for ($round = 0, $before = []; $round < self::ROUNDS && $labels !== $before; $round++) {
            $before = $labels;
            $pieces = Patchwork::byPiece($labels, $this->grid->width, $this->grid->height);
            usort($pieces, static fn (array $a, array $b): int => count($a) <=> count($b));
            foreach ($pieces as $piece) {
                if (count($piece) >= self::LEAST * $this->grid->count()) {
                    break;
                }
                $around = $this->around($labels, $piece);
                if (
                    $around === [] ||
                    (count($piece) >= self::LEAST_STANDING_OUT * $this->grid->count() && $this->standsOut($labels, $piece, $around))
                ) {
                    continue;
                }
                $to = self::likest($labels, $piece, $around, $costs);
                foreach ($piece as $at) {
                    $labels[$at] = $to;
                }
            }
            $labels = array_values($labels);
        }

        return $labels;
    }

    /**
     * Whether it is unlike each that surrounds it: at an edge everything is unlike the mean of both sides.
     *
     * @param  array<int, int>  $labels
     * @param  non-empty-list<int>  $piece
     * @param  non-empty-list<int>  $around
     */
    private function standsOut(array $labels, array $piece, array $around): bool
    {
        $own = $this->grid->mean($piece);
        $sides = [];
        foreach ($around as $at) {
            $sides[$labels[$at]][] = $at;
        }
        foreach ($sides as $side) {
            if ($own->deltaE00($this->grid->mean($side)) <= self::STANDS_OUT) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<int, int>  $labels
     * @param  non-empty-list<int>  $piece
     * @param  non-empty-list<int>  $around
     * @param  array<int, list<float>>  $costs
     * @return int of those around it, the label whose line explains it best
     */
    private static function likest(array $labels, array $piece, array $around, array $costs): int
    {
        $best = [INF, $labels[$piece[0]]];
        foreach (array_unique(array_map(static fn (int $at): int => $labels[$at], $around)) as $other) {
            $sum = array_sum(array_map(static fn (int $at): float => $costs[$other][$at], $piece));
            $best = $sum < $best[0] ? [$sum, $other] : $best;
        }

        return $best[1];
    }

    /**
     * @param  array<int, int>  $labels
     * @param  non-empty-list<int>  $piece
     * @return list<int> pixels of others that touch it
     */
    private function around(array $labels, array $piece): array
    {
        $w = $this->grid->width;
        $around = [];
        foreach ($piece as $at) {
            foreach ([$at % $w > 0 ? $at - 1 : $at, $at % $w < $w - 1 ? $at + 1 : $at, $at - $w, $at + $w] as $near) {
                if (isset($labels[$near]) && $labels[$near] !== $labels[$piece[0]]) {
                    $around[$near] = $near;
                }
            }
        }

        return array_values($around);
    }
}
