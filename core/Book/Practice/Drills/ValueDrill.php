<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Chart\BenchCamera\Chance;

/** How light is a colour by itself? */
final class ValueDrill extends Skill
{
    public function __construct()
    {
        parent::__construct('value', 1, 'Half close your eyes and ask whether it is closer to white or to black before you count steps.');
    }

    public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
    {
        return ValueQuestion::make($ground, $difficulty, $chance, false);
    }
}
