<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Notes;

use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;

/**
 * A spot that someone wants to keep an eye on, on every photo of the study: where it was placed on one, it is taken to lie on all others
 * at the same share of width and height until it is placed there too.
 */
final readonly class NamedSpot
{
    public const WIDEST_RING = 60;

    public string $name;

    /**
     * @param  non-empty-array<int, array{x: float, y: float, ring: int}>  $places  by photo: shares of width and height, and the radius of the ring in pixels of the working copy
     *
     * @throws OutOfRange|ImpossibleChange
     */
    public function __construct(public int $number, string $name, public array $places)
    {
        $this->name = mb_substr(trim($name), 0, 80);
        if ($this->name === '') {
            throw ImpossibleChange::because('A spot needs a name of at least one letter.');
        }
        foreach ($places as ['x' => $x, 'y' => $y, 'ring' => $ring]) {
            OutOfRange::check('a place on the photo', $x, 0, 1);
            OutOfRange::check('a place on the photo', $y, 0, 1);
            OutOfRange::check('the radius of the ring', $ring, 0, self::WIDEST_RING, 'pixels');
        }
    }

    /** @return array{x: float, y: float, ring: int} */
    public function on(int $photo): array
    {
        return $this->places[$photo] ?? $this->places[array_key_first($this->places)];
    }

    public function isPlacedOn(int $photo): bool
    {
        return isset($this->places[$photo]);
    }

    public function named(string $name): self
    {
        return new self($this->number, $name, $this->places);
    }

    public function placed(int $photo, float $x, float $y, int $ring): self
    {
        return new self($this->number, $this->name, array_replace($this->places, [$photo => ['x' => $x, 'y' => $y, 'ring' => $ring]]));
    }
}
