<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Colour\Srgb;

/** Stands in for a phone: photographs what lies flat on a table, with all that goes wrong in a {@see Shot}. */
final class BenchCamera
{
    /** Distance of the camera, in half diagonals of the sheet. */
    private const AWAY = 2.6;

    private const MARGIN = 0.05;

    /** Linear light of the table. */
    private const TABLE = [0.16, 0.1, 0.06];

    private const LEVELS = 4096;

    /** The longer side in pixels; the other follows from a phone's four to three. */
    public static function photograph(Flat $sheet, Shot $shot, int $side, int $seed): Photograph
    {
        $chance = new Chance($seed);
        $tall = abs(cos(deg2rad($shot->turn))) > 0.7;
        [$width, $height] = $tall ? [(int) (($side * 3) / 4), $side] : [$side, (int) (($side * 3) / 4)];
        $view = self::view($sheet, $shot, $width, $height);
        $noise = array_map(static fn (): float => $shot->noise * $chance->normal(), range(0, 4095));
        $bytes = array_map(static fn (int $i): float => 255 * Srgb::encode($i / self::LEVELS) ** $shot->contrast, range(0, self::LEVELS));
        $linear = Photograph::decoded();
        $turned = deg2rad(25.0);
        [$sin, $cos] = [sin($turned), cos($turned)];
        $taps = self::taps($shot->blur);
        $count = count($taps);
        $half = hypot($width, $height) / 2;
        $pixels = '';
        $dice = $seed;
        for ($v = 0; $v < $height; $v++) {
            for ($u = 0; $u < $width; $u++) {
                $bend = 1 + ($shot->barrel * (($u - $width / 2) ** 2 + ($v - $height / 2) ** 2)) / ($half * $half);
                [$x, $y] = $view->to($width / 2 + ($u + 0.5 - $width / 2) * $bend, $height / 2 + ($v + 0.5 - $height / 2) * $bend);
                $r = $g = $b = 0.0;
                foreach ($taps as [$dx, $dy]) {
                    $i = (int) floor(($x + $dx) * Flat::FINE);
                    $j = (int) floor(($y + $dy) * Flat::FINE);
                    if ($i < 0 || $j < 0 || $i >= $sheet->width || $j >= $sheet->height) {
                        $r += self::TABLE[0];
                        $g += self::TABLE[1];
                        $b += self::TABLE[2];
                    } else {
                        $at = 3 * ($j * $sheet->width + $i);
                        $r += $linear[ord($sheet->dots[$at])];
                        $g += $linear[ord($sheet->dots[$at + 1])];
                        $b += $linear[ord($sheet->dots[$at + 2])];
                    }
                }
                $across = $x / $sheet->acrossMm;
                $down = $y / $sheet->downMm;
                $light = 1 - $shot->fallOff * (0.6 * $across * $across + 0.4 * $down);
                if ($shot->shadow > 0) {
                    $beyond = ($across - $shot->shadowAt) * $cos + ($down - 0.5) * $sin;
                    $light *= 1 - $shot->shadow / (1 + exp(-$beyond * 60));
                }
                $mirrored = $shot->glare > 0 && abs($down - 0.5) < $shot->glare / 2 ? 1.5 : 0.0;
                $grey = 0.3 * $r + 0.6 * $g + 0.1 * $b;
                foreach ([$r, $g, $b] as $c => $seen) {
                    $seen = $grey + $shot->saturation * ($seen - $grey);
                    $value = $shot->lamp[$c] * (($light * $seen) / $count + $shot->veil) + $mirrored;
                    $dice = ($dice * 1103515245 + 12345) & 0x7FFFFFFF;
                    $byte = $bytes[(int) (self::LEVELS * ($value > 1 ? 1 : ($value < 0 ? 0 : $value)))] + $noise[($dice >> 16) & 4095];
                    $pixels .= chr((int) ($byte < 0 ? 0 : ($byte > 255 ? 255 : $byte + 0.5)));
                }
            }
        }

        return new Photograph($width, $height, $pixels);
    }

    /** From the photo's pixels to the sheet's millimetres: a pinhole that sees the whole sheet. */
    private static function view(Flat $sheet, Shot $shot, int $width, int $height): Homography
    {
        [$w, $h] = [$sheet->acrossMm, $sheet->downMm];
        $half = hypot($w, $h) / 2;
        [$turn, $tilt, $pan] = [deg2rad($shot->turn), deg2rad($shot->tilt), deg2rad($shot->pan)];
        $corners = [[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]];
        $seen = [];
        foreach ($corners as [$x, $y]) {
            [$x, $y] = [$x - $w / 2, $y - $h / 2];
            [$x, $y] = [$x * cos($turn) - $y * sin($turn), $x * sin($turn) + $y * cos($turn)];
            [$y, $z] = [$y * cos($tilt), $y * sin($tilt)];
            [$x, $z] = [$x * cos($pan) + $z * sin($pan), $z * cos($pan) - $x * sin($pan)];
            $far = 1 + $z / (self::AWAY * $half);
            $seen[] = [$x / $far, $y / $far];
        }
        $xs = array_column($seen, 0);
        $ys = array_column($seen, 1);
        $scale = $shot->close * (1 - 2 * self::MARGIN) * min($width / (max($xs) - min($xs)), $height / (max($ys) - min($ys)));
        [$middleX, $middleY] = [(max($xs) + min($xs)) / 2, (max($ys) + min($ys)) / 2];

        return Homography::between(
            array_map(
                static fn (array $p): array => [$width / 2 + ($p[0] - $middleX) * $scale, $height / 2 + ($p[1] - $middleY) * $scale],
                $seen,
            ),
            $corners,
        );
    }

    /** @return non-empty-list<array{float, float}> places that one pixel sees, millimetres off */
    private static function taps(float $blur): array
    {
        $taps = [[0.0, 0.0]];
        if ($blur > 0.02) {
            for ($k = 0; $k < ($blur > 0.6 ? 16 : 6); $k++) {
                // A sunflower's seeds fill a disc evenly.
                $r = $blur * sqrt(($k + 1) / ($blur > 0.6 ? 16 : 6));
                $taps[] = [$r * cos(2.4 * $k), $r * sin(2.4 * $k)];
            }
        }

        return $taps;
    }
}
