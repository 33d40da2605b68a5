<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;

/**
 * All borders of a drawing as lines, each once: those to be drawn through, and those to be drawn broken as zones grade into each other
 * there.
 */
final class BorderLines
{
    /**
     * @param  list<GradedBorder>  $graded
     * @return array{list<list<float>>, list<list<float>>} sharp and graded, each x, y, x, y, … as shares of the picture
     */
    public static function of(LabelGrid $labels, array $graded): array
    {
        $grades = [];
        foreach ($graded as $border) {
            foreach ($border->edges as $edge) {
                $grades[implode(',', $edge)] = true;
            }
        }
        $outlines = new Outlines($labels);
        $sharp = [];
        foreach ($labels->borders() as $one => $others) {
            foreach (array_filter(array_keys($others), static fn (int $other): bool => $one < $other) as $other) {
                foreach ($outlines->stretches($one, $other) as $edges) {
                    $run = [];
                    foreach ([...$edges, null] as $edge) {
                        if ($edge !== null && ! isset($grades[implode(',', $edge)])) {
                            $run[] = $edge;
                        } elseif ($run !== []) {
                            $sharp[] = $outlines->line($run);
                            $run = [];
                        }
                    }
                }
            }
        }

        return [$sharp, array_map(static fn (GradedBorder $g): array => $g->line, $graded)];
    }
}
