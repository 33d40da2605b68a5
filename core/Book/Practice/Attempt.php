<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice;

use KnottyPrism\Core\Book\Practice\Drills\Skill;

/** One answer that was given. */
final readonly class Attempt
{
    /**
     * @param  string  $drill  names the question, so that it can come back
     * @param  int  $at  seconds since 1970
     */
    public function __construct(public Skill $skill, public int $difficulty, public string $drill, public bool $right, public int $at)
    {
    }
}
