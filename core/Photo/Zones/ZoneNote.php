<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnreadableText;

/** What someone has said about a zone. */
final readonly class ZoneNote
{
    public string $name;

    /**
     * @param  ?list<TouchNote>  $touches  as someone placed them; null for those found
     * @param  array<string, float>  $places where in the zone's own values, 0 its darkest and 1 its lightest pixel, a role's target is
     *   read,
     *   for shades that were moved
     *
     * @throws OutOfRange|UnreadableText|ImpossibleChange
     */
    public function __construct(
        string $name,
        public Importance $importance = Importance::Ordinary,
        public Surface $surface = Surface::Smooth,
        public Distance $distance = Distance::Middle,
        public array $places = [],
        public ?array $touches = null,
        public RunNote $run = new RunNote(),
    ) {
        $this->name = mb_substr(trim($name), 0, 80);
        if ($this->name === '') {
            throw ImpossibleChange::because('Give the zone a name.');
        }
        foreach ($places as $shade => $place) {
            if (ShadeName::tryFrom((string) $shade) === null) {
                throw UnreadableText::choice('a shade', ShadeName::values(), (string) $shade);
            }
            OutOfRange::check("the place of the $shade", $place, 0, 1);
        }
    }

    public function named(string $name): self
    {
        return new self($name, $this->importance, $this->surface, $this->distance, $this->places, $this->touches, $this->run);
    }

    public function described(Importance $importance, Surface $surface, Distance $distance): self
    {
        return new self($this->name, $importance, $surface, $distance, $this->places, $this->touches, $this->run);
    }

    /** A shade that was dropped and is put somewhere is there again. */
    public function withPlace(ShadeName $shade, float $place): self
    {
        return new self(
            $this->name,
            $this->importance,
            $this->surface,
            $this->distance,
            [...$this->places, $shade->value => $place],
            $this->touches,
            $this->run->with($shade),
        );
    }

    public function withRun(RunNote $run): self
    {
        $dropped = array_map(static fn (ShadeName $r): string => $r->value, $run->dropped);

        return new self(
            $this->name,
            $this->importance,
            $this->surface,
            $this->distance,
            array_diff_key($this->places, array_flip($dropped)),
            $this->touches,
            $run,
        );
    }

    /**
     * @param  list<TouchNote>  $touches
     *
     * @throws OutOfRange
     */
    public function withTouches(array $touches): self
    {
        OutOfRange::check('the number of touches', count($touches), 0, count(ShadeName::touches()));

        return new self(
            $this->name,
            $this->importance,
            $this->surface,
            $this->distance,
            array_diff_key($this->places, [ShadeName::Touch->value => 0]),
            $touches,
            $this->run,
        );
    }

    /** All as it is found again, and called by its place. */
    public function withoutPlaces(): self
    {
        return new self($this->name, $this->importance, $this->surface, $this->distance);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'importance' => $this->importance->value,
            'surface' => $this->surface->value,
            'distance' => $this->distance->value,
            'places' => $this->places,
            ...$this->touches === null ? [] : ['touches' => array_map(static fn (TouchNote $t): array => $t->toArray(), $this->touches)],
            ...$this->run->isPlain() ? [] : ['run' => $this->run->toArray()],
        ];
    }

    /**
     * @param array{name: string, importance: string, surface: string, distance: string, places: array<string, float>,
     *   touches?: list<array{name: string, x: int|float, y: int|float}>, run?: array{names: array<string, string>,
     *   dropped: list<string>}} $data
     */
    public static function ofArray(array $data): self
    {
        return new self(
            $data['name'],
            Importance::from($data['importance']),
            Surface::from($data['surface']),
            Distance::from($data['distance']),
            $data['places'],
            isset($data['touches']) ? array_map(TouchNote::ofArray(...), $data['touches']) : null,
            isset($data['run']) ? RunNote::ofArray($data['run']) : new RunNote(),
        );
    }
}
