<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * Lights that a drawing is looked at under. Planning is done under D65; under another light what reflects otherwise parts.
 *
 * Sources: CIE 015:2018 for A (a Planckian radiator of 2848 K on the scale of its definition) and for the components of daylight that D50
 * is made of. The LED is none of CIE's: a blue peak and a broad phosphor, as cool white lamps have them.
 */
enum Illuminant: string
{
    case D65 = 'D65';
    case D50 = 'D50';
    case A = 'A';
    case Led = 'LED';

    /** S0, S1, S2 of daylight, 380 to 730 nm. */
    private const DAYLIGHT = [
        [63.4, 38.5, 3.0],
        [65.8, 35.0, 1.2],
        [94.8, 43.4, -1.1],
        [104.8, 46.3, -0.5],
        [105.9, 43.9, -0.7],
        [96.8, 37.1, -1.2],
        [113.9, 36.7, -2.6],
        [125.6, 35.9, -2.9],
        [125.5, 32.6, -2.8],
        [121.3, 27.9, -2.6],
        [121.3, 24.3, -2.6],
        [113.5, 20.1, -1.8],
        [113.1, 16.2, -1.5],
        [110.8, 13.2, -1.3],
        [106.5, 8.6, -1.2],
        [108.8, 6.1, -1.0],
        [105.3, 4.2, -0.5],
        [104.4, 1.9, -0.3],
        [100.0, 0.0, 0.0],
        [96.0, -1.6, 0.2],
        [95.1, -3.5, 0.5],
        [89.1, -3.5, 2.1],
        [90.5, -5.8, 3.2],
        [90.3, -7.2, 4.1],
        [88.4, -8.6, 4.7],
        [84.0, -9.5, 5.1],
        [85.1, -10.9, 6.7],
        [81.9, -10.7, 7.3],
        [82.6, -12.0, 8.6],
        [84.9, -14.0, 9.8],
        [81.3, -13.6, 10.2],
        [71.9, -12.0, 8.3],
        [74.3, -13.3, 9.6],
        [76.4, -12.9, 8.5],
        [63.3, -10.6, 7.0],
        [71.7, -11.6, 7.6],
    ];

    /** Chromaticity of D50. */
    private const WHITE_OF_D50 = [0.3457, 0.3585];

    public function words(): string
    {
        return match ($this) {
            self::D65 => 'daylight',
            self::D50 => 'daylight, warmer',
            self::A => 'a warm lamp',
            self::Led => 'a cool white LED',
        };
    }

    /** @return list<float> relative power in the bands of {@see Observer} */
    public function power(): array
    {
        $power = [];
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $nm = Observer::FIRST_NM + Observer::STEP_NM * $i;
            $power[] = match ($this) {
                self::D65 => Observer::daylight()[$i],
                self::D50 => self::ofDaylight(...self::WHITE_OF_D50)[$i],
                self::A => ((560 / $nm) ** 5 * (exp(1.435e7 / (2848 * 560)) - 1)) / (exp(1.435e7 / (2848 * $nm)) - 1),
                self::Led => exp(-0.5 * (($nm - 450) / 9.5) ** 2) + 0.58 * exp(-0.5 * (($nm - 562) / 50) ** 2),
            };
        }

        return $power;
    }

    /**
     * Daylight of a chromaticity, by its components.
     *
     * @return list<float>
     */
    public static function ofDaylight(float $x, float $y): array
    {
        $m = 0.0241 + 0.2562 * $x - 0.7341 * $y;
        [$m1, $m2] = [(-1.3515 - 1.7703 * $x + 5.9114 * $y) / $m, (0.03 - 31.4424 * $x + 30.0717 * $y) / $m];

        return array_map(static fn (array $s): float => $s[0] + $m1 * $s[1] + $m2 * $s[2], self::DAYLIGHT);
    }

    /**
     * As {@see Observer::weights()}, for an eye that has adapted to this light (Bradford): white stays the white of D65.
     *
     * @return array{array<int, float>, array<int, float>, array<int, float>} three rows of 36
     */
    public function weights(): array
    {
        /** @var array<string, array{array<int, float>, array<int, float>, array<int, float>}> $known */
        static $known = [];

        return $known[$this->value] ??= $this === self::D65 ? Observer::weights() : self::adapted(Observer::under($this->power()));
    }

    /**
     * What an eye that has adapted to this light sees.
     *
     * @param  array<int, float>  $reflectance  36 bands
     */
    public function on(array $reflectance): Xyz
    {
        [$wx, $wy, $wz] = $this->weights();
        $x = $y = $z = 0.0;
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $x += $wx[$i] * $reflectance[$i];
            $y += $wy[$i] * $reflectance[$i];
            $z += $wz[$i] * $reflectance[$i];
        }

        return new Xyz($x, $y, $z);
    }

    /**
     * @param  array{array<int, float>, array<int, float>, array<int, float>}  $rows
     * @return array{array<int, float>, array<int, float>, array<int, float>}
     */
    private static function adapted(array $rows): array
    {
        $white = Cones::ofXyz(array_sum($rows[0]), array_sum($rows[1]), array_sum($rows[2]));
        $adapted = [[], [], []];
        for ($i = 0; $i < Observer::BANDS; $i++) {
            $cones = Cones::ofXyz($rows[0][$i], $rows[1][$i], $rows[2][$i]);
            [$adapted[0][], $adapted[1][], $adapted[2][]] = Cones::toXyz(
                $cones[0] / $white[0],
                $cones[1] / $white[1],
                $cones[2] / $white[2],
            );
        }

        return $adapted;
    }
}
