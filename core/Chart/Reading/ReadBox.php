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

    /** A channel this full holds more light than the camera could count. */
    private const FULL = 0.985;

    private function __construct(public ChartBox $box, private SquaredSheet $sheet, private PaperLight $light)
    {
    }

    /** Null when the box is not wholly in the photo. */
    public static function in(SquaredSheet $sheet, ChartBox $box): ?self
    {
        $light = PaperLight::over($sheet, $box);

        return $light === null ? null : new self($box, $sheet, $light);
    }

    public function measured(): BoxFigures
    {
        $seen = [];
        $full = 0;
        for ($x = self::EDGE; $x <= $this->box->width - self::EDGE; $x += self::STEP) {
            for ($y = self::EDGE; $y <= $this->box->height - self::EDGE; $y += self::STEP) {
                $place = $this->sheet->at($this->box->x + $x, $this->box->y + $y) ?? [0.0, 0.0, 0.0];
                $paper = $this->light->at($x / $this->box->width, $y / $this->box->height);
                $seen[] = [$place[0] / $paper[0], $place[1] / $paper[1], $place[2] / $paper[2]];
                $full += min($place) > self::FULL ? 1 : 0;
            }
        }

        return BoxFigures::ofPlaces($seen === [] ? [[0.0, 0.0, 0.0]] : $seen, $full / max(1, count($seen)), $this->light->evenness());
    }
}
