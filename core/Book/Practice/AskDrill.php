<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice;

use KnottyPrism\Core\Book\Practice\Drills\Skill;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Chart\BenchCamera\Chance;

/** Asks: the same seed asks the same of the same photo and pencils, so that a question can come back. */
final class AskDrill
{
    public const EASIEST = 1;

    public const HARDEST = 5;

    /** @return ?Drill null when this photo or these pencils have no such question */
    public static function of(Skill $skill, int $difficulty, int $seed, DrillGround $ground): ?Drill
    {
        return $skill->make($ground, max(self::EASIEST, min(self::HARDEST, $difficulty)), new Chance($seed));
    }
}
