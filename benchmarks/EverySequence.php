<?php

declare(strict_types=1);

namespace Benchmarks;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\Craft;
use KnottyPrism\Core\Recipe\SequenceSearch\Ground;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;
use KnottyPrism\Core\Recipe\SequenceSearch\Laid;
use KnottyPrism\Core\Recipe\SequenceSearch\Patterns;
use KnottyPrism\Core\Recipe\SequenceSearch\Prices;
use KnottyPrism\Core\Recipe\SequenceSearch\Run;
use KnottyPrism\Core\Recipe\SequenceSearch\ShadeAim;

/** Every sequence of up to three passes over two shades that the craft allows, each looked up: what a search is measured against. */
final class EverySequence
{
    /** Stacks are numbered by their moves as digits, 0 for none: passes laid after each other shift them. */
    private readonly int $digit;

    /** @var array<int, array{Lab, float, float, float}> by stack: colour, sway squared, doubt, tooth used */
    private array $stacks = [];

    public function __construct(private readonly Kit $kit)
    {
        $this->digit = count($kit->moves->passes) + 1;
        $this->lay($kit->book->bare, 0, 3);
    }

    private function lay(Laid $laid, int $stack, int $left): void
    {
        $this->stacks[$stack] = [$laid->look->lab, $this->kit->book->sway($laid), $laid->doubt, $laid->toothUsed];
        for ($move = 0; $left > 0 && $move < $this->digit - 1; $move++) {
            $this->lay($this->kit->book->onto($laid, $move), $stack * $this->digit + $move + 1, $left - 1);
        }
    }

    /** @param  array{Shade, Shade}  $shades  the lighter first */
    public function ground(array $shades): Ground
    {
        $rules = array_map(fn (Shade $s): Rules => new Rules(Method::free(), $this->kit->moves, $s->target, []), $shades);
        $aims = array_map(
            fn (Shade $s, Rules $r): ShadeAim => new ShadeAim($s, $this->kit->atlas, $this->kit->book, Mode::ColourAndValue, $r),
            $shades,
            $rules,
        );

        return new Ground(
            $this->kit->book,
            $this->kit->outlook,
            new Craft(Method::free(), $this->kit->moves, $shades, $rules, 1),
            new Prices(array_fill(0, count($this->kit->moves->pencils), 0.0)),
            $aims,
            3,
            array_sum(array_map(static fn (Shade $s): float => $s->weight, $shades)),
        );
    }

    /**
     * The least that any sequence costs: first and second passes are tried one by one, third ones by pencil where any of its marks may cost
     * less.
     */
    public function least(Ground $ground): float
    {
        [$light, $dark] = array_map(fn (int $shade): array => $this->costs($ground, $shade), [0, 1]);
        $patterns = Patterns::over(2, $ground->craft->worked);
        $least = INF;
        foreach ($this->prefixes($ground, $patterns) as [$run, $price, $inLight, $inDark]) {
            $least = min($least, $price + $light[$inLight] + $dark[$inDark]);
            if ($run->length() < 2) {
                continue;
            }
            foreach (array_keys($this->kit->moves->pencils) as $pencil) {
                $more = $price + $ground->prices->ofOneMore($run->pencils, $pencil);
                $a = $this->pressed($light, $inLight, $pencil);
                $b = $this->pressed($dark, $inDark, $pencil);
                if ($more + min($a) + min($b) >= $least) {
                    continue;
                }
                foreach ($patterns as $pressures) {
                    $sum = $more + $ground->prices->ofGrading($pressures) + $a[$pressures[0]] + $b[$pressures[1]];
                    if ($sum < $least && $ground->craft->keeps($run->with($pencil, $pressures))) {
                        $least = $sum;
                    }
                }
            }
        }

        return $least;
    }

    /** @return array<int, float> by stack, weighted */
    private function costs(Ground $ground, int $shade): array
    {
        $target = $ground->aims[$shade]->shade->target;

        return array_map(
            static fn (array $s): float => $ground->weights[$shade] *
                (sqrt($s[0]->deltaE00($target) ** 2 + $s[1] + $s[2] ** 2) + $ground->prices->ofTooth($s[3])),
            $this->stacks,
        );
    }

    /**
     * @param  array<int, float>  $costs
     * @return non-empty-list<float> of a stack as it is, and with one more pass of a pencil at each pressure
     */
    private function pressed(array $costs, int $stack, int $pencil): array
    {
        $first = $stack * $this->digit + $pencil * Moves::PRESSURES + 1;

        return [$costs[$stack], $costs[$first], $costs[$first + 1], $costs[$first + 2], $costs[$first + 3], $costs[$first + 4]];
    }

    /**
     * @param  list<list<int>>  $patterns
     * @return iterable<array{Run, float, int, int}> every run of one pass or two that the craft allows, its price, and what lies in the
     *   light and in the dark
     */
    private function prefixes(Ground $ground, array $patterns): iterable
    {
        foreach ($this->with($ground, $patterns, new Run(), 0.0, 0, 0) as $one) {
            yield $one;
            yield from $this->with($ground, $patterns, ...$one);
        }
    }

    /**
     * @param  list<list<int>>  $patterns
     * @return iterable<array{Run, float, int, int}>
     */
    private function with(Ground $ground, array $patterns, Run $run, float $price, int $inLight, int $inDark): iterable
    {
        foreach (array_keys($this->kit->moves->pencils) as $pencil) {
            foreach ($patterns as $pressures) {
                $next = $run->with($pencil, $pressures);
                if ($ground->craft->keeps($next)) {
                    $onto = fn (int $stack, int $pressure): int => $pressure === 0
                        ? $stack
                        : $stack * $this->digit + $pencil * Moves::PRESSURES + $pressure;
                    yield [
                        $next,
                        $price + $ground->prices->ofOneMore($run->pencils, $pencil) + $ground->prices->ofGrading($pressures),
                        $onto($inLight, $pressures[0]),
                        $onto($inDark, $pressures[1]),
                    ];
                }
            }
        }
    }
}
