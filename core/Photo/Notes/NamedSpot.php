<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Notes;

use KnottyPrism\Core\Error\ImpossibleChange;

/**
 * A spot that someone wants to keep an eye on, on every photo of the study: where it was placed on one, it is taken to lie on all others
 * at the same share of width and height until it is placed there too.
 */
final readonly class NamedSpot
{
    public const WIDEST_RING = 60;

    public string $name;

    /**
     * @param  non-empty-array<int, SpotPlace>  $places  by photo
     *
     * @throws ImpossibleChange
     */
    public function __construct(public int $number, string $name, public array $places)
    {
        $this->name = mb_substr(trim($name), 0, 80);
        if ($this->name === '') {
            throw ImpossibleChange::because('Give the spot a name.');
        }
    }

    public function on(int $photo): SpotPlace
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

    public function placed(int $photo, SpotPlace $place): self
    {
        return new self($this->number, $this->name, array_replace($this->places, [$photo => $place]));
    }
}
