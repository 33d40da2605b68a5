<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Grid\Patchwork;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * Finds where zones meet and the photo has no edge: there they grade into each other, over a band as wide as the photo takes for it. What
 * the artist says of a pair holds for all of its border.
 */
final readonly class FindGradedBorders
{
    /** Pixel edges: so short a stretch is no border to speak of, and so short a gap in one is none. */
    public const LEAST = 12;

    private const GAP = 6;

    /** Of the smaller piece, the share that a band may take. */
    private const OF_PIECE = 0.2;

    /** Pixels to either side: a narrower band is a sharp border. */
    private const NARROWEST = 1.2;

    /** The same where the artist lets an edge of the photo grade. */
    private const OVER_AN_EDGE = 3.0;

    /** A border of stairs is longer in pixel edges than it is. */
    private const STAIRS = 0.8;

    /** How fast a band ends where the border goes on sharply, pixels an edge. */
    private const ENDING = 0.5;

    /** @param  array<int, int>  $sizes  of the piece that each pixel lies in, pixels */
    private function __construct(private LabelGrid $labels, private PixelGrid $photo, private Outlines $outlines, private array $sizes)
    {
    }

    /**
     * @param  PixelGrid  $grid  the photo at the size of the labels
     * @return list<GradedBorder>
     */
    public static function in(
        LabelGrid $labels,
        PixelGrid $grid,
        BorderNotes $notes = new BorderNotes(),
        ?Outlines $outlines = null,
    ): array {
        $sizes = [];
        foreach (Patchwork::byPiece($labels->numbers(), $labels->width, $labels->height) as $piece) {
            $sizes += array_fill_keys($piece, count($piece));
        }
        $find = new self($labels, $grid->smoothed(), $outlines ?? new Outlines($labels), $sizes);
        $found = [];
        foreach ($labels->borders() as $one => $others) {
            foreach ($others as $other => $length) {
                $kind = $notes->of($one, $other);
                if ($one < $other && $kind !== BorderKind::Sharp && ($length >= self::LEAST || $kind !== null)) {
                    array_push($found, ...$find->between($one, $other, $kind === BorderKind::Grades));
                }
            }
        }

        return $found;
    }

    /**
     * @param  bool  $all  of it, whatever the photo has
     * @return list<GradedBorder>
     */
    private function between(int $one, int $other, bool $all): array
    {
        $found = [];
        foreach ($this->outlines->stretches($one, $other) as $edges) {
            $across = AcrossBorder::along($edges, $one, $other, $this->labels, $this->photo);
            $flat = array_map(static fn (AcrossBorder $a): bool => $a->hasNoEdge(), $across);
            foreach ($all ? [[0, count($edges) - 1]] : self::runs($flat) as [$from, $to]) {
                $own = array_slice($edges, $from, $to - $from + 1);
                $widths = [];
                for ($i = $from; $i <= $to; $i++) {
                    $widths[] = $flat[$i] ? $across[$i]->width() : 2 * self::OVER_AN_EDGE;
                }
                sort($widths);
                $reach = min($widths[intdiv(count($widths), 2)] / 2, $this->room($own));
                if ($own !== [] && ($reach >= self::NARROWEST || $all)) {
                    $reach = max(self::NARROWEST, $reach);
                    $found[] = new GradedBorder(
                        $one,
                        $other,
                        $own,
                        self::ending($reach, $own, $from > 0, $to < count($edges) - 1),
                        2 * $reach,
                        $this->outlines->line($own),
                    );
                }
            }
        }

        return $found;
    }

    /**
     * Where there is no edge for some length.
     *
     * @param  list<bool>  $flat
     * @return list<array{int, int}> the first and the last place of each
     */
    private static function runs(array $flat): array
    {
        $runs = [];
        foreach ($flat as $i => $is) {
            if (! $is) {
                continue;
            }
            $run = array_pop($runs);
            if ($run !== null && $i - $run[1] > self::GAP) {
                $runs[] = $run;
                $run = null;
            }
            $runs[] = [$run[0] ?? $i, $i];
        }

        return array_values(array_filter($runs, static fn (array $run): bool => $run[1] - $run[0] + 1 >= self::LEAST));
    }

    /**
     * How far a band may reach into the smaller of the pieces that meet along it.
     *
     * @param  list<array{int, int, int, int, int}>  $edges
     */
    private function room(array $edges): float
    {
        $smallest = PHP_INT_MAX;
        foreach ($edges as [$x0, $y0, $x1, $y1]) {
            [$dx, $dy] = [$y0 - $y1, $x1 - $x0];
            $at = (min($y0, $y1) + ($dy < 0 ? -1 : 0)) * $this->labels->width + min($x0, $x1) + ($dx < 0 ? -1 : 0);
            $smallest = min($smallest, $this->sizes[$at], $this->sizes[$at - $dy * $this->labels->width - $dx]);
        }

        return (self::OF_PIECE * $smallest) / (self::STAIRS * max(1, count($edges)));
    }

    /**
     * @param  non-empty-list<array{int, int, int, int, int}>  $edges
     * @return non-empty-list<float> by edge
     */
    private static function ending(float $reach, array $edges, bool $before, bool $after): array
    {
        $n = count($edges);

        return array_map(
            static fn (int $i): float => min(
                $reach,
                $before ? self::ENDING * ($i + 1) : $reach,
                $after ? self::ENDING * ($n - $i) : $reach,
            ),
            array_keys($edges),
        );
    }
}
