<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Medium\Laying\Pass;

/** Two passes lie there: which of them was laid first? */
final class OrderDrill extends Skill
{
    /** ΔE00 that the two orders lie apart at least, by difficulty. */
    private const APART = [1 => 10.0, 2 => 7.5, 3 => 5.5, 4 => 4.0, 5 => 2.5];

    private const TRIES = 60;

    private const PRESSURES = [0.55, 0.8];

    public function __construct()
    {
        parent::__construct('order of two passes', 6, 'The top pass dominates: the mix leans towards the last pencil.');
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        for ($try = 0; count($ground->pencils) > 1 && $try < self::TRIES; $try++) {
            [$one, $two] = [$ground->pencil($chance), $ground->pencil($chance)];
            if ($one === $two) {
                continue;
            }
            $pressure = self::PRESSURES[(int) $chance->between(0, 1.999)];
            $passes = [new Pass($one, $pressure), new Pass($two, $pressure)];
            $apart = $ground->lab($passes)->deltaE00($ground->lab(array_reverse($passes)));
            if ($apart >= self::APART[$difficulty]) {
                return self::asked($ground, $passes, $chance->between(0, 1) < 0.5);
            }
        }

        return null;
    }

    /** @param  array{Pass, Pass}  $passes */
    private static function asked(DrillGround $ground, array $passes, bool $turned): Drill
    {
        [$first, $second] = $passes;
        $lies = $turned ? [$second, $first] : $passes;
        $words = static fn (Pass $beneath, Pass $over): string => sprintf(
            '%s underneath, %s on top',
            DrillGround::called($beneath->pencil),
            DrillGround::called($over->pencil),
        );

        return new Drill(
            'These two were drawn one over the other with the same pressure. Which one is underneath?',
            [
                new Shown(DrillGround::called($first->pencil), $ground->dab([$first])),
                new Shown(DrillGround::said('both', $ground->lab($lies)), $ground->dab($lies)),
                new Shown(DrillGround::called($second->pencil), $ground->dab([$second])),
            ],
            null,
            [new Choice($words($first, $second)), new Choice($words($second, $first))],
            $turned ? 1 : 0,
            sprintf('%s.', $words($lies[0], $lies[1])),
            array_map(
                static fn (array $pair): Shown => new Shown(DrillGround::said($words(...$pair), $ground->lab($pair)), $ground->dab($pair)),
                [[$first, $second], [$second, $first]],
            ),
        );
    }
}
