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
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Picture\PassesLaid;
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

    /** Places of the grid that are left out along the drawing's edges: its corners are found to a millimetre or two. */
    private const FROM_EDGE = 3;

    /**
     * @param  list<array{float, float}>|null  $corners  of the drawing in pixels of the photo, where somebody has set them
     * @param  list<Pencil>  $pencils  available
     *
     * @throws BadPhoto with the one thing to do about it
     */
    public static function of(
        Photograph $photo,
        DrawingPlan $plan,
        PassesLaid $progress,
        array $pencils,
        ?array $corners = null,
    ): DrawingCheck {
        $expected = ExpectedDrawing::of($plan, $progress);
        [$corners, $alike] = FitDrawing::in($photo, $expected, $corners);
        $places = self::inner($plan, $expected);
        $light = self::unveiled(self::read(SquaredDrawing::of($photo, $corners), $plan, $expected), $plan, $progress, $expected, $places);
        $findings = [];
        foreach ($plan->zones as $zone) {
            array_push(
                $findings,
                ...self::zone($zone, $plan, $progress->of($zone->number), $expected, $light, $places[$zone->number] ?? [], $pencils),
            );
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
        $white = self::white($plan->paper);
        $light = [];
        for ($y = 0; $y < $expected->height; $y++) {
            for ($x = 0; $x < $expected->width; $x++) {
                $sum = [0.0, 0.0, 0.0];
                for ($k = 0; $k < self::LOOKS ** 2; $k++) {
                    $seen =
                        $drawing->at(
                            ($x + (($k % self::LOOKS) + 0.5) / self::LOOKS) / $expected->width,
                            ($y + (intdiv($k, self::LOOKS) + 0.5) / self::LOOKS) / $expected->height,
                        ) ?? throw BadPhoto::because(BadPhoto::NO_DRAWING);
                    $sum = [$sum[0] + $seen[0], $sum[1] + $seen[1], $sum[2] + $seen[2]];
                }
                $n = self::LOOKS ** 2;
                $light[] = [($sum[0] / $n) * $white[0], ($sum[1] / $n) * $white[1], ($sum[2] / $n) * $white[2]];
            }
        }

        return $light;
    }

    /**
     * @param  list<array{float, float, float}>  $light
     * @param  array<int, array<int, non-empty-list<int>>>  $places  by zone and shade
     * @return list<array{float, float, float}> without the stray light over all of it
     */
    private static function unveiled(
        array $light,
        DrawingPlan $plan,
        PassesLaid $progress,
        ExpectedDrawing $expected,
        array $places,
    ): array {
        $white = self::white($plan->paper);
        $bare = Xyz::ofReflectance($plan->paper->reflectance)->y;
        $shades = [];
        foreach ($plan->zones as $zone) {
            foreach ($zone->shades as $i => $shade) {
                $own = $places[$zone->number][$i] ?? [];
                if (count($own) >= self::LEAST_PLACES) {
                    $shades[] = [
                        self::mean($own, $light)->xyz()->y / $bare,
                        self::mean($own, $expected->light)->xyz()->y / $bare,
                        Steadiness::of($shade->done($progress->of($zone->number)), $plan->paper),
                    ];
                }
            }
        }
        $veil = StrayLight::in($shades);

        return array_map(
            static fn (array $l): array => [
                max(0.0, $l[0] * (1 + $veil) - $veil * $white[0]),
                max(0.0, $l[1] * (1 + $veil) - $veil * $white[1]),
                max(0.0, $l[2] * (1 + $veil) - $veil * $white[2]),
            ],
            $light,
        );
    }

    /** @return array{float, float, float} linear light of bare paper */
    private static function white(Paper $paper): array
    {
        $white = Xyz::ofReflectance($paper->reflectance);

        return SrgbMatrix::linearOfXyz($white->x, $white->y, $white->z);
    }

    /**
     * @param  list<array{float, float, float}>  $light
     * @param  array<int, non-empty-list<int>>  $places  of the zone, by shade
     * @param  list<Pencil>  $pencils
     * @return list<ShadeFinding>
     */
    private static function zone(
        CheckedZone $zone,
        DrawingPlan $plan,
        int $passes,
        ExpectedDrawing $expected,
        array $light,
        array $places,
        array $pencils,
    ): array {
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
            $way = FindWayOn::from(
                AsItLies::of($shade->done($passes), $found, $plan->paper),
                $shade->fitted,
                $meant,
                $shade->toCome($passes),
                $pencils,
                array_values(array_unique($beside)),
            );
            $findings[] = new ShadeFinding($zone, $shade, $meant, $found, $area, $way);
        }

        return $findings;
    }

    /**
     * Places well within a zone and the drawing: at the border of one a photo that is a little off shows the neighbour, and at that of
     * the other bare paper, of which a little makes a dark shade a middle one.
     *
     * @return array<int, array<int, non-empty-list<int>>> by zone and shade
     */
    private static function inner(DrawingPlan $plan, ExpectedDrawing $expected): array
    {
        [$width, $height] = [$expected->width, $expected->height];
        $numbers = $plan->labels->numbers();
        $inner = [];
        for ($y = self::FROM_EDGE; $y < $height - self::FROM_EDGE; $y++) {
            for ($x = self::FROM_EDGE; $x < $width - self::FROM_EDGE; $x++) {
                $at = $y * $width + $x;
                if ($expected->shades[$at] < 0) {
                    continue;
                }
                foreach ([-1, 1, -2, 2, -$width, $width, -2 * $width, 2 * $width] as $by) {
                    if ($numbers[$at + $by] !== $numbers[$at]) {
                        continue 2;
                    }
                }
                $inner[$numbers[$at]][$expected->shades[$at]][] = $at;
            }
        }

        return $inner;
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
