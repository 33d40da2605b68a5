<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\NextMove\AsItLies;
use KnottyPrism\Core\Recipe\NextMove\FindWayOn;

/**
 * Holds a photo of a half-done drawing against its plan: squared to the reference, evened and balanced by the bare paper around it, read
 * shade by shade, and for each what to do next, tried on the sheet as it really lies. docs/camera.md.
 */
final class CheckDrawing
{
    /** Looks across each place of the grid: grain and strokes run together. */
    private const LOOKS = 2;

    /** A shade that covers less of the drawing can't be told. */
    private const LEAST_AREA = 0.0015;

    private const LEAST_PLACES = 12;

    /**
     * @param  list<array{float, float}>|null  $corners  of the drawing in pixels of the photo, where somebody has set them
     * @param  list<Pencil>  $pencils  at hand
     *
     * @throws BadPhoto with the one thing to do about it
     */
    public static function of(Photograph $photo, DrawingPlan $plan, Progress $progress, array $pencils, ?array $corners = null): DrawingCheck
    {
        $expected = ExpectedDrawing::of($plan, $progress);
        [$corners, $alike] = FitDrawing::in($photo, $expected, $corners);
        $light = self::read(SquaredDrawing::of($photo, $corners), $plan, $expected);
        $findings = [];
        foreach ($plan->zones as $zone) {
            array_push($findings, ...self::zone($zone, $plan, $progress->of($zone->number), $expected, $light, $pencils));
        }
        usort($findings, static fn (ShadeFinding $a, ShadeFinding $b): int => self::weight($b) <=> self::weight($a));
        $shares = array_map(static fn (array $c): array => [$c[0] / $photo->width, $c[1] / $photo->height], $corners);

        return new DrawingCheck($shares, $alike, $findings, $expected->width, $expected->height, self::map($light, $expected));
    }

    /** What is far off over much of the drawing matters most. */
    private static function weight(ShadeFinding $finding): float
    {
        return $finding->found->deltaE00($finding->expected) * sqrt($finding->area);
    }

    /**
     * @return list<array{float, float, float}> linear light of every place, under the light in which the paper has its own colour
     */
    private static function read(SquaredDrawing $drawing, DrawingPlan $plan, ExpectedDrawing $expected): array
    {
        $xyz = Xyz::ofReflectance($plan->paper->reflectance);
        $white = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);
        $light = [];
        for ($y = 0; $y < $expected->height; $y++) {
            for ($x = 0; $x < $expected->width; $x++) {
                $sum = [0.0, 0.0, 0.0];
                for ($k = 0; $k < self::LOOKS ** 2; $k++) {
                    $seen = $drawing->at(($x + ($k % self::LOOKS + 0.5) / self::LOOKS) / $expected->width, ($y + (intdiv($k, self::LOOKS) + 0.5) / self::LOOKS) / $expected->height) ?? throw BadPhoto::because(BadPhoto::NO_DRAWING);
                    $sum = [$sum[0] + $seen[0], $sum[1] + $seen[1], $sum[2] + $seen[2]];
                }
                $n = self::LOOKS ** 2;
                $light[] = [$sum[0] / $n * $white[0], $sum[1] / $n * $white[1], $sum[2] / $n * $white[2]];
            }
        }

        return $light;
    }

    /**
     * @param  list<array{float, float, float}>  $light
     * @param  list<Pencil>  $pencils
     * @return list<ShadeFinding>
     */
    private static function zone(CheckedZone $zone, DrawingPlan $plan, int $passes, ExpectedDrawing $expected, array $light, array $pencils): array
    {
        $places = self::inner($zone->number, $plan, $expected);
        $beside = [];
        foreach ($zone->shades as $shade) {
            array_push($beside, ...Pencil::identifiers($shade->stack->pencils()));
        }
        $findings = [];
        foreach ($zone->shades as $i => $shade) {
            $own = $places[$i] ?? [];
            $area = count($own) / count($light);
            if (count($own) < self::LEAST_PLACES || $area < self::LEAST_AREA) {
                continue;
            }
            $found = self::mean($own, $light);
            $meant = self::mean($own, $expected->light);
            $way = FindWayOn::from(AsItLies::of($shade->done($passes), $found, $plan->paper), $shade->fitted, $meant, $shade->toCome($passes), $pencils, array_values(array_unique($beside)));
            $findings[] = new ShadeFinding($zone, $shade, $meant, $found, $area, $way);
        }

        return $findings;
    }

    /**
     * Places well within a zone, by shade: at its borders a photo that is a little off shows the neighbour.
     *
     * @return array<int, list<int>>
     */
    private static function inner(int $zone, DrawingPlan $plan, ExpectedDrawing $expected): array
    {
        $width = $expected->width;
        $numbers = $plan->labels->numbers();
        $own = [];
        foreach ($numbers as $at => $number) {
            if ($number !== $zone || $expected->shades[$at] < 0) {
                continue;
            }
            $x = $at % $width;
            foreach ([-1, 1, -2, 2, -$width, $width, -2 * $width, 2 * $width] as $by) {
                if (abs($by) < 3 && ($x + $by < 0 || $x + $by >= $width)) {
                    continue;
                }
                if (($numbers[$at + $by] ?? $zone) !== $zone) {
                    continue 2;
                }
            }
            $own[$expected->shades[$at]][] = $at;
        }

        return $own;
    }

    /**
     * @param  non-empty-list<int>  $places
     * @param  array<int, array{float, float, float}>  $light
     */
    private static function mean(array $places, array $light): Lab
    {
        $sum = [0.0, 0.0, 0.0];
        foreach ($places as $at) {
            $sum = [$sum[0] + $light[$at][0], $sum[1] + $light[$at][1], $sum[2] + $light[$at][2]];
        }
        $n = count($places);

        return BoxReading::labOf([$sum[0] / $n, $sum[1] / $n, $sum[2] / $n]);
    }

    /** @param  list<array{float, float, float}>  $light */
    private static function map(array $light, ExpectedDrawing $expected): string
    {
        $bytes = '';
        foreach ($light as $at => $seen) {
            $drawn = Srgb::ofXyz(DrawingCheck::drawn(BoxReading::labOf($seen), BoxReading::labOf($expected->light[$at]))->xyz());
            $bytes .= chr((int) round(255 * $drawn->red)).chr((int) round(255 * $drawn->green)).chr((int) round(255 * $drawn->blue));
        }

        return $bytes;
    }
}
