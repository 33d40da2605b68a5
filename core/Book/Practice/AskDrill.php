<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice;

use KnottyPrism\Core\Book\Practice\Drills\ComplementDrill;
use KnottyPrism\Core\Book\Practice\Drills\LeanDrill;
use KnottyPrism\Core\Book\Practice\Drills\NextMoveDrill;
use KnottyPrism\Core\Book\Practice\Drills\OrderDrill;
use KnottyPrism\Core\Book\Practice\Drills\ValueDrill;
use KnottyPrism\Core\Book\Practice\Drills\WarmthDrill;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Chart\BenchCamera\Chance;

/** Asks: the same seed asks the same of the same photo and pencils, so that a question can come back. */
final class AskDrill
{
    public const EASIEST = 1;

    public const HARDEST = 5;

    /** @return ?Drill nothing where this photo or these pencils have no such question */
    public static function of(Skill $skill, int $difficulty, int $seed, DrillGround $ground): ?Drill
    {
        $chance = new Chance($seed);
        $difficulty = max(self::EASIEST, min(self::HARDEST, $difficulty));

        return match ($skill) {
            Skill::Value => ValueDrill::make($ground, $difficulty, $chance, false),
            Skill::ValueInPlace => ValueDrill::make($ground, $difficulty, $chance, true),
            Skill::Lean => LeanDrill::make($ground, $difficulty, $chance),
            Skill::Warmth => WarmthDrill::make($ground, $difficulty, $chance),
            Skill::Complement => ComplementDrill::make($ground, $difficulty, $chance),
            Skill::Order => OrderDrill::make($ground, $difficulty, $chance),
            Skill::NextMove => NextMoveDrill::make($ground, $difficulty, $chance),
        };
    }
}
