<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** CIELAB (ISO/CIE 11664-4) for the D65 white: L* 0–100, a* and b* unbounded in principle. */
final readonly class Lab
{
    /** (6/29)³ and (29/3)³ of the standard, as exact fractions. */
    public const EPSILON = 216 / 24389;

    public const KAPPA = 24389 / 27;

    public function __construct(public float $l, public float $a, public float $b)
    {
    }

    public static function ofXyz(Xyz $xyz): self
    {
        [$xn, $yn, $zn] = Xyz::WHITE;
        $fx = self::f($xyz->x / $xn);
        $fy = self::f($xyz->y / $yn);
        $fz = self::f($xyz->z / $zn);

        return new self(116 * $fy - 16, 500 * ($fx - $fy), 200 * ($fy - $fz));
    }

    /** @param  array<int, float>  $reflectance 36 bands, 0–1 */
    public static function ofReflectance(array $reflectance): self
    {
        return self::ofXyz(Xyz::ofReflectance($reflectance));
    }

    public static function ofHex(string $hex): self
    {
        return Srgb::ofHex($hex)->lab();
    }

    /** @param  float  $y  of the white's 1 */
    public static function lightness(float $y): float
    {
        return 116 * self::f($y) - 16;
    }

    public function xyz(): Xyz
    {
        $fy = ($this->l + 16) / 116;
        $fx = $fy + $this->a / 500;
        $fz = $fy - $this->b / 200;
        [$xn, $yn, $zn] = Xyz::WHITE;

        return new Xyz(self::inverse($fx) * $xn, self::inverse($fy) * $yn, self::inverse($fz) * $zn);
    }

    public function chroma(): float
    {
        return hypot($this->a, $this->b);
    }

    /** Hue angle h_ab in degrees, 0 ≤ h < 360; 0 for a perfect grey. */
    public function hueDegrees(): float
    {
        return fmod(rad2deg(atan2($this->b, $this->a)) + 360, 360);
    }

    /** With its hue turned by some degrees and its chroma multiplied, L* kept. */
    public function turned(float $degrees, float $chroma = 1.0): self
    {
        $hue = deg2rad($this->hueDegrees() + $degrees);

        return new self($this->l, $this->chroma() * $chroma * cos($hue), $this->chroma() * $chroma * sin($hue));
    }

    /** CIEDE2000 to another colour. */
    public function deltaE00(self $other): float
    {
        return ColourDifference::ciede2000($this->l, $this->a, $this->b, $other->l, $other->a, $other->b);
    }

    /** @return array{float, float, float} */
    public function toArray(): array
    {
        return [$this->l, $this->a, $this->b];
    }

    private static function f(float $t): float
    {
        return $t > self::EPSILON ? $t ** (1 / 3) : (self::KAPPA * $t + 16) / 116;
    }

    private static function inverse(float $f): float
    {
        $cube = $f ** 3;

        return $cube > self::EPSILON ? $cube : (116 * $f - 16) / self::KAPPA;
    }
}
