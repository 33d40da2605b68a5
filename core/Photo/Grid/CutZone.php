<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Grid;

/** Cuts one zone in two along some pixels. */
final class CutZone
{
    /** A piece smaller than this, pixels of the grid, is no zone. */
    private const LEAST_PIXELS = 6;

    /**
     * Of a zone in many pieces that one is cut that the line goes right through, and of several the largest.
     *
     * @param  array<int, mixed>  $cut  by pixel
     * @param  int  $number  of the new zone, which gets the smaller part
     * @return ?LabelGrid null when the line goes through none
     */
    public static function along(LabelGrid $labels, int $zone, array $cut, int $number): ?LabelGrid
    {
        [$own, $new] = [chr($zone), chr($number)];
        $places = new Places($labels->width, $labels->height);
        $pieceOf = [];
        foreach ($places->pieces($labels->bytes, $own) as $i => $whole) {
            $pieceOf += array_fill_keys($whole, $i);
        }
        $rest = $labels->bytes;
        foreach ($cut as $at => $_) {
            if ($rest[$at] === $own) {
                $rest[$at] = Places::EMPTY;
            }
        }
        $parts = [];
        foreach ($places->pieces($rest, $own) as $part) {
            if (count($part) >= self::LEAST_PIXELS && $places->touchesEmpty($part, $rest)) {
                $parts[$pieceOf[$part[0]]][] = $part;
            }
        }
        $smaller = [];
        foreach ($parts as $of) {
            usort($of, static fn (array $a, array $b): int => count($b) <=> count($a));
            $smaller = count($of[1] ?? []) > count($smaller) ? $of[1] : $smaller;
        }
        foreach ($smaller as $at) {
            $rest[$at] = $new;
        }

        return $smaller === [] ? null : new LabelGrid($labels->width, $labels->height, $places->filled($rest, [$own, $new]));
    }
}
