<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * The CIEDE2000 colour difference with all parametric factors 1.
 *
 * Source: CIE 142-2001; worked form and test pairs of G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 color-difference
 * formula: implementation notes", Color Research and Application 30 (2005). Symbols follow that paper.
 */
final class ColourDifference
{
    private const POW7_25 = 6103515625.0;

    /** Takes plain CIELAB figures, unchecked, so that a search loop can call it. */
    public static function ciede2000(float $L1, float $a1, float $b1, float $L2, float $a2, float $b2): float
    {
        $Cbar7 = ((sqrt($a1 * $a1 + $b1 * $b1) + sqrt($a2 * $a2 + $b2 * $b2)) / 2) ** 7;
        $G = 0.5 * (1 - sqrt($Cbar7 / ($Cbar7 + self::POW7_25)));
        $ap1 = (1 + $G) * $a1;
        $ap2 = (1 + $G) * $a2;
        $Cp1 = sqrt($ap1 * $ap1 + $b1 * $b1);
        $Cp2 = sqrt($ap2 * $ap2 + $b2 * $b2);
        $hp1 = self::hue($ap1, $b1);
        $hp2 = self::hue($ap2, $b2);

        $dLp = $L2 - $L1;
        $dCp = $Cp2 - $Cp1;
        $grey = $Cp1 * $Cp2 == 0.0;
        $dh = $hp2 - $hp1;
        if ($grey) {
            $dh = 0.0;
        } elseif ($dh > M_PI) {
            $dh -= 2 * M_PI;
        } elseif ($dh < -M_PI) {
            $dh += 2 * M_PI;
        }
        $dHp = 2 * sqrt($Cp1 * $Cp2) * sin($dh / 2);

        $Lpbar = ($L1 + $L2) / 2;
        $Cpbar = ($Cp1 + $Cp2) / 2;
        $hpbar = $hp1 + $hp2;
        if (! $grey) {
            if (abs($hp1 - $hp2) > M_PI) {
                $hpbar += $hpbar < 2 * M_PI ? 2 * M_PI : -2 * M_PI;
            }
            $hpbar /= 2;
        }

        // In degrees the paper's 30, 6, 63 and 275 are these angles in radians.
        $T = 1 - 0.17 * cos($hpbar - 0.5235987755982988) + 0.24 * cos(2 * $hpbar)
            + 0.32 * cos(3 * $hpbar + 0.10471975511965978) - 0.20 * cos(4 * $hpbar - 1.0995574287564276);
        $spread = ($hpbar - 4.799655442984406) / 0.4363323129985824;
        $dTheta = 0.5235987755982988 * exp(-$spread * $spread);
        $Cpbar7 = $Cpbar ** 7;
        $RC = 2 * sqrt($Cpbar7 / ($Cpbar7 + self::POW7_25));
        $L50 = ($Lpbar - 50) * ($Lpbar - 50);
        $SL = 1 + 0.015 * $L50 / sqrt(20 + $L50);
        $SC = 1 + 0.045 * $Cpbar;
        $SH = 1 + 0.015 * $Cpbar * $T;
        $RT = -sin(2 * $dTheta) * $RC;

        $l = $dLp / $SL;
        $c = $dCp / $SC;
        $h = $dHp / $SH;

        // Rounding can bring the sum of squares of two equal colours a hair under zero.
        return sqrt(max(0.0, $l * $l + $c * $c + $h * $h + $RT * $c * $h));
    }

    private static function hue(float $a, float $b): float
    {
        if ($a == 0.0 && $b == 0.0) {
            return 0.0;
        }
        $h = atan2($b, $a);

        return $h < 0 ? $h + 2 * M_PI : $h;
    }
}
