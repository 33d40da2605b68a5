<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/** What a box looks like beside the paper around it. */
final readonly class BoxFigures
{
    /** Shares of the darkest and the lightest places that are left out. */
    private const DARKEST = 0.01;

    private const LIGHTEST = 0.02;

    /** A place this much lighter than the middle one, and by so much of the paper, glints. */
    private const GLINTS = 1.8;

    private const GLINTS_BY = 0.12;

    /**
     * @param  array{float, float, float}  $ratio  light over that of paper
     * @param  float  $glints  share of places that mirror a lamp
     * @param  float  $full  share of places that are as light as the camera can tell
     * @param  float  $grain  how far places differ, over the root of how many there are
     * @param  float  $evenness  darkest paper around it over the lightest
     */
    public function __construct(
        public array $ratio,
        public float $glints,
        public float $full,
        public float $grain,
        public float $evenness,
    ) {
    }

    /**
     * A mean of linear light that leaves out glints and flecks of dirt.
     *
     * @param  non-empty-list<array{float, float, float}>  $seen  light over that of paper, place by place
     * @param  float  $full  share of them that are as light as the camera can tell
     */
    public static function ofPlaces(array $seen, float $full, float $evenness): self
    {
        $n = count($seen);
        $greens = array_map(static fn (array $s): float => ($s[0] + $s[1] + $s[2]) / 3, $seen);
        asort($greens);
        $order = array_keys($greens);
        $middle = $greens[$order[intdiv($n, 2)]];
        $glints = array_filter($greens, static fn (float $g): bool => $g > self::GLINTS * $middle && $g > $middle + self::GLINTS_BY);
        $kept = array_values(
            array_diff(
                array_slice($order, (int) (self::DARKEST * $n), (int) ceil((1 - self::DARKEST - self::LIGHTEST) * $n)),
                array_keys($glints),
            ),
        );
        $sum = $squares = [0.0, 0.0, 0.0];
        foreach ($kept as $i) {
            for ($c = 0; $c < 3; $c++) {
                $sum[$c] += $seen[$i][$c];
                $squares[$c] += $seen[$i][$c] ** 2;
            }
        }
        $m = max(1, count($kept));
        $mean = [$sum[0] / $m, $sum[1] / $m, $sum[2] / $m];

        return new self($mean, count($glints) / $n, $full, sqrt(max(0.0, $squares[1] / $m - $mean[1] ** 2) / $m), $evenness);
    }
}
