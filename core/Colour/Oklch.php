<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * Lightness 0–1, chroma and hue in a space whose hue steps look even; used for families and leans.
 *
 * Source: B. Ottosson, "A perceptual color space for image processing" (2020), the XYZ form of its two matrices.
 */
final readonly class Oklch
{
    /** XYZ (D65) to cone-like responses, and those (cube-rooted) to lightness and two opponents. */
    private const TO_LMS = [
        [0.8189330101, 0.3618667424, -0.1288597137],
        [0.0329845436, 0.9293118715, 0.0361456387],
        [0.0482003018, 0.2643662691, 0.6338517070],
    ];

    private const TO_LAB = [
        [0.2104542553, 0.7936177850, -0.0040720468],
        [1.9779984951, -2.4285922050, 0.4505937099],
        [0.0259040371, 0.7827717662, -0.8086757660],
    ];

    public function __construct(public float $lightness, public float $chroma, public float $hueDegrees)
    {
    }

    public static function ofXyz(Xyz $xyz): self
    {
        $roots = [];
        foreach (self::TO_LMS as [$mx, $my, $mz]) {
            $response = $mx * $xyz->x + $my * $xyz->y + $mz * $xyz->z;
            $roots[] = ($response < 0 ? -1 : 1) * abs($response) ** (1 / 3);
        }
        [$lightness, $a, $b] = array_map(
            static fn (array $row): float => $row[0] * $roots[0] + $row[1] * $roots[1] + $row[2] * $roots[2],
            self::TO_LAB,
        );

        return new self($lightness, hypot($a, $b), fmod(rad2deg(atan2($b, $a)) + 360, 360));
    }

    public static function ofLab(Lab $lab): self
    {
        return self::ofXyz($lab->xyz());
    }
}
