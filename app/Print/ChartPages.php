<?php

declare(strict_types=1);

namespace App\Print;

use App\Photos\Raster;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Chart\Sheet\SheetMarkers;
use KnottyPrism\Core\Medium\Stack\Stack;

/** Sheets for the camera, to print at their own size: pencils to be measured, and strips that tell a hand. */
final class ChartPages
{
    /** Dots of a printed ring, to the millimetre. */
    private const DOTS = 24;

    private const PENCILS = 'Print at 100 %. Colour inside the dots, evenly, to the edge; leave the paper between bare. Then photograph '
        .'the whole sheet from above, in daylight, all four rings in the picture.';

    private const STRIPS = 'Print at 100 % on the paper of the drawing. Lay every strip as it says, as you would in a drawing, and then '
        .'a second time beside it; leave the paper between bare. Photograph the whole sheet from above, in daylight, all four rings in '
        .'the picture.';

    /** @param  array<string, array{number: string, name: string}>  $labels  by identifier */
    public function pdf(ChartSheet $sheet, array $labels): string
    {
        return self::printed($sheet, $labels, ChartSheet::LABEL, self::PENCILS);
    }

    /** @param  array<string, Stack>  $strips  by their text */
    public function ofStrips(ChartSheet $sheet, array $strips): string
    {
        $labels = [];
        foreach (array_values($strips) as $i => $strip) {
            $labels[$strip->text()] = ['number' => (string) ($i + 1), 'name' => $strip->words()];
        }

        return self::printed($sheet, $labels, ChartSheet::STRIP_LABEL, self::STRIPS);
    }

    /** @param  array<string, array{number: string, name: string}>  $labels */
    private static function printed(ChartSheet $sheet, array $labels, float $label, string $what): string
    {
        $size = array_search([$sheet->width, $sheet->height], ChartSheet::SIZES, true);

        return PdfPage::of(
            'cards.measure',
            [
                'sheet' => $sheet,
                'labels' => $labels,
                'rows' => array_map(self::rows(...), $sheet->pages),
                'what' => $what,
                'label' => $label,
                'rings' => ['dotted' => self::ring(true), 'plain' => self::ring(false)],
                'markers' => SheetMarkers::centres($sheet->width, $sheet->height),
                'ring' => SheetMarkers::RING,
                'squares' => array_map(
                    static fn (int $page): array => array_keys(array_filter($sheet->bits($page))),
                    array_keys($sheet->pages),
                ),
                'places' => SheetMarkers::squares(),
                'square' => SheetMarkers::SQUARE,
            ],
            is_string($size) ? $size : 'a4',
        );
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
        $side = (int) (2 * SheetMarkers::RING * self::DOTS);
        $bytes = '';
        for ($y = 0; $y < $side; $y++) {
            for ($x = 0; $x < $side; $x++) {
                $r = hypot($x + 0.5 - $side / 2, $y + 0.5 - $side / 2) / self::DOTS;
                $bytes .= ($r <= SheetMarkers::RING && $r >= SheetMarkers::HOLE) || ($dotted && $r <= SheetMarkers::DOT) ? "\0" : "\xff";
            }
        }

        return 'data:image/png;base64,'.base64_encode(Raster::encoded($side, $side, 1, $bytes, 'png'));
    }
}
