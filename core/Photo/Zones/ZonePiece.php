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
            [$x, $y] = $labels->middleOf($pixels);
            // The middle of a bent piece may lie outside of it.
            $off = static fn (int $at): float => hypot(($at % $width) + 0.5 - $x * $width, intdiv($at, $width) + 0.5 - $y * $height);
            $nearest = array_reduce($pixels, static fn (int $best, int $at): int => $off($at) < $off($best) ? $at : $best, $pixels[0]);
            $pieces[] = new self(
                $pixels,
                count($pixels) / ($width * $height),
                [(($nearest % $width) + 0.5) / $width, (intdiv($nearest, $width) + 0.5) / $height],
                ZoneName::place($x, $y),
            );
        }
        usort($pieces, static fn (self $a, self $b): int => $b->area <=> $a->area);

        return $pieces;
    }

    public function holds(LabelGrid $labels, float $x, float $y): bool
    {
        return in_array($labels->pixelAt($x, $y), $this->pixels, true);
    }
}
