<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Fade;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** An even fade along a line across a zone, in the pencils that the zone's own recipes take. */
final readonly class RampAcross
{
    public const STEPS = 9;

    /** Two pencils nearer than this, ΔE00, make no fade. */
    private const APART = 6.0;

    /** Where a pencil lies alone; the one that comes nearest to the photo along the line is taken. */
    private const PRESSURES = [Pressure::Light, Pressure::Medium, Pressure::Firm];

    /** @param  list<Pencil>  $pencils  from the line's beginning to its end */
    private function __construct(public Ramp $ramp, public array $pencils)
    {
    }

    /**
     * @param  non-empty-list<Lab>  $along  the photo's colours along the line
     * @param  list<Stack>  $stacks  the zone's recipes
     *
     * @throws ImpossibleChange when they have no two pencils that differ
     */
    public static function of(array $along, array $stacks, Paper $paper): self
    {
        $coats = [];
        foreach ($stacks as $stack) {
            foreach ($stack->pencils() as $pencil) {
                $coats[$pencil->id()] = [
                    'pencil' => $pencil,
                    'look' => Lab::ofReflectance(
                        (new Stack([new Pass($pencil, Pressure::Medium->share())]))->on($paper)->meanReflectance(),
                    ),
                ];
            }
        }
        $chosen = self::chosen($along, array_values($coats));
        if ($chosen === []) {
            throw ImpossibleChange::because(
                'This zone uses pencils of one colour only; a fade needs two that differ. Add another pencil to its light '
                    .'or its dark.',
            );
        }
        $best = null;
        $least = INF;
        foreach (self::PRESSURES as $pressure) {
            $ramp = Ramp::between($chosen, $paper, $pressure->share(), self::STEPS);
            $off = self::off($ramp, $along);
            if ($off < $least) {
                [$best, $least] = [$ramp, $off];
            }
        }

        return $best === null ? throw new \LogicException('there is at least one pressure') : new self($best, $chosen);
    }

    /**
     * The two pencils whose coats lie nearest to the ends, and a third between them where it lies nearer to the middle than either.
     *
     * @param  non-empty-list<Lab>  $along
     * @param  list<array{pencil: Pencil, look: Lab}>  $coats
     * @return list<Pencil>
     */
    private static function chosen(array $along, array $coats): array
    {
        [$first, $middle, $last] = [$along[0], $along[intdiv(count($along), 2)], $along[count($along) - 1]];
        $ends = null;
        $least = INF;
        foreach ($coats as $from) {
            foreach ($coats as $to) {
                $off = $from['look']->deltaE00($first) + $to['look']->deltaE00($last);
                if ($off < $least && $from['look']->deltaE00($to['look']) >= self::APART) {
                    [$ends, $least] = [[$from, $to], $off];
                }
            }
        }
        if ($ends === null) {
            return [];
        }
        [$from, $to] = $ends;
        $between = null;
        $least = min($from['look']->deltaE00($middle), $to['look']->deltaE00($middle));
        foreach ($coats as $coat) {
            if (
                $coat['look']->deltaE00($middle) < $least &&
                min($coat['look']->deltaE00($from['look']), $coat['look']->deltaE00($to['look'])) >= self::APART
            ) {
                [$between, $least] = [$coat['pencil'], $coat['look']->deltaE00($middle)];
            }
        }

        return $between === null ? [$from['pencil'], $to['pencil']] : [$from['pencil'], $between, $to['pencil']];
    }

    /** @param  non-empty-list<Lab>  $along */
    private static function off(Ramp $ramp, array $along): float
    {
        $sum = 0.0;
        foreach ($ramp->steps as $step) {
            $sum += $step['lab']->deltaE00($along[(int) round($step['share'] * (count($along) - 1))]);
        }

        return $sum;
    }
}
