<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Error\BadPhoto;

/**
 * A photo seen square on: light by places of the sheet, in millimetres, and which page it is. The lens is taken for straight unless the
 * row of squares, which lies between two of the rings, shows that it is not.
 */
final readonly class SquaredSheet
{
    /** Printed black is darker than this share of the paper beside it. */
    private const BLACK = 0.45;

    /** Bends that are tried one after the other until the squares can be read: most lenses first. */
    private const BENDS = [0.0, 0.03, -0.03, 0.06, -0.06];

    /** Steps in which the best bend is looked for, five to either side of the best so far. */
    private const STEPS = [0.01, 0.002];

    /** A bend shows where the squares lie so much nearer to where they were printed, millimetres in the mean. */
    private const SHOWS = 0.08;

    private function __construct(private Photograph $photo, private Homography $view, private LensBend $bend, public int $page)
    {
    }

    /** @throws BadPhoto when the sheet is not found whole, or it is another */
    public static function of(Photograph $photo, ChartSheet $sheet): self
    {
        $markers = FindMarkers::in($photo);
        foreach (self::BENDS as $k) {
            $seen = self::through($photo, $sheet, $markers, $k, 0);
            $page = array_search($seen->bits(), array_map($sheet->bits(...), array_keys($sheet->pages)), true);
            if ($page !== false) {
                return $seen->straightened($sheet, $markers, $k, array_keys($sheet->pages)[$page]);
            }
        }

        throw BadPhoto::because(BadPhoto::OTHER_SHEET);
    }

    /** @return array{float, float, float}|null linear light; null outside the photo */
    public function at(float $x, float $y): ?array
    {
        return $this->photo->at(...$this->bend->bent(...$this->view->to($x, $y)));
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
                $seen = $this->at($x + ($u * $radius) / 2, $y + ($v * $radius) / 2);
                if ($seen === null) {
                    return null;
                }
                $sum = [$sum[0] + $seen[0], $sum[1] + $seen[1], $sum[2] + $seen[2]];
                $n++;
            }
        }

        return [$sum[0] / $n, $sum[1] / $n, $sum[2] / $n];
    }

    /**
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $markers
     *   the rings in the photo
     */
    private static function through(Photograph $photo, ChartSheet $sheet, array $markers, float $k, int $page): self
    {
        $bend = new LensBend($k, $photo->width, $photo->height);
        $straight = array_map(static fn (array $marker): array => $bend->straight(...$marker), $markers);

        return new self($photo, Homography::between(SheetMarkers::centres($sheet->width, $sheet->height), $straight), $bend, $page);
    }

    /**
     * By the bend under which the squares lie where they were printed, if that shows.
     *
     * @param  array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}  $markers
     */
    private function straightened(ChartSheet $sheet, array $markers, float $read, int $page): self
    {
        $bits = $sheet->bits($page);
        $best = self::through($this->photo, $sheet, $markers, $read, $page);
        $least = $best->astray($bits) - ($read === 0.0 ? self::SHOWS : 0.0);
        foreach (self::STEPS as $by) {
            $middle = $best->bend->k;
            for ($step = -5; $step <= 5; $step++) {
                $seen = self::through($this->photo, $sheet, $markers, $middle + $step * $by, $page);
                $astray = $seen->astray($bits);
                if ($astray < $least) {
                    [$best, $least] = [$seen, $astray];
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<bool>  $bits
     * @return float how far the black squares lie from where they were printed across their row, millimetres in the mean
     */
    private function astray(array $bits): float
    {
        $off = [];
        foreach (SheetMarkers::squares() as $i => [$x, $y]) {
            if ($bits[$i]) {
                $off[] = abs($this->middle($x, $y) - $y);
            }
        }

        return array_sum($off) / max(1, count($off));
    }

    /** @return float where the middle of a black square lies, across its row, millimetres */
    private function middle(float $x, float $y): float
    {
        $dark = $sum = 0.0;
        $paper = max(1e-6, $this->at($x, $y - SheetMarkers::SQUARE)[1] ?? 0.0, $this->at($x, $y + SheetMarkers::SQUARE)[1] ?? 0.0);
        for ($by = -SheetMarkers::SQUARE; $by <= SheetMarkers::SQUARE; $by += 0.2) {
            $ink = 0.0;
            foreach ([-1.2, 0.0, 1.2] as $aside) {
                $ink += max(0.0, 0.7 - ($this->at($x + $aside, $y + $by)[1] ?? $paper) / $paper);
            }
            $dark += $ink;
            $sum += $ink * $by;
        }

        return $y + ($dark > 0 ? $sum / $dark : 0.0);
    }

    /** @return list<bool> */
    private function bits(): array
    {
        $bits = [];
        foreach (SheetMarkers::squares() as [$x, $y]) {
            $ink = $this->around($x, $y, SheetMarkers::SQUARE / 4);
            $paper = [$this->around($x, $y - SheetMarkers::SQUARE, 0.7), $this->around($x, $y + SheetMarkers::SQUARE, 0.7)];
            $bits[] =
                $ink !== null && $paper[0] !== null && $paper[1] !== null && $ink[1] < (self::BLACK * ($paper[0][1] + $paper[1][1])) / 2;
        }

        return $bits;
    }
}
