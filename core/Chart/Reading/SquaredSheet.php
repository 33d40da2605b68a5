<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarks;
use KnottyPrism\Core\Error\BadPhoto;

/** A photo seen square on: light by places of the sheet, in millimetres, and which page it is. */
final readonly class SquaredSheet
{
    /** Printed black is darker than this share of the paper beside it. */
    private const BLACK = 0.45;

    private function __construct(private Photograph $photo, private Homography $view, public int $page)
    {
    }

    /** @throws BadPhoto when the sheet is not found whole, or it is another */
    public static function of(Photograph $photo, ChartSheet $sheet): self
    {
        $marks = FindMarks::in($photo);
        $view = Homography::between(SheetMarks::centres($sheet->width, $sheet->height), $marks);
        $bits = (new self($photo, $view, 0))->bits();
        foreach (array_keys($sheet->pages) as $page) {
            if ($sheet->bits($page) === $bits) {
                return new self($photo, $view, $page);
            }
        }

        throw BadPhoto::because(BadPhoto::OTHER_SHEET);
    }

    /** @return array{float, float, float}|null linear light; nothing outside the photo */
    public function at(float $x, float $y): ?array
    {
        return $this->photo->at(...$this->view->to($x, $y));
    }

    /**
     * The mean of a small round area.
     *
     * @return array{float, float, float}|null
     */
    public function around(float $x, float $y, float $radius): ?array
    {
        $sum = [0.0, 0.0, 0.0];
        $n = 0;
        for ($u = -2; $u <= 2; $u++) {
            for ($v = -2; $v <= 2; $v++) {
                $seen = $this->at($x + $u * $radius / 2, $y + $v * $radius / 2);
                if ($seen === null) {
                    return null;
                }
                $sum = [$sum[0] + $seen[0], $sum[1] + $seen[1], $sum[2] + $seen[2]];
                $n++;
            }
        }

        return [$sum[0] / $n, $sum[1] / $n, $sum[2] / $n];
    }

    /** @return list<bool> */
    private function bits(): array
    {
        $bits = [];
        foreach (SheetMarks::squares() as [$x, $y]) {
            $ink = $this->around($x, $y, SheetMarks::SQUARE / 4);
            $paper = [$this->around($x, $y - SheetMarks::SQUARE, 0.7), $this->around($x, $y + SheetMarks::SQUARE, 0.7)];
            $bits[] = $ink !== null && $paper[0] !== null && $paper[1] !== null && $ink[1] < self::BLACK * ($paper[0][1] + $paper[1][1]) / 2;
        }

        return $bits;
    }
}
