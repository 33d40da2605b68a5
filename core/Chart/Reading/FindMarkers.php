<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Error\BadPhoto;

/** Finds the four ring markers of a chart sheet in a photo, whichever way it lies. */
final class FindMarkers
{
    /** Longer side at which rings are looked for. */
    private const SIDE = 1000;

    /** Pixels that a ring's dark part has at least. */
    private const LEAST = 40;

    /** How much like a disc a ring with its hole is, and the hole. */
    private const DISC = 0.965;

    private const HOLE_DISC = 0.93;

    /** Share of the disc that its hole may take: blur eats the one or the other. */
    private const HOLE = [0.12, 0.5];

    /** Distance of the two centres, as a share of the disc's radius. */
    private const OFF_CENTRE = 0.14;

    /** The largest ring over the smallest, by area: seen steeply they differ. */
    private const UNLIKE = 8.0;

    /** Of the whole range of lightness. */
    private const SHARP = 0.4;

    /**
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} where they lie in the photo, from
     *   the sheet's top left clockwise
     *
     * @throws BadPhoto when there are not four
     */
    public static function in(Photograph $photo): array
    {
        $scale = min(1.0, self::SIDE / max($photo->width, $photo->height));
        [$width, $height] = [(int) floor($photo->width * $scale), (int) floor($photo->height * $scale)];
        $grey = self::grey($photo, $width, $height, $scale);
        $rings = self::rings(Blobs::in($grey, $width, $height));
        $dotted = array_values(array_filter($rings, static fn (array $r): bool => $r[2]));
        if ($dotted === []) {
            throw BadPhoto::because(
                match (true) {
                    ! self::isSharp($grey, $width) => BadPhoto::BLURRED,
                    count($rings) > 1 => BadPhoto::CORNER_OUTSIDE,
                    default => BadPhoto::NO_SHEET,
                },
            );
        }
        $like = array_values(
            array_filter(
                $rings,
                static fn (array $r): bool => ! $r[2] && max($r[1], $dotted[0][1]) < self::UNLIKE * min($r[1], $dotted[0][1]),
            ),
        );
        if (count($like) < 3) {
            throw BadPhoto::because(BadPhoto::CORNER_OUTSIDE);
        }
        $four = [$dotted[0][0], ...array_map(static fn (array $r): array => $r[0], array_slice($like, 0, 3))];

        return self::clockwise(array_map(static fn (array $p): array => [$p[0] / $scale, $p[1] / $scale], $four));
    }

    /** @return array<int, float> lightness by eye, about: the square root of light, each pixel the mean of some that it covers */
    private static function grey(Photograph $photo, int $width, int $height, float $scale): array
    {
        $table = array_map(sqrt(...), Photograph::decoded());
        $grey = [];
        $row = 3 * $photo->width;
        for ($y = 0; $y < $height; $y++) {
            $from = (int) floor(($y + 0.25) / $scale) * $row;
            $below = min($photo->height - 1, (int) floor(($y + 0.75) / $scale)) * $row;
            for ($x = 0; $x < $width; $x++) {
                $left = 3 * (int) (($x + 0.25) / $scale) + 1;
                $right = 3 * min($photo->width - 1, (int) (($x + 0.75) / $scale)) + 1;
                $p = $photo->pixels;
                $grey[] =
                    0.25 *
                    ($table[ord($p[$from + $left])] +
                        $table[ord($p[$from + $right])] +
                        $table[ord($p[$below + $left])] +
                        $table[ord($p[$below + $right])]);
            }
        }

        return $grey;
    }

    /**
     * Whether anything in the photo has an edge: from one pixel to the next but one, a good part of all that lies between its lights and
     * darks.
     *
     * @param  array<int, float>  $grey
     */
    private static function isSharp(array $grey, int $width): bool
    {
        $steps = [];
        for ($i = 2, $n = count($grey); $i < $n; $i++) {
            if ($i % $width > 1) {
                $steps[] = abs($grey[$i] - $grey[$i - 2]);
            }
        }
        sort($steps);
        sort($grey);
        $at = static fn (array $of, float $share): float => $of[(int) ($share * (count($of) - 1))];

        return $at($steps, 0.999) > self::SHARP * ($at($grey, 0.99) - $at($grey, 0.01));
    }

    /**
     * @param  list<Blob>  $blobs
     * @return list<array{array{float, float}, int, bool}> centre, size and whether there is a dot in the hole; the most like a ring first
     */
    private static function rings(array $blobs): array
    {
        $small = array_values(array_filter($blobs, static fn (Blob $b): bool => $b->size() >= 3));
        $rings = [];
        foreach ($small as $outer) {
            if (! $outer->dark || $outer->size() < self::LEAST) {
                continue;
            }
            foreach ($small as $hole) {
                if ($hole->dark || ! $hole->inside($outer)) {
                    continue;
                }
                $dots = array_values(array_filter($small, static fn (Blob $b): bool => $b->dark && $b->inside($hole)));
                $ring = self::ring($outer, $hole, $dots);
                if ($ring !== null) {
                    $rings[] = $ring;
                }
            }
        }
        usort($rings, static fn (array $a, array $b): int => $b[3] <=> $a[3]);

        return array_map(static fn (array $r): array => [$r[0], $r[1], $r[2]], $rings);
    }

    /**
     * @param  list<Blob>  $dots
     * @return array{array{float, float}, int, bool, float}|null
     */
    private static function ring(Blob $outer, Blob $hole, array $dots): ?array
    {
        $hollow = $hole->with(...$dots);
        $disc = $outer->with($hollow);
        $share = $hollow->size() / $disc->size();
        [$x, $y] = $disc->centre();
        [$u, $v] = $hollow->centre();
        $likeness = min($disc->likeDisc(), 1.0);
        if (
            $share < self::HOLE[0] ||
            $share > self::HOLE[1] ||
            $likeness < self::DISC ||
            $hollow->likeDisc() < self::HOLE_DISC ||
            hypot($u - $x, $v - $y) > self::OFF_CENTRE * sqrt($disc->size() / M_PI)
        ) {
            return null;
        }
        $dot = array_sum(array_map(static fn (Blob $b): int => $b->size(), $dots));

        return [[$x, $y], $disc->size(), $dot > 0.3 * (SheetMarkers::DOT / SheetMarkers::HOLE) ** 2 * $hollow->size(), $likeness];
    }

    /**
     * @param  list<array{float, float}>  $four  the sheet's top left first
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}
     */
    private static function clockwise(array $four): array
    {
        $x = array_sum(array_column($four, 0)) / 4;
        $y = array_sum(array_column($four, 1)) / 4;
        $turn = static fn (array $p): float => fmod(
            atan2($p[1] - $y, $p[0] - $x) - atan2($four[0][1] - $y, $four[0][0] - $x) + 4 * M_PI,
            2 * M_PI,
        );
        $rest = array_slice($four, 1);
        usort($rest, static fn (array $a, array $b): int => $turn($a) <=> $turn($b));

        return [$four[0], $rest[0], $rest[1], $rest[2]];
    }
}
