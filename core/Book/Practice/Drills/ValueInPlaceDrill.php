<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Chart\BenchCamera\Chance;

/** How light is a colour where it lies in the photo? */
final class ValueInPlaceDrill extends Skill
{
    public function __construct()
    {
        parent::__construct(
            'value in its surroundings',
            2,
            'Dark surroundings make a colour look lighter than it is: cover them with two fingers.',
        );
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        return ValueQuestion::make($ground, $difficulty, $chance, true);
    }
}
