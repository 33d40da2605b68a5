<?php

declare(strict_types=1);

namespace Benchmarks\Desk;

use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\WorkPlan;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Zones\Distance;

/**
 * Plans of no picture: zones round random places of a sheet, and sequences as pictures have them, those of one kind of zone from the same
 * pencils, some with solvent.
 */
final class RandomPlans
{
    private const COLUMNS = 80;

    private const ROWS = 60;

    private const PENCILS = 12;

    /** Of zones: stone, water, wood; those of one kind are built of the same pencils. */
    private const KINDS = 4;

    public static function of(int $seed, int $zones, int $mostPasses, WorkingHabits $habits): WorkPlan
    {
        mt_srand($seed);

        return self::plan($zones, array_map(static fn (): int => mt_rand(3, $mostPasses), range(1, $zones)), $habits);
    }

    public static function small(int $seed, int $steps, WorkingHabits $habits): WorkPlan
    {
        mt_srand($seed);
        $zones = mt_rand(2, 4);
        $passes = array_fill(0, $zones, 1);
        for ($i = $zones; $i < $steps; $i++) {
            $passes[mt_rand(0, $zones - 1)]++;
        }

        return self::plan($zones, array_values($passes), $habits);
    }

    /** @param  list<int>  $passes  by zone */
    private static function plan(int $zones, array $passes, WorkingHabits $habits): WorkPlan
    {
        $centres = array_map(static fn (): array => [mt_rand(0, self::COLUMNS - 1), mt_rand(0, self::ROWS - 1)], range(1, $zones));
        $numbers = [];
        for ($at = 0; $at < self::COLUMNS * self::ROWS; $at++) {
            $far = array_map(
                static fn (array $c): float => hypot($c[0] - ($at % self::COLUMNS), $c[1] - intdiv($at, self::COLUMNS)),
                $centres,
            );
            $numbers[] = 1 + (int) array_search(min($far), $far, true);
        }
        $labels = LabelGrid::ofNumbers(self::COLUMNS, self::ROWS, $numbers);
        $kinds = array_map(
            static fn (): array => array_map(static fn (): int => mt_rand(1, self::PENCILS), range(1, 4)),
            range(1, self::KINDS),
        );
        $names = $lightness = $distances = [];
        foreach (range(1, $zones) as $number) {
            $names[$number] = "zone $number";
            $lightness[$number] = (float) mt_rand(20, 90);
            $distances[$number] = Distance::cases()[mt_rand(0, 2)];
        }
        $desk = DeskZones::of($labels, 297, (297 * self::ROWS) / self::COLUMNS, $names, $lightness, [], $distances);
        $steps = [];
        foreach ($desk as $number => $zone) {
            $kind = $kinds[mt_rand(0, count($kinds) - 1)];
            $all = [];
            for ($i = 0; $i < $passes[$number - 1]; $i++) {
                // The base first; then what darkens it, the base again, or a pencil of the zone's own.
                $pencil =
                    $i === 0
                        ? $kind[0]
                        : (mt_rand(0, 6) === 0
                            ? mt_rand(1, self::PENCILS)
                            : $kind[min(count($kind) - 1, mt_rand(0, 1) + intdiv($i, 2))]);
                $all[] = new WorkPass(
                    $i > 1 && mt_rand(0, 9) === 0 ? 'solvent' : "Line/$pencil",
                    array_map(static fn (): Pressure => Pressure::cases()[min(4, mt_rand(0, 2) + intdiv($i, 2))], range(1, 3)),
                );
            }
            $steps[$number] = ZoneSteps::of($zone, $all, [0.3, 0.5, 0.2], [false, false, false], $habits);
        }

        return WorkPlan::on($labels, 297, (297 * self::ROWS) / self::COLUMNS, $desk, $steps, $habits);
    }
}
