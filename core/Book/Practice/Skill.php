<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice;

/** What an eye can be trained in, one short question at a time. */
enum Skill: string
{
    case Value = 'value';
    case ValueInPlace = 'value in its surroundings';
    case Lean = 'lean';
    case Warmth = 'warm or cool';
    case Complement = 'complement';
    case Order = 'order of two passes';
    case NextMove = 'next move';

    /** What to look at when it goes badly. */
    public function advice(): string
    {
        return match ($this) {
            self::Value => 'Half close your eyes, and ask whether it is nearer to white or to black before you count steps.',
            self::ValueInPlace => 'A dark neighbour makes a place look lighter than it is: cover what lies round it with two fingers.',
            self::Lean => 'Name the base first; then ask which neighbour on the ring it would take a drop of.',
            self::Warmth => 'Hold it beside a neutral grey in your mind: what it leans to from there is its temperature.',
            self::Complement => 'Look across the ring, then a little to the warm side: what lies straight across often turns green.',
            self::Order => 'The upper pass speaks: the mix leans to whatever was laid last.',
            self::NextMove => 'Say what is wrong in one word, lighter, darker, greyer or another lean, and only then choose a pencil.',
        };
    }
}
