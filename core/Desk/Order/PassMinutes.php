<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Medium\Laying\Pressure;

/**
 * What a pass takes, in minutes: its area by the rate of its strokes, and a little for each piece of its zone. The rates are a start (an
 * even layer over a hand-sized area is some ten minutes' work, a firm one half as long again); what somebody really takes corrects them all
 * alike, as her pace.
 */
final class PassMinutes
{
    /** mm² in a minute. */
    private const RATES = ['whisper' => 1500.0, 'light' => 1300.0, 'medium' => 1000.0, 'firm' => 750.0, 'full' => 500.0];

    /** To look, find the place and begin. */
    private const BEGINNING = 0.5;

    /** To go over to the next piece of the same zone. */
    private const MOVING = 0.15;

    /** Where the point must be led, mm²: so little is worked at half the rate. */
    private const SMALL = 150.0;

    /** Ticks of one's own count from so many on, and are believed in full from three times as many. */
    private const TIMES = 4;

    /**
     * @param  list<float>  $shares  of the zone, by shade
     * @param  float  $area  of the zone, mm²
     * @param  int  $pieces  that the zone lies in
     */
    public static function of(WorkPass $pass, array $shares, float $area, int $pieces = 1): float
    {
        $minutes = self::BEGINNING + self::MOVING * ($pieces - 1);
        foreach ($pass->over() as $shade) {
            $mm2 = $area * ($shares[$shade] ?? 0.0);
            $rate = $pass->finish !== null ? $pass->finish->rate : self::RATES[($pass->pressures[$shade] ?? Pressure::Medium)->value];
            $minutes += ($mm2 / $rate) * ($mm2 < self::SMALL ? 2.0 : 1.0);
        }

        return $minutes;
    }

    /** As one would say it: nobody draws by the minute. Nothing for no minutes. */
    public static function words(float $minutes): string
    {
        if ($minutes <= 0) {
            return '';
        }
        if ($minutes < 95) {
            return 'about '.max(10, (int) round($minutes / 10) * 10).' minutes';
        }
        $halves = (int) round($minutes / 30);

        return 'about '.intdiv($halves, 2).($halves % 2 === 1 ? '½' : '').' hours';
    }

    /**
     * Minutes really taken for each that is reckoned, in the median; little is believed of a few.
     *
     * @param  list<array{float, float}>  $times  reckoned and taken, minutes
     */
    public static function pace(array $times): float
    {
        $ratios = array_map(
            static fn (array $t): float => log($t[1] / $t[0]),
            array_values(array_filter($times, static fn (array $t): bool => $t[0] > 0 && $t[1] > 0)),
        );
        if (count($ratios) < self::TIMES) {
            return 1.0;
        }
        sort($ratios);
        $median = ($ratios[intdiv(count($ratios) - 1, 2)] + $ratios[intdiv(count($ratios), 2)]) / 2;

        return max(0.2, min(5.0, exp($median * min(1.0, count($ratios) / (3 * self::TIMES)))));
    }
}
