<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\MeasuringSheet;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;

/**
 * A measuring sheet as the page shows it: its pencils in order, each with what was read of it.
 *
 * @phpstan-import-type ReadBox from MeasuringSheet
 * @phpstan-import-type SheetJson from \Described
 */
final class SheetResource
{
    /**
     * @param  non-empty-list<SheetPencil>  $pencils
     * @param  int  $count  of its pages
     * @param  array<int, list<ReadBox>>  $pages  by page, what was read
     * @return SheetJson
     */
    public static function of(int $id, string $size, string $paper, array $pencils, int $count, array $pages): array
    {
        $boxes = [];
        foreach ($pages as $page) {
            foreach ($page as $box) {
                $boxes[$box['pencil']][] = [
                    'kind' => $box['kind'],
                    'hex' => $box['hex'],
                    'filled' => $box['filled'],
                    'doubt' => $box['doubt'],
                    'doubtful' => ! $box['corrected'] && $box['doubt'] >= BoxReading::TOO_DOUBTFUL,
                    'note' => $box['corrected'] ? null : $box['note'],
                    'corrected' => $box['corrected'],
                ];
            }
        }

        return [
            'id' => $id,
            'size' => $size,
            'paper' => $paper,
            'pages' => $count,
            'pagesRead' => count($pages),
            'line' => $pencils[0]->line,
            'pencils' => array_map(
                static fn (SheetPencil $p): array => [
                    'id' => $p->id(),
                    'number' => $p->number,
                    'name' => $p->name,
                    'boxes' => $boxes[$p->id()] ?? [],
                ],
                $pencils,
            ),
            'measured' => count(
                array_filter(
                    $boxes,
                    static fn (array $own): bool => array_filter(
                        $own,
                        static fn (array $b): bool => $b['kind'] === 'heavy' && $b['filled'],
                    ) !== [],
                ),
            ),
        ];
    }
}
