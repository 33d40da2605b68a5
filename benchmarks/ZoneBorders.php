<?php

declare(strict_types=1);

namespace Benchmarks;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** How the borders of zones lie in a photo: each is looked at where two zones meet, by what is seen a few pixels to either side. */
final readonly class ZoneBorders
{
    /** Pixels to either side whose mean is compared, and the ΔE00 from which that is an edge. */
    private const DEPTH = 3;

    private const EDGE = 5.0;

    /** A border of at least so many pixels whose two sides differ by less than this on the whole cuts a gradient. */
    private const LONG = 24;

    private const CUT = 4.0;

    /**
     * @var list<array{int, int, float, int, int}> the two zones, what their sides differ by, ΔE00, at every pixel of border; where it is,
     *   and the step across it
     */
    private array $meetings;

    public function __construct(private PixelGrid $grid, private LabelGrid $labels)
    {
        $meetings = [];
        $numbers = $labels->numbers();
        foreach ($numbers as $at => $zone) {
            foreach (
                [1 => $at % $grid->width < $grid->width - 1, $grid->width => $at + $grid->width < $grid->count()] as $step => $within
            ) {
                $other = $within ? $numbers[$at + $step] : $zone;
                if ($other !== $zone) {
                    $meetings[] = [
                        min($zone, $other),
                        max($zone, $other),
                        $this->side($grid, $at, -$step)->deltaE00($this->side($grid, $at + $step, $step)),
                        $at,
                        $step,
                    ];
                }
            }
        }
        $this->meetings = $meetings;
    }

    /** The mean along a short way from a pixel, in its own zone. */
    private function side(PixelGrid $grid, int $at, int $step): Lab
    {
        $sum = [0.0, 0.0, 0.0];
        $own = $this->labels->bytes[$at];
        for ($n = 0; $n < self::DEPTH; $n++) {
            $there = $at + $n * $step;
            if (
                $there < 0 ||
                $there >= $grid->count() ||
                $this->labels->bytes[$there] !== $own ||
                (abs($step) === 1 && intdiv($there, $grid->width) !== intdiv($at, $grid->width))
            ) {
                break;
            }
            $sum = [$sum[0] + $grid->l[$there], $sum[1] + $grid->a[$there], $sum[2] + $grid->b[$there]];
        }

        return new Lab($sum[0] / max(1, $n), $sum[1] / max(1, $n), $sum[2] / max(1, $n));
    }

    /** Share of all borders that lies on an edge, 0–1. */
    public function onEdges(): float
    {
        return count(array_filter($this->meetings, static fn (array $m): bool => $m[2] >= self::EDGE)) / max(1, count($this->meetings));
    }

    /** @return list<array{int, int}> zones that are parted where the photo only grades */
    public function cutGradients(): array
    {
        $pairs = [];
        foreach ($this->meetings as [$one, $other, $apart]) {
            $pairs["$one/$other"][] = $apart;
        }
        $cut = array_keys(
            array_filter($pairs, static fn (array $of): bool => count($of) >= self::LONG && Table::quantile($of, 0.5) < self::CUT),
        );

        return array_map(static function (string $pair): array {
            [$one, $other] = explode('/', $pair);

            return [(int) $one, (int) $other];
        }, $cut);
    }

    /** Where the photo has no edge: what the two sides differ by in a picture of it at the same size, ΔE00, in the mean. */
    public function stepsIn(PixelGrid $drawn): float
    {
        $flat = array_filter($this->meetings, static fn (array $m): bool => $m[2] < self::EDGE);

        return array_sum(
            array_map(
                fn (array $m): float => $this->side($drawn, $m[3], -$m[4])->deltaE00($this->side($drawn, $m[3] + $m[4], $m[4])),
                $flat,
            ),
        ) / max(1, count($flat));
    }
}
