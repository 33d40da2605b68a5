<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart;

use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** What a chart says of pencils, as rows of a drawer: what was not coloured in stays unsaid, and is assumed. */
final class MeasuredPencils
{
    /**
     * @param  iterable<SheetPencil>  $pencils
     * @param  array<string, array<string, string>>  $colours  #rrggbb, by pencil and kind of box
     * @param  Paper  $paper  on which they were coloured in
     * @return list<ShelfRow> of those with a heavy swatch, their colours as on white medium paper
     */
    public static function rows(iterable $pencils, array $colours, Paper $paper): array
    {
        $rows = [];
        foreach ($pencils as $pencil) {
            $own = $colours[$pencil->id()] ?? [];
            if (isset($own[BoxKind::Heavy->value])) {
                $record = new PencilRecord(
                    $pencil->line,
                    $pencil->number,
                    $pencil->name,
                    $own[BoxKind::Heavy->value],
                    light: $own[BoxKind::Light->value] ?? null,
                    overBlack: $own[BoxKind::Black->value] ?? null,
                );
                $rows[] = ShelfRow::of($paper->name === Paper::whiteMedium()->name ? $record : self::onWhite($record, $paper));
            }
        }

        return $rows;
    }

    /** A drawer's colours are those of swatches on white medium paper: the pencil is fitted on its own paper and laid again on that one. */
    private static function onWhite(PencilRecord $record, Paper $paper): PencilRecord
    {
        $pencil = PencilFit::of($record, $paper);
        $hex = static fn (Swatch $swatch): string => Srgb::ofXyz($swatch->colourOf($pencil)->xyz())->hex();

        return new PencilRecord(
            $record->line,
            $record->number,
            $record->name,
            $hex(Swatch::Heavy),
            light: $record->light === null ? null : $hex(Swatch::Light),
            overBlack: $record->overBlack === null ? null : $hex(Swatch::OverBlack),
        );
    }
}
