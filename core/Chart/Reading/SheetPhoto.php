<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** What a photo of a sheet is like as a whole: how sharp, how bright, in what light, and how much of the room's light veils its blacks. */
final readonly class SheetPhoto
{
    /** Paper darker than this, in linear light, is lost in the camera's noise. */
    private const DARK = 0.05;

    /** The strongest channel of the paper over the weakest. */
    private const LAMP = 2.2;

    /** Way from a fifth to four fifths of a ring's edge, millimetres. */
    private const BLURRED = 1.5;

    private const FULL = 0.985;

    private const MOST_GLARE = 1 / 3;

    private const PLACES = 36;

    /**
     * @param  float  $edge  width of an edge, millimetres
     * @param  array{float, float, float}  $veil  light that lies over everything, of what the paper sends back
     */
    private function __construct(public float $edge, public array $veil)
    {
    }

    /**
     * @param  array{float, float, float}  $bare  linear light that the paper sends back of white light, 0–1
     *
     * @throws BadPhoto when nothing can be told by it
     */
    public static function of(SquaredSheet $squared, ChartSheet $sheet, array $bare): self
    {
        [$paper, $black] = self::ink($squared, $sheet->bits($squared->page));
        if (max($paper) < self::DARK) {
            throw BadPhoto::because(BadPhoto::DARK);
        }
        if (max($paper) > self::LAMP * min($paper)) {
            throw BadPhoto::because(BadPhoto::LAMP);
        }
        if (self::glare($squared, $sheet) > self::MOST_GLARE) {
            throw BadPhoto::because(BadPhoto::GLARE);
        }
        $edge = self::edge($squared, $sheet);
        if ($edge > self::BLURRED) {
            throw BadPhoto::because(BadPhoto::BLURRED);
        }
        // What printed black sends back of the paper's light is more on a darker paper; what is seen beyond that lies over everything.
        $veil = static fn (int $c): float => max(
            0.0,
            min(
                0.3,
                ($black[$c] / max(1e-6, $paper[$c]) - Swatch::INK_REFLECTANCE / $bare[$c]) / (1 - $black[$c] / max(1e-6, $paper[$c])),
            ),
        );

        return new self($edge, [$veil(0), $veil(1), $veil(2)]);
    }

    /**
     * A ratio of light to paper with the veil taken off.
     *
     * @param  array{float, float, float}  $ratio
     * @return array{float, float, float}
     */
    public function unveiled(array $ratio): array
    {
        $off = fn (int $c): float => max(0.0, $ratio[$c] * (1 + $this->veil[$c]) - $this->veil[$c]);

        return [$off(0), $off(1), $off(2)];
    }

    /**
     * @param  list<bool>  $bits
     * @return array{array{float, float, float}, array{float, float, float}} of the paper beside the printed squares, and of those that are
     *   black
     */
    private static function ink(SquaredSheet $squared, array $bits): array
    {
        $paper = $black = [];
        foreach (SheetMarkers::squares() as $i => [$x, $y]) {
            if ($bits[$i]) {
                $black[] = $squared->around($x, $y, SheetMarkers::SQUARE / 5);
                $paper[] = $squared->around($x, $y - SheetMarkers::SQUARE, 0.7);
                $paper[] = $squared->around($x, $y + SheetMarkers::SQUARE, 0.7);
            }
        }

        return [self::mean($paper), self::mean($black)];
    }

    /**
     * @param  list<array{float, float, float}|null>  $seen
     * @return array{float, float, float}
     */
    private static function mean(array $seen): array
    {
        $seen = array_values(array_filter($seen));
        $of = static fn (int $c): float => array_sum(array_column($seen, $c)) / max(1, count($seen));

        return [$of(0), $of(1), $of(2)];
    }

    private static function glare(SquaredSheet $squared, ChartSheet $sheet): float
    {
        $full = 0;
        for ($i = 0; $i < self::PLACES ** 2; $i++) {
            $seen = $squared->at(
                ($sheet->width * (0.5 + ($i % self::PLACES))) / self::PLACES,
                ($sheet->height * (0.5 + intdiv($i, self::PLACES))) / self::PLACES,
            );
            $full += $seen !== null && min($seen) > self::FULL ? 1 : 0;
        }

        return $full / self::PLACES ** 2;
    }

    /** Across the outer edges of the four rings, all around. */
    private static function edge(SquaredSheet $squared, ChartSheet $sheet): float
    {
        $steps = range(SheetMarkers::RING - 2.0, SheetMarkers::RING + 2.0, 0.1);
        $profile = array_fill(0, count($steps), 0.0);
        foreach (SheetMarkers::centres($sheet->width, $sheet->height) as [$x, $y]) {
            foreach ($steps as $i => $r) {
                for ($turn = 0; $turn < 24; $turn++) {
                    $profile[$i] += $squared->at($x + $r * cos(($turn * M_PI) / 12), $y + $r * sin(($turn * M_PI) / 12))[1] ?? 0.0;
                }
            }
        }
        [$low, $high] = [min($profile), max($profile)];
        $between = array_filter(
            $profile,
            static fn (float $p): bool => $p > $low + 0.2 * ($high - $low) && $p < $low + 0.8 * ($high - $low),
        );

        return 0.1 * count($between);
    }
}
