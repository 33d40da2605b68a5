<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;

/** Which base is it, and which way does it lean? Of a colour of the photo or of a pencil. */
final class LeanDrill extends Skill
{
    /** C*ab that a colour must have at least, by difficulty: the greyer, the harder. */
    private const CHROMA = [1 => 30.0, 2 => 22.0, 3 => 16.0, 4 => 10.0, 5 => 7.0];

    /** How far along the ring of 18 families the wrong ones lie. */
    private const APART = [1 => [6, 11], 2 => [4, 14], 3 => [3, 15], 4 => [2, 16], 5 => [1, 17]];

    /** Turned so far either way, degrees, it must still be called the same: at a border nobody is wrong. */
    private const CLEAR = 3.0;

    public function __construct()
    {
        parent::__construct('lean', 3, 'Name the base colour first; then ask towards which neighbour on the wheel it leans.');
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        $wanted = static fn (Lab $lab): bool => $lab->chroma() >= self::CHROMA[$difficulty] && self::isClear($lab);
        $found = $chance->between(0, 1) < 0.5 ? $ground->place($chance, $wanted) : null;
        $lab = $found[1] ?? $ground->pencilColour($chance, $wanted);
        if ($lab === null) {
            return null;
        }
        $right = Family::of($lab)->words();
        $ring = Family::ring();
        $place = (int) array_search($right, $ring, true);
        $words = [
            $right,
            ...array_map(static fn (int $apart): string => $ring[($place + $apart) % count($ring)], self::APART[$difficulty]),
        ];
        // Always in the order of the ring, so that where one stands says nothing.
        usort($words, static fn (string $a, string $b): int => array_search($a, $ring, true) <=> array_search($b, $ring, true));

        return new Drill(
            'Which base is this, and which way does it lean?',
            [new Shown('the colour', [DrillGround::hex($lab)])],
            null,
            array_map(static fn (string $w): Choice => new Choice($w), $words),
            (int) array_search($right, $words, true),
            sprintf('It is %s.', $right),
            array_map(
                static fn (string $words, Lab $l): Shown => new Shown(DrillGround::said($words, $l), [DrillGround::hex($l)]),
                ['turned back on the wheel', 'the colour', 'turned on along the wheel'],
                [$lab->turned(-24, 1.0), $lab, $lab->turned(24, 1.0)],
            ),
        );
    }

    /** Also as a screen shows it. */
    private static function isClear(Lab $lab): bool
    {
        $family = Family::of($lab);
        $shown = Lab::ofXyz(Srgb::ofHex(DrillGround::hex($lab))->xyz());

        return $family->ringPlace() !== null &&
            array_filter(
                [$shown, $lab->turned(self::CLEAR, 1.0), $lab->turned(-self::CLEAR, 1.0)],
                static fn (Lab $near): bool => Family::of($near) != $family,
            ) === [];
    }
}
