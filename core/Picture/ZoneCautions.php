<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;

/** What to mind between zones and within one: see {@see CautionCode::Twins} and {@see CautionCode::Flat}. */
final class ZoneCautions
{
    /** Touching zones whose mids end within this many value steps of 9, and this ΔE00, can't be told apart at their border. */
    private const ONE_STEP = 1.0;

    private const TOLD_APART = 12.0;

    /** Share of the shorter border below which zones hardly touch, against the square root of the smaller's pixels. */
    private const TOUCHES = 0.6;

    /** A form with less than this between its light and its dark, in value steps, is flat anyway. */
    private const HAS_FORM = 1.2;

    /**
     * @param  list<PlannedTarget>  $targets
     * @return list<ZoneCaution>
     */
    public static function in(ZoneMap $map, array $targets): array
    {
        [$zones, $borders, $pixels] = [$map->zones, $map->labels->borders(), strlen($map->labels->bytes)];
        $mids = [];
        foreach ($targets as $target) {
            if ($target->role === Role::Mid) {
                $mids[$target->zone] = $target->recipe->prediction->lab();
            }
        }
        $cautions = [];
        $scale = new ValueScale;
        foreach ($borders as $one => $others) {
            foreach ($others as $other => $length) {
                $touches = $length >= self::TOUCHES * sqrt(min($zones[$one]->area, $zones[$other]->area) * $pixels);
                if ($one >= $other || ! $touches || ! isset($mids[$one], $mids[$other])) {
                    continue;
                }
                $steps = $scale->difference($mids[$one], $mids[$other]);
                if (abs($steps) < self::ONE_STEP && $mids[$one]->deltaE00($mids[$other]) < self::TOLD_APART) {
                    [$lighter, $darker] = $steps >= 0 ? [$one, $other] : [$other, $one];
                    $push = $mids[$darker]->l > 50 ? sprintf('Push "%s" darker along the border.', $zones[$darker]->name) : sprintf('Keep "%s" lighter along the border.', $zones[$lighter]->name);
                    $down = $mids[$darker]->l > 50;
                    $cautions[] = new ZoneCaution(CautionCode::Twins, [$one, $other], sprintf('"%s" and "%s" touch and end %.1f value steps apart.', $zones[$one]->name, $zones[$other]->name, abs($steps)), $push, $down ? $darker : $lighter, Role::Mid, $down);
                }
            }
        }

        return [...$cautions, ...self::flat($zones, $targets)];
    }

    /**
     * @param  array<int, Zone>  $zones  by number
     * @param  list<PlannedTarget>  $targets
     * @return list<ZoneCaution>
     */
    private static function flat(array $zones, array $targets): array
    {
        $byZone = [];
        foreach ($targets as $target) {
            $byZone[$target->zone][$target->role->value] = $target->recipe;
        }
        $cautions = [];
        foreach ($byZone as $zone => $recipes) {
            if (! isset($recipes['light'], $recipes['dark'])) {
                continue;
            }
            $range = (new ValueScale)->difference($recipes['light']->prediction->lab(), $recipes['dark']->prediction->lab());
            foreach ([Role::Light, Role::Dark] as $role) {
                $pencils = $recipes[$role->value]->stack->pencils();
                if (count($pencils) === 1 && $range >= self::HAS_FORM) {
                    $cautions[] = new ZoneCaution(CautionCode::Flat, [$zone], sprintf('All the %ss of "%s" are %s alone.', $role->value, $zones[$zone]->name, $pencils[0]->record->number), 'Vary it with a neighbour of the same value.', $zone, $role);
                }
            }
        }

        return $cautions;
    }
}
