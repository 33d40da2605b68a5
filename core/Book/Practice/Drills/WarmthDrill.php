<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Temperature;

/** Warm or cool? Of a colour of the photo, or of what a pencil lays. */
final class WarmthDrill extends Skill
{
    /** C*ab between which its colour lies, by difficulty: near grey it is hard to tell. */
    private const CHROMA = [1 => [22.0, 200.0], 2 => [14.0, 200.0], 3 => [9.0, 40.0], 4 => [6.0, 20.0], 5 => [3.5, 11.0]];

    /** Turned so far either way, degrees, it must still be what it is: at the border nobody is wrong. */
    private const CLEAR = 8.0;

    private const CHOICES = [Temperature::Warm, Temperature::Cool];

    public function __construct()
    {
        parent::__construct(
            'warm or cool',
            4,
            'Compare it with a neutral grey in your mind: the direction it leans is its temperature.',
        );
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        $wanted = static function (Lab $lab) use ($difficulty): bool {
            [$least, $most] = self::CHROMA[$difficulty];

            return $lab->chroma() >= $least && $lab->chroma() <= $most && self::isClear($lab);
        };
        $lab = $ground->place($chance, $wanted)[1] ?? $ground->pencilColour($chance, $wanted);
        if ($lab === null) {
            return null;
        }
        $is = Temperature::of($lab);

        return new Drill(
            'Is this warm or cool?',
            [new Shown('the colour', [DrillGround::hex($lab)])],
            null,
            array_map(static fn (Temperature $t): Choice => new Choice($t->value), self::CHOICES),
            (int) array_search($is, self::CHOICES, true),
            sprintf('It is %s: %s.', $is->value, (new ColourReading($lab))->words()),
            [
                new Shown('a neutral grey of its value', [DrillGround::hex(new Lab($lab->l, 0, 0))]),
                new Shown('the colour', [DrillGround::hex($lab)]),
            ],
        );
    }

    private static function isClear(Lab $lab): bool
    {
        $is = Temperature::of($lab);

        return in_array($is, self::CHOICES, true) &&
            Temperature::of($lab->turned(self::CLEAR, 1.0)) === $is &&
            Temperature::of($lab->turned(-self::CLEAR, 1.0)) === $is;
    }
}
