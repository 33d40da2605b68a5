<?php

declare(strict_types=1);

namespace App\Print;

use App\Photos\Raster;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarks;

/** The sheet on which pencils are coloured in to be measured, to print at its own size. */
final class ChartPages
{
    /** Dots of a printed ring, to the millimetre. */
    private const DOTS = 24;

    /** @param  array<string, array{number: string, name: string}>  $labels  by identifier */
    public function pdf(ChartSheet $sheet, array $labels): string
    {
        $size = array_search([$sheet->width, $sheet->height], ChartSheet::SIZES, true);

        return PdfPage::of('cards.measure', [
            'sheet' => $sheet, 'labels' => $labels, 'rows' => array_map(self::rows(...), $sheet->pages),
            'rings' => ['dotted' => self::ring(true), 'plain' => self::ring(false)], 'marks' => SheetMarks::centres($sheet->width, $sheet->height), 'ring' => SheetMarks::RING,
            'squares' => array_map(static fn (int $page): array => array_keys(array_filter($sheet->bits($page))), array_keys($sheet->pages)), 'places' => SheetMarks::squares(), 'square' => SheetMarks::SQUARE,
            'kinds' => BoxKind::cases(), 'label' => ChartSheet::LABEL,
        ], is_string($size) ? $size : 'a4');
    }

    /**
     * @param  list<ChartBox>  $boxes
     * @return array<string, list<ChartBox>> by pencil
     */
    private static function rows(array $boxes): array
    {
        $rows = [];
        foreach ($boxes as $box) {
            $rows[$box->pencil][] = $box;
        }

        return $rows;
    }

    private static function ring(bool $dotted): string
    {
        $side = (int) (2 * SheetMarks::RING * self::DOTS);
        $bytes = '';
        for ($y = 0; $y < $side; $y++) {
            for ($x = 0; $x < $side; $x++) {
                $r = hypot($x + 0.5 - $side / 2, $y + 0.5 - $side / 2) / self::DOTS;
                $bytes .= ($r <= SheetMarks::RING && $r >= SheetMarks::HOLE) || ($dotted && $r <= SheetMarks::DOT) ? "\0" : "\xff";
            }
        }

        return 'data:image/png;base64,'.base64_encode(Raster::encoded($side, $side, 1, $bytes, 'png'));
    }
}
