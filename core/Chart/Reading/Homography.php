<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/** A view of a plane: where a place of the sheet, in millimetres, lies in the photo, in pixels. R. Hartley, A. Zisserman (2004), section 4.1. */
final readonly class Homography
{
    /** @param  list<float>  $h  nine, row after row */
    private function __construct(private array $h)
    {
    }

    /**
     * @param  list<array{float, float}>  $from  four places, no three in a row
     * @param  list<array{float, float}>  $to
     */
    public static function between(array $from, array $to): self
    {
        $rows = [];
        foreach ($from as $i => [$x, $y]) {
            [$u, $v] = $to[$i];
            $rows[] = [$x, $y, 1.0, 0.0, 0.0, 0.0, -$u * $x, -$u * $y, $u];
            $rows[] = [0.0, 0.0, 0.0, $x, $y, 1.0, -$v * $x, -$v * $y, $v];
        }

        return new self([...self::solved($rows), 1.0]);
    }

    /** @return array{float, float} */
    public function to(float $x, float $y): array
    {
        $h = $this->h;
        $w = $h[6] * $x + $h[7] * $y + $h[8];

        return [($h[0] * $x + $h[1] * $y + $h[2]) / $w, ($h[3] * $x + $h[4] * $y + $h[5]) / $w];
    }

    /**
     * Gauss with pivots.
     *
     * @param  list<list<float>>  $rows  each with its right side last
     * @return list<float>
     */
    private static function solved(array $rows): array
    {
        $n = count($rows);
        for ($i = 0; $i < $n; $i++) {
            $pivot = $i;
            for ($j = $i + 1; $j < $n; $j++) {
                $pivot = abs($rows[$j][$i]) > abs($rows[$pivot][$i]) ? $j : $pivot;
            }
            [$rows[$i], $rows[$pivot]] = [$rows[$pivot], $rows[$i]];
            for ($j = 0; $j < $n; $j++) {
                if ($j !== $i) {
                    $factor = $rows[$j][$i] / ($rows[$i][$i] ?: 1e-12);
                    for ($k = $i; $k <= $n; $k++) {
                        $rows[$j][$k] -= $factor * $rows[$i][$k];
                    }
                }
            }
        }

        return array_map(static fn (array $row, int $i): float => $row[$n] / ($row[$i] ?: 1e-12), $rows, range(0, $n - 1));
    }
}
