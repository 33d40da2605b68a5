<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Words;

use KnottyPrism\Core\Photo\Borders\GradedBorder;

/** Where the passes of a zone run out into others, in words. */
final class RunsOut
{
    /**
     * @param  list<GradedBorder>  $borders  of the drawing
     * @param  array<int, string>  $names  by zone
     * @param  float  $mm  of the drawing to a pixel of the zones' grid
     * @return ?string null when all borders of the zone are sharp
     */
    public static function words(int $zone, array $borders, array $names, float $mm): ?string
    {
        $long = $wide = [];
        foreach ($borders as $border) {
            if ($border->of($zone) && isset($names[$border->beyond($zone)])) {
                $other = $border->beyond($zone);
                $long[$other] = ($long[$other] ?? 0) + count($border->edges);
                $wide[$other] = ($wide[$other] ?? 0.0) + count($border->edges) * $border->width * $mm;
            }
        }
        arsort($long);
        $to = array_map(
            static fn (int $other): string => sprintf(
                'to “%s”, about %d mm',
                $names[$other],
                max(1, (int) round($wide[$other] / $long[$other])),
            ),
            array_keys($long),
        );
        $last = array_pop($to);

        return $last === null
            ? null
            : 'Let it run out over the '.
                    ($to === [] ? 'border ' : 'borders ').
                    ($to === [] ? '' : implode(', ', $to).', and ').
                    $last.
                    '.';
    }
}
