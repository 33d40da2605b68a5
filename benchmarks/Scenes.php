<?php

declare(strict_types=1);

namespace Benchmarks;

use Imagick;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** Pictures to measure with: the demo's two photos, scenes made here, and whatever photographs lie in a folder. */
final class Scenes
{
    private const WIDE = 240;

    private const HIGH = 180;

    /** @return array<string, PixelGrid> by name, at the size in which zones are found */
    public static function all(?string $folder): array
    {
        $demo = __DIR__.'/../demo/photos/low-water-';
        $pictures = [
            'demo, morning' => self::photo("{$demo}morning.jpg"),
            'demo, evening' => self::photo("{$demo}evening.jpg"),
            'hills' => self::made(self::hills(...)),
            'dusk' => self::made(self::dusk(...)),
            'street' => self::made(self::street(...)),
        ];
        foreach ($folder === null ? [] : (glob(rtrim($folder, '/').'/*.{png,jpg,jpeg}', GLOB_BRACE) ?: []) as $file) {
            $pictures[pathinfo($file, PATHINFO_FILENAME)] = self::photo($file);
        }

        return $pictures;
    }

    private static function photo(string $file): PixelGrid
    {
        $image = new Imagick($file);
        $height = (int) round((self::WIDE * $image->getImageHeight()) / $image->getImageWidth());
        $image->resizeImage(self::WIDE, $height, Imagick::FILTER_BOX, 1);
        $image->setImageDepth(8);
        $image->setFormat('rgb');
        $image->setImageFormat('rgb');

        return PixelGrid::ofSrgb(self::WIDE, $height, $image->getImageBlob());
    }

    /**
     * A scene from what is seen at every place, with grain.
     *
     * @param  \Closure(float, float): array{float, float, float}  $seen  x and y 0–1 to red, green, blue 0–255
     */
    private static function made(\Closure $seen): PixelGrid
    {
        mt_srand(8);
        $bytes = '';
        for ($y = 0; $y < self::HIGH; $y++) {
            for ($x = 0; $x < self::WIDE; $x++) {
                $grain = mt_rand(-6, 6);
                foreach ($seen($x / self::WIDE, $y / self::HIGH) as $channel) {
                    $bytes .= chr((int) max(0, min(255, $channel + $grain)));
                }
            }
        }

        return PixelGrid::ofSrgb(self::WIDE, self::HIGH, $bytes);
    }

    /**
     * Hills behind each other under a pale sky, a red hut, a dark fir.
     *
     * @return array{float, float, float}
     */
    private static function hills(float $x, float $y): array
    {
        $ridge = static fn (float $at, float $swing, float $wave): float => $at + $swing * sin($wave * $x + 7 * $at);

        return match (true) {
            $x > 0.62 && $x < 0.76 && $y > 0.58 && $y < 0.72 => $y < 0.63 ? [70.0, 60, 62] : [150 - 120 * ($x - 0.62), 48.0, 40],
            abs($x - 0.2) < 0.07 * ($y - 0.35) && $y < 0.85 => [30 + 40 * $x, 46 + 60 * $x, 36.0],
            $y < $ridge(0.38, 0.04, 6) => [238 - 60 * $y, 240 - 30 * $y, 240.0],
            $y < $ridge(0.5, 0.05, 9) => [150 + 40 * $y, 168 + 20 * $y, 186.0],
            $y < $ridge(0.66, 0.04, 5) => [112 + 30 * $x, 136 + 20 * $x, 108.0],
            default => [150 - 90 * ($y - 0.6), 150 - 60 * ($y - 0.6), 74 + 30 * $x],
        };
    }

    /**
     * A lamp on a table at dusk: warm light falling off over dark wood and a blue window.
     *
     * @return array{float, float, float}
     */
    private static function dusk(float $x, float $y): array
    {
        $lit = 1 / (1 + 9 * (($x - 0.6) ** 2 + ($y - 0.4) ** 2));

        return match (true) {
            ($x - 0.6) ** 2 + ($y - 0.38) ** 2 < 0.012 => [252.0, 226 - 60 * $y, 150.0],
            $x < 0.38 && $y < 0.5 => [40 + 30 * $y, 58 + 60 * $y, 104 + 60 * $y],
            $y > 0.7 => [150 * $lit + 24, 92 * $lit + 18, 52 * $lit + 14],
            default => [176 * $lit + 20, 150 * $lit + 20, 112 * $lit + 24],
        };
    }

    /**
     * A wall that grades from sunlit cream to violet shade, a dark roof with a red row of columns and a teal trim, a thin lamp post before
     * a sky that grades all the way down.
     *
     * @return array{float, float, float}
     */
    private static function street(float $x, float $y): array
    {
        return match (true) {
            abs($x - 0.86) < 0.012 && $y > 0.12 => [44.0, 46, 54],
            $y < 0.3 + 0.05 * $x && $x > 0.3 => [96 + 250 * $y + 30 * $x, 150 + 190 * $y, 214 + 70 * $y],
            $x < 0.62 && $y > 0.2 && $y < 0.46 => match (true) {
                $y > 0.4 => fmod($x, 0.07) < 0.035 ? [158.0, 52, 44] : [64.0, 56, 58],
                abs($y - 0.25) < 0.012 => [40.0, 128, 122],
                default => [74 - 30 * $y, 66 - 20 * $y, 72.0],
            },
            $y < 0.46 => [96 + 250 * $y + 30 * $x, 150 + 190 * $y, 214 + 70 * $y],
            $y < 0.84 => [236 - 130 * $x, 214 - 122 * $x, 176 - 60 * $x],
            default => [120 - 40 * $x, 112 - 30 * $x, 104.0],
        };
    }
}
