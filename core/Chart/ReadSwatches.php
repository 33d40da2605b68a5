<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart;

use KnottyPrism\Core\Chart\Check\SquaredDrawing;
use KnottyPrism\Core\Chart\Reading\BoxFigures;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\SwatchGrid;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Medium\Paper\Paper;

/**
 * Reads any page of swatches that somebody has: by a grid whose corners they set, evened and balanced by the bare paper around it. Nothing
 * printed tells stray light there, so that every swatch is in more doubt than on a sheet of ours. docs/camera.md.
 */
final class ReadSwatches
{
    /** Share of a cell that is looked at, each way: swatches are seldom drawn to its edges, and a grid is seldom laid exactly. */
    private const INNER = 0.5;

    private const STEPS = 20;

    /** A swatch this near to the paper, ΔE00, is none. */
    private const EMPTY = 2.5;

    /** Doubt that every swatch has, ΔE00. */
    private const LEAST_DOUBT = 1.8;

    /** Quarters of what is looked at that differ by more, ΔE00, are not one swatch. */
    private const PARTED = 9.0;

    /** @throws BadPhoto when too little bare paper is seen around the grid */
    public static function page(Photograph $photo, SwatchGrid $grid, Paper $paper): ChartReading
    {
        $squared = SquaredDrawing::of($photo, $grid->corners);
        $xyz = Xyz::ofReflectance($paper->reflectance);
        $white = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);

        return new ChartReading(
            0,
            array_map(static fn (ChartBox $box): BoxReading => self::swatch($squared, $box, $white, Lab::ofXyz($xyz)), $grid->boxes()),
            0.0,
        );
    }

    /** @param  array{float, float, float}  $white  linear light of the paper */
    private static function swatch(SquaredDrawing $squared, ChartBox $box, array $white, Lab $paper): BoxReading
    {
        $seen = $quarters = [];
        for ($i = 0; $i < self::STEPS ** 2; $i++) {
            [$u, $v] = [(0.5 + ($i % self::STEPS)) / self::STEPS, (0.5 + intdiv($i, self::STEPS)) / self::STEPS];
            $place = $squared->at(
                $box->x + $box->width * (0.5 + self::INNER * ($u - 0.5)),
                $box->y + $box->height * (0.5 + self::INNER * ($v - 0.5)),
            ) ?? [0.0, 0.0, 0.0];
            $seen[] = $quarters[2 * (int) ($u > 0.5) + (int) ($v > 0.5)][] = $place;
        }
        $lab = static fn (BoxFigures $f): Lab => BoxReading::labOf([
            $f->ratio[0] * $white[0],
            $f->ratio[1] * $white[1],
            $f->ratio[2] * $white[2],
        ]);
        $figures = BoxFigures::ofPlaces($seen, 0.0, 1.0);
        $own = $lab($figures);
        $parted = max(array_map(static fn (array $q): float => $lab(BoxFigures::ofPlaces($q, 0.0, 1.0))->deltaE00($own), $quarters));
        $doubt =
            hypot(self::LEAST_DOUBT, 12 * $figures->glints) +
            ($parted > self::PARTED ? $parted - self::PARTED + BoxReading::TOO_DOUBTFUL : 0.0);

        $note = match (true) {
            $parted > self::PARTED => 'There is more than one colour here: set the corners, rows and columns again.',
            $doubt > BoxReading::TOO_DOUBTFUL => 'There is glare on it: turn the page away from the light and photograph it again.',
            default => null,
        };

        return new BoxReading($box, $own, $own->deltaE00($paper) > self::EMPTY, $doubt, $note);
    }
}
