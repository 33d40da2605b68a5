<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

use KnottyPrism\Core\Photo\Grid\LabelGrid;

/** The bands along graded borders, pixel by pixel of the zones' grid: which two zones are laid there, and how much of each. */
final readonly class GradedBands
{
    /**
     * @param  list<array{int, int}>  $pairs  zones
     * @param  array<int, int>  $pair  by pixel of a band
     * @param  array<int, float>  $share  of the first zone of the pair, 0–1, by pixel of a band
     */
    private function __construct(private LabelGrid $labels, public array $pairs, private array $pair, private array $share)
    {
    }

    /** @param  list<GradedBorder>  $borders */
    public static function of(LabelGrid $labels, array $borders): self
    {
        $pairs = $pair = $share = $nearest = [];
        foreach ($borders as $border) {
            $name = "$border->one/$border->other";
            $pairs[$name] ??= [$border->one, $border->other];
            $number = (int) array_search($name, array_keys($pairs), true);
            [$one, $other] = [chr($border->one), chr($border->other)];
            foreach ($border->edges as $i => [$x0, $y0, $x1, $y1]) {
                [$x, $y, $reach] = [($x0 + $x1) / 2, ($y0 + $y1) / 2, $border->reach[$i]];
                for ($v = max(0, (int) ($y - $reach)), $below = min($labels->height - 1, (int) ($y + $reach)); $v <= $below; $v++) {
                    for ($u = max(0, (int) ($x - $reach)), $right = min($labels->width - 1, (int) ($x + $reach)); $u <= $right; $u++) {
                        $at = $v * $labels->width + $u;
                        $off = sqrt(($u + 0.5 - $x) ** 2 + ($v + 0.5 - $y) ** 2);
                        $zone = $labels->bytes[$at];
                        if ($off < $reach && $off < ($nearest[$at] ?? INF) && ($zone === $one || $zone === $other)) {
                            $nearest[$at] = $off;
                            $pair[$at] = $number;
                            $share[$at] = 0.5 + ($zone === $one ? 0.5 : -0.5) * sin((M_PI_2 * $off) / $reach);
                        }
                    }
                }
            }
        }

        return new self($labels, array_values($pairs), $pair, $share);
    }

    /** @return ?int the pair that is laid at a pixel of the grid, by its place in the list; null outside of all bands */
    public function pairAt(int $pixel): ?int
    {
        return $this->pair[$pixel] ?? null;
    }

    /**
     * How much of the first zone is laid at a place between pixels of the grid.
     *
     * @param  float  $x  in pixels of the grid, from the left edge
     */
    public function shareAt(int $pair, float $x, float $y): float
    {
        return self::between($this->inRow($pair, (int) $x, $y), $x - (int) $x);
    }

    /**
     * The same in the middle of a pixel of the grid and of those to its left and right, at a height between rows.
     *
     * @return array{float, float, float}
     */
    public function inRow(int $pair, int $column, float $y): array
    {
        $top = (int) floor($y - 0.5);
        $down = $y - 0.5 - $top;
        // What is of a third zone is taken as the pixel itself is.
        $own = $this->share[min($this->labels->height - 1, (int) $y) * $this->labels->width + $column] ?? 0.5;
        $at = fn (int $x): float => (1 - $down) * $this->in($pair, $x, $top, $own) + $down * $this->in($pair, $x, $top + 1, $own);

        return [$at($column - 1), $at($column), $at($column + 1)];
    }

    /**
     * @param  array{float, float, float}  $row  as {@see self::inRow()} gives it
     * @param  float  $across  of the pixel, 0–1 from its left edge
     */
    public static function between(array $row, float $across): float
    {
        $off = $across - 0.5;

        return $row[1] + abs($off) * ($row[$off < 0 ? 0 : 2] - $row[1]);
    }

    private function in(int $pair, int $x, int $y, float $otherwise): float
    {
        $at = max(0, min($this->labels->height - 1, $y)) * $this->labels->width + max(0, min($this->labels->width - 1, $x));

        return match (true) {
            ($this->pair[$at] ?? null) === $pair => $this->share[$at],
            $this->labels->bytes[$at] === chr($this->pairs[$pair][0]) => 1.0,
            $this->labels->bytes[$at] === chr($this->pairs[$pair][1]) => 0.0,
            default => $otherwise,
        };
    }

    /** Names them, for a key. */
    public function fingerprint(): string
    {
        return md5(
            serialize([$this->pairs, $this->pair, array_map(static fn (float $share): int => (int) round(255 * $share), $this->share)]),
        );
    }
}
