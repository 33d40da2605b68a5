<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Notes;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Borders\BorderNotes;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Zones\KeptWhites;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\WhiteStroke;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/**
 * Everything that someone has found out about a study's photos: spots, zones, whites to keep, what is neutral. A value: every change
 * returns a new survey, so that the one before is still there to go back to.
 */
final readonly class Survey
{
    private const MOST_SPOTS = 200;

    /**
     * @param  array<int, NamedSpot>  $spots  by number
     * @param  array<int, Lab>  $neutrals  what was pointed at as neutral, by photo
     */
    public function __construct(
        public array $spots = [],
        public ?ZoneSheet $zones = null,
        public KeptWhites $whites = new KeptWhites(),
        public array $neutrals = [],
    ) {
        OutOfRange::check('the number of spots', count($spots), 0, self::MOST_SPOTS);
    }

    public function balanceOf(int $photo): ?NeutralBalance
    {
        return isset($this->neutrals[$photo]) ? new NeutralBalance($this->neutrals[$photo]) : null;
    }

    /** What lies at a place, in shares of the picture: what its zone is, or smooth where there are none. */
    public function surfaceAt(float $x, float $y): Surface
    {
        return $this->zones?->note($this->zones->labels->at($x, $y))->surface ?? Surface::Smooth;
    }

    /** @throws ImpossibleChange */
    public function spot(int $number): NamedSpot
    {
        return $this->spots[$number] ?? throw ImpossibleChange::unknown('spot');
    }

    public function withNewSpot(string $name, int $photo, float $x, float $y, int $ring): self
    {
        return $this->withSpot(new NamedSpot(1 + max([0, ...array_keys($this->spots)]), $name, [$photo => new SpotPlace($x, $y, $ring)]));
    }

    public function withSpot(NamedSpot $spot): self
    {
        return new self(array_replace($this->spots, [$spot->number => $spot]), $this->zones, $this->whites, $this->neutrals);
    }

    public function withoutSpot(int $number): self
    {
        $this->spot($number);

        return new self(array_diff_key($this->spots, [$number => true]), $this->zones, $this->whites, $this->neutrals);
    }

    /** @throws ImpossibleChange when there are no zones yet */
    public function sheet(): ZoneSheet
    {
        return $this->zones ?? throw ImpossibleChange::because('There are no zones yet; propose zones first.');
    }

    public function withZones(ZoneSheet $zones): self
    {
        return new self($this->spots, $zones, $this->whites, $this->neutrals);
    }

    public function withWhites(KeptWhites $whites): self
    {
        return new self($this->spots, $this->zones, $whites, $this->neutrals);
    }

    /** @param  ?Lab  $pointedAt  null for the photo as it came */
    public function withNeutral(int $photo, ?Lab $pointedAt): self
    {
        if ($pointedAt !== null) {
            new NeutralBalance($pointedAt);
        }
        $neutrals = $this->neutrals;
        unset($neutrals[$photo]);

        return new self(
            $this->spots,
            $this->zones,
            $this->whites,
            $pointedAt === null ? $neutrals : array_replace($neutrals, [$photo => $pointedAt]),
        );
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return [
            'spots' => array_values(
                array_map(
                    static fn (NamedSpot $s): array => [
                        'number' => $s->number,
                        'name' => $s->name,
                        'places' => array_map(static fn (SpotPlace $p): array => $p->toArray(), $s->places),
                    ],
                    $this->spots,
                ),
            ),
            'zones' => $this->zones === null
                    ? null
                    : [
                        'width' => $this->zones->labels->width,
                        'height' => $this->zones->labels->height,
                        'labels' => $this->zones->labels->packed(),
                        'notes' => array_map(static fn (ZoneNote $n): array => $n->toArray(), $this->zones->notes),
                        'borders' => $this->zones->borders->toArray(),
                    ],
            'whites' => [
                'from' => $this->whites->from,
                'strokes' => array_map(static fn (WhiteStroke $s): array => $s->toArray(), $this->whites->strokes),
            ],
            'neutrals' => array_map(static fn (Lab $lab): array => $lab->toArray(), $this->neutrals),
        ];
    }

    /**
     * @param array{spots: list<array{number: int, name: string, places: non-empty-array<int, array{x: float, y: float, ring: int}>}>,
     *   zones: ?array{width: int, height: int, labels: string,
     *   notes: array<int, array{name: string, importance: string, surface: string, distance: string, places: array<string, float>}>,
     *   borders?: list<array{one: int, other: int, kind: string}>}, whites: array{from: float,
     *   strokes: list<array{keep: bool, radius: float, points: list<array{float, float}>}>},
     *   neutrals: array<int, array{float, float, float}>} $data
     */
    public static function ofArray(array $data): self
    {
        $spots = [];
        foreach ($data['spots'] as $spot) {
            $spots[$spot['number']] = new NamedSpot(
                $spot['number'],
                $spot['name'],
                array_map(static fn (array $p): SpotPlace => new SpotPlace($p['x'], $p['y'], $p['ring']), $spot['places']),
            );
        }
        $zones = $data['zones'];

        return new self(
            $spots,
            $zones === null
                ? null
                : ZoneSheet::relabelled(
                    LabelGrid::ofPacked($zones['width'], $zones['height'], $zones['labels']),
                    array_map(ZoneNote::ofArray(...), $zones['notes']),
                    BorderNotes::ofArray($zones['borders'] ?? []),
                ),
            new KeptWhites(
                $data['whites']['from'],
                array_map(
                    static fn (array $s): WhiteStroke => new WhiteStroke($s['keep'], $s['radius'], $s['points']),
                    $data['whites']['strokes'],
                ),
            ),
            array_map(static fn (array $lab): Lab => new Lab(...$lab), $data['neutrals']),
        );
    }
}
