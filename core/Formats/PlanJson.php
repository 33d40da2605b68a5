<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Chart\Check\CheckedShade;
use KnottyPrism\Core\Chart\Check\CheckedZone;
use KnottyPrism\Core\Chart\Check\DrawingPlan;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\PassesLaid;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * A plan.json of the command line, read again to hold a drawing against it; and what is laid of it, {"passes": 2, "zones": {"rope": 1}}.
 */
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
        $zones =
            is_array($data) && is_array($data['zones'] ?? null) && array_is_list($data['zones']) ? $data['zones'] : throw self::bad();
        $numbers = array_values(array_unique($labels->numbers()));
        sort($numbers);
        if (count($numbers) !== count($zones)) {
            throw BadFile::because(
                sprintf('layers.png has %d zones, plan.json %d: they are not of the same plan.', count($numbers), count($zones)),
            );
        }

        return new DrawingPlan(
            $labels,
            $photo,
            array_map(
                static fn (mixed $zone, int $number): CheckedZone => is_array($zone)
                    ? self::zone($zone, $number, $drawer)
                    : throw self::bad(),
                $zones,
                $numbers,
            ),
            $paper,
        );
    }

    /**
     * @param  list<CheckedZone>  $zones
     *
     * @throws BadFile
     */
    public static function progress(string $json, array $zones): PassesLaid
    {
        $bad = BadFile::because(
            'What is laid is JSON, {"passes": 2} for every zone, or {"passes": 2, "zones": {"rope": 1}} by the names of zones.',
        );
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
        [$shades, $passes] = [$zone['shades'] ?? null, $zone['sequence'] ?? null];
        if (! is_string($zone['name'] ?? null) || ! is_array($shades) || ! is_array($passes)) {
            throw self::bad();
        }
        $shades = array_map(static fn (mixed $s): Shade => is_array($s) ? self::shade($s) : throw self::bad(), array_values($shades));
        $sequence = new Sequence(
            array_map(
                static fn (mixed $p): GradedPass => is_array($p) ? self::pass($p, $shades, $drawer) : throw self::bad(),
                array_values($passes),
            ),
        );

        return new CheckedZone($number, $zone['name'], CheckedShade::run($shades, $sequence));
    }

    /** @param  array<mixed>  $shade */
    private static function shade(array $shade): Shade
    {
        $shadeName = is_string($shade['name'] ?? null) ? ShadeName::tryFrom($shade['name']) : null;

        return $shadeName === null
            ? throw self::bad()
            : new Shade(
                $shadeName->value,
                self::lab($shade['fittedLab'] ?? null),
                touch: ! $shadeName->isOfValueRun(),
                called: is_string($shade['called'] ?? null) ? $shade['called'] : '',
                seen: self::lab($shade['lab'] ?? null),
            );
    }

    /**
     * @param  array<mixed>  $pass
     * @param  list<Shade>  $shades
     */
    private static function pass(array $pass, array $shades, Drawer $drawer): GradedPass
    {
        [$tool, $pressures] = [$pass['pencil'] ?? ($pass['finish'] ?? null), $pass['pressures'] ?? null];
        if (! is_string($tool) || ! is_array($pressures)) {
            throw self::bad();
        }

        return (new PassNote(
            $tool,
            array_filter(array_map(static fn (mixed $p): ?Pressure => is_string($p) ? Pressure::tryFrom($p) : null, $pressures)),
        ))->read($drawer, $shades);
    }

    private static function lab(mixed $lab): Lab
    {
        $numbers = is_array($lab) ? array_values(array_filter($lab, static fn (mixed $v): bool => is_int($v) || is_float($v))) : [];

        return count($numbers) === 3 ? new Lab((float) $numbers[0], (float) $numbers[1], (float) $numbers[2]) : throw self::bad();
    }

    private static function bad(): BadFile
    {
        return BadFile::because('plan.json is not as prism plan writes it: its zones want a name, shades and a sequence.');
    }
}
