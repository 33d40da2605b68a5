<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart;

use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/** What a chart says of pencils, as rows of a drawer: what was not coloured in stays unsaid, and is assumed. */
final class MeasuredPencils
{
    /**
     * @param  iterable<SheetPencil>  $pencils
     * @param  array<string, array<string, string>>  $colours  #rrggbb, by pencil and kind of box
     * @return list<ShelfRow> of those with a heavy swatch
     */
    public static function rows(iterable $pencils, array $colours): array
    {
        $rows = [];
        foreach ($pencils as $pencil) {
            $own = $colours[$pencil->id()] ?? [];
            if (isset($own[BoxKind::Heavy->value])) {
                $rows[] = ShelfRow::of(new PencilRecord($pencil->line, $pencil->number, $pencil->name, $own[BoxKind::Heavy->value], light: $own[BoxKind::Light->value] ?? null, overBlack: $own[BoxKind::Black->value] ?? null));
            }
        }

        return $rows;
    }
}
