<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Pixels;

/**
 * How much an area's values change at the scale of strokes: on a grid of 240 pixels for a drawing of 30 cm, a pixel is about a stroke wide.
 */
final class Texture
{
    /** Pixels to either side that the mean is taken of. */
    private const REACH = 2;

    /**
     * @param  list<int>  $pixels  of the area
     * @return float L*, the median over the pixels that lie well within, of how far each is from the mean of the 5 × 5 around it: edges,
     *   within and at
     *               the border, hardly count. 0 where none lies so far within.
     */
    public static function of(PixelGrid $grid, array $pixels): float
    {
        $own = array_fill_keys($pixels, true);
        $around = self::around($grid->width);
        $apart = [];
        foreach ($pixels as $at) {
            $x = $at % $grid->width;
            if ($x < self::REACH || $x >= $grid->width - self::REACH) {
                continue;
            }
            $sum = 0.0;
            foreach ($around as $by) {
                if (! isset($own[$at + $by])) {
                    continue 2;
                }
                $sum += $grid->l[$at + $by];
            }
            $apart[] = abs($grid->l[$at] - $sum / count($around));
        }
        sort($apart);

        return $apart[intdiv(count($apart), 2)] ?? 0.0;
    }

    /** @return list<int> */
    private static function around(int $width): array
    {
        $around = [];
        for ($y = -self::REACH; $y <= self::REACH; $y++) {
            for ($x = -self::REACH; $x <= self::REACH; $x++) {
                $around[] = $y * $width + $x;
            }
        }

        return $around;
    }
}
