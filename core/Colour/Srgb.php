<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

use KnottyPrism\Core\Error\UnreadableText;

/** An sRGB colour (IEC 61966-2-1), its three encoded channels 0–1; colours outside the gamut are clipped when made from XYZ. */
final readonly class Srgb
{
    private function __construct(public float $red, public float $green, public float $blue)
    {
    }

    /** @throws UnreadableText when the text is not #rrggbb */
    public static function ofHex(string $hex): self
    {
        if (preg_match('/^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/Di', trim($hex), $m) !== 1) {
            throw UnreadableText::colour($hex);
        }

        return new self(hexdec($m[1]) / 255, hexdec($m[2]) / 255, hexdec($m[3]) / 255);
    }

    /** Channels as stored in a picture, 0–255. */
    public static function ofBytes(float $red, float $green, float $blue): self
    {
        return new self($red / 255, $green / 255, $blue / 255);
    }

    /**
     * Cut off at what a screen can show.
     *
     * @param  array{float, float, float}  $linear
     */
    public static function ofLinear(array $linear): self
    {
        return new self(...array_map(static fn (float $v): float => self::encode(max(0.0, min(1.0, $v))), $linear));
    }

    public static function ofXyz(Xyz $xyz): self
    {
        [$r, $g, $b] = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);

        return new self(self::encode($r), self::encode($g), self::encode($b));
    }

    public function xyz(): Xyz
    {
        [$x, $y, $z] = SrgbMatrix::xyzOfLinear(self::decode($this->red), self::decode($this->green), self::decode($this->blue));

        return new Xyz($x, $y, $z);
    }

    public function lab(): Lab
    {
        return Lab::ofXyz($this->xyz());
    }

    /** The nearest 8-bit colour, written #rrggbb. */
    public function hex(): string
    {
        return sprintf('#%02x%02x%02x', (int) round($this->red * 255), (int) round($this->green * 255), (int) round($this->blue * 255));
    }

    /** Encoded channel 0–1 to linear light 0–1. */
    public static function decode(float $v): float
    {
        return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    }

    public static function encode(float $v): float
    {
        $v = max(0.0, min(1.0, $v));

        return $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055;
    }
}
