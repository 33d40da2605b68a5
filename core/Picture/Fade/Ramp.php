<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Fade;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Coat;

/**
 * An even fade from one pencil to the next, and on to a third: along the strip each pencil's pressure falls while the next one's rises over
 * it; below a whisper strokes stand farther apart instead. Places are chosen so that the colour changes by equal ΔE00 from one to the next,
 * not so that pressure does.
 */
final readonly class Ramp
{
    /** The lightest pressure that a hand repeats; below it coverage falls in place of pressure. */
    private const WHISPER = 0.2;

    /** Strokes farther apart than this are none. */
    private const LEAST_COVERAGE = 0.02;

    /** Places tried on the way between two pencils. */
    private const FINENESS = 240;

    /**
     * @param  list<array{share: float, coats: list<Coat>, lab: Lab}>  $steps  share 0–1 of the way, even in colour
     * @param  list<array{pencil: Pencil, from: float, to: float}>  $reaches  between which steps (as shares of the strip) each pencil lies
     */
    private function __construct(public array $steps, public array $reaches)
    {
    }

    /**
     * @param  list<Pencil>  $pencils  two or three
     * @param  float  $pressure  where a pencil is alone, 0.2–1
     * @param  int  $steps  3–41
     */
    public static function between(array $pencils, Paper $paper, float $pressure = 0.55, int $steps = 9): self
    {
        OutOfRange::check('the number of pencils in a ramp', count($pencils), 2, 3);
        OutOfRange::check('the pressure of a ramp', $pressure, 0.2, 1);
        OutOfRange::check('the number of steps of a ramp', $steps, 3, 41);
        $way = self::way($pencils, $paper, $pressure);
        $length = [0.0];
        foreach (array_slice($way, 1) as $i => $place) {
            $length[] = $length[$i] + $place['lab']->deltaE00($way[$i]['lab']);
        }
        $chosen = [];
        $at = 0;
        for ($k = 0; $k < $steps; $k++) {
            $wanted = ($length[count($length) - 1] * $k) / ($steps - 1);
            while ($at < count($length) - 1 && abs($length[$at + 1] - $wanted) <= abs($length[$at] - $wanted)) {
                $at++;
            }
            $chosen[] = ['share' => $k / ($steps - 1), 'coats' => $way[$at]['coats'], 'lab' => $way[$at]['lab']];
        }

        return new self($chosen, self::reachesOf($pencils, $chosen));
    }

    /** The largest difference from one step to the next over the smallest. */
    public function unevenness(): float
    {
        $apart = [];
        foreach (array_slice($this->steps, 1) as $i => $step) {
            $apart[] = $step['lab']->deltaE00($this->steps[$i]['lab']);
        }

        return $apart === [] ? 1.0 : max($apart) / max(1e-6, min($apart));
    }

    /**
     * Where two pencils lie over each other, as shares of the strip.
     *
     * @return list<array{float, float}>
     */
    public function overlaps(): array
    {
        $overlaps = [];
        foreach (array_slice($this->reaches, 1) as $i => $reach) {
            $overlaps[] = [$reach['from'], $this->reaches[$i]['to']];
        }

        return $overlaps;
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return non-empty-list<array{coats: list<Coat>, lab: Lab}>
     */
    private static function way(array $pencils, Paper $paper, float $pressure): array
    {
        $way = [];
        foreach (array_slice($pencils, 1) as $i => $next) {
            for ($k = $i === 0 ? 0 : 1; $k <= self::FINENESS; $k++) {
                $t = $k / self::FINENESS;
                $coats = [];
                // Slower than straight lines, so that the middle of the fade holds as much film as its ends.
                foreach ([[$pencils[$i], sqrt(1 - $t)], [$next, sqrt($t)]] as [$pencil, $share]) {
                    $coverage = min(1.0, ($pressure * $share) / self::WHISPER);
                    if ($coverage >= self::LEAST_COVERAGE) {
                        $coats[] = new Coat(new Pass($pencil, max(self::WHISPER, round($pressure * $share, 3))), $coverage);
                    }
                }
                $way[] = ['coats' => $coats, 'lab' => Coat::look($coats, $paper)];
            }
        }

        return $way === [] ? [['coats' => [], 'lab' => Coat::look([], $paper)]] : $way;
    }

    /**
     * @param  list<Pencil>  $pencils
     * @param  list<array{share: float, coats: list<Coat>, lab: Lab}>  $steps
     * @return list<array{pencil: Pencil, from: float, to: float}>
     */
    private static function reachesOf(array $pencils, array $steps): array
    {
        $reaches = [];
        foreach ($pencils as $pencil) {
            $shares = array_map(
                static fn (array $s): float => $s['share'],
                array_filter(
                    $steps,
                    static fn (array $s): bool => in_array(
                        $pencil,
                        array_map(static fn (Coat $c): Pencil => $c->pass->pencil, $s['coats']),
                        true,
                    ),
                ),
            );
            $reaches[] = [
                'pencil' => $pencil,
                'from' => $shares === [] ? 0.0 : min($shares),
                'to' => $shares === [] ? 0.0 : max($shares),
            ];
        }

        return $reaches;
    }
}
