<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Grid;

/** Connectedness of labelled pixels: pieces, and clean borders between them. */
final class Patchwork
{
    /**
     * Gives every connected piece a label of its own and joins pieces smaller than some pixels to the neighbour with which they
     * share the longest border.
     *
     * @param  array<int, int>  $labels
     * @return list<int> numbered from 0 without gaps
     */
    public static function joined(array $labels, int $width, int $height, int $least): array
    {
        [$pieces, $sizes] = self::pieces($labels, $width, $height);
        $order = $sizes;
        asort($order);
        $into = range(0, count($sizes) - 1);
        $root = static function (int $piece) use (&$into): int {
            while ($into[$piece] !== $piece) {
                $piece = $into[$piece] = $into[$into[$piece]];
            }

            return $piece;
        };
        $borders = self::borders($pieces, $width, $height);
        foreach ($order as $piece => $size) {
            if ($sizes[$root($piece)] >= $least) {
                continue;
            }
            $shared = [];
            foreach ($borders[$piece] ?? [] as $other => $length) {
                if ($root($other) !== $root($piece)) {
                    $shared[$root($other)] = ($shared[$root($other)] ?? 0) + $length;
                }
            }
            if ($shared !== []) {
                arsort($shared);
                $to = array_key_first($shared);
                $sizes[$to] += $sizes[$root($piece)];
                $into[$root($piece)] = $to;
            }
        }

        return self::numbered(array_map($root, $pieces));
    }

    /**
     * @param  array<int, int>  $labels
     * @return list<non-empty-list<int>> the pixels of each connected piece
     */
    public static function byPiece(array $labels, int $width, int $height): array
    {
        $pixels = [];
        foreach (self::pieces($labels, $width, $height)[0] as $at => $piece) {
            $pixels[$piece][] = $at;
        }

        return array_values($pixels);
    }

    /**
     * Smooths borders: each pixel takes the label that most of its nine hold.
     *
     * @param  list<int>  $labels
     * @return list<int>
     */
    public static function smoothed(array $labels, int $width, int $height, int $rounds): array
    {
        for ($round = 0; $round < $rounds; $round++) {
            $smooth = $labels;
            for ($y = 1; $y < $height - 1; $y++) {
                for ($x = 1; $x < $width - 1; $x++) {
                    $at = $y * $width + $x;
                    $own = $labels[$at];
                    if (
                        $labels[$at - 1] === $own &&
                        $labels[$at + 1] === $own &&
                        $labels[$at - $width] === $own &&
                        $labels[$at + $width] === $own
                    ) {
                        continue;
                    }
                    $votes = [];
                    foreach (
                        [
                            $at - $width - 1,
                            $at - $width,
                            $at - $width + 1,
                            $at - 1,
                            $at,
                            $at + 1,
                            $at + $width - 1,
                            $at + $width,
                            $at + $width + 1,
                        ] as $near
                    ) {
                        $votes[$labels[$near]] = ($votes[$labels[$near]] ?? 0) + 1;
                    }
                    arsort($votes);
                    $smooth[$at] = (int) array_key_first($votes);
                }
            }
            $labels = array_values($smooth);
        }

        return $labels;
    }

    /**
     * Lengths of shared borders, in pixel edges.
     *
     * @param  array<int, int>  $labels
     * @return array<int, array<int, int>>
     */
    public static function borders(array $labels, int $width, int $height): array
    {
        $borders = [];
        foreach ($labels as $at => $label) {
            foreach ([$at % $width < $width - 1 ? $at + 1 : null, $at + $width] as $near) {
                $other = $near === null ? $label : $labels[$near] ?? $label;
                if ($other !== $label) {
                    $borders[$label][$other] = ($borders[$label][$other] ?? 0) + 1;
                    $borders[$other][$label] = ($borders[$other][$label] ?? 0) + 1;
                }
            }
        }

        return $borders;
    }

    /**
     * @param  array<int, int>  $labels
     * @return list<int>
     */
    public static function numbered(array $labels): array
    {
        $numbers = [];
        $out = [];
        foreach ($labels as $label) {
            $out[] = $numbers[$label] ??= count($numbers);
        }

        return $out;
    }

    /**
     * @param  array<int, int>  $labels
     * @return array{list<int>, list<int>} the piece of each pixel, and the size of each piece
     */
    private static function pieces(array $labels, int $width, int $height): array
    {
        $pieces = array_fill(0, count($labels), -1);
        $sizes = [];
        foreach ($labels as $start => $label) {
            if ($pieces[$start] >= 0) {
                continue;
            }
            $piece = count($sizes);
            $pieces[$start] = $piece;
            $open = [$start];
            $size = 0;
            while ($open !== []) {
                $at = array_pop($open);
                $size++;
                $x = $at % $width;
                foreach ([$x > 0 ? $at - 1 : -1, $x < $width - 1 ? $at + 1 : -1, $at - $width, $at + $width] as $near) {
                    if ($near >= 0 && $near < $width * $height && $pieces[$near] < 0 && $labels[$near] === $label) {
                        $pieces[$near] = $piece;
                        $open[] = $near;
                    }
                }
            }
            $sizes[] = $size;
        }

        return [array_values($pieces), $sizes];
    }
}
