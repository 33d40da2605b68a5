<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Photo\Grid\LabelGrid;

/** All that an order of work is found from. */
final readonly class WorkPlan
{
    /**
     * @var array<int, array<int, float>> minutes that it costs to begin a zone, by its number, while another is not begun, by that one's
     */
    public array $before;

    /** What it costs to pick a pencil up, minutes. */
    public float $pickUp;

    /** What it costs to begin a zone for each that is begun and not done, beyond a few, minutes. */
    public float $opening;

    /** @var array<int, array<int, float>> what leaving one zone unfinished for another costs, minutes */
    public array $leaving;

    /**
     * @param  array<int, DeskZone>  $zones  by number
     * @param  array<int, list<DeskStep>>  $steps  by zone, in their order
     * @param  list<array{int, int}>  $neighbours  zones that touch
     */
    public function __construct(
        public array $zones,
        public array $steps,
        public HandRest $rest,
        public WorkingHabits $habits,
        array $neighbours = [],
    ) {
        $touching = [];
        foreach ($neighbours as [$a, $b]) {
            $touching[$a][$b] = $touching[$b][$a] = true;
        }
        $before = $leaving = [];
        foreach (array_keys($steps) as $a) {
            foreach (array_keys($steps) as $b) {
                $before[$a][$b] = Precedence::cost($zones[$a], $zones[$b], isset($touching[$a][$b]), $habits->order, $this->centre());
                $leaving[$a][$b] = Precedence::leaving($zones[$a], $zones[$b], $habits->order);
            }
        }
        $this->pickUp = Precedence::pickUp($habits->order);
        $this->opening = Precedence::opening($habits->order);
        $this->before = $before;
        $this->leaving = $leaving;
    }

    /**
     * @param  float  $wide  mm of the drawing
     * @param  float  $high  mm
     * @param  array<int, DeskZone>  $zones  by number
     * @param  array<int, list<DeskStep>>  $steps  by zone, in their order
     */
    public static function on(LabelGrid $labels, float $wide, float $high, array $zones, array $steps, WorkingHabits $habits): self
    {
        $neighbours = [];
        foreach ($labels->borders() as $a => $touching) {
            foreach (array_keys($touching) as $b) {
                $neighbours[] = [$a, $b];
            }
        }

        return new self(
            $zones,
            array_filter($steps, static fn (array $own): bool => $own !== []),
            HandRest::on($labels, $wide, $high, $habits->leftHanded),
            $habits,
            $neighbours,
        );
    }

    public function count(): int
    {
        return array_sum(array_map(count(...), $this->steps));
    }

    /** @return array{float, float} mm: the middle of what is worked, by area */
    private function centre(): array
    {
        $x = $y = $area = 0.0;
        foreach ($this->zones as $zone) {
            $x += $zone->area * $zone->x;
            $y += $zone->area * $zone->y;
            $area += $zone->area;
        }

        return $area > 0 ? [$x / $area, $y / $area] : [0.0, 0.0];
    }
}
