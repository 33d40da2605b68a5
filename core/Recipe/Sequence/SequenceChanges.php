<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Pencil\Pencil;

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
     * @param  list<Pencil>  $pencils  at hand
     * @return iterable<string, Sequence> what to do => what results
     */
    public static function ofPass(Sequence $sequence, int $at, array $shades, array $pencils): iterable
    {
        $pass = $sequence->passes[$at];
        $number = $at + 1;
        yield "Leave out pass $number" => self::without($sequence, $at);
        foreach ([1 => 'firmer', -1 => 'lighter'] as $by => $word) {
            yield "Lay pass $number a mark $word" => self::with($sequence, $at, new GradedPass($pass->tool, array_map(static fn (?PressureMark $m): ?PressureMark => $m === null ? null : self::moved($m, $by) ?? $m, $pass->marks)));
        }
        foreach (array_keys($shades) as $shade) {
            yield from self::inShade($sequence, $at, $shade, $shades[$shade]->called());
        }
        foreach ([$at - 1 => 'earlier', $at + 1 => 'later'] as $to => $word) {
            if (isset($sequence->passes[$to])) {
                yield "Lay pass $number $word" => new Sequence(array_values(array_replace($sequence->passes, [$at => $sequence->passes[$to], $to => $pass])));
            }
        }
        if ($pass->tool instanceof Pencil) {
            foreach (array_slice(Character::othersByColour($pass->tool, $pencils), 0, self::SUBSTITUTES) as $other) {
                yield "Take {$other->record->number} for pass $number" => self::with($sequence, $at, new GradedPass($other, $pass->marks));
            }
        }
    }

    /**
     * One mark of one pass a step firmer, lighter, or left out.
     *
     * @return iterable<string, Sequence>
     */
    public static function inShade(Sequence $sequence, int $at, int $shade, string $name): iterable
    {
        $pass = $sequence->passes[$at];
        $mark = $pass->marks[$shade] ?? null;
        if ($mark === null || ! $pass->tool instanceof Pencil) {
            return;
        }
        foreach ([1, 2, -1, -2] as $by) {
            $moved = self::moved($mark, $by);
            if ($moved !== null) {
                yield sprintf('Lay pass %d %s in the %s', $at + 1, $moved->value, $name) => self::with($sequence, $at, new GradedPass($pass->tool, array_values(array_replace($pass->marks, [$shade => $moved]))));
            }
        }
        yield sprintf('Leave pass %d out in the %s', $at + 1, $name) => self::with($sequence, $at, new GradedPass($pass->tool, array_values(array_replace($pass->marks, [$shade => null]))));
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
            foreach (PressureMark::cases() as $mark) {
                $marks = array_values(array_replace(array_fill(0, $shades, null), [$shade => $mark]));
                yield sprintf('End with %s %s in the %s', $pencil->record->number, $mark->value, $name) => new Sequence([...$sequence->passes, new GradedPass($pencil, $marks)]);
            }
        }
    }

    private static function with(Sequence $sequence, int $at, GradedPass $pass): Sequence
    {
        return $pass->over() === [] ? self::without($sequence, $at) : new Sequence(array_values(array_replace($sequence->passes, [$at => $pass])));
    }

    private static function without(Sequence $sequence, int $at): Sequence
    {
        $passes = $sequence->passes;
        unset($passes[$at]);

        return new Sequence(array_values($passes));
    }

    private static function moved(PressureMark $mark, int $by): ?PressureMark
    {
        return PressureMark::cases()[$mark->strokes() - 1 + $by] ?? null;
    }
}
