<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

/**
 * Light that veils a photo, as a share of what paper sends back, told by the drawing's own shades: it lifts the darkest most and pale ones
 * hardly, while a hand that lays more or less changes all by a power of what they send back. Both are found together, the likeliest by
 * what is seen and by what is usual; only the veil is taken off, what is the hand's stays to be told.
 */
final class StrayLight
{
    /** How much of it photos have, and the most that is believed. */
    private const USUAL = 0.012;

    private const MOST = 0.03;

    private const STEP = 0.001;

    /** How far a hand is off as a whole: deviation of the power, and the finest that is told of it. */
    private const HAND = 0.15;

    private const HAND_STEP = 0.03;

    /** What one shade errs by besides, L*. */
    private const SHADE = 2.5;

    /** One that errs by more deviations than this counts by its distance and not by its square (P. J. Huber, 1964). */
    private const ORDINARY = 1.5;

    /** Shades too few to tell by. */
    private const LEAST = 5;

    /**
     * @param  list<array{float, float}>  $shades  luminance found and expected of each, of what paper sends back, 0–1
     * @return float 0–0.03
     */
    public static function in(array $shades): float
    {
        $best = 0.0;
        $least = INF;
        foreach (count($shades) < self::LEAST ? [] : range(0.0, self::MOST, self::STEP) as $veil) {
            for ($step = -15; $step <= 15; $step++) {
                $unlikely = self::unlikely($shades, $veil, 1 + $step * self::HAND_STEP);
                if ($unlikely < $least) {
                    [$best, $least] = [$veil, $unlikely];
                }
            }
        }

        return $best;
    }

    /** @param  list<array{float, float}>  $shades */
    private static function unlikely(array $shades, float $veil, float $power): float
    {
        $sum = ($veil / self::USUAL) ** 2 + (($power - 1) / self::HAND) ** 2;
        foreach ($shades as [$found, $expected]) {
            $off = abs(self::lightness($found) - self::lightness((max(0.0, $expected) ** $power + $veil) / (1 + $veil))) / self::SHADE;
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
