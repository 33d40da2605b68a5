<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\WorkPlan;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Grid\LabelGrid;

/** A plan.json of the command line, read again for the order in which it is worked. */
final class PlanSteps
{
    /**
     * @param  LabelGrid  $labels  of layers.png: its zones in the order of their numbers are those of the plan
     * @param  float  $wide  mm of the drawing
     * @return array{WorkPlan, array<int, list<string>>} and the names of each zone's shades
     *
     * @throws BadFile
     */
    public static function of(string $json, LabelGrid $labels, float $wide, WorkingHabits $habits): array
    {
        $data = json_decode($json, true, 16);
        $plans =
            is_array($data) && is_array($data['zones'] ?? null) && array_is_list($data['zones']) ? $data['zones'] : throw self::bad();
        $numbers = array_keys($labels->counts());
        if (count($numbers) !== count($plans)) {
            throw BadFile::because(
                sprintf('layers.png has %d zones, plan.json %d: they are not of the same plan.', count($numbers), count($plans)),
            );
        }
        $called = $names = $lightness = $whites = $passes = $shares = $touches = [];
        foreach ($plans as $i => $plan) {
            $number = $numbers[$i];
            if (
                ! is_array($plan) ||
                ! is_string($plan['name'] ?? null) ||
                ! is_array($plan['shades'] ?? null) ||
                ! is_array($plan['sequence'] ?? null)
            ) {
                throw self::bad();
            }
            [$names[$number], $whites[$number]] = [$plan['name'], self::number($plan['keptWhite'] ?? 0)];
            $shades = array_map(
                static fn (mixed $s): array => is_array($s) && is_string($s['name'] ?? null) && is_array($s['lab'] ?? null)
                    ? $s
                    : throw self::bad(),
                array_values($plan['shades']),
            );
            $called[$number] = array_map(static fn (array $s): string => $s['name'], $shades);
            $shares[$number] = array_map(static fn (array $s): float => self::number($s['share'] ?? null), $shades);
            $touches[$number] = array_map(static fn (array $s): bool => ($s['shade'] ?? null) === 'touch', $shades);
            $lightness[$number] = self::number($shades[intdiv(count($shades), 2)]['lab'][0] ?? 50);
            $passes[$number] = array_map(
                static fn (mixed $p): WorkPass => is_array($p) ? self::pass($p, $called[$number]) : throw self::bad(),
                array_values($plan['sequence']),
            );
        }
        $high = ($wide * $labels->height) / $labels->width;
        $zones = DeskZones::of($labels, $wide, $high, $names, $lightness, $whites);
        $steps = [];
        foreach ($zones as $number => $zone) {
            $steps[$number] = ZoneSteps::of($zone, $passes[$number], $shares[$number], $touches[$number], $habits);
        }

        return [WorkPlan::on($labels, $wide, $high, $zones, $steps, $habits), $called];
    }

    /**
     * @param  array<mixed>  $pass
     * @param  list<string>  $shades
     */
    private static function pass(array $pass, array $shades): WorkPass
    {
        $tool = $pass['pencil'] ?? ($pass['finish'] ?? null);
        $pressures = $pass['pressures'] ?? null;
        if (! is_string($tool) || ! is_array($pressures)) {
            throw self::bad();
        }

        return new WorkPass(
            $tool,
            array_map(static function (string $shade) use ($pressures): ?Pressure {
                $pressure = $pressures[$shade] ?? null;

                return $pressure === null ? null : Pressure::tryFrom(is_string($pressure) ? $pressure : '') ?? throw self::bad();
            }, $shades),
        );
    }

    private static function number(mixed $value): float
    {
        return is_int($value) || is_float($value) ? (float) $value : throw self::bad();
    }

    private static function bad(): BadFile
    {
        return BadFile::because('plan.json is not as prism plan writes it: its zones want a name, shades and a sequence.');
    }
}
