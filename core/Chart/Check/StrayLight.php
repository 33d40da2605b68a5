<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

/**
 * Light that veils a photo, as a share of what paper sends back, told by the drawing's own shades: it lifts the darkest most and pale ones
 * hardly. So does a hand that lays less; but a hand sways each shade by what it is made of, a dark of firm coats hardly and a whisper much
 * ({@see \KnottyPrism\Core\Medium\Stack\Steadiness}). Both are found together, the likeliest by what is seen and by what is usual, every
 * shade by how well it can be foreseen; only the veil is taken off, what is the hand's stays to be told.
 */
final class StrayLight
{
    /** How much of it photos have and how that differs, a Gaussian; and the most that is believed. */
    private const USUAL = 0.008;

    private const DIFFERS = 0.006;

    private const MOST = 0.03;

    private const STEP = 0.001;

    /**
     * How far a hand is off as a whole: a deviation, as a share of what it sways each shade by, and how finely and how far that is tried.
     */
    private const HAND = 0.6;

    private const HAND_STEP = 0.25;

    private const HAND_STEPS = 8;

    /** What a photo of a shade errs by besides, L*. */
    private const PHOTO = 1.0;

    /** One that errs by more deviations than this counts by its distance and not by its square (P. J. Huber, 1964). */
    private const ORDINARY = 1.5;

    /** Shades too few to tell by. */
    private const LEAST = 5;

    /**
     * @param  list<array{float, float, float}>  $shades luminance found and expected of each, of what paper sends back, 0–1; by how much an
     *   ordinary hand sways it, ΔE00
     * @return float 0–0.03
     */
    public static function in(array $shades): float
    {
        $best = 0.0;
        $least = INF;
        foreach (count($shades) < self::LEAST ? [] : range(0.0, self::MOST, self::STEP) as $veil) {
            for ($step = -self::HAND_STEPS; $step <= self::HAND_STEPS; $step++) {
                $unlikely =
                    (($veil - self::USUAL) / self::DIFFERS) ** 2 +
                    ($step * self::HAND_STEP) ** 2 +
                    self::unlikely($shades, $veil, $step * self::HAND_STEP * self::HAND);
                if ($unlikely < $least) {
                    [$best, $least] = [$veil, $unlikely];
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<array{float, float, float}>  $shades
     * @param  float  $heavier  by how many of its swayings a hand lays more
     */
    private static function unlikely(array $shades, float $veil, float $heavier): float
    {
        $sum = 0.0;
        foreach ($shades as [$found, $expected, $sway]) {
            $laid = (max(0.0, self::lightness($expected) - $heavier * $sway) / 116) ** 3;
            $off = abs(self::lightness($found) - self::lightness(($laid + $veil) / (1 + $veil))) / hypot(self::PHOTO, $sway);
            $sum += $off > self::ORDINARY ? self::ORDINARY * (2 * $off - self::ORDINARY) : $off * $off;
        }

        return $sum;
    }

    /** By its cube root, which is all that differences need. */
    private static function lightness(float $luminance): float
    {
        return 116 * max(0.0, $luminance) ** (1 / 3);
    }
}
