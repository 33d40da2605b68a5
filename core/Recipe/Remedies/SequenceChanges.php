<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Remedies;

use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Small changes of a sequence, each in the words in which one artist would advise it to another. */
final class SequenceChanges
{
    /** Pencils tried in place of one: those of nearest colour. */
    private const SUBSTITUTES = 6;

    /**
     * All changes of one pass.
     *
     * @param  int  $at  0 the first
     * @param  list<Shade>  $shades
     * @param  list<Pencil>  $pencils  available
     * @return iterable<string, Sequence> what to do => what results
     */
    public static function ofPass(Sequence $sequence, int $at, array $shades, array $pencils): iterable
    {
        $pass = $sequence->passes[$at];
        $number = $at + 1;
        yield "Leave out pass $number" => self::without($sequence, $at);
        foreach ([1 => 'firmer', -1 => 'lighter'] as $by => $word) {
            yield "Lay pass $number a step $word" => self::replaced($sequence, $at, self::pressed($pass, $by));
        }
        foreach (array_keys($shades) as $shade) {
            yield from self::inShade($sequence, $at, $shade, $shades[$shade]->called());
        }
        foreach (array_keys($sequence->passes) as $to) {
            if ($to !== $at) {
                yield sprintf('Lay pass %d as pass %d', $number, $to + 1) => self::moved($sequence, $at, $to);
            }
        }
        if ($pass->tool instanceof Pencil) {
            // What a hand errs in one coat it often makes good in the next.
            foreach ([-1, -2] as $by) {
                yield sprintf('Lay pass %d twice, %s lighter each time', $number, $by === -1 ? 'a step' : 'two steps') => self::twice(
                    $sequence,
                    $at,
                    self::pressed($pass, $by),
                );
            }
            yield from self::otherPencils($sequence, $at, $pass->tool, $pencils);
        }
    }

    /**
     * One pressure of one pass a step firmer, lighter, or left out.
     *
     * @return iterable<string, Sequence>
     */
    public static function inShade(Sequence $sequence, int $at, int $shade, string $name): iterable
    {
        $pass = $sequence->passes[$at];
        $pressure = $pass->pressures[$shade] ?? null;
        if ($pressure === null || ! ($pass->tool instanceof Pencil)) {
            return;
        }
        foreach ([1, 2, -1, -2] as $by) {
            $moved = self::by($pressure, $by);
            if ($moved !== null) {
                yield sprintf('Lay pass %d %s in the %s', $at + 1, $moved->value, $name) => self::replaced(
                    $sequence,
                    $at,
                    new GradedPass($pass->tool, array_values(array_replace($pass->pressures, [$shade => $moved]))),
                );
            }
        }
        yield sprintf(
            'Leave pass %d out in the %s',
            $at + 1,
            $name,
        ) => self::replaced($sequence, $at, new GradedPass($pass->tool, array_values(array_replace($pass->pressures, [$shade => null]))));
    }

    /**
     * A last coat of another pencil in one shade.
     *
     * @param  list<Pencil>  $pencils
     * @return iterable<string, Sequence>
     */
    public static function coats(Sequence $sequence, int $shade, string $name, int $shades, array $pencils): iterable
    {
        foreach ($pencils as $pencil) {
            foreach (Pressure::cases() as $pressure) {
                $pressures = array_values(array_replace(array_fill(0, $shades, null), [$shade => $pressure]));
                yield sprintf('End with %s %s in the %s', $pencil->record->number, $pressure->value, $name) => new Sequence([
                    ...$sequence->passes,
                    new GradedPass($pencil, $pressures),
                ]);
            }
        }
    }

    /** @return iterable<Sequence> a pencil more, alone in up to two coats, over all passes or beneath them */
    public static function with(Sequence $sequence, Pencil $pencil, int $shades): iterable
    {
        foreach (Pressure::cases() as $pressure) {
            $pass = new GradedPass($pencil, array_fill(0, $shades, $pressure));
            yield new Sequence([$pass]);
            yield new Sequence([$pass, $pass]);
            yield new Sequence([...$sequence->passes, $pass]);
            yield new Sequence([$pass, ...$sequence->passes]);
        }
    }

    /**
     * Another pencil for a pass; over a single shade at every pressure.
     *
     * @param  list<Pencil>  $pencils
     * @return iterable<string, Sequence>
     */
    private static function otherPencils(Sequence $sequence, int $at, Pencil $pencil, array $pencils): iterable
    {
        $pressures = $sequence->passes[$at]->pressures;
        foreach (array_slice(Character::othersByColour($pencil, $pencils), 0, self::SUBSTITUTES) as $other) {
            yield sprintf('Take %s for pass %d', $other->record->number, $at + 1) => self::replaced(
                $sequence,
                $at,
                new GradedPass($other, $pressures),
            );
            foreach (count($pressures) === 1 ? Pressure::cases() : [] as $pressure) {
                yield sprintf('Take %s (%s) for pass %d', $other->record->number, $pressure->value, $at + 1) => self::replaced(
                    $sequence,
                    $at,
                    new GradedPass($other, [$pressure]),
                );
            }
        }
    }

    private static function pressed(GradedPass $pass, int $by): GradedPass
    {
        return new GradedPass(
            $pass->tool,
            array_map(static fn (?Pressure $m): ?Pressure => $m === null ? null : self::by($m, $by) ?? $m, $pass->pressures),
        );
    }

    private static function replaced(Sequence $sequence, int $at, GradedPass $pass): Sequence
    {
        return $pass->over() === []
            ? self::without($sequence, $at)
            : new Sequence(array_values(array_replace($sequence->passes, [$at => $pass])));
    }

    private static function without(Sequence $sequence, int $at): Sequence
    {
        $passes = $sequence->passes;
        unset($passes[$at]);

        return new Sequence(array_values($passes));
    }

    private static function moved(Sequence $sequence, int $from, int $to): Sequence
    {
        $rest = self::without($sequence, $from)->passes;

        return new Sequence([...array_slice($rest, 0, $to), $sequence->passes[$from], ...array_slice($rest, $to)]);
    }

    private static function twice(Sequence $sequence, int $at, GradedPass $coat): Sequence
    {
        return new Sequence([...array_slice($sequence->passes, 0, $at), $coat, $coat, ...array_slice($sequence->passes, $at + 1)]);
    }

    private static function by(Pressure $pressure, int $by): ?Pressure
    {
        return Pressure::cases()[$pressure->strokes() - 1 + $by] ?? null;
    }
}
