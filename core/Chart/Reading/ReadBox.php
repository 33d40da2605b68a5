<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartBox;

/**
 * The colour of one box: every place in it over the light that falls there, and of these a mean of linear light that leaves out glints,
 * flecks of dirt, and the box's edges. An eye that steps back means the flecks of bare paper in too, so these stay.
 */
final readonly class ReadBox
{
    /** On each side of the box, where a hand turns its strokes, millimetres. */
    private const EDGE = 2.2;

    /** Places between two looks, millimetres. */
    private const STEP = 0.45;

    /** Shares of the darkest and the lightest places that are left out. */
    private const DARKEST = 0.01;

    private const LIGHTEST = 0.02;

    /** A place this much lighter than the middle one, and by so much of the paper, glints. */
    private const GLINTS = 1.8;

    private const GLINTS_BY = 0.12;

    /** A channel this full holds more light than the camera could count. */
    private const FULL = 0.985;

    private function __construct(public ChartBox $box, private SquaredSheet $sheet, private PaperLight $light)
    {
    }

    /** Nothing where the box is not wholly in the photo. */
    public static function in(SquaredSheet $sheet, ChartBox $box): ?self
    {
        $light = PaperLight::over($sheet, $box);

        return $light === null ? null : new self($box, $sheet, $light);
    }

    public function measured(): BoxFigures
    {
        $seen = $greens = [];
        $full = 0;
        for ($x = self::EDGE; $x <= $this->box->width - self::EDGE; $x += self::STEP) {
            for ($y = self::EDGE; $y <= $this->box->height - self::EDGE; $y += self::STEP) {
                $place = $this->sheet->at($this->box->x + $x, $this->box->y + $y) ?? [0.0, 0.0, 0.0];
                $paper = $this->light->at($x / $this->box->width, $y / $this->box->height);
                $seen[] = [$place[0] / $paper[0], $place[1] / $paper[1], $place[2] / $paper[2]];
                $greens[] = ($place[0] / $paper[0] + $place[1] / $paper[1] + $place[2] / $paper[2]) / 3;
                $full += min($place) > self::FULL ? 1 : 0;
            }
        }
        $n = count($seen);
        asort($greens);
        $order = array_keys($greens);
        $middle = $greens[$order[intdiv($n, 2)]];
        $glints = array_filter($greens, static fn (float $g): bool => $g > self::GLINTS * $middle && $g > $middle + self::GLINTS_BY);
        $kept = array_values(array_diff(array_slice($order, (int) (self::DARKEST * $n), (int) ceil((1 - self::DARKEST - self::LIGHTEST) * $n)), array_keys($glints)));
        $sum = $squares = [0.0, 0.0, 0.0];
        foreach ($kept as $i) {
            for ($c = 0; $c < 3; $c++) {
                $sum[$c] += $seen[$i][$c];
                $squares[$c] += $seen[$i][$c] ** 2;
            }
        }
        $m = max(1, count($kept));
        $mean = [$sum[0] / $m, $sum[1] / $m, $sum[2] / $m];

        return new BoxFigures($mean, count($glints) / $n, $full / $n, sqrt(max(0.0, $squares[1] / $m - $mean[1] ** 2) / $m), $this->light->evenness());
    }
}
