<?php

declare(strict_types=1);

namespace Benchmarks\Seen;

use App\Photos\Raster;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Photo\Reading\ToneFit;

/** Two pictures beside each other, as they are seen from some way off. */
final class Beside
{
    /**
     * @return list<array{float, float, float}> linear light of every fourth pixel each way, blurred by a Gaussian of a width in pixels
     */
    public static function seen(string $bytes, int $width, int $height, float $sigma): array
    {
        $decode = array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
        $reach = (int) ceil(2.5 * $sigma);
        $weights = array_map(static fn (int $d): float => exp(-0.5 * ($d / max(0.01, $sigma)) ** 2), range(-$reach, $reach));
        $whole = array_sum($weights);
        // Across first, for every row; then down where it is looked at.
        $across = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x += 4) {
                $sum = [0.0, 0.0, 0.0];
                foreach ($weights as $i => $w) {
                    $at = 3 * ($y * $width + max(0, min($width - 1, $x + $i - $reach)));
                    $sum = [
                        $sum[0] + $w * $decode[ord($bytes[$at])],
                        $sum[1] + $w * $decode[ord($bytes[$at + 1])],
                        $sum[2] + $w * $decode[ord($bytes[$at + 2])],
                    ];
                }
                $across[$y][] = $sum;
            }
        }
        $seen = [];
        for ($y = 0; $y < $height; $y += 4) {
            foreach (array_keys($across[0]) as $x) {
                $sum = [0.0, 0.0, 0.0];
                foreach ($weights as $i => $w) {
                    $there = $across[max(0, min($height - 1, $y + $i - $reach))][$x];
                    $sum = [$sum[0] + $w * $there[0], $sum[1] + $w * $there[1], $sum[2] + $w * $there[2]];
                }
                $seen[] = [$sum[0] / $whole / $whole, $sum[1] / $whole / $whole, $sum[2] / $whole / $whole];
            }
        }

        return $seen;
    }

    /**
     * @param  list<array{float, float, float}>  $one
     * @param  list<array{float, float, float}>  $other
     * @return array{float, float} mean ΔE00, and mean difference in value steps of nine
     */
    public static function apart(array $one, array $other): array
    {
        $lab = static fn (array $l): Lab => Srgb::ofBytes(
            ...array_map(static fn (float $v): float => 255 * Srgb::encode(max(0.0, min(1.0, $v))), $l),
        )->lab();
        $sum = $steps = 0.0;
        foreach ($one as $i => $light) {
            [$a, $b] = [$lab($light), $lab($other[$i])];
            $sum += $a->deltaE00($b);
            $steps += abs($a->l - $b->l) / (100 / 9);
        }

        return [$sum / count($one), $steps / count($one)];
    }

    /** The photo as it is aimed at: its tones folded into what paper and pencils reach. */
    public static function fitted(ToneFit $tone, Raster $photo): string
    {
        $known = [];
        $bytes = '';
        foreach (str_split($photo->pixels, 3) as $pixel) {
            $bytes .= $known[$pixel] ??= (string) hex2bin(
                substr(Srgb::ofXyz($tone->fitted(Srgb::ofBytes(ord($pixel[0]), ord($pixel[1]), ord($pixel[2]))->lab())->xyz())->hex(), 1),
            );
        }

        return $bytes;
    }
}
