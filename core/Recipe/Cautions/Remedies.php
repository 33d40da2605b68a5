<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * Tries what could remove a caution: small changes of the stack, each simulated and looked at again. What is advised is free of the
 * caution, brings no other, and stays near the colour.
 */
final readonly class Remedies
{
    /** How much farther from the target a remedy may end, ΔE00. */
    private const MAY_COST = 1.5;

    /** The same where the paper or the film suffers, not only the colour. */
    private const MAY_COST_TO_SAVE = 4.0;

    /** Pencils tried in place of the one that causes it: those of nearest colour. */
    private const SUBSTITUTES = 10;

    /** The same for each pass where no single one is the cause. */
    private const SUBSTITUTES_EACH = 2;

    /** Stacks whose steadiness is worked out. */
    private const STEADIED = 5;

    /**
     * @param  list<Pencil>  $pencils  at hand
     * @param  list<Pencil>  $missing  known but not at hand: what could be bought
     * @param  ?\Closure(Stack): bool  $allowed  whether the school allows a stack
     * @param  ?\Closure(CautionCode): list<Stack>  $otherwise  what else a search has laid, the likeliest to be free of a caution first
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     */
    public function __construct(private Paper $paper, private array $pencils, private array $missing = [], private ?\Closure $allowed = null, private ?\Closure $otherwise = null, private float $grainCounts = Shade::SMOOTH)
    {
    }

    /** The caution with what removes it, or as it was when nothing tried does. */
    public function for(Caution $caution, Stack $stack, Lab $target): Caution
    {
        if ($caution->code === CautionCode::OutOfReach) {
            return $this->nearestPurchase($caution, $stack, $target);
        }
        $before = $this->codesOf(Trace::of($stack, $this->paper), $target);
        $limit = $stack->steps === [] ? INF : Lab::ofReflectance($stack->on($this->paper)->meanReflectance())->deltaE00($target) + $this->mayCost($caution->code);
        $free = fn (iterable $changes): array => $this->freeOf($caution->code, $changes, $target, $limit, array_values(array_diff(array_column(CautionCode::cases(), 'value'), $before)));
        $changed = $free($this->changes($stack, $caution));
        usort($changed, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $this->remedied($caution, $changed) ?? $this->remedied($caution, $free($this->otherwise($caution->code))) ?? $caution;
    }

    /**
     * @param  iterable<string, Stack>  $changes  what to do, in words => the stack that results
     * @param  float  $limit  ΔE00 from the target that a remedy may have
     * @param  list<string>  $unwanted  codes that it may not bring
     * @return list<array{float, string, Stack}> those near and free of it (steadiness is not looked at here): ΔE00, words, stack
     */
    private function freeOf(CautionCode $code, iterable $changes, Lab $target, float $limit, array $unwanted): array
    {
        $near = [];
        foreach ($changes as $words => $changed) {
            $apart = Lab::ofXyz($changed->on($this->paper)->xyz())->deltaE00($target);
            if ($apart <= $limit && array_intersect($this->codesOf(Trace::of($changed, $this->paper), $target), [$code->value, ...$unwanted]) === [] && ($this->allowed === null || ($this->allowed)($changed))) {
                $near[] = [$apart, $words, $changed];
            }
        }

        return $near;
    }

    /**
     * @param  list<array{float, string, Stack}>  $near
     * @return ?Caution with the first of these that is free of it; null when none is
     */
    private function remedied(Caution $caution, array $near): ?Caution
    {
        foreach (array_slice($near, 0, self::STEADIED) as [$apart, $words, $changed]) {
            if ($caution->code !== CautionCode::Unsteady || Steadiness::of($changed, $this->paper) < Caution::UNSTEADY) {
                return $caution->with(sprintf('%s: tried, ΔE00 %.1f.', $words, $apart), $changed);
            }
        }

        return null;
    }

    /** @return iterable<string, Stack> */
    private function otherwise(CautionCode $code): iterable
    {
        foreach ($this->otherwise === null ? [] : ($this->otherwise)($code) as $stack) {
            yield "Lay {$stack->words()} instead" => $stack;
        }
    }

    private function mayCost(CautionCode $code): float
    {
        return in_array($code, [CautionCode::Solvent, CautionCode::Bloom, CautionCode::ToothSpent], true) ? self::MAY_COST_TO_SAVE : self::MAY_COST;
    }

    /** @return list<string> */
    private function codesOf(Trace $trace, Lab $target): array
    {
        return array_map(static fn (Caution $c): string => $c->code->value, Cautions::in($trace, $target, null, $this->grainCounts));
    }

    /** @return iterable<string, Stack> what to do, in words => the stack that results */
    private function changes(Stack $stack, Caution $caution): iterable
    {
        $steps = $stack->steps;
        $causes = $caution->step === 0 ? array_keys($steps) : [$caution->step - 1];
        foreach ($causes as $at) {
            $step = $steps[$at] ?? null;
            if ($step === null) {
                continue;
            }
            if (count($steps) > 1) {
                yield sprintf('Leave out pass %d', $at + 1) => $this->without($steps, $at);
            }
            if ($step instanceof Finish) {
                yield 'Even it with a dry tissue' => new Stack(array_values(array_replace($steps, [$at => Tissue::it()])));

                continue;
            }
            foreach (array_keys($steps) as $to) {
                if ($to !== $at) {
                    yield sprintf('Lay pass %d as pass %d', $at + 1, $to + 1) => $this->moved($steps, $at, $to);
                }
            }
            yield from $this->otherPencils($steps, $at, $step, $caution->step > 0 ? self::SUBSTITUTES : self::SUBSTITUTES_EACH);
        }
        // Pressures of any pass may be what spends the tooth or slicks it, whichever pass shows it.
        foreach ($steps as $i => $step) {
            if ($step instanceof Pass) {
                yield from $this->otherPressures($steps, $i, $step);
                yield from $this->lighterCoats($steps, $i, $step);
            }
        }
        if ($caution->code === CautionCode::Grainy) {
            yield from EvenOut::stack($stack, $this->paper, $this->pencils, $this->grainCounts);
        }
    }

    /**
     * @param  list<Pass|Finish>  $steps
     * @return iterable<string, Stack>
     */
    private function otherPencils(array $steps, int $at, Pass $step, int $count): iterable
    {
        foreach (array_slice(Character::othersByColour($step->pencil, $this->pencils), 0, $count) as $other) {
            foreach (PressureMark::pressures() as $pressure) {
                yield sprintf('Take %s (%s) for pass %d', $other->record->number, PressureMark::nearest($pressure)->value, $at + 1) => new Stack(array_values(array_replace($steps, [$at => new Pass($other, $pressure)])));
            }
        }
    }

    /**
     * @param  list<Pass|Finish>  $steps
     * @return iterable<string, Stack>
     */
    private function otherPressures(array $steps, int $at, Pass $step): iterable
    {
        foreach (PressureMark::cases() as $mark) {
            if ($mark->pressure() !== $step->pressure) {
                yield sprintf('Lay pass %d %s', $at + 1, $mark->value) => new Stack(array_values(array_replace($steps, [$at => new Pass($step->pencil, $mark->pressure())])));
            }
        }
    }

    /**
     * Light coats in place of one pass: what a hand errs in one it often makes good in the next.
     *
     * @param  list<Pass|Finish>  $steps
     * @return iterable<string, Stack>
     */
    private function lighterCoats(array $steps, int $at, Pass $step): iterable
    {
        foreach (PressureMark::cases() as $mark) {
            if ($mark->pressure() < $step->pressure) {
                yield sprintf('Lay pass %d twice, %s each time', $at + 1, $mark->value) => new Stack([...array_slice($steps, 0, $at), ...array_fill(0, 2, new Pass($step->pencil, $mark->pressure())), ...array_slice($steps, $at + 1)]);
            }
        }
    }

    /** @param  list<Pass|Finish>  $steps */
    private function without(array $steps, int $at): Stack
    {
        unset($steps[$at]);

        return new Stack(array_values($steps));
    }

    /** @param  list<Pass|Finish>  $steps */
    private function moved(array $steps, int $from, int $to): Stack
    {
        $rest = $this->without($steps, $from)->steps;

        return new Stack([...array_slice($rest, 0, $to), $steps[$from], ...array_slice($rest, $to)]);
    }

    /** The pencil not at hand that, alone in up to two coats or as a further pass, comes nearest. */
    private function nearestPurchase(Caution $caution, Stack $stack, Lab $target): Caution
    {
        $own = Lab::ofReflectance($stack->on($this->paper)->meanReflectance())->deltaE00($target);
        $best = null;
        $least = $own - 1.0;
        foreach ($this->missing as $pencil) {
            foreach (PressureMark::pressures() as $pressure) {
                $pass = new Pass($pencil, $pressure);
                foreach ([[$pass], [$pass, $pass], [...$stack->steps, $pass], [$pass, ...$stack->steps]] as $steps) {
                    $apart = Lab::ofReflectance((new Stack($steps))->on($this->paper)->meanReflectance())->deltaE00($target);
                    if ($apart < $least) {
                        [$best, $least] = [new Stack($steps), $apart];
                        $bought = $pencil;
                    }
                }
            }
        }

        return $best === null || ! isset($bought)
            ? $caution
            : $caution->with(sprintf('Of the pencils not at hand %s %s comes nearest: tried, ΔE00 %.1f.', $bought->record->number, $bought->record->name, $least), $best);
    }
}
