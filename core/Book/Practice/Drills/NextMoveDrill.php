<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;

/** From what lies there to a colour: with one pencil, at one pressure. */
final class NextMoveDrill extends Skill
{
    private const TRIES = 12;

    /** ΔE00 by which the right move ends nearer than any other that is offered, at least; and at most, where it is to be hard. */
    private const WINS_BY = [1 => [9.0, 99.0], 2 => [6.0, 99.0], 3 => [4.0, 20.0], 4 => [2.5, 12.0], 5 => [1.5, 8.0]];

    /** ΔE00 that the move must go: less can't be seen to be one. */
    private const FAR = 6.0;

    private const OFFERED = [1 => 3, 2 => 3, 3 => 4, 4 => 4, 5 => 5];

    /** Moves that others are chosen from. */
    private const LOOKED_AT = 24;

    public function __construct()
    {
        parent::__construct(
            'next move',
            7,
            'Name what is wrong in one word (too light, too dark, too grey, wrong lean), and only then choose a pencil.',
        );
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        for ($try = 0; count($ground->pencils) > 1 && $try < self::TRIES; $try++) {
            $lies = [new Pass($ground->pencil($chance), 0.35)];
            $right = self::move($ground, $chance);
            $target = $ground->lab([...$lies, $right]);
            if ($target->deltaE00($ground->lab($lies)) < self::FAR) {
                continue;
            }
            $others = self::others($ground, $lies, $target, $difficulty, $chance);
            if (count($others) === self::OFFERED[$difficulty] - 1) {
                return self::asked($ground, $lies, $right, $others);
            }
        }

        return null;
    }

    private static function move(DrillGround $ground, Chance $chance): Pass
    {
        $pressures = [Pressure::Light, Pressure::Medium, Pressure::Firm];

        return new Pass($ground->pencil($chance), $pressures[(int) $chance->between(0, 2.999)]->share());
    }

    /**
     * Other moves that end as much farther off as the difficulty says.
     *
     * @param  list<Pass>  $lies
     * @return list<Pass>
     */
    private static function others(DrillGround $ground, array $lies, Lab $target, int $difficulty, Chance $chance): array
    {
        [$least, $most] = self::WINS_BY[$difficulty];
        $others = [];
        for ($i = 0; $i < self::LOOKED_AT && count($others) < self::OFFERED[$difficulty] - 1; $i++) {
            $move = self::move($ground, $chance);
            $off = $ground->lab([...$lies, $move])->deltaE00($target);
            if ($off >= $least && $off <= $most) {
                $others[self::words($move)] = $move;
            }
        }

        return array_values($others);
    }

    /**
     * @param  list<Pass>  $lies
     * @param  list<Pass>  $others
     */
    private static function asked(DrillGround $ground, array $lies, Pass $right, array $others): Drill
    {
        $moves = [$right, ...$others];
        usort($moves, static fn (Pass $a, Pass $b): int => self::words($a) <=> self::words($b));
        $target = [DrillGround::hex($ground->lab([...$lies, $right]))];

        return new Drill(
            'Which single pass brings the left swatch to the colour on the right?',
            [
                new Shown(DrillGround::said('the drawing now', $ground->lab($lies)), $ground->dab($lies)),
                new Shown(DrillGround::said('the target colour', $ground->lab([...$lies, $right])), $target),
            ],
            null,
            array_map(static fn (Pass $p): Choice => new Choice(self::words($p), $ground->dab([new Pass($p->pencil, 0.8)])), $moves),
            (int) array_search($right, $moves, true),
            sprintf('%s over it.', self::words($right)),
            [
                new Shown('before', $ground->dab($lies)),
                new Shown('after', $ground->dab([...$lies, $right])),
                new Shown('the target colour', $target),
            ],
        );
    }

    private static function words(Pass $move): string
    {
        return sprintf('%s %s', DrillGround::called($move->pencil), Pressure::nearest($move->pressure)->adverb());
    }
}
