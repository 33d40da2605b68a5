<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Warnings\Flat;
use KnottyPrism\Core\Recipe\Warnings\Twins;
use KnottyPrism\Core\Recipe\Warnings\Warning;

/** What to look out for between zones and within a whole one: {@see Twins} and {@see Flat}. */
final class ZoneWarnings
{
    /** Touching zones whose mids end within this many value steps of 9, and this ΔE00, can't be told apart at their border. */
    public const ONE_STEP = 1.0;

    private const TOLD_APART = 12.0;

    /** L* above which the darker of two twins is pushed darker; below it the lighter is kept lighter. */
    private const LIGHT = 50.0;

    /** Share of the shorter border below which zones hardly touch, against the square root of the smaller's pixels. */
    private const TOUCHES = 0.6;

    /** A form with less than this between its light and its dark, in value steps, is flat anyway. */
    private const HAS_FORM = 1.2;

    /**
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return list<Warning>
     */
    public static function in(ZoneMap $map, array $answers): array
    {
        [$zones, $borders, $pixels] = [$map->zones, $map->labels->borders(), strlen($map->labels->bytes)];
        $mids = array_filter(array_map(static fn (SequenceAnswer $a): ?Outcome => self::outcome($a, ShadeName::Mid), $answers));
        $warnings = [];
        foreach ($borders as $one => $others) {
            foreach ($others as $other => $length) {
                $touches = $length >= self::TOUCHES * sqrt(min($zones[$one]->area, $zones[$other]->area) * $pixels);
                if ($one < $other && $touches && isset($mids[$one], $mids[$other])) {
                    array_push($warnings, ...self::twins($zones, $answers, [$one => $mids[$one], $other => $mids[$other]]));
                }
            }
        }

        return [...$warnings, ...self::flat($zones, $answers)];
    }

    /** Whether the zone to change is pushed away from its twin downwards; two that end just alike go where there is room. */
    public static function isPushedDarker(Lab $changed, Lab $twin): bool
    {
        return $changed->l === $twin->l ? $changed->l > self::LIGHT : $changed->l < $twin->l;
    }

    /**
     * @param  array<int, Zone>  $zones  by number
     * @param  array<int, SequenceAnswer>  $answers
     * @param  non-empty-array<int, Outcome>  $mids  of the two, by zone
     * @return list<Warning>
     */
    private static function twins(array $zones, array $answers, array $mids): array
    {
        [$one, $other] = array_keys($mids);
        $steps = (new ValueScale())->difference($mids[$one]->lab, $mids[$other]->lab);
        if (abs($steps) >= self::ONE_STEP || $mids[$one]->lab->deltaE00($mids[$other]->lab) >= self::TOLD_APART) {
            return [];
        }
        [$lighter, $darker] = $steps >= 0 ? [$one, $other] : [$other, $one];
        $changed = $mids[$darker]->lab->l > self::LIGHT ? $darker : $lighter;
        $down = self::isPushedDarker($mids[$changed]->lab, $mids[$changed === $one ? $other : $one]->lab);
        $advice = sprintf($down ? 'Push "%s" darker along the border.' : 'Keep "%s" lighter along the border.', $zones[$changed]->name);

        return [
            new Warning(
                Twins::it(),
                0,
                [(int) $answers[$changed]->shadeNamed(ShadeName::Mid->value)],
                sprintf('"%s" and "%s" touch and end %.1f value steps apart.', $zones[$one]->name, $zones[$other]->name, abs($steps)),
                $advice,
                [$changed, $changed === $one ? $other : $one],
            ),
        ];
    }

    /**
     * @param  array<int, Zone>  $zones  by number
     * @param  array<int, SequenceAnswer>  $answers
     * @return list<Warning>
     */
    private static function flat(array $zones, array $answers): array
    {
        $warnings = [];
        foreach ($answers as $zone => $answer) {
            [$light, $dark] = [self::outcome($answer, ShadeName::Light), self::outcome($answer, ShadeName::Dark)];
            if ($light === null || $dark === null || (new ValueScale())->difference($light->lab, $dark->lab) < self::HAS_FORM) {
                continue;
            }
            foreach ([$light, $dark] as $end) {
                $pencils = $end->stack()->pencils();
                if (count($pencils) === 1) {
                    $name = $end->shade->name;
                    $warnings[] = new Warning(
                        Flat::it(),
                        0,
                        [(int) $answer->shadeNamed($name)],
                        sprintf('All the %ss of "%s" are %s alone.', $name, $zones[$zone]->name, $pencils[0]->record->number),
                        'Vary it with a neighbour of the same value.',
                        [$zone],
                    );
                }
            }
        }

        return $warnings;
    }

    private static function outcome(SequenceAnswer $answer, ShadeName $shade): ?Outcome
    {
        $at = $answer->shadeNamed($shade->value);

        return $at === null ? null : $answer->outcomes[$at];
    }
}
