<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Pixels;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Error\OutOfRange;

/** A picture as CIELAB, row after row in three flat arrays: what zones are found in. */
final readonly class PixelGrid
{
    /** Larger grids add nothing to zones that a hand draws, and cost seconds. */
    public const MOST_PIXELS = 2_000_000;

    /**
     * @param  array<int, float>  $l
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     */
    private function __construct(public int $width, public int $height, public array $l, public array $a, public array $b)
    {
    }

    /**
     * @param  string  $bytes  sRGB, 3 × width × height
     *
     * @throws OutOfRange
     */
    public static function ofSrgb(int $width, int $height, string $bytes): self
    {
        OutOfRange::check('the number of pixels', $width * $height, 1, self::MOST_PIXELS);
        OutOfRange::check('the number of bytes in a picture', strlen($bytes), 3 * $width * $height, 3 * $width * $height);
        // What Lab::ofXyz() does, to the last bit, in one loop: a megapixel goes through it.
        [$red, $green, $blue] = [self::parts(1, 0, 0), self::parts(0, 1, 0), self::parts(0, 0, 1)];
        [$xn, $yn, $zn] = Xyz::WHITE;
        [$epsilon, $kappa, $third] = [Lab::EPSILON, Lab::KAPPA, 1 / 3];
        $l = $a = $b = [];
        for ($i = 0, $n = 3 * $width * $height; $i < $n; $i += 3) {
            [$rx, $ry, $rz] = $red[ord($bytes[$i])];
            [$gx, $gy, $gz] = $green[ord($bytes[$i + 1])];
            [$bx, $by, $bz] = $blue[ord($bytes[$i + 2])];
            $x = ($rx + $gx + $bx) / $xn;
            $y = ($ry + $gy + $by) / $yn;
            $z = ($rz + $gz + $bz) / $zn;
            $fx = $x > $epsilon ? $x ** $third : ($kappa * $x + 16) / 116;
            $fy = $y > $epsilon ? $y ** $third : ($kappa * $y + 16) / 116;
            $fz = $z > $epsilon ? $z ** $third : ($kappa * $z + 16) / 116;
            $l[] = 116 * $fy - 16;
            $a[] = 500 * ($fx - $fy);
            $b[] = 200 * ($fy - $fz);
        }

        return new self($width, $height, $l, $a, $b);
    }

    /** @return list<array{float, float, float}> what each value of one channel adds to X, Y and Z */
    private static function parts(int $red, int $green, int $blue): array
    {
        [$x, $y, $z] = SrgbMatrix::xyzOfLinear($red, $green, $blue);
        $parts = [];
        for ($v = 0; $v < 256; $v++) {
            $linear = Srgb::decode($v / 255);
            $parts[] = [$x * $linear, $y * $linear, $z * $linear];
        }

        return $parts;
    }

    /** At another size, by the nearest pixel. */
    public function resampled(int $width, int $height): self
    {
        OutOfRange::check('the number of pixels', $width * $height, 1, self::MOST_PIXELS);
        $from = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $from[] =
                    intdiv((2 * $y + 1) * $this->height, 2 * $height) * $this->width + intdiv((2 * $x + 1) * $this->width, 2 * $width);
            }
        }
        $of = static fn (array $channel): array => array_map(static fn (int $at): float => $channel[$at], $from);

        return new self($width, $height, $of($this->l), $of($this->a), $of($this->b));
    }

    /** At a larger size, each pixel between its four nearest. */
    public function enlarged(int $width, int $height): self
    {
        OutOfRange::check('the number of pixels', $width * $height, 1, self::MOST_PIXELS);
        $places = static function (int $pixels, int $from): array {
            $places = [];
            for ($i = 0; $i < $pixels; $i++) {
                $at = max(0.0, min($from - 1.0, (($i + 0.5) * $from) / $pixels - 0.5));
                $places[] = [(int) $at, min($from - 1, (int) $at + 1), $at - (int) $at];
            }

            return $places;
        };
        $columns = $places($width, $this->width);
        $channels = [[], [], []];
        foreach ($places($height, $this->height) as [$top, $bottom, $down]) {
            foreach ([$this->l, $this->a, $this->b] as $c => $channel) {
                foreach ($columns as [$left, $right, $across]) {
                    $above = $channel[$top * $this->width + $left] * (1 - $across) + $channel[$top * $this->width + $right] * $across;
                    $below =
                        $channel[$bottom * $this->width + $left] * (1 - $across) + $channel[$bottom * $this->width + $right] * $across;
                    $channels[$c][] = $above * (1 - $down) + $below * $down;
                }
            }
        }

        return new self($width, $height, ...$channels);
    }

    public function count(): int
    {
        return $this->width * $this->height;
    }

    public function lab(int $at): Lab
    {
        return new Lab($this->l[$at], $this->a[$at], $this->b[$at]);
    }

    /** Without grain: each pixel the middle of its nine, channel by channel. */
    public function smoothed(): self
    {
        [$w, $h] = [$this->width, $this->height];
        $of = static function (array $channel) use ($w, $h): array {
            $smooth = $channel;
            for ($y = 1; $y < $h - 1; $y++) {
                for ($x = 1; $x < $w - 1; $x++) {
                    $at = $y * $w + $x;
                    $nine = [
                        $channel[$at - $w - 1],
                        $channel[$at - $w],
                        $channel[$at - $w + 1],
                        $channel[$at - 1],
                        $channel[$at],
                        $channel[$at + 1],
                        $channel[$at + $w - 1],
                        $channel[$at + $w],
                        $channel[$at + $w + 1],
                    ];
                    sort($nine);
                    $smooth[$at] = $nine[4];
                }
            }

            return $smooth;
        };

        return new self($w, $h, $of($this->l), $of($this->a), $of($this->b));
    }

    /** @param  non-empty-list<int>  $pixels */
    public function mean(array $pixels): Lab
    {
        [$l, $a, $b] = [0.0, 0.0, 0.0];
        foreach ($pixels as $at) {
            $l += $this->l[$at];
            $a += $this->a[$at];
            $b += $this->b[$at];
        }

        return new Lab($l / count($pixels), $a / count($pixels), $b / count($pixels));
    }
}
