<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Places;

/** One connected piece of a zone. */
final readonly class ZonePiece
{
    /**
     * @param  non-empty-list<int>  $pixels
     * @param  float  $area  share of the picture
     * @param  array{float, float}  $at  a point within it, as shares of the picture
     * @param  string  $where  in words, "upper left"
     */
    private function __construct(public array $pixels, public float $area, public array $at, public string $where)
    {
    }

    /** @return list<self> the largest first */
    public static function of(LabelGrid $labels, int $zone): array
    {
        [$width, $height] = [$labels->width, $labels->height];
        $pieces = [];
        foreach ((new Places($width, $height))->pieces($labels->bytes, chr($zone)) as $pixels) {
            $n = count($pixels);
            $x = array_sum(array_map(static fn (int $at): int => $at % $width, $pixels)) / $n;
            $y = array_sum(array_map(static fn (int $at): int => intdiv($at, $width), $pixels)) / $n;
            // The middle of a bent piece may lie outside of it.
            $nearest = array_reduce($pixels, static fn (int $best, int $at): int => hypot($at % $width - $x, intdiv($at, $width) - $y) < hypot($best % $width - $x, intdiv($best, $width) - $y) ? $at : $best, $pixels[0] ?? 0);
            $pieces[] = new self($pixels === [] ? [0] : $pixels, $n / ($width * $height), [($nearest % $width + 0.5) / $width, (intdiv($nearest, $width) + 0.5) / $height], ZoneName::place(($x + 0.5) / $width, ($y + 0.5) / $height));
        }
        usort($pieces, static fn (self $a, self $b): int => $b->area <=> $a->area);

        return $pieces;
    }

    public function holds(LabelGrid $labels, float $x, float $y): bool
    {
        $column = max(0, min($labels->width - 1, (int) ($x * $labels->width)));
        $row = max(0, min($labels->height - 1, (int) ($y * $labels->height)));

        return in_array($row * $labels->width + $column, $this->pixels, true);
    }
}
