<?php

declare(strict_types=1);

namespace App\Book;

use KnottyPrism\Core\Book\Practice\Drills\Skill;
use KnottyPrism\Core\Book\Practice\Question\Drill;

/** A question as it is asked of somebody. */
final readonly class Asked
{
    /** @param  bool  $again  whether it was answered wrong before and has come back */
    public function __construct(public Skill $skill, public int $difficulty, public int $seed, public Drill $drill, public bool $again)
    {
    }
}
