<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** Tristimulus values under D65; Y is 0 for black and 1 for the perfect white. */
final readonly class Xyz
{
    /** D65 for the 2° observer, from its chromaticity x = 0.3127, y = 0.3290 (IEC 61966-2-1). */
    public const WHITE = [0.3127 / 0.3290, 1.0, (1.0 - 0.3127 - 0.3290) / 0.3290];

    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    /** @param  array<int, float>  $reflectance 36 bands, 0–1 */
    public static function ofReflectance(array $reflectance): self
    {
        [$wx, $wy, $wz] = Observer::weights();
        $x = $y = $z = 0.0;
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $x += $wx[$i] * $reflectance[$i];
            $y += $wy[$i] * $reflectance[$i];
            $z += $wz[$i] * $reflectance[$i];
        }

        return new self($x, $y, $z);
    }
}
