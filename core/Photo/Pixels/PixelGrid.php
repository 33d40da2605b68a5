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
        $linear = array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
        $l = $a = $b = [];
        for ($i = 0, $n = 3 * $width * $height; $i < $n; $i += 3) {
            [$x, $y, $z] = SrgbMatrix::xyzOfLinear($linear[ord($bytes[$i])], $linear[ord($bytes[$i + 1])], $linear[ord($bytes[$i + 2])]);
            $lab = Lab::ofXyz(new Xyz($x, $y, $z));
            $l[] = $lab->l;
            $a[] = $lab->a;
            $b[] = $lab->b;
        }

        return new self($width, $height, $l, $a, $b);
    }

    /** At another size, by the nearest pixel. */
    public function resampled(int $width, int $height): self
    {
        OutOfRange::check('the number of pixels', $width * $height, 1, self::MOST_PIXELS);
        $from = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $from[] = intdiv((2 * $y + 1) * $this->height, 2 * $height) * $this->width + intdiv((2 * $x + 1) * $this->width, 2 * $width);
            }
        }
        $of = static fn (array $channel): array => array_map(static fn (int $at): float => $channel[$at], $from);

        return new self($width, $height, $of($this->l), $of($this->a), $of($this->b));
    }

    public function count(): int
    {
        return $this->width * $this->height;
    }

    public function lab(int $at): Lab
    {
        return new Lab($this->l[$at], $this->a[$at], $this->b[$at]);
    }
}
