<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;

/** A touch that someone wants in a zone: its name, and where on the photo its colour is seen. */
final readonly class TouchNote
{
    public string $name;

    /**
     * @param  float  $x  share of the photo's width
     * @param  float  $y  share of its height
     *
     * @throws ImpossibleChange|OutOfRange
     */
    public function __construct(string $name, public float $x, public float $y)
    {
        $this->name = mb_substr(trim($name), 0, 40);
        if ($this->name === '') {
            throw ImpossibleChange::because('Give the touch a name.');
        }
        OutOfRange::check('the place of a touch', $x, 0, 1);
        OutOfRange::check('the place of a touch', $y, 0, 1);
    }

    /** @return array{name: string, x: float, y: float} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'x' => $this->x, 'y' => $this->y];
    }

    /** @param  array{name: string, x: int|float, y: int|float}  $data */
    public static function ofArray(array $data): self
    {
        return new self($data['name'], (float) $data['x'], (float) $data['y']);
    }
}
