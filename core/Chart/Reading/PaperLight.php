<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartBox;

/**
 * How the light falls on a box, from the bare paper around it: what lies to its left and right and what lies above and below are carried
 * across it and joined as a Coons patch (S. A. Coons, 1967), which follows a slope of light as well as the edge of a shadow.
 */
final readonly class PaperLight
{
    /** How far from the box paper is looked at, millimetres, and over how much of it. */
    private const OUT = 2.8;

    private const RADIUS = 0.6;

    private const STEPS = 8;

    /**
     * @param  list<array{float, float, float}>  $top  linear light along each side, from left to right and from top to bottom
     * @param  list<array{float, float, float}>  $bottom
     * @param  list<array{float, float, float}>  $left
     * @param  list<array{float, float, float}>  $right
     */
    private function __construct(private array $top, private array $bottom, private array $left, private array $right)
    {
    }

    /**
     * From what was seen of the paper along each side, evenly spaced, as often on each.
     *
     * @param  list<array{float, float, float}>  $top  from left to right; so the others, or from top to bottom
     * @param  list<array{float, float, float}>  $bottom
     * @param  list<array{float, float, float}>  $left
     * @param  list<array{float, float, float}>  $right
     */
    public static function ofSides(array $top, array $bottom, array $left, array $right): self
    {
        return new self(
            self::withoutStrokes($top),
            self::withoutStrokes($bottom),
            self::withoutStrokes($left),
            self::withoutStrokes($right),
        );
    }

    /** Null when the paper around it is not in the photo. */
    public static function over(SquaredSheet $sheet, ChartBox $box): ?self
    {
        $sides = [];
        foreach ([[0.0, -1], [0.0, 1], [-1, 0.0], [1, 0.0]] as [$across, $down]) {
            $along = [];
            for ($i = 0; $i <= self::STEPS; $i++) {
                $share = $i / self::STEPS;
                $x =
                    $across === 0.0
                        ? $box->x + $share * $box->width
                        : ($across < 0
                            ? $box->x - self::OUT
                            : $box->x + $box->width + self::OUT);
                $y =
                    $down === 0.0
                        ? $box->y + $share * $box->height
                        : ($down < 0
                            ? $box->y - self::OUT
                            : $box->y + $box->height + self::OUT);
                $seen = $sheet->around($x, $y, self::RADIUS);
                if ($seen === null) {
                    return null;
                }
                $along[] = $seen;
            }
            $sides[] = $along;
        }

        return self::ofSides(...$sides);
    }

    /**
     * @param  float  $u  across the box, 0–1
     * @param  float  $v  down
     * @return array{float, float, float} linear light that bare paper would show there
     */
    public function at(float $u, float $v): array
    {
        $light = [];
        for ($c = 0; $c < 3; $c++) {
            $rows = (1 - $u) * self::along($this->left, $v, $c) + $u * self::along($this->right, $v, $c);
            $columns = (1 - $v) * self::along($this->top, $u, $c) + $v * self::along($this->bottom, $u, $c);
            $corner = fn (int $x, int $y): float => ($this->{$y === 0 ? 'top' : 'bottom'}[$x === 0 ? 0 : count($this->top) - 1][$c] +
                $this->{$x === 0 ? 'left' : 'right'}[$y === 0 ? 0 : count($this->left) - 1][$c]) /
                2;
            $corners = (1 - $u) * ((1 - $v) * $corner(0, 0) + $v * $corner(0, 1)) + $u * ((1 - $v) * $corner(1, 0) + $v * $corner(1, 1));
            $light[] = max(1e-4, $rows + $columns - $corners);
        }

        return [$light[0], $light[1], $light[2]];
    }

    /** The darkest paper around the box over the lightest, 0–1: 1 where it lies in even light. */
    public function evenness(): float
    {
        $greens = array_column([...$this->top, ...$this->bottom, ...$this->left, ...$this->right], 1);

        return min(INF, ...$greens) / max(1e-6, ...$greens);
    }

    /** @param  list<array{float, float, float}>  $side */
    private static function along(array $side, float $share, int $c): float
    {
        $steps = count($side) - 1;
        $at = $share * $steps;
        $low = min($steps - 1, (int) $at);

        return $side[$low][$c] + ($at - $low) * ($side[$low + 1][$c] - $side[$low][$c]);
    }

    /**
     * A stroke that went over the edge darkens one place and leaves its neighbours: it takes the lesser of theirs, or rises to the mean of
     * the two.
     *
     * @param  list<array{float, float, float}>  $along
     * @return list<array{float, float, float}>
     */
    private static function withoutStrokes(array $along): array
    {
        $mended = [];
        foreach ($along as $i => $seen) {
            $before = $along[$i - 1] ?? ($along[$i + 1] ?? $seen);
            $after = $along[$i + 1] ?? ($along[$i - 1] ?? $seen);
            $sum = static fn (array $s): float => $s[0] + $s[1] + $s[2];
            $mended[] =
                $sum($seen) < 0.9 * min($sum($before), $sum($after))
                    ? [($before[0] + $after[0]) / 2, ($before[1] + $after[1]) / 2, ($before[2] + $after[2]) / 2]
                    : $seen;
        }

        return $mended;
    }
}
