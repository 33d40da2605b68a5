<?php

declare(strict_types=1);

namespace App\Cards;

use App\Presenters\ChartPresenter;
use KnottyPrism\Core\Drawer\Portrait;
use KnottyPrism\Core\Drawer\TrayMap;
use KnottyPrism\Core\Medium\Swatch;

/** Sheets to print of a drawer: a mixing chart with boxes to fill in by hand, the map of the trays, and two lines side by side. */
final class DrawerSheets
{
    private const MARGIN_MM = 9.0;

    /** Dots of a printed dab; a chart has hundreds of them. */
    private const DAB = [54, 36];

    /** @param  array<string, mixed>  $chart  as {@see \App\Services\ChartDesk::chart()} gives it */
    public function chart(array $chart, string $size): string
    {
        $dab = static fn (array $cell): array => [...$cell, 'dab' => self::dab($cell['strata'])];
        $columns = count($chart['pencils']) + 1;

        return PdfPage::of('cards.chart', [
            ...$chart, 'pairs' => array_map(static fn (array $row): array => array_map($dab, $row), $chart['pairs']), 'orders' => array_map($dab, $chart['orders']),
            'margin' => self::MARGIN_MM, 'cell' => (PdfPage::SIZES[$size][1] - 2 * self::MARGIN_MM - 2) / $columns,
            'cellHeight' => min(16.0, (PdfPage::SIZES[$size][0] - 2 * self::MARGIN_MM - 34 - ($chart['orders'] === [] ? 0 : 26)) / $columns),
        ], $size, wide: true);
    }

    public function map(TrayMap $map, string $order, string $size): string
    {
        $slot = static fn (?Portrait $p): ?array => $p === null ? null : [
            'number' => $p->pencil->record->number, 'name' => $p->pencil->record->name, 'value' => $p->reading->valueStep, 'dab' => self::dab(ChartPresenter::strata(Swatch::Heavy->lay($p->pencil))),
        ];

        return PdfPage::of('cards.map', [
            'trays' => array_map(static fn (array $tray): array => array_map(static fn (array $row): array => array_map($slot, $row), $tray), $map->trays),
            'order' => $order, 'rows' => $map->rows, 'slots' => $map->slots, 'margin' => self::MARGIN_MM, 'cell' => (PdfPage::SIZES[$size][1] - 2 * self::MARGIN_MM - 2) / $map->slots,
        ], $size, wide: true);
    }

    /** @param  array<string, mixed>  $table  as {@see \App\Services\ChartDesk::equivalents()} gives it */
    public function equivalents(array $table, string $size): string
    {
        $with = static fn (array $pencil): array => [...$pencil, 'dab' => self::dab($pencil['strata'])];

        return PdfPage::of('cards.equivalents', [...$table, 'rows' => array_map(static fn (array $row): array => [...$row, 'from' => $with($row['from']), 'to' => $with($row['to'])], $table['rows']), 'margin' => self::MARGIN_MM], $size);
    }

    /** @param  list<string>  $strata */
    private static function dab(array $strata): string
    {
        return DabPicture::ofStrata($strata, ...self::DAB);
    }
}
