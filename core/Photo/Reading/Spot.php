<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Reading;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;

/**
 * The colour of a ring on the photo: the mean in linear light of its pixels, without the lightest and darkest tenth, so that
 * one glint or one speck does not count. `spread` is the standard deviation of L* inside the ring.
 */
final readonly class Spot
{
    private const TRIMMED = 0.1;

    private function __construct(public Lab $lab, public float $spread)
    {
    }

    /** @param  float  $radius of the ring in pixels, its centre being the centre of the window */
    public static function inRing(PixelWindow $window, float $centreX, float $centreY, float $radius): self
    {
        $linear = self::decodeTable();
        $luminance = $pixels = [];
        for ($y = 0; $y < $window->height; $y++) {
            for ($x = 0; $x < $window->width; $x++) {
                if (($x - $centreX) ** 2 + ($y - $centreY) ** 2 > ($radius + 0.5) ** 2) {
                    continue;
                }
                $at = 3 * ($y * $window->width + $x);
                $rgb = [$linear[ord($window->bytes[$at])], $linear[ord($window->bytes[$at + 1])], $linear[ord($window->bytes[$at + 2])]];
                $pixels[] = $rgb;
                $luminance[] = SrgbMatrix::xyzOfLinear(...$rgb)[1];
            }
        }
        array_multisort($luminance, SORT_NUMERIC, $pixels);
        $cut = (int) floor(count($pixels) * self::TRIMMED);
        $kept = array_slice($pixels, $cut, count($pixels) - 2 * $cut);
        $mean = array_map(static fn (int $c): float => array_sum(array_column($kept, $c)) / count($kept), [0, 1, 2]);

        return new self(
            Lab::ofXyz(new Xyz(...SrgbMatrix::xyzOfLinear(...$mean))),
            self::deviation(array_slice($luminance, $cut, count($kept))),
        );
    }

    /** As it would be in neutral light: the mean is one of linear light, so it may be balanced after it was taken. */
    public function balanced(?NeutralBalance $balance): self
    {
        return $balance === null ? $this : new self($balance->lab($this->lab), $this->spread);
    }

    /** @return list<float> linear light of each byte */
    private static function decodeTable(): array
    {
        static $table = null;

        return $table ??= array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
    }

    /** @param  list<float>  $luminance Y, 0–1 */
    private static function deviation(array $luminance): float
    {
        $l = array_map(static fn (float $y): float => Lab::ofXyz(new Xyz(Xyz::WHITE[0] * $y, $y, Xyz::WHITE[2] * $y))->l, $luminance);
        $mean = array_sum($l) / count($l);

        return sqrt(array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $l)) / count($l));
    }
}
