<?php

declare(strict_types=1);

namespace App\Resources;

use App\Models\MeasuringSheet;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;

/** A measuring sheet as the page shows it: its pencils in order, each with what was read of it. */
final class SheetResource
{
    /** @return array<string, mixed> */
    public static function of(MeasuringSheet $sheet): array
    {
        $boxes = [];
        foreach ($sheet->pages as $page) {
            foreach ($page as $box) {
                $boxes[$box['pencil']][] = ['kind' => $box['kind'], 'hex' => $box['hex'], 'filled' => $box['filled'], 'doubt' => $box['doubt'], 'doubtful' => ! $box['corrected'] && $box['doubt'] >= BoxReading::TOO_DOUBTFUL, 'note' => $box['corrected'] ? null : $box['note'], 'corrected' => $box['corrected']];
            }
        }
        $listed = $sheet->listed();

        return [
            'id' => $sheet->id, 'size' => $sheet->size, 'pages' => count($sheet->sheet()->pages), 'pagesRead' => count($sheet->pages), 'line' => array_values($listed)[0]->line,
            'pencils' => array_map(static fn (SheetPencil $p): array => ['id' => $p->id(), 'number' => $p->number, 'name' => $p->name, 'boxes' => $boxes[$p->id()] ?? []], array_values($listed)),
            'measured' => count(array_filter($boxes, static fn (array $own): bool => array_filter($own, static fn (array $b): bool => $b['kind'] === 'heavy' && $b['filled']) !== [])),
        ];
    }
}
