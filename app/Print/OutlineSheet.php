<?php

declare(strict_types=1);

namespace App\Print;

use Dompdf\Adapter\CPDF;
use Dompdf\Dompdf;
use KnottyPrism\Core\Desk\Transfer\Tile;
use KnottyPrism\Core\Desk\Transfer\Tiles;
use KnottyPrism\Core\Desk\Transfer\Tracing;

/** A drawing's outlines as thin grey lines at its real size, over as many pages as it needs; with a grid where that is wanted. */
final class OutlineSheet
{
    private const POINTS = 72 / 25.4;

    /** Of the lines, points: thin enough to vanish under a light coat. */
    private const BORDER = 0.6;

    private const INNER = 0.35;

    private const GRID = 0.25;

    /** Where zones grade into each other: mm of line, mm of none. */
    private const BROKEN = [4.0, 4.0];

    private const GREY = [0.45, 0.45, 0.45];

    private const PALE = [0.65, 0.65, 0.65];

    private const BLACK = [0, 0, 0];

    /** Half the length of a marker where pages are laid together, mm. */
    private const MARKER = 3.0;

    /** What the foot of every page can be measured by, mm. */
    private const MEASURE = 50.0;

    private const TEXT = 7.0;

    /**
     * @param  ?float  $square  side of the grid's squares, mm; null for none
     */
    public static function pdf(string $study, Tracing $tracing, string $size, ?float $square, bool $mirrored): string
    {
        $page = PdfPage::SIZES[$size];
        $canvas = new CPDF([0, 0, $page[0] * self::POINTS, $page[1] * self::POINTS], 'portrait', new Dompdf());
        $font = (string) $canvas->get_dompdf()->getFontMetrics()->getFont('DejaVu Sans');
        $tiles = Tiles::over($tracing->wide, $tracing->high, $page);
        foreach ($tiles->tiles as $i => $tile) {
            if ($i > 0) {
                $canvas->new_page();
            }
            self::lines($canvas, $tracing, $tile, $square);
            self::joins($canvas, $tiles, $tile);
            self::foot(
                $canvas,
                $font,
                sprintf(
                    '%s: %s%s, %g × %g mm, page %d of row %d (%d × %d)',
                    $study,
                    'outlines',
                    $mirrored ? ', mirrored' : '',
                    $tracing->wide,
                    $tracing->high,
                    $tile->column,
                    $tile->row,
                    $tiles->columns,
                    $tiles->rows,
                ),
                $page[1],
            );
        }

        return $canvas->output(['compress' => 1]);
    }

    private static function lines(CPDF $canvas, Tracing $tracing, Tile $tile, ?float $square): void
    {
        $x = static fn (float $mm): float => (Tiles::MARGIN + $mm - $tile->x) * self::POINTS;
        $y = static fn (float $mm): float => (Tiles::MARGIN + $mm - $tile->y) * self::POINTS;
        $canvas->clipping_rectangle($x($tile->x), $y($tile->y), $tile->wide * self::POINTS, $tile->high * self::POINTS);
        if ($square !== null) {
            for ($at = $square; $at < $tracing->wide - 1e-6; $at += $square) {
                $canvas->line($x($at), $y(0), $x($at), $y($tracing->high), self::PALE, self::GRID);
            }
            for ($at = $square; $at < $tracing->high - 1e-6; $at += $square) {
                $canvas->line($x(0), $y($at), $x($tracing->wide), $y($at), self::PALE, self::GRID);
            }
        }
        foreach (
            [
                [$tracing->outlines, self::BORDER, []],
                [$tracing->graded, self::BORDER, self::BROKEN],
                [$tracing->inner, self::INNER, []],
            ] as [$lines, $width, $broken]
        ) {
            foreach ($lines as $line) {
                $gone = 0.0;
                for ($i = 1, $n = count($line); $i < $n; $i++) {
                    [$from, $to] = [$line[$i - 1], $line[$i]];
                    // Dashes are led along the line: pieces of it are shorter than one.
                    $drawn = $broken === [] || fmod($gone, $broken[0] + $broken[1]) < $broken[0];
                    $gone += hypot($to[0] - $from[0], $to[1] - $from[1]);
                    if ($drawn && self::isOn($tile, $from, $to)) {
                        $canvas->line($x($from[0]), $y($from[1]), $x($to[0]), $y($to[1]), self::GREY, $width);
                    }
                }
            }
        }
        $canvas->clipping_end();
        // The drawing's own edge, outside the clip so that it prints at its full width.
        foreach (
            [
                [0, 0, $tracing->wide, 0],
                [0, $tracing->high, $tracing->wide, $tracing->high],
                [0, 0, 0, $tracing->high],
                [$tracing->wide, 0, $tracing->wide, $tracing->high],
            ] as [$x0, $y0, $x1, $y1]
        ) {
            [$left, $right] = [max($x0, $tile->x), min($x1, $tile->x + $tile->wide)];
            [$top, $bottom] = [max($y0, $tile->y), min($y1, $tile->y + $tile->high)];
            if ($left <= $right && $top <= $bottom && ($left < $right || $top < $bottom)) {
                $canvas->line($x($left), $y($top), $x($right), $y($bottom), self::BLACK, self::INNER);
            }
        }
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function isOn(Tile $tile, array $from, array $to): bool
    {
        return max($from[0], $to[0]) >= $tile->x &&
            min($from[0], $to[0]) <= $tile->x + $tile->wide &&
            max($from[1], $to[1]) >= $tile->y &&
            min($from[1], $to[1]) <= $tile->y + $tile->high;
    }

    /** Crosses at both ends of what a page shares with the next: laid on those of the next they make the pages one. */
    private static function joins(CPDF $canvas, Tiles $tiles, Tile $tile): void
    {
        $cross = static function (float $x, float $y) use ($canvas): void {
            foreach ([[self::MARKER, 0.0], [0.0, self::MARKER]] as [$dx, $dy]) {
                $canvas->line(
                    ($x - $dx) * self::POINTS,
                    ($y - $dy) * self::POINTS,
                    ($x + $dx) * self::POINTS,
                    ($y + $dy) * self::POINTS,
                    self::BLACK,
                    self::INNER,
                );
            }
        };
        [$left, $top, $right, $bottom] = [Tiles::MARGIN, Tiles::MARGIN, Tiles::MARGIN + $tile->wide, Tiles::MARGIN + $tile->high];
        $half = Tiles::OVERLAP / 2;
        foreach ([[$tile->column > 1, $left + $half], [$tile->column < $tiles->columns, $right - $half]] as [$shares, $x]) {
            if ($shares) {
                $cross($x, $top);
                $cross($x, $bottom);
            }
        }
        foreach ([[$tile->row > 1, $top + $half], [$tile->row < $tiles->rows, $bottom - $half]] as [$shares, $y]) {
            if ($shares) {
                $cross($left, $y);
                $cross($right, $y);
            }
        }
    }

    private static function foot(CPDF $canvas, string $font, string $text, float $high): void
    {
        $y = ($high - Tiles::MARGIN - 3.0) * self::POINTS;
        [$x, $end] = [Tiles::MARGIN * self::POINTS, (Tiles::MARGIN + self::MEASURE) * self::POINTS];
        $canvas->line($x, $y, $end, $y, self::BLACK, self::BORDER);
        foreach ([$x, $end] as $at) {
            $canvas->line($at, $y - 3, $at, $y + 3, self::BLACK, self::BORDER);
        }
        $canvas->text(
            $end + 6,
            $y - self::TEXT / 2,
            sprintf('%g mm: if it is not, print at 100 %%. %s', self::MEASURE, $text),
            $font,
            self::TEXT,
            self::BLACK,
        );
    }
}
