<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Kinds;

/**
 * One of several things of a kind, each a class of its own in the folder of the kind. There is one object of each while the program runs;
 * one that was stored and read back is another, so that they are compared by name or class.
 */
abstract class Kind
{
    /**
     * @param  string  $value  its name in files, answers and on the command line
     * @param  int  $place  among those of its kind: the lowest first, those alike by the names of their files
     */
    protected function __construct(public readonly string $value, public readonly int $place)
    {
    }

    /** @return list<static> all of the kind, in their order */
    abstract public static function cases(): array;

    /** @return ?static null when there is none of this name */
    final public static function tryFrom(string $value): ?static
    {
        foreach (static::cases() as $one) {
            if ($one->value === $value) {
                return $one;
            }
        }

        return null;
    }

    /** @throws \ValueError when there is none of this name */
    final public static function from(string $value): static
    {
        return static::tryFrom($value) ?? throw new \ValueError(sprintf('"%s" is not a name of a %s.', $value, static::class));
    }

    /** @return list<string> */
    final public static function values(): array
    {
        return array_map(static fn (self $one): string => $one->value, static::cases());
    }

    /** The one of this very class. */
    final public static function it(): static
    {
        foreach (static::cases() as $one) {
            if ($one::class === static::class) {
                return $one;
            }
        }
        throw new \LogicException(static::class.' is not found in the folder of its kind.');
    }
}
