<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\GoingOn;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** The small changes of what is to come over an area that is begun, as far as they keep the craft of laying on what lies there. */
final readonly class RestChanges
{
    /** @var list<int> the value run, lightest first */
    private array $run;

    /**
     * @param  list<Shade>  $shades
     * @param  list<Pencil>  $pencils
     */
    public function __construct(private array $shades, private array $pencils, private Sequence $laid)
    {
        $run = array_values(array_filter(array_keys($shades), static fn (int $i): bool => ! $shades[$i]->touch));
        usort($run, static fn (int $a, int $b): int => $shades[$b]->target->l <=> $shades[$a]->target->l);
        $this->run = $run;
    }

    /** @return iterable<Sequence> */
    public function of(Sequence $rest): iterable
    {
        foreach ($this->all($rest->passes) as $passes) {
            if ($this->keepsCraft($passes)) {
                yield new Sequence($passes);
            }
        }
    }

    /**
     * @param  list<GradedPass>  $passes
     * @return iterable<list<GradedPass>>
     */
    private function all(array $passes): iterable
    {
        foreach ($passes as $at => $pass) {
            yield self::put($passes, $at, 1);
            if ($at > 0) {
                yield self::put($passes, $at - 1, 2, $pass, $passes[$at - 1]);
            }
            if ($pass->tool instanceof Finish) {
                continue;
            }
            foreach ($this->regraded($pass) as $other) {
                yield self::put($passes, $at, 1, $other);
            }
            foreach ($this->pencils as $pencil) {
                if ($pencil !== $pass->tool && ! $pencil->isBlender()) {
                    yield self::put($passes, $at, 1, new GradedPass($pencil, $pass->pressures));
                }
            }
        }
        foreach ($this->patterns() as $pressures) {
            foreach ($this->pencils as $pencil) {
                if (! $pencil->isBlender()) {
                    yield self::put($passes, count($passes), 0, new GradedPass($pencil, $pressures));
                    yield self::put($passes, 0, 0, new GradedPass($pencil, $pressures));
                }
            }
        }
        if ($this->laid->passes !== [] && ! (($passes[0]->tool ?? null) instanceof Lift)) {
            foreach ([$this->run, array_slice($this->run, 0, 1), array_slice($this->run, -1)] as $where) {
                yield self::put($passes, 0, 0, new GradedPass(Lift::it(), $this->pressures(array_fill_keys($where, Pressure::Medium))));
            }
        }
    }

    /**
     * @param  list<GradedPass>  $passes
     * @return list<GradedPass>
     */
    private static function put(array $passes, int $at, int $inPlaceOf, GradedPass ...$new): array
    {
        array_splice($passes, $at, $inPlaceOf, $new);

        return $passes;
    }

    /** @return iterable<GradedPass> a step firmer or lighter, everywhere or in one shade */
    private function regraded(GradedPass $pass): iterable
    {
        foreach ([-1, 1] as $by) {
            foreach ([$pass->over(), ...array_map(static fn (int $i): array => [$i], $pass->over())] as $where) {
                $pressures = $pass->pressures;
                foreach ($where as $shade) {
                    $pressure = $pressures[$shade] ?? null;
                    $pressures[$shade] = $pressure === null ? null : Pressure::cases()[$pressure->strokes() - 1 + $by] ?? $pressure;
                }
                yield new GradedPass($pass->tool, array_values($pressures));
            }
        }
    }

    /** @return iterable<list<?Pressure>> of one more pass */
    private function patterns(): iterable
    {
        $last = max(1, count($this->run) - 1);
        foreach ([[1, 1], [2, 2], [3, 3], [1, 3], [3, 1], [0, 3]] as [$from, $to]) {
            $pressures = [];
            foreach ($this->run as $i => $shade) {
                $stroke = (int) round($from + (($to - $from) * $i) / $last);
                if ($stroke > 0) {
                    $pressures[$shade] = Pressure::cases()[$stroke - 1];
                }
            }
            yield $this->pressures($pressures);
        }
        foreach ($this->shades as $i => $shade) {
            if ($shade->touch) {
                yield $this->pressures([$i => Pressure::Light]);
                yield $this->pressures([$i => Pressure::Medium]);
            }
        }
    }

    /**
     * @param  array<int, Pressure>  $of  by shade
     * @return list<?Pressure>
     */
    private function pressures(array $of): array
    {
        return array_map(static fn (int $i): ?Pressure => $of[$i] ?? null, array_keys($this->shades));
    }

    /**
     * In every shade pressure drops by no more than a step, but for a whisper at the end; firm only in the last two; nothing firm on bare
     * paper; and over the run pressures only rise or only fall.
     *
     * @param  list<GradedPass>  $passes
     */
    private function keepsCraft(array $passes): bool
    {
        foreach ($passes as $pass) {
            $over = array_map(static fn (int $i): int => ($pass->pressures[$i] ?? null)?->strokes() ?? 0, $this->run);
            $sorted = array_values(array_filter($over));
            $up = $down = $sorted;
            sort($up);
            rsort($down);
            if ($pass->over() === [] || ($sorted !== $up && $sorted !== $down)) {
                return false;
            }
        }
        foreach (array_keys($this->shades) as $shade) {
            $before = self::strokes($this->laid->passes, $shade);
            $to = self::strokes($passes, $shade);
            $last = $before === [] ? null : end($before);
            foreach ($to as $at => $strokes) {
                $isLast = $at === count($to) - 1;
                if (
                    ($last === null && $strokes > 3) ||
                    ($strokes > 3 && $at < count($to) - 2) ||
                    ($last !== null && $strokes < $last - 1 && ! ($isLast && $strokes === 1))
                ) {
                    return false;
                }
                $last = $strokes;
            }
        }

        return true;
    }

    /**
     * @param  list<GradedPass>  $passes
     * @return list<int>
     */
    private static function strokes(array $passes, int $shade): array
    {
        $strokes = array_map(
            static fn (GradedPass $p): int => $p->tool instanceof Finish ? 0 : ($p->pressures[$shade] ?? null)?->strokes() ?? 0,
            $passes,
        );

        return array_values(array_filter($strokes));
    }
}
