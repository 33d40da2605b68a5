<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** How well lines of local colour explain the pixels of a picture. */
final readonly class Explained
{
    /** ΔE² that count as one, and beyond which a pixel is no farther off. */
    private const UNIT = 12.0;

    private const FARTHEST = 400.0;

    /** Below this L* hue counts less and less, down to a part. */
    private const DARK = 35.0;

    private const LEAST_HUE = 0.3;

    /** What a step of L* beyond a line's own values counts, of a step of ΔE. */
    private const BEYOND = 0.6;

    /**
     * What it counts to be where none of its own is near; how near is near, in shares of the longer side; and the share of a square that is
     * some.
     */
    private const ELSEWHERE = 0.35;

    private const NEAR = 0.07;

    private const SOME = 0.05;

    /** Side of the squares in which it is counted what is near, pixels. */
    private int $step;

    /** @var list<int> by pixel, its square */
    private array $squares;

    public function __construct(public PixelGrid $grid)
    {
        $this->step = $step = max(2, (int) round(self::NEAR * max($grid->width, $grid->height)));
        $across = intdiv($grid->width - 1, $step) + 1;
        $this->squares = array_map(
            static fn (int $at): int => intdiv(intdiv($at, $grid->width), $step) * $across + intdiv($at % $grid->width, $step),
            range(0, $grid->count() - 1),
        );
    }

    /**
     * @param  list<int>  $labels
     * @param  bool  $isFar  whether it counts where the others of it are
     * @return array<int, list<float>> by label, what each pixel costs by its line
     */
    public function costs(array $labels, bool $isFar = true): array
    {
        $nearby = $isFar ? $this->nearby($labels) : [];
        $costs = [];
        foreach (self::pixels($labels) as $label => $pixels) {
            $costs[$label] = $this->byLine(LocalColour::of($this->grid, $pixels), $nearby, $label);
        }

        return $costs;
    }

    /**
     * @param  list<int>  $labels
     * @return array<int, non-empty-list<int>>
     */
    public static function pixels(array $labels): array
    {
        $pixels = [];
        foreach ($labels as $at => $label) {
            $pixels[$label][] = $at;
        }

        return $pixels;
    }

    /**
     * @param  array<int, array<int, float>>  $nearby
     * @return list<float> what each pixel costs by this line
     */
    private function byLine(LocalColour $line, array $nearby, int $label): array
    {
        [$l, $a, $b, $squares] = [$this->grid->l, $this->grid->a, $this->grid->b, $this->squares];
        [$a0, $a1, $b0, $b1, $dark, $light] = [$line->a, $line->aSlope, $line->b, $line->bSlope, $line->dark, $line->light];
        $here = array_map(static fn (array $of): float => $of[$label] ?? self::ELSEWHERE, $nearby);
        $costs = [];
        foreach ($l as $at => $x) {
            $off = ($a[$at] - $a0 - $a1 * $x) ** 2 + ($b[$at] - $b0 - $b1 * $x) ** 2;
            if ($x < self::DARK) {
                $off *= max(self::LEAST_HUE, $x / self::DARK);
            }
            $beyond = $x < $dark ? $dark - $x : ($x > $light ? $x - $light : 0.0);
            $off += (self::BEYOND * $beyond) ** 2;
            $costs[] = ($off < self::FARTHEST ? $off : self::FARTHEST) / self::UNIT + ($here === [] ? 0.0 : $here[$squares[$at]]);
        }

        return $costs;
    }

    /**
     * @param  list<int>  $labels
     * @return array<int, array<int, float>> by square and label what it costs to be there; absent when there is some of it in it or in one
     *   beside it
     */
    private function nearby(array $labels): array
    {
        [$w, $step] = [$this->grid->width, $this->step];
        $across = intdiv($w - 1, $step) + 1;
        $down = intdiv($this->grid->height - 1, $step) + 1;
        $counts = [];
        foreach ($labels as $at => $label) {
            $square = $this->squares[$at];
            $counts[$square][$label] = ($counts[$square][$label] ?? 0) + 1;
        }
        $nearby = array_fill(0, $across * $down, []);
        $enough = self::SOME * $step * $step;
        foreach ($counts as $square => $of) {
            [$y, $x] = [intdiv($square, $across), $square % $across];
            foreach ($of as $label => $count) {
                if ($count < $enough) {
                    continue;
                }
                for ($v = max(0, $y - 1); $v <= min($down - 1, $y + 1); $v++) {
                    for ($u = max(0, $x - 1); $u <= min($across - 1, $x + 1); $u++) {
                        $nearby[$v * $across + $u][$label] = 0.0;
                    }
                }
            }
        }

        return $nearby;
    }
}
