<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Photo\Grid\LabelGrid;

/** Where the hand rests while a zone is worked: how much of it lies on which other zone, with the sheet as it is and turned by quarters. */
final readonly class HandRest
{
    public const TURNS = 4;

    /** The longer side of the raster that it is counted on. */
    private const CELLS = 44;

    /**
     * Where a right hand lies from the point of its pencil, mm to the right and down: along the heel of the hand, from near the point to
     * the wrist.
     */
    private const HEEL = [
        [25.0, 15.0],
        [45.0, 20.0],
        [65.0, 30.0],
        [30.0, 40.0],
        [50.0, 45.0],
        [75.0, 55.0],
        [40.0, 65.0],
        [60.0, 70.0],
        [85.0, 80.0],
    ];

    /** @param  array<int, array<int, array<int, float>>>  $shares  of the hand, by turn, zone worked and zone beneath */
    private function __construct(private array $shares)
    {
    }

    /**
     * @param  float  $wide  mm of the drawing
     * @param  float  $high  mm
     */
    public static function on(LabelGrid $labels, float $wide, float $high, bool $leftHanded): self
    {
        $per = max($wide, $high) / self::CELLS;
        [$columns, $rows] = [max(1, (int) round($wide / $per)), max(1, (int) round($high / $per))];
        $zones = [];
        for ($y = 0; $y < $rows; $y++) {
            for ($x = 0; $x < $columns; $x++) {
                $zones[] = $labels->at(($x + 0.5) / $columns, ($y + 0.5) / $rows);
            }
        }
        $cells = array_count_values($zones);
        $shares = [];
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $heel = array_map(static fn (array $at): array => self::turned($leftHanded ? -$at[0] : $at[0], $at[1], $turn), self::HEEL);
            $counted = [];
            foreach ($zones as $cell => $zone) {
                [$x, $y] = [$cell % $columns, intdiv($cell, $columns)];
                foreach ($heel as [$dx, $dy]) {
                    [$column, $row] = [$x + (int) round($dx / $per), $y + (int) round($dy / $per)];
                    if ($column >= 0 && $row >= 0 && $column < $columns && $row < $rows) {
                        $below = $zones[$row * $columns + $column];
                        $counted[$zone][$below] = ($counted[$zone][$below] ?? 0) + 1;
                    }
                }
            }
            foreach ($counted as $zone => $below) {
                // On the zone itself one works away from the hand.
                unset($below[$zone]);
                $shares[$turn][$zone] = array_map(static fn (int $n): float => $n / ($cells[$zone] * count(self::HEEL)), $below);
            }
        }

        return new self($shares);
    }

    /** @return array{float, float} the same place seen from the sheet when that is turned by so many quarters to the left */
    private static function turned(float $x, float $y, int $turn): array
    {
        return match ($turn) {
            0 => [$x, $y],
            1 => [-$y, $x],
            2 => [-$x, -$y],
            default => [$y, -$x],
        };
    }

    /** @return array<int, float> share of the hand by the zone that it lies on */
    public function while(int $zone, int $turn): array
    {
        return $this->shares[$turn][$zone] ?? [];
    }
}
