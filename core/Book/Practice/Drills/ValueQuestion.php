<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;

/** How light is it? Of a colour by itself, or where it lies in the photo. */
final class ValueQuestion
{
    /** Steps to choose from, and how far they lie apart, by difficulty. */
    private const CHOICES = [1 => [3, 3], 2 => [3, 2], 3 => [4, 1], 4 => [5, 1], 5 => [9, 1]];

    /** So far from the middle of its step, in steps, it may lie: at the border of two nobody is wrong. */
    private const INSIDE = 0.35;

    public static function make(DrillGround $ground, int $difficulty, Chance $chance, bool $inPlace): ?Drill
    {
        $scale = new ValueScale();
        $step = 100 / $scale->steps;
        $found = $ground->place(
            $chance,
            static fn (Lab $lab): bool => abs($lab->l - $scale->middleOf($scale->stepOf($lab))) <= self::INSIDE * $step,
        );
        if ($found === null) {
            return null;
        }
        [$at, $lab] = $found;
        $right = $scale->stepOf($lab);
        [$count, $apart] = self::CHOICES[$difficulty];
        // The right one may be any of them, as far as the scale reaches.
        $first = max(1 + (($right - 1) % $apart), $right - $apart * (int) $chance->between(0, $count - 1e-9));
        $steps = array_values(
            array_filter(
                array_map(static fn (int $i): int => $first + $apart * $i, range(0, $count - 1)),
                static fn (int $s): bool => $s >= 1 && $s <= $scale->steps,
            ),
        );
        if (count($steps) < 2) {
            $steps = $right > $apart ? [$right - $apart, $right] : [$right, $right + $apart];
        }
        $grey = static fn (int $s): string => DrillGround::hex(new Lab($scale->middleOf($s), 0, 0));
        $words = static fn (int $s): string => sprintf(
            '%d of %d, %s',
            $s,
            $scale->steps,
            ValueScale::word(new Lab($scale->middleOf($s), 0, 0)),
        );

        return new Drill(
            $inPlace ? 'How light is the place in the ring? Step 1 is black.' : 'How light is this? Step 1 is black.',
            $inPlace ? [] : [new Shown('the colour', [DrillGround::hex($lab)])],
            $inPlace
                ? [
                    ($at % $ground->photo->width) / ($ground->photo->width - 1),
                    intdiv($at, $ground->photo->width) / ($ground->photo->height - 1),
                ]
                : null,
            array_map(static fn (int $s): Choice => new Choice($words($s)), $steps),
            (int) array_search($right, $steps, true),
            sprintf('It is step %s.', $words($right)),
            [
                new Shown('the colour', [DrillGround::hex($lab)]),
                ...array_map(
                    static fn (int $s): Shown => new Shown("step $s", [$grey($s)]),
                    array_values(
                        array_filter([$right - 1, $right, $right + 1], static fn (int $s): bool => $s >= 1 && $s <= $scale->steps),
                    ),
                ),
            ],
        );
    }
}
