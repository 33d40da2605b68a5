<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Chart\Check\DrawingCheck;
use KnottyPrism\Core\Chart\Check\ShadeFinding;
use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;

/**
 * What a photo of a half-done drawing says, in figures and in words.
 *
 * @phpstan-import-type DrawingFindingJson from \Described
 */
final class CheckResource
{
    /** @return array<string, mixed> */
    public static function of(DrawingCheck $check): array
    {
        return [
            'summary' => $check->summary(),
            'alike' => round($check->alike, 3),
            'meanDeltaE00' => Figures::difference($check->meanDeltaE00()),
            'corners' => array_map(static fn (array $c): array => [round($c[0], 5), round($c[1], 5)], $check->corners),
            'findings' => array_map(self::finding(...), $check->findings),
        ];
    }

    /** @return DrawingFindingJson */
    private static function finding(ShadeFinding $f): array
    {
        $far = new Comparison($f->found, $f->expected);

        return [
            'zone' => $f->zone->name,
            'number' => $f->zone->number,
            'shade' => $f->shade->of->value,
            'name' => $f->shade->name,
            'area' => Figures::share($f->area),
            'expected' => self::colour($f->expected),
            'found' => self::colour($f->found),
            'aim' => self::colour($f->shade->fitted),
            'deltaE00' => Figures::difference($far->deltaE00),
            'valueError' => Figures::difference($far->valueError),
            'words' => $far->words(),
            'move' => [
                'words' => $f->way->words(),
                'asPlanned' => $f->way->isAsPlanned(),
                'lifts' => $f->way->last !== null && $f->way->last->step instanceof Finish && $f->way->last->step->lifts
                        ? $f->way->last->times
                        : $f->way->lifts,
                ...self::step($f->way->last->step ?? $f->way->next),
                'endDeltaE00' => Figures::difference($f->way->end->deltaE00($f->way->target)),
            ],
        ];
    }

    /** @return array{pencil: ?string, pressure: ?string} */
    private static function step(Pass|Finish|null $step): array
    {
        return [
            'pencil' => $step instanceof Pass ? $step->pencil->id() : null,
            'pressure' => $step instanceof Pass ? Pressure::nearest($step->pressure)->value : null,
        ];
    }

    /** @return array{hex: string, lab: array{float, float, float}} */
    private static function colour(Lab $lab): array
    {
        ['hex' => $hex, 'lab' => $figures] = Figures::colour($lab);

        return ['hex' => $hex, 'lab' => $figures];
    }
}
