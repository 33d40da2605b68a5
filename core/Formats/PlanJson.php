<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Chart\Check\CheckedShade;
use KnottyPrism\Core\Chart\Check\CheckedZone;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Picture\PassesLaid;

/** A plan.json of the command line, read again to hold a drawing against it; and what is laid of it, {"passes": 2, "zones": {"rope": 1}}. */
final class PlanJson
{
    /**
     * @param  LabelGrid  $labels  of layers.png: its zones in the order of their numbers are those of the plan
     * @param  PixelGrid  $photo  the reference at the size of the labels
     *
     * @throws BadFile
     */
    public static function drawing(string $json, LabelGrid $labels, PixelGrid $photo, Drawer $drawer, Paper $paper): DrawingPlan
    {
        $data = json_decode($json, true, 16);
        $zones = is_array($data) && is_array($data['zones'] ?? null) && array_is_list($data['zones']) ? $data['zones'] : throw self::bad();
        $numbers = array_values(array_unique($labels->numbers()));
        sort($numbers);
        if (count($numbers) !== count($zones)) {
            throw BadFile::because(sprintf('layers.png has %d zones, plan.json %d: they are not of the same plan.', count($numbers), count($zones)));
        }

        return new DrawingPlan($labels, $photo, array_map(static fn (mixed $zone, int $number): CheckedZone => is_array($zone) ? self::zone($zone, $number, $drawer) : throw self::bad(), $zones, $numbers), $paper);
    }

    /**
     * @param  list<CheckedZone>  $zones
     *
     * @throws BadFile
     */
    public static function progress(string $json, array $zones): PassesLaid
    {
        $bad = BadFile::because('What is laid is JSON, {"passes": 2} for every zone, or {"passes": 2, "zones": {"rope": 1}} by the names of zones.');
        $data = json_decode($json, true, 8);
        if (! is_array($data) || ! is_int($data['passes'] ?? 0) || ! is_array($data['zones'] ?? [])) {
            throw $bad;
        }
        $known = array_column(array_map(static fn (CheckedZone $z): array => [$z->name, $z->number], $zones), 1, 0);
        $byZone = [];
        foreach ($data['zones'] ?? [] as $name => $passes) {
            $number = $known[$name] ?? throw BadFile::because("The plan has no zone called \"$name\".");
            $byZone[$number] = is_int($passes) ? $passes : throw $bad;
        }

        return new PassesLaid($data['passes'] ?? 0, $byZone);
    }

    /** @param  array<mixed>  $zone */
    private static function zone(array $zone, int $number, Drawer $drawer): CheckedZone
    {
        $sequence = is_array($zone['sequence'] ?? null) ? $zone['sequence'] : throw self::bad();
        $stacks = [];
        foreach (is_array($zone['results'] ?? null) ? $zone['results'] : [] as $result) {
            if (is_array($result) && is_string($result['shade'] ?? null) && is_string($result['stack'] ?? null)) {
                $stacks[$result['shade']] = $result['stack'];
            }
        }
        $shades = [];
        foreach (is_array($zone['shades'] ?? null) ? $zone['shades'] : throw self::bad() as $shade) {
            $role = is_array($shade) && is_string($shade['role'] ?? null) ? Role::tryFrom($shade['role']) : null;
            if (! is_array($shade) || $role === null) {
                throw self::bad();
            }
            if ($role->isOfValueRun() && isset($stacks[$role->value])) {
                $marks = array_map(static fn (mixed $pass): bool => is_array($pass) && is_array($pass['pressures'] ?? null) && ($pass['pressures'][$role->value] ?? null) !== null, $sequence);
                $shades[] = new CheckedShade($role, is_string($shade['called'] ?? null) ? $shade['called'] : $role->value, self::lab($shade['lab'] ?? null), self::lab($shade['fittedLab'] ?? null), StackText::read($stacks[$role->value], $drawer), CheckedShade::laidAfter(array_values($marks)));
            }
        }

        return new CheckedZone($number, is_string($zone['name'] ?? null) ? $zone['name'] : throw self::bad(), $shades);
    }

    private static function lab(mixed $lab): Lab
    {
        $numbers = is_array($lab) ? array_values(array_filter($lab, static fn (mixed $v): bool => is_int($v) || is_float($v))) : [];

        return count($numbers) === 3 ? new Lab((float) $numbers[0], (float) $numbers[1], (float) $numbers[2]) : throw self::bad();
    }

    private static function bad(): BadFile
    {
        return BadFile::because('plan.json is not as prism plan writes it: its zones want shades, sequence and results.');
    }
}
