<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Strips;

use KnottyPrism\Core\Colour\Equations\LinearSystem;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Steadiness;

/**
 * What test strips say of a hand: the figures most likely by them and by what hands are like, a Gaussian prior on the logarithm of each
 * factor around the even hand. Found by Gauss and Newton's method with a ridge, so that few strips move little and none nothing
 * (A. Gelman et al., Bayesian Data Analysis, 2013, ch. 14). How far passes wander is what then is left of the strips' errors, beside
 * what an ordinary hand would leave, weighed against as many passes of that.
 */
final class LearnHand
{
    public const MOST_STRIPS = 200;

    /** How far hands and papers differ, deviations of the logarithm. */
    private const PRIOR = ['pressure' => 0.25, 'laydown' => 0.08, 'packing' => 0.05, 'contact' => 0.1, 'drag' => 0.8];

    /** What reading a colour off a strip errs by, in each of L*, a* and b*. */
    private const READING = 0.8;

    private const STEPS = 12;

    /** No logarithm is taken farther from nothing. */
    private const FARTHEST = 1.0;

    /**
     * By how much the strips must be better explained, in half squares of deviations, before a hand is said to differ from the even one.
     */
    private const WORTH_SAYING = 3.0;

    private const SMALL = 0.02;

    /** Strips of an ordinary hand that the belief in an ordinary spread weighs as much as. */
    private const SPREAD_BELIEF = 6.0;

    /**
     * @param  list<Strip>  $strips
     *
     * @throws OutOfRange for none or too many
     */
    public static function from(array $strips, Paper $paper): LearntHand
    {
        OutOfRange::check('the number of strips', count($strips), 1, self::MOST_STRIPS);
        $names = array_keys(self::PRIOR);
        $weights = array_map(static fn (Strip $s): float => 1 / (self::READING ** 2 + Steadiness::of($s->stack, $paper) ** 2), $strips);
        $at = array_fill(0, count($names), 0.0);
        $normal = [];
        for ($step = 0; $step < self::STEPS; $step++) {
            [$normal, $right] = self::equations($strips, $paper, $names, $at, $weights);
            $move = LinearSystem::solved($normal, $right);
            $at = array_map(self::within(...), $names, $at, $move);
            if (max(0.0, ...array_map(abs(...), $move)) < 1e-3) {
                break;
            }
        }
        $better =
            self::unlikely($strips, $paper, $names, array_fill(0, count($names), 0.0), $weights) -
            self::unlikely($strips, $paper, $names, $at, $weights);
        if ($better < self::WORTH_SAYING) {
            $at = array_fill(0, count($names), 0.0);
        }
        $hand = self::hand($names, $at, 1.0);
        [$before, $after] = [self::rms($strips, $paper, Hand::even()), self::rms($strips, $paper, $hand)];
        $covariance = LinearSystem::solved($normal, [1.0, 0.0, 0.0, 0.0, 0.0]);

        return new LearntHand(
            self::hand($names, $at, self::spread($strips, $paper, $hand)),
            count($strips),
            $before,
            $after,
            sqrt(max(0.0, $covariance[0])),
        );
    }

    /** A logarithm moved, as far as a hand may differ; the slopes are looked for a little beyond. */
    private static function within(string $name, float $was, float $by): float
    {
        [$least, $most] = Hand::RANGES[$name];

        return max(-self::FARTHEST, $least > 0.0 ? log($least) : -INF, min(self::FARTHEST, log($most) - self::SMALL, $was + $by));
    }

    /**
     * @param  list<string>  $names
     * @param  list<float>  $logs
     */
    private static function hand(array $names, array $logs, float $spread): Hand
    {
        $figures = array_combine($names, array_map(exp(...), $logs));

        return new Hand($figures['pressure'], $figures['laydown'], $spread, $figures['drag'], $figures['packing'], $figures['contact']);
    }

    /**
     * Half the squares of what the strips err by and of what the hand differs by, each over its deviation.
     *
     * @param  list<Strip>  $strips
     * @param  list<string>  $names
     * @param  list<float>  $at
     * @param  list<float>  $weights
     */
    private static function unlikely(array $strips, Paper $paper, array $names, array $at, array $weights): float
    {
        $sum = 0.0;
        foreach (self::looks($strips, $paper->under(self::hand($names, $at, 1.0))) as $s => $look) {
            $found = $strips[$s]->found;
            $sum += $weights[$s] * (($found->l - $look->l) ** 2 + ($found->a - $look->a) ** 2 + ($found->b - $look->b) ** 2);
        }
        foreach ($names as $i => $name) {
            $sum += ($at[$i] / self::PRIOR[$name]) ** 2;
        }

        return $sum / 2;
    }

    /**
     * The normal equations of the linearised strips and the prior.
     *
     * @param  list<Strip>  $strips
     * @param  list<string>  $names
     * @param  list<float>  $at
     * @param  list<float>  $weights
     * @return array{list<list<float>>, list<float>}
     */
    private static function equations(array $strips, Paper $paper, array $names, array $at, array $weights): array
    {
        $n = count($names);
        $a = array_fill(0, $n, array_fill(0, $n, 0.0));
        $b = [];
        foreach ($names as $i => $name) {
            $precision = 1 / self::PRIOR[$name] ** 2;
            $a[$i][$i] = $precision;
            $b[] = -$precision * $at[$i];
        }
        $here = self::looks($strips, $paper->under(self::hand($names, $at, 1.0)));
        $slopes = [];
        foreach (array_keys($names) as $i) {
            $moved = self::looks(
                $strips,
                $paper->under(self::hand($names, array_values(array_replace($at, [$i => $at[$i] + self::SMALL])), 1.0)),
            );
            $slopes[] = array_map(
                static fn (Lab $m, Lab $h): array => [
                    ($m->l - $h->l) / self::SMALL,
                    ($m->a - $h->a) / self::SMALL,
                    ($m->b - $h->b) / self::SMALL,
                ],
                $moved,
                $here,
            );
        }
        foreach ($strips as $s => $strip) {
            $off = [$strip->found->l - $here[$s]->l, $strip->found->a - $here[$s]->a, $strip->found->b - $here[$s]->b];
            for ($c = 0; $c < 3; $c++) {
                for ($i = 0; $i < $n; $i++) {
                    $b[$i] += $weights[$s] * $slopes[$i][$s][$c] * $off[$c];
                    for ($j = 0; $j < $n; $j++) {
                        $a[$i][$j] += $weights[$s] * $slopes[$i][$s][$c] * $slopes[$j][$s][$c];
                    }
                }
            }
        }

        return [array_map(array_values(...), array_values($a)), array_values($b)];
    }

    /**
     * @param  list<Strip>  $strips
     * @return list<Lab>
     */
    private static function looks(array $strips, Paper $paper): array
    {
        return array_map(static fn (Strip $s): Lab => Lab::ofXyz($s->stack->on($paper)->xyz()), $strips);
    }

    /** @param  list<Strip>  $strips */
    private static function rms(array $strips, Paper $paper, Hand $hand): float
    {
        $off = array_map(
            static fn (Strip $s, Lab $l): float => $s->found->deltaE00($l) ** 2,
            $strips,
            self::looks($strips, $paper->under($hand)),
        );

        return sqrt(array_sum($off) / count($off));
    }

    /** @param  list<Strip>  $strips */
    private static function spread(array $strips, Paper $paper, Hand $hand): float
    {
        $own = $paper->under($hand);
        $left = $ordinary = 0.0;
        foreach (self::looks($strips, $own) as $i => $look) {
            $left += max(0.0, $strips[$i]->found->deltaE00($look) ** 2 - self::READING ** 2);
            $ordinary += Steadiness::of($strips[$i]->stack, $own) ** 2;
        }
        $n = count($strips);
        $ratio = (($left / max(1e-6, $ordinary)) * $n) / max(1.0, $n - 1.5);

        return max(
            Hand::RANGES['spread'][0],
            min(Hand::RANGES['spread'][1], sqrt((self::SPREAD_BELIEF + $n * $ratio) / (self::SPREAD_BELIEF + $n))),
        );
    }
}
