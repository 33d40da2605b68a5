<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Drills;

use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Kinds\Found;
use KnottyPrism\Core\Kinds\Kind;

/**
 * What an eye can be trained in, one short question at a time. Each is one class of this folder, which makes its questions, and is found
 * there.
 */
abstract class Skill extends Kind
{
    /**
     * @param  int  $place  in which they are asked for the first time
     * @param  string  $advice  what to look at when it goes badly
     */
    protected function __construct(string $value, int $place, public readonly string $advice)
    {
        parent::__construct($value, $place);
    }

    /**
     * @param  int  $difficulty  1–5
     * @return ?Drill null when this photo or these pencils have no such question
     */
    abstract public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill;

    final public static function cases(): array
    {
        /** @var list<static> */
        return Found::of(self::class, __DIR__);
    }
}
