<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice\Question;

/** One question with its answer, found by the core. */
final readonly class Drill
{
    /**
     * @param  list<Shown>  $shown  touching, in this order
     * @param  array{float, float}|null  $place  in the photo, shares of it, where it is asked there
     * @param  non-empty-list<Choice>  $choices
     * @param  int  $answer  the right one of them
     * @param  string  $because  in words
     * @param  list<Shown>  $after  what makes the answer plain, touching
     */
    public function __construct(
        public string $question,
        public array $shown,
        public ?array $place,
        public array $choices,
        public int $answer,
        public string $because,
        public array $after,
    ) {
    }
}
