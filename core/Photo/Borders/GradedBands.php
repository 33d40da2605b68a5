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
                            $share[$at] = 0.5 + ($zone === $one ? 0.5 : -0.5) * sin(M_PI_2 * $off / $reach);
                        }
                    }
                }
            }
        }

        return new self($labels, array_values($pairs), $pair, $share);
    }

    /** @return ?int the pair that is laid at a pixel of the grid, by its place in the list; nothing outside of all bands */
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
        [$one, $other] = [chr($this->pairs[$pair][0]), chr($this->pairs[$pair][1])];
        [$left, $top] = [(int) floor($x - 0.5), (int) floor($y - 0.5)];
        [$across, $down] = [$x - 0.5 - $left, $y - 0.5 - $top];
        $sum = $weights = 0.0;
        foreach ([[0, 0, (1 - $across) * (1 - $down)], [1, 0, $across * (1 - $down)], [0, 1, (1 - $across) * $down], [1, 1, $across * $down]] as [$dx, $dy, $weight]) {
            $at = max(0, min($this->labels->height - 1, $top + $dy)) * $this->labels->width + max(0, min($this->labels->width - 1, $left + $dx));
            $zone = $this->labels->bytes[$at];
            if (($this->pair[$at] ?? null) === $pair) {
                $share = $this->share[$at];
            } elseif ($zone === $one || $zone === $other) {
                $share = $zone === $one ? 1.0 : 0.0;
            } else {
                continue;
            }
            $sum += $weight * $share;
            $weights += $weight;
        }

        return $weights > 0 ? $sum / $weights : 0.5;
    }

    /** Names them, for a key. */
    public function fingerprint(): string
    {
        return md5(serialize([$this->pairs, $this->pair, array_map(static fn (float $share): int => (int) round(255 * $share), $this->share)]));
    }
}
