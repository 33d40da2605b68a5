<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * The CIE 1931 2° standard observer under illuminant D65, in 36 bands of 10 nm from 380 to 730 nm.
 *
 * Source: CIE 018 / ISO 11664-1 (colour matching functions) and ISO 11664-2 (D65), the tables at 10 nm.
 */
final class Observer
{
    public const BANDS = 36;

    public const FIRST_NM = 380;

    public const STEP_NM = 10;

    /** wavelength in nm, x̄, ȳ, z̄, relative power of D65 */
    private const TABLE = [
        [380, 0.0014, 0.0, 0.0065, 49.98],
        [390, 0.0042, 0.0001, 0.0201, 54.65],
        [400, 0.0143, 0.0004, 0.0679, 82.75],
        [410, 0.0435, 0.0012, 0.2074, 91.49],
        [420, 0.1344, 0.004, 0.6456, 93.43],
        [430, 0.2839, 0.0116, 1.3856, 86.68],
        [440, 0.3483, 0.023, 1.7471, 104.86],
        [450, 0.3362, 0.038, 1.7721, 117.01],
        [460, 0.2908, 0.06, 1.6692, 117.81],
        [470, 0.1954, 0.091, 1.2876, 114.86],
        [480, 0.0956, 0.139, 0.813, 115.92],
        [490, 0.032, 0.208, 0.4652, 108.81],
        [500, 0.0049, 0.323, 0.272, 109.35],
        [510, 0.0093, 0.503, 0.1582, 107.8],
        [520, 0.0633, 0.71, 0.0782, 104.79],
        [530, 0.1655, 0.862, 0.0422, 107.69],
        [540, 0.2904, 0.954, 0.0203, 104.41],
        [550, 0.4334, 0.995, 0.0087, 104.05],
        [560, 0.5945, 0.995, 0.0039, 100.0],
        [570, 0.7621, 0.952, 0.0021, 96.33],
        [580, 0.9163, 0.87, 0.0017, 95.79],
        [590, 1.0263, 0.757, 0.0011, 88.69],
        [600, 1.0622, 0.631, 0.0008, 90.01],
        [610, 1.0026, 0.503, 0.0003, 89.6],
        [620, 0.8544, 0.381, 0.0002, 87.7],
        [630, 0.6424, 0.265, 0.0, 83.29],
        [640, 0.4479, 0.175, 0.0, 83.7],
        [650, 0.2835, 0.107, 0.0, 80.03],
        [660, 0.1649, 0.061, 0.0, 80.21],
        [670, 0.0874, 0.032, 0.0, 82.28],
        [680, 0.0468, 0.017, 0.0, 78.28],
        [690, 0.0227, 0.0082, 0.0, 69.72],
        [700, 0.0114, 0.0041, 0.0, 71.61],
        [710, 0.0058, 0.0021, 0.0, 74.35],
        [720, 0.0029, 0.001, 0.0, 61.6],
        [730, 0.0014, 0.0005, 0.0, 69.89],
    ];

    /** @var list<array<int, float>>|null */
    private static ?array $weights = null;

    /**
     * Weights that turn a reflectance into XYZ by three sums: X = Σ wx[i]·R[i] and so on. Each row is scaled so that
     * reflectance 1 in every band gives exactly the D65 white of {@see Xyz::WHITE} (Y = 1).
     *
     * @return array{array<int, float>, array<int, float>, array<int, float>} three rows of 36
     */
    public static function weights(): array
    {
        if (self::$weights === null) {
            self::$weights = [];
            foreach (Xyz::WHITE as $channel => $white) {
                $row = array_map(static fn (array $r): float => $r[$channel + 1] * $r[4], self::TABLE);
                $sum = array_sum($row);
                self::$weights[] = array_map(static fn (float $w): float => ($w * $white) / $sum, $row);
            }
        }

        /** @var array{array<int, float>, array<int, float>, array<int, float>} */
        return self::$weights;
    }

    /**
     * The same for any light, with its own white at Y = 1.
     *
     * @param  list<float>  $power  relative, by band
     * @return array{array<int, float>, array<int, float>, array<int, float>}
     */
    public static function under(array $power): array
    {
        $luminance = array_sum(array_map(static fn (array $r, float $p): float => $r[2] * $p, self::TABLE, $power));
        $row = static fn (int $channel): array => array_map(
            static fn (array $r, float $p): float => ($r[$channel] * $p) / $luminance,
            self::TABLE,
            $power,
        );

        return [$row(1), $row(2), $row(3)];
    }

    /** @return list<float> relative power of D65 by band */
    public static function daylight(): array
    {
        return array_column(self::TABLE, 4);
    }
}
