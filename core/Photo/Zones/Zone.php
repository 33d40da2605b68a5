<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** A named area of the photo, and what it asks for. */
final readonly class Zone
{
    /**
     * @param  float  $area  share of the picture, 0–1
     * @param  array{float, float, float, float}  $box  left, top, right, bottom as shares of the picture
     * @param  array<string, Lab>  $targets  by role: light, mid, dark, and where there is one accent
     * @param  float  $keptWhite  share of the zone that is the paper's own white
     * @param  float  $texture  standard deviation of L* within
     */
    public function __construct(public string $name, public float $area, public array $box, public array $targets, public float $keptWhite, public float $texture)
    {
    }

    /**
     * @param  list<int>  $pixels
     * @param  ?string  $name  null for one from its colour and place
     * @param  list<string>  $taken  names that others have
     * @param  array<string, float>  $places  of targets that were moved; see {@see ZoneTargets::of()}
     * @param  ?string  $whites  see {@see KeptWhites::on()}
     */
    public static function measured(PixelGrid $grid, array $pixels, ?string $name = null, array $taken = [], array $places = [], ?string $whites = null): self
    {
        $n = max(1, count($pixels));
        $x = array_map(static fn (int $at): int => $at % $grid->width, $pixels);
        $y = array_map(static fn (int $at): int => intdiv($at, $grid->width), $pixels);
        $l = array_map(static fn (int $at): float => $grid->l[$at], $pixels);
        $mean = array_sum($l) / $n;
        $whites ??= (new KeptWhites)->on($grid);
        $white = array_filter($pixels, static fn (int $at): bool => $whites[$at] === "\1");
        $targets = ZoneTargets::of($grid, $pixels, $places);
        $centre = [(array_sum($x) / $n + 0.5) / $grid->width, (array_sum($y) / $n + 0.5) / $grid->height];

        return new self(
            $name ?? ZoneName::of($targets['mid'] ?? new Lab($mean, 0, 0), $centre, $taken),
            $n / $grid->count(),
            [min($x ?: [0]) / $grid->width, min($y ?: [0]) / $grid->height, (max($x ?: [0]) + 1) / $grid->width, (max($y ?: [0]) + 1) / $grid->height],
            $targets,
            count($white) / $n,
            sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $l)) / $n),
        );
    }
}
