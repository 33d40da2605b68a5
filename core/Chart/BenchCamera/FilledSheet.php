<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarks;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** A chart page as somebody has coloured it in: paper with its grain, printed marks, and swatches laid by a hand that wanders. */
final class FilledSheet
{
    /** Dots to the millimetre. */
    public const FINE = 4;

    /** How far a printed page and a swatch differ from dot to dot, of their light. */
    private const PAPER_GRAIN = 0.015;

    private const SWATCH_GRAIN = 0.16;

    private const STREAKS = 0.06;

    public readonly int $width;

    public readonly int $height;

    /** sRGB, three bytes a dot, row after row */
    public string $dots;

    private readonly Chance $chance;

    /** @var list<array{ChartBox, Lab}> what lies in each box that was coloured in, on the whole */
    public array $truth = [];

    /**
     * @param  array<string, Pencil>  $pencils  by identifier; rows of others are left empty
     * @param  Paper  $paper  under the hand that colours it in
     */
    public function __construct(public readonly ChartSheet $sheet, public readonly int $page, array $pencils, private readonly Paper $paper, int $seed)
    {
        $this->chance = new Chance($seed);
        $this->width = (int) round($sheet->width * self::FINE);
        $this->height = (int) round($sheet->height * self::FINE);
        $this->dots = str_repeat("\0", 3 * $this->width * $this->height);
        $this->paint(0, 0, $sheet->width, $sheet->height, self::linear($paper->reflectance), self::PAPER_GRAIN, 0.0);
        $this->print();
        foreach ($sheet->pages[$page] as $box) {
            if ($box->kind === BoxKind::Black) {
                $this->paint($box->x, $box->y, $box->width, $box->height, [Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE], 0.0, 0.0);
            }
            if (isset($pencils[$box->pencil])) {
                $this->colour($box, $pencils[$box->pencil]);
            }
        }
    }

    private function print(): void
    {
        $ink = [Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE];
        foreach (SheetMarks::centres($this->sheet->width, $this->sheet->height) as $i => [$x, $y]) {
            $this->paint($x - SheetMarks::RING, $y - SheetMarks::RING, 2 * SheetMarks::RING, 2 * SheetMarks::RING, $ink, 0.0, 0.0, static function (float $u, float $v) use ($x, $y, $i): bool {
                $r = hypot($u - $x, $v - $y);

                return ($r <= SheetMarks::RING && $r >= SheetMarks::HOLE) || ($i === 0 && $r <= SheetMarks::DOT);
            });
        }
        foreach ($this->sheet->bits($this->page) as $i => $black) {
            if ($black) {
                [$x, $y] = SheetMarks::squares()[$i];
                $this->paint($x - SheetMarks::SQUARE / 2, $y - SheetMarks::SQUARE / 2, SheetMarks::SQUARE, SheetMarks::SQUARE, $ink, 0.0, 0.0);
            }
        }
    }

    private function colour(ChartBox $box, Pencil $pencil): void
    {
        $sheet = new Sheet($this->paper);
        $wander = $this->paper->hand->spread;
        if ($box->kind === BoxKind::Black) {
            $sheet->reflectance = array_fill(0, count($sheet->reflectance), Swatch::INK_REFLECTANCE);
        }
        foreach ($box->kind->swatch()->pressures() as $pressure) {
            LayPass::onto($sheet, $pencil, max(0.05, min(1.0, $pressure + $wander * Steadiness::PRESSURE_DEVIATION * $this->chance->normal())), max(0.3, 1 + $wander * Steadiness::LAYDOWN_DEVIATION * $this->chance->normal()));
        }
        $linear = self::linear($sheet->meanReflectance());
        // Strokes end a little inside or outside the box.
        $off = fn (): float => 0.5 * $this->chance->normal();
        $this->paint($box->x + $off(), $box->y + $off(), $box->width + $off(), $box->height + $off(), $linear, self::SWATCH_GRAIN * (1 - $sheet->toothUsed() * 0.7), self::STREAKS);
        $this->truth[] = [$box, Lab::ofReflectance($sheet->meanReflectance())];
    }

    /**
     * @param  array{float, float, float}  $linear
     * @param  float  $grain  deviation of each dot, of its light
     * @param  float  $streaks  the same of whole strokes, which run aslant
     * @param  (\Closure(float, float): bool)|null  $where
     */
    private function paint(float $x, float $y, float $width, float $height, array $linear, float $grain, float $streaks, ?\Closure $where = null): void
    {
        $strokes = array_map(fn (): float => $streaks * $this->chance->normal(), range(0, 63));
        $right = min($this->width, (int) round(($x + $width) * self::FINE));
        $bottom = min($this->height, (int) round(($y + $height) * self::FINE));
        for ($v = max(0, (int) round($y * self::FINE)); $v < $bottom; $v++) {
            for ($u = max(0, (int) round($x * self::FINE)); $u < $right; $u++) {
                if ($where !== null && ! $where(($u + 0.5) / self::FINE, ($v + 0.5) / self::FINE)) {
                    continue;
                }
                $factor = 1.0 + ($grain > 0 ? $grain * $this->chance->normal() : 0.0) + ($streaks > 0 ? $strokes[intdiv($u + $v, 3) & 63] : 0.0);
                $at = 3 * ($v * $this->width + $u);
                $this->dots[$at] = self::byte($linear[0] * $factor);
                $this->dots[$at + 1] = self::byte($linear[1] * $factor);
                $this->dots[$at + 2] = self::byte($linear[2] * $factor);
            }
        }
    }

    /** A byte of linear light as sRGB. */
    private static function byte(float $linear): string
    {
        static $table = null;
        $table ??= array_map(static fn (int $i): string => chr((int) round(255 * Srgb::encode($i / 4095))), range(0, 4095));

        return $table[(int) (4095 * ($linear < 0 ? 0.0 : ($linear > 1 ? 1.0 : $linear)))];
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
