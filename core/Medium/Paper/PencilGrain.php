<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Where in the tooth each place of a drawing lies, at its real size: the felt of the paper, some 0.4 mm from peak to peak, and strokes half
 * a millimetre wide that reach deeper here and less deep there. Noise on a lattice (K. Perlin, 1985), drawn from one permutation: it
 * has no period within a drawing, and is the same from one time to the next.
 */
final class PencilGrain
{
    /** Places in the tooth that are told apart: 0 on the peaks, all equally often. */
    public const PLACES = 16;

    /** Directions that strokes may have, from level on anticlockwise over half a turn; and the one that is none: small circles. */
    public const DIRECTIONS = 12;

    public const CIRCLES = 12;

    /** Peak to peak of the felt, width and length of a stroke, millimetres. */
    private const FELT = 0.4;

    private const WIDE = 0.55;

    private const LONG = 7.0;

    /** How soon flecks fade with the size of a pixel. */
    private const FADES = 4.0;

    /** How much strokes count beside the felt. */
    private const STROKES = 0.8;

    /** Lattice points before the permutation begins again, a power of two. */
    private const SIZE = 4096;

    private const LEVELS = 4096;

    private const SEED = 20177;

    /** The direction of a line drawn on paper, whichever way it was drawn: right and down are positive. */
    public static function along(float $right, float $down): int
    {
        $twelfths = (int) round((atan2(-$down, $right) / M_PI) * self::DIRECTIONS);

        return ($twelfths + 2 * self::DIRECTIONS) % self::DIRECTIONS;
    }

    /**
     * What is left of flecks, 0–1, where a pixel stands for so much of the drawing: several lie in it, and from where one sees so much at
     * once the eye runs them together. Nearly all at 0.05 mm, a breath at 0.3.
     */
    public static function contrast(float $mmPerPixel): float
    {
        return 1 / (1 + self::FADES * ($mmPerPixel / self::FELT) ** 2);
    }

    /**
     * @param  float  $left  place of the piece in the drawing, millimetres from its top left
     * @param  list<int>  $columns  for every x and y of the piece the column and the row of the directions
     * @param  list<int>  $rows
     * @param  string  $directions  a byte a place, row after row
     * @return string a byte a pixel, 0 to PLACES − 1
     */
    public static function places(
        float $mmPerPixel,
        float $left,
        float $top,
        array $columns,
        array $rows,
        string $directions,
        int $across,
    ): string {
        return self::evened(self::heights($mmPerPixel, $left, $top, $columns, $rows, $directions, $across));
    }

    /**
     * The same as heights of the surface as a stroke finds it, of no unit: the lowest number is the highest peak.
     *
     * @param  list<int>  $columns
     * @param  list<int>  $rows
     * @return list<int> row after row
     */
    public static function heights(
        float $mmPerPixel,
        float $left,
        float $top,
        array $columns,
        array $rows,
        string $directions,
        int $across,
    ): array {
        // One long loop: a megapixel goes through it.
        [$p, $mask] = [self::permutation(), self::SIZE - 1];
        $cos = $sin = [];
        for ($d = 0; $d < self::DIRECTIONS; $d++) {
            $cos[] = cos((M_PI * $d) / self::DIRECTIONS);
            $sin[] = sin((M_PI * $d) / self::DIRECTIONS);
        }
        $first = $second = $share = $xs = [];
        foreach (array_keys($columns) as $x) {
            $xs[] = $left + ($x + 0.5) * $mmPerPixel;
            $at = $xs[$x] / self::FELT;
            $share[] = $at - (int) $at;
            $first[] = $p[(int) $at & $mask];
            $second[] = $p[((int) $at + 1) & $mask];
        }
        $heights = [];
        foreach ($rows as $y => $row) {
            $down = $top + ($y + 0.5) * $mmPerPixel;
            $iv = (int) ($down / self::FELT);
            $fv = $down / self::FELT - $iv;
            $from = $row * $across;
            foreach ($columns as $x => $column) {
                $fu = $share[$x];
                [$a, $b] = [$first[$x], $second[$x]];
                $felt =
                    (1 - $fv) * ((1 - $fu) * $p[($a + $iv) & $mask] + $fu * $p[($b + $iv) & $mask]) +
                    $fv * ((1 - $fu) * $p[($a + $iv + 1) & $mask] + $fu * $p[($b + $iv + 1) & $mask]);
                $d = ord($directions[$from + $column]);
                if ($d >= self::DIRECTIONS) {
                    $heights[] = (int) $felt;

                    continue;
                }
                // Away from 0, so that rounding toward it is rounding down.
                $u = ($xs[$x] * $cos[$d] - $down * $sin[$d]) / self::LONG + 1000;
                $v = ($xs[$x] * $sin[$d] + $down * $cos[$d]) / self::WIDE + 1000;
                $jv = (int) $v;
                $gv = $v - $jv;
                $gv *= $gv * (3 - 2 * $gv);
                // Every line of strokes begins elsewhere.
                $line = $p[($jv + 97 * $d) & $mask];
                $along = $u + $line / self::SIZE;
                $ju = (int) $along;
                $gu = $along - $ju;
                $stroke = (1 - $gv) * ((1 - $gu) * $p[($line + $ju) & $mask] + $gu * $p[($line + $ju + 1) & $mask]);
                $line = $p[($jv + 1 + 97 * $d) & $mask];
                $along = $u + $line / self::SIZE;
                $ju = (int) $along;
                $gu = $along - $ju;
                $stroke += $gv * ((1 - $gu) * $p[($line + $ju) & $mask] + $gu * $p[($line + $ju + 1) & $mask]);
                $heights[] = (int) (($felt + self::STROKES * $stroke) / (1 + self::STROKES));
            }
        }

        return $heights;
    }

    /**
     * Ranks in place of heights, so that every place in the tooth is met equally often.
     *
     * @param  list<int>  $heights
     */
    private static function evened(array $heights): string
    {
        $counts = array_fill(0, self::LEVELS, 0);
        foreach ($heights as $height) {
            $counts[$height]++;
        }
        $place = [];
        $below = 0;
        $count = max(1, count($heights));
        foreach ($counts as $n) {
            $place[] = chr(min(self::PLACES - 1, intdiv(($below + intdiv($n, 2)) * self::PLACES, $count)));
            $below += $n;
        }
        $places = '';
        foreach ($heights as $height) {
            $places .= $place[$height];
        }

        return $places;
    }

    /** @return list<int> */
    private static function permutation(): array
    {
        /** @var list<int>|null $permutation */
        static $permutation = null;

        return $permutation ??= (new Randomizer(new Mt19937(self::SEED)))->shuffleArray(range(0, self::SIZE - 1));
    }
}
