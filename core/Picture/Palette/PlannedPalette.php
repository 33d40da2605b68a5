<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** The pencils that a picture's stacks take, as they would lie beside the drawing: lightest first, each with the zones that take it. */
final class PlannedPalette
{
    /** Three pencils are named for their part. */
    private const PARTS = ['light', 'mid', 'dark'];

    /**
     * @param  list<PlannedStack>  $planned
     * @return list<PalettePencil>
     */
    public static function of(array $planned): array
    {
        $pencils = $zones = [];
        foreach ($planned as $one) {
            foreach ($one->stack->pencils() as $pencil) {
                $pencils[$pencil->id()] = $pencil;
                $zones[$pencil->id()][$one->zone] = true;
            }
        }
        $lightness = array_map(static fn (Pencil $p): float => Swatch::Heavy->colourOf($p)->l, $pencils);
        arsort($lightness);
        $parts = count($pencils) === count(self::PARTS) ? self::PARTS : [];

        return array_map(static fn (int $i, string|int $id): PalettePencil => new PalettePencil($pencils[$id], array_keys($zones[$id]), $parts[$i] ?? null), array_keys(array_keys($lightness)), array_keys($lightness));
    }
}
