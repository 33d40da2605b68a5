<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/** The pencils that a picture's sequences take, as they would lie beside the drawing: lightest first, each with the zones that take it. */
final class PlannedPalette
{
    /** Three pencils are named for their part. */
    private const PARTS = ['light', 'mid', 'dark'];

    /**
     * @param  array<int, Sequence>  $sequences  by zone
     * @return list<PalettePencil>
     */
    public static function of(array $sequences): array
    {
        $pencils = $zones = [];
        foreach ($sequences as $zone => $sequence) {
            foreach ($sequence->pencils() as $pencil) {
                $pencils[$pencil->id()] = $pencil;
                $zones[$pencil->id()][$zone] = true;
            }
        }
        $lightness = array_map(static fn (Pencil $p): float => Swatch::Heavy->colourOf($p)->l, $pencils);
        arsort($lightness);
        $parts = count($pencils) === count(self::PARTS) ? self::PARTS : [];

        return array_map(
            static fn (int $i, string|int $id): PalettePencil => new PalettePencil(
                $pencils[$id],
                array_keys($zones[$id]),
                $parts[$i] ?? null,
            ),
            array_keys(array_keys($lightness)),
            array_keys($lightness),
        );
    }
}
