<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium;

use KnottyPrism\Core\Colour\Lab;

/**
 * How much a stack's colour swings in an ordinary hand: the root-mean-square ΔE00 when pressure wanders by 0.08 and laydown
 * by 10 % (one standard deviation each, every pass on its own).
 *
 * Sigma points: each of the two wanderings of each pass is tried one deviation up and down with all others at rest, and the
 * squares add. Pressure and laydown are tried apart, four trials a pass, because pressure also decides how deep a stroke reaches.
 */
final class Steadiness
{
    public const PRESSURE_DEVIATION = 0.08;

    public const LAYDOWN_DEVIATION = 0.10;

    /** The least pressure at which a pencil marks at all. */
    private const LEAST_PRESSURE = 0.05;

    public static function of(Stack $stack, Paper $paper): float
    {
        $intended = Lab::ofReflectance($stack->on($paper)->meanReflectance());
        $sum = 0.0;
        $before = new Sheet($paper);
        foreach ($stack->steps as $i => $step) {
            if ($step instanceof Pass && ! $step->pencil->isBlender()) {
                $rest = array_slice($stack->steps, $i + 1);
                foreach ([1, -1] as $sign) {
                    $wandered = max(self::LEAST_PRESSURE, min(1.0, $step->pressure + $sign * self::PRESSURE_DEVIATION));
                    $sum += self::swing($before, new Pass($step->pencil, $wandered), 1.0, $rest, $intended) / 2;
                    $sum += self::swing($before, $step, 1 + $sign * self::LAYDOWN_DEVIATION, $rest, $intended) / 2;
                }
            }
            Stack::apply($step, $before);
        }

        return sqrt($sum);
    }

    /** @param  list<Pass|Finish>  $rest */
    private static function swing(Sheet $before, Pass $wandered, float $laydown, array $rest, Lab $intended): float
    {
        $sheet = clone $before;
        Stack::apply($wandered, $sheet, $laydown);
        foreach ($rest as $step) {
            Stack::apply($step, $sheet);
        }

        return $intended->deltaE00(Lab::ofReflectance($sheet->meanReflectance())) ** 2;
    }
}
