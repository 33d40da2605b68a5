<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Parts a picture into its local colours: what one material's light and shade would explain is one, in as many pieces as it has.
 *
 * It begins with some forty clusters of colour. Turn by turn each is given a line through its colours ({@see LocalColour}), every pixel
 * goes to the line that explains it, with neighbours agreeing where the photo has no edge ({@see Agreement}), and those whose joining costs
 * least become one ({@see JoinColours}), until joining would cost more than it saves. Small pieces go to what surrounds them ({@see
 * Crumbs}).
 */
final class LocalColours
{
    private const CLUSTERS = 40;

    /** Turns before the first joining, and at the end. */
    private const TURNS = 2;

    private const LAST_TURNS = 2;

    /**
     * @param  int  $most  at most so many; fewer where the picture has fewer
     * @return list<int> the local colour of each pixel, numbered from 0
     */
    public static function of(PixelGrid $grid, int $most): array
    {
        $whole = $grid->smoothed();
        // Which there are is seen as well in a quarter of the pixels; where each is, in all of them.
        $half = $whole->resampled(max(1, intdiv($grid->width, 2)), max(1, intdiv($grid->height, 2)));
        $agreement = new Agreement($half);
        $explained = new Explained($half);
        $labels = ColourClusters::of($half, self::CLUSTERS);
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $labels = self::turn($explained, $agreement, $labels);
        }
        $join = new JoinColours($half, $agreement, $most);
        do {
            [$labels, $isDone] = $join->some($labels);
            $labels = self::turn($explained, $agreement, $labels);
        } while (! $isDone);
        $labels = self::enlarged($labels, $half, $whole);
        $agreement = new Agreement($whole);
        $explained = new Explained($whole);
        for ($turn = 0; $turn < self::LAST_TURNS; $turn++) {
            $labels = self::turn($explained, $agreement, $labels);
        }

        return Patchwork::numbered((new Crumbs($whole, $explained))->swept($labels));
    }

    /**
     * Every pixel to the line that explains it.
     *
     * @param  list<int>  $labels
     * @return list<int>
     */
    private static function turn(Explained $explained, Agreement $agreement, array $labels): array
    {
        $costs = $explained->costs($labels);
        $best = $labels;
        $least = array_fill(0, count($labels), INF);
        foreach ($costs as $label => $of) {
            foreach ($of as $at => $cost) {
                if ($cost < $least[$at]) {
                    $least[$at] = $cost;
                    $best[$at] = $label;
                }
            }
        }

        return $agreement->of(array_values($best), $costs);
    }

    /**
     * @param  list<int>  $labels
     * @return list<int>
     */
    private static function enlarged(array $labels, PixelGrid $from, PixelGrid $to): array
    {
        $large = [];
        for ($at = 0, $n = $to->count(); $at < $n; $at++) {
            $large[] =
                $labels[
                    intdiv(intdiv($at, $to->width) * $from->height, $to->height) * $from->width +
                        intdiv(($at % $to->width) * $from->width, $to->width)
                ];
        }

        return $large;
    }
}
