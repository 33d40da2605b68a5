<?php

declare(strict_types=1);

namespace App\Answers;

use App\Plans\PlanGround;
use App\Resources\ChartResource;
use App\Resources\Figures;
use App\Resources\RecipeResource;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\Palette\PalettePencil;
use KnottyPrism\Core\Picture\Palette\PlannedPalette;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/**
 * The pencils of a plan in the form of docs/openapi.yaml: those it takes, those it leaves, and what fewer of them cost.
 *
 * @phpstan-import-type PlanJson from \Described
 * @phpstan-import-type PlanPencilJson from \Described
 */
final class PaletteAnswers
{
    /**
     * @param  array<int, Sequence>  $sequences
     * @param  ?PalettePart  $palette  null when it was not chosen yet
     * @return array{palette: list<PlanPencilJson>, left: PlanJson['left'], curve: PlanJson['curve'], suffering: PlanJson['suffering']}
     */
    public static function of(PlanGround $ground, array $sequences, ?PalettePart $palette): array
    {
        return [
            'palette' => self::palette($sequences),
            'left' => self::left($ground, $sequences),
            'curve' => $palette === null
                    ? []
                    : array_map(
                        static fn (int $n, float $cost): array => ['pencils' => $n, 'deltaE00' => Figures::difference($cost)],
                        array_keys($palette->curve),
                        $palette->curve,
                    ),
            'suffering' => $palette === null ? [] : self::suffering($ground, $palette),
        ];
    }

    /**
     * The pencils of the plan as they would lie beside the drawing, lightest first, with the zones that take them.
     *
     * @param  array<int, Sequence>  $sequences
     * @return list<PlanPencilJson>
     */
    private static function palette(array $sequences): array
    {
        return array_map(
            static fn (PalettePencil $p): array => [...ChartResource::pencil($p->pencil), 'zones' => $p->zones, 'part' => $p->part],
            PlannedPalette::of($sequences),
        );
    }

    /**
     * Available pencils that the plan does without.
     *
     * @param  array<int, Sequence>  $sequences
     * @return PlanJson['left']
     */
    private static function left(PlanGround $ground, array $sequences): array
    {
        $used = array_merge(...array_map(static fn (Sequence $s): array => Pencil::identifiers($s->pencils()), array_values($sequences)));

        return array_map(
            static fn (Pencil $p): array => [
                ...RecipeResource::pencil($p),
                'lockedOut' => in_array($p->id(), $ground->sheet->settings->without, true),
            ],
            array_values(array_filter($ground->shelf->usable()->pencils, static fn (Pencil $p): bool => ! in_array($p->id(), $used, true))),
        );
    }

    /** @return list<array{zone: string, deltaE00: float}> the zones that lose most by having so few pencils */
    private static function suffering(PlanGround $ground, PalettePart $palette): array
    {
        $lost = array_filter(
            $palette->suffering,
            static fn (float $d, int $zone): bool => $d >= 0.3 && isset($ground->zones->notes[$zone]),
            ARRAY_FILTER_USE_BOTH,
        );
        arsort($lost);

        return array_map(
            static fn (int $zone, float $d): array => ['zone' => $ground->zones->note($zone)->name, 'deltaE00' => Figures::difference($d)],
            array_keys($lost),
            $lost,
        );
    }
}
