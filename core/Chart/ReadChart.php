<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart;

use KnottyPrism\Core\Chart\Reading\BoxFigures;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\CameraColour;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Reading\ReadBox;
use KnottyPrism\Core\Chart\Reading\SheetPhoto;
use KnottyPrism\Core\Chart\Reading\SquaredSheet;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/**
 * Reads the photo of a coloured-in chart sheet: squares it by its markers, weighs every box against the bare paper around it, takes the
 * veil of stray light off by the printed black, and, where pencils of known colour are on it, corrects the camera by them. docs/camera.md.
 */
final class ReadChart
{
    /** A box this near to the paper, or over black to the ink, ΔE00, has nothing in it. */
    private const EMPTY = 2.5;

    private const EMPTY_OVER_BLACK = 5.0;

    /** A pencil whose heavy box is this pale may leave a light one that looks like paper. */
    private const PALE = 12.0;

    /** Doubt that every box has, ΔE00: a hand is not even, a camera's colours are not an eye's. */
    private const LEAST_DOUBT = 1.0;

    /** An edge this wide is sharp, millimetres. */
    private const SHARP = 0.5;

    /**
     * @param  array<string, Pencil>  $known  pencils on it whose colour is known already, by identifier
     *
     * @throws BadPhoto with the one thing to do about it
     */
    public static function page(Photograph $photo, ChartSheet $sheet, Paper $paper, array $known = []): ChartReading
    {
        $squared = SquaredSheet::of($photo, $sheet);
        $xyz = Xyz::ofReflectance($paper->reflectance);
        $white = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
        $whole = SheetPhoto::of($squared, $sheet, $white);
        $measured = [];
        foreach ($sheet->pages[$squared->page] as $box) {
            $read = ReadBox::in($squared, $box) ?? throw BadPhoto::because(BadPhoto::CORNER_OUTSIDE);
            $figures = $read->measured();
            $ratio = $whole->unveiled($figures->ratio);
            $measured[] = [$box, [$ratio[0] * $white[0], $ratio[1] * $white[1], $ratio[2] * $white[2]], $figures];
        }
        $camera = CameraColour::by(array_map(static fn (array $m): array => [$m[0], $m[1]], $measured), $known);
        $readings = array_map(
            static fn (array $m): BoxReading => self::reading(
                $m[0],
                BoxReading::labOf($camera->corrected($m[1])),
                $m[2],
                $whole,
                Lab::ofXyz($xyz),
            ),
            $measured,
        );

        return new ChartReading($squared->page, self::rows($readings, Lab::ofXyz($xyz)), $whole->edge);
    }

    private static function reading(ChartBox $box, Lab $lab, BoxFigures $figures, SheetPhoto $whole, Lab $paper): BoxReading
    {
        $y = max(0.01, $figures->ratio[1]);
        $causes = [
            'grain' => (116 / 3) * $y ** (-2 / 3) * $figures->grain,
            'blur' => 0.8 * max(0.0, $whole->edge - self::SHARP),
            'glare' => 12 * $figures->glints + 10 * $figures->full,
            'shadow' => 5 * max(0.0, 0.9 - $figures->evenness),
            'veil' => $lab->l < 30 ? 4 * max($whole->veil) : 0.0,
        ];
        $doubt = sqrt(self::LEAST_DOUBT ** 2 + array_sum(array_map(static fn (float $d): float => $d * $d, $causes)));
        arsort($causes);
        $note =
            $doubt < BoxReading::TOO_DOUBTFUL
                ? null
                : match (array_key_first($causes)) {
                    'glare' => 'There is glare on it: turn the chart away from the light and photograph it again.',
                    'shadow' => "A shadow's edge crosses it: photograph it again in even light.",
                    'blur' => 'It is blurred: hold the camera still and photograph it again.',
                    'veil' => 'It is too dark to measure in this light: photograph it again near a window.',
                    default => 'It is very uneven: colour it in again, or photograph it from closer up.',
                };
        $ink = BoxReading::labOf([Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE, Swatch::INK_REFLECTANCE]);
        $filled = $box->kind === BoxKind::Black ? $lab->deltaE00($ink) > self::EMPTY_OVER_BLACK : $lab->deltaE00($paper) > self::EMPTY;

        return new BoxReading($box, $lab, $filled, $doubt, $note);
    }

    /**
     * A white pencil leaves a heavy box that looks like paper: whether a row is coloured in is seen by all of its boxes.
     *
     * @param  list<BoxReading>  $readings
     * @return list<BoxReading>
     */
    private static function rows(array $readings, Lab $paper): array
    {
        $filled = $pale = [];
        foreach ($readings as $reading) {
            $pencil = $reading->box->pencil;
            $filled[$pencil] = ($filled[$pencil] ?? false) || $reading->filled;
            if ($reading->box->kind === BoxKind::Heavy) {
                $pale[$pencil] = $reading->lab->deltaE00($paper) < self::PALE;
            }
        }

        return array_map(static function (BoxReading $r) use ($filled, $pale): BoxReading {
            $pencil = $r->box->pencil;
            if ($r->box->kind->swatch() === null) {
                return $r;
            }
            $counts =
                $filled[$pencil] &&
                ($r->filled || $r->box->kind === BoxKind::Heavy || ($r->box->kind === BoxKind::Light && ($pale[$pencil] ?? false)));

            return new BoxReading(
                $r->box,
                $r->lab,
                $counts,
                $r->doubt,
                $counts ? $r->note : ($filled[$pencil] ? 'Not coloured in; this value is assumed.' : null),
            );
        }, $readings);
    }
}
