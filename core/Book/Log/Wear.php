<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Log;

/**
 * How much shorter a pencil is by what it laid. A start to go by, and no more: a heavily covered sheet of A4 takes about half a pencil,
 * and as much again goes into the sharpener. What somebody measured of her own pencils corrects it for all of them.
 */
final readonly class Wear
{
    /** What one unit of film is thick, mm. */
    private const FILM_UNIT = 0.006;

    /** Section of a core of 3.7 mm, mm². */
    private const CORE = 10.8;

    /** What is lost at the sharpener for each millimetre laid. */
    private const SHARPENED = 1.0;

    /** Millimetres measured that weigh as much as this start does. */
    private const BELIEF = 30.0;

    /** Shorter than this it can't be held or sharpened any more, mm. */
    public const STUB = 30.0;

    /** @param  float  $factor  millimetres of one's own for each that is reckoned */
    private function __construct(private float $factor)
    {
    }

    public static function ordinary(): self
    {
        return new self(1.0);
    }

    /** @param  list<array{float, float}>  $lengths  of pencils, mm: reckoned and measured */
    public static function learnt(array $lengths): self
    {
        $reckoned = array_sum(array_column($lengths, 0));
        $measured = array_sum(array_column($lengths, 1));

        return new self(max(0.2, min(5.0, ($measured + self::BELIEF) / ($reckoned + self::BELIEF))));
    }

    /** @param  float  $film  film units · mm² */
    public function millimetres(float $film): float
    {
        return $this->factor * $film * self::FILM_UNIT / self::CORE * (1 + self::SHARPENED);
    }
}
