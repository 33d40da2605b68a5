<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** A chart page as somebody has coloured it in: paper with its grain, printed markers, and swatches laid by a hand that wanders. */
final class FilledSheet
{
    /** How far a printed page and a swatch differ from dot to dot, of their light. */
    private const PAPER_GRAIN = 0.015;

    private const SWATCH_GRAIN = 0.16;

    private const STREAKS = 0.06;

    public readonly Flat $flat;

    private readonly Chance $chance;

    /** @var list<array{ChartBox, Lab}> what lies in each box that was coloured in, on the whole */
    public array $truth = [];

    /**
     * @param  array<string, Pencil|Stack>  $laid  pencils by identifier, strips by their text; other rows are left empty
     * @param  Paper  $paper  under the hand that colours it in
     */
    public function __construct(
        public readonly ChartSheet $sheet,
        public readonly int $page,
        array $laid,
        private readonly Paper $paper,
        int $seed,
    ) {
        $this->chance = new Chance($seed);
        $this->flat = new Flat($sheet->width, $sheet->height);
        $this->paint(0, 0, $sheet->width, $sheet->height, self::linear($paper->reflectance), self::PAPER_GRAIN, 0.0);
        $this->print();
        foreach ($sheet->pages[$page] as $box) {
            if ($box->kind === BoxKind::Black) {
                $this->paint(
                    $box->x,
                    $box->y,
                    $box->width,
                    $box->height,
                    [Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE],
                    0.0,
                    0.0,
                );
            }
            if (isset($laid[$box->pencil])) {
                $this->colour($box, $laid[$box->pencil]);
            }
        }
    }

    private function print(): void
    {
        $ink = [Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE];
        foreach (SheetMarkers::centres($this->sheet->width, $this->sheet->height) as $i => [$x, $y]) {
            $this->paint(
                $x - SheetMarkers::RING,
                $y - SheetMarkers::RING,
                2 * SheetMarkers::RING,
                2 * SheetMarkers::RING,
                $ink,
                0.0,
                0.0,
                static function (float $u, float $v) use ($x, $y, $i): bool {
                    $r = hypot($u - $x, $v - $y);

                    return ($r <= SheetMarkers::RING && $r >= SheetMarkers::HOLE) || ($i === 0 && $r <= SheetMarkers::DOT);
                },
            );
        }
        foreach ($this->sheet->bits($this->page) as $i => $black) {
            if ($black) {
                [$x, $y] = SheetMarkers::squares()[$i];
                $this->paint(
                    $x - SheetMarkers::SQUARE / 2,
                    $y - SheetMarkers::SQUARE / 2,
                    SheetMarkers::SQUARE,
                    SheetMarkers::SQUARE,
                    $ink,
                    0.0,
                    0.0,
                );
            }
        }
    }

    private function colour(ChartBox $box, Pencil|Stack $what): void
    {
        $sheet = new Sheet($this->paper);
        if ($box->kind === BoxKind::Black) {
            $sheet->reflectance = array_fill(0, count($sheet->reflectance), Swatch::INK_REFLECTANCE);
        }
        $steps =
            $what instanceof Stack
                ? $what->steps
                : array_map(static fn (float $pressure): Pass => new Pass($what, $pressure), $box->kind->swatch()?->pressures() ?? []);
        $wander = $this->paper->hand->spread;
        foreach ($steps as $step) {
            $firmer = $wander * Steadiness::PRESSURE_DEVIATION * $this->chance->normal();
            $more = max(0.3, 1 + $wander * Steadiness::LAYDOWN_DEVIATION * $this->chance->normal());
            Stack::apply(
                $step instanceof Pass ? new Pass($step->pencil, max(0.05, min(1.0, $step->pressure + $firmer))) : $step,
                $sheet,
                $more,
            );
        }
        $linear = self::linear($sheet->meanReflectance());
        // Strokes end a little inside or outside the box.
        $off = fn (): float => 0.5 * $this->chance->normal();
        $this->paint(
            $box->x + $off(),
            $box->y + $off(),
            $box->width + $off(),
            $box->height + $off(),
            $linear,
            self::SWATCH_GRAIN * (1 - $sheet->toothUsed() * 0.7),
            self::STREAKS,
        );
        $this->truth[] = [$box, Lab::ofReflectance($sheet->meanReflectance())];
    }

    /**
     * @param  array{float, float, float}  $linear
     * @param  float  $grain  deviation of each dot, of its light
     * @param  float  $streaks  the same of whole strokes, which run aslant
     * @param  (\Closure(float, float): bool)|null  $where
     */
    private function paint(
        float $x,
        float $y,
        float $width,
        float $height,
        array $linear,
        float $grain,
        float $streaks,
        ?\Closure $where = null,
    ): void {
        $strokes = array_map(fn (): float => $streaks * $this->chance->normal(), range(0, 63));
        $right = min($this->flat->width, (int) round(($x + $width) * Flat::FINE));
        $bottom = min($this->flat->height, (int) round(($y + $height) * Flat::FINE));
        for ($v = max(0, (int) round($y * Flat::FINE)); $v < $bottom; $v++) {
            for ($u = max(0, (int) round($x * Flat::FINE)); $u < $right; $u++) {
                if ($where !== null && ! $where(($u + 0.5) / Flat::FINE, ($v + 0.5) / Flat::FINE)) {
                    continue;
                }
                $factor =
                    1.0 +
                    ($grain > 0 ? $grain * $this->chance->normal() : 0.0) +
                    ($streaks > 0 ? $strokes[intdiv($u + $v, 3) & 63] : 0.0);
                $this->flat->dot($v * $this->flat->width + $u, [$linear[0] * $factor, $linear[1] * $factor, $linear[2] * $factor]);
            }
        }
    }

    /**
     * @param  array<int, float>  $reflectance
     * @return array{float, float, float}
     */
    private static function linear(array $reflectance): array
    {
        $xyz = Xyz::ofReflectance($reflectance);

        return SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
    }
}
