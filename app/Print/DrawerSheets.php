<?php

declare(strict_types=1);

namespace App\Print;

use App\Resources\ChartResource;
use KnottyPrism\Core\Drawer\Portrait;
use KnottyPrism\Core\Drawer\TrayMap;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** Sheets to print of a drawer: a mixing chart with boxes to fill in by hand, the map of the trays, and two lines side by side. */
final class DrawerSheets
{
    private const MARGIN_MM = 9.0;

    /** Dots of a printed dab, to the millimetre: grain the size it has on paper, in a file that stays small with hundreds of dabs. */
    private const DOTS = 6;

    /** @param  array<string, mixed>  $chart  as {@see \App\Answers\ChartAnswers::chart()} gives it */
    public function chart(array $chart, string $size): string
    {
        $columns = count($chart['pencils']) + 1;
        $width = (PdfPage::SIZES[$size][1] - 2 * self::MARGIN_MM - 2) / $columns;
        $height = min(16.0, (PdfPage::SIZES[$size][0] - 2 * self::MARGIN_MM - 34 - ($chart['orders'] === [] ? 0 : 26)) / $columns);
        $dab = static fn (array $cell): array => [...$cell, 'dab' => self::dab($cell['strata'], $width / 2, $height)];

        return PdfPage::of(
            'cards.chart',
            [
                ...$chart,
                'pairs' => array_map(static fn (array $row): array => array_map($dab, $row), $chart['pairs']),
                'orders' => array_map(
                    static fn (array $cell): array => [...$cell, 'dab' => self::dab($cell['strata'], 13, 9)],
                    $chart['orders'],
                ),
                'margin' => self::MARGIN_MM,
                'cell' => $width,
                'cellHeight' => $height,
            ],
            $size,
            wide: true,
        );
    }

    public function map(TrayMap $map, string $order, string $size): string
    {
        $width = (PdfPage::SIZES[$size][1] - 2 * self::MARGIN_MM - 2) / $map->slots;
        $slot = static fn (?Portrait $p): ?array => $p === null
            ? null
            : [
                'number' => $p->pencil->record->number,
                'name' => $p->pencil->record->name,
                'value' => $p->reading->valueStep,
                'dab' => self::dab(ChartResource::strata(Swatch::Heavy->lay($p->pencil)), $width, 8),
            ];

        return PdfPage::of(
            'cards.map',
            [
                'trays' => array_map(
                    static fn (array $tray): array => array_map(static fn (array $row): array => array_map($slot, $row), $tray),
                    $map->trays,
                ),
                'order' => $order,
                'rows' => $map->rows,
                'slots' => $map->slots,
                'margin' => self::MARGIN_MM,
                'cell' => $width,
            ],
            $size,
            wide: true,
        );
    }

    /** @param  array<string, mixed>  $table  as {@see \App\Answers\ChartAnswers::equivalents()} gives it */
    public function equivalents(array $table, string $size): string
    {
        $with = static fn (array $pencil): array => [...$pencil, 'dab' => self::dab($pencil['strata'], 12, 5.6)];

        return PdfPage::of(
            'cards.equivalents',
            [
                ...$table,
                'rows' => array_map(
                    static fn (array $row): array => [...$row, 'from' => $with($row['from']), 'to' => $with($row['to'])],
                    $table['rows'],
                ),
                'margin' => self::MARGIN_MM,
            ],
            $size,
        );
    }

    /** @param  list<string>  $strata */
    private static function dab(array $strata, float $widthMm, float $heightMm): string
    {
        return DabPicture::ofStrata($strata, (int) round($widthMm * self::DOTS), (int) round($heightMm * self::DOTS));
    }
}
