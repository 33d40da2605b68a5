<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/** Joins local colours, those first whose joining costs least, until joining would cost more than it saves whoever draws them. */
final readonly class JoinColours
{
    /** ΔE² in the mean of the picture that a zone must save to be one of its own. */
    private const WORTH = 0.05;

    /** The same for a border as long as the picture's longer side with no edge along it: a sky that pales is one. */
    private const GRADING = 0.8;

    /** So many are joined before every pixel is asked again: a share of what is there. */
    private const AT_ONCE = 0.15;

    public function __construct(private PixelGrid $grid, private Agreement $agreement, private int $most)
    {
    }

    /**
     * @param  list<int>  $labels
     * @return array{list<int>, bool} and whether no more are worth joining
     */
    public function some(array $labels): array
    {
        $pixels = Explained::pixels($labels);
        $lines = array_map(fn (array $of): LocalColour => LocalColour::of($this->grid, $of), $pixels);
        $unedged = $this->agreement->unedged($labels);
        $into = [];
        $left = count($pixels);
        for ($n = max(1, (int) (self::AT_ONCE * $left)); $n > 0 && $left > 1; $n--, $left--) {
            [$one, $other, $cost] = $this->cheapest($lines, $unedged);
            if ($left <= $this->most && $cost > 0.0) {
                return [self::renamed($labels, $into), true];
            }
            $into[$other] = $one;
            $pixels[$one] = [...$pixels[$one], ...$pixels[$other]];
            $lines[$one] = LocalColour::of($this->grid, $pixels[$one]);
            foreach ($unedged[$other] ?? [] as $third => $length) {
                if ($third !== $one) {
                    $unedged[$one][$third] = $unedged[$third][$one] = ($unedged[$one][$third] ?? 0.0) + $length;
                }
                unset($unedged[$third][$other]);
            }
            unset($pixels[$other], $lines[$other], $unedged[$other]);
        }

        return [self::renamed($labels, $into), $left <= 1];
    }

    /**
     * @param  array<int, LocalColour>  $lines
     * @param  array<int, array<int, float>>  $unedged
     * @return array{int, int, float} what joining them costs beyond what it saves, ΔE² in the mean of the picture
     */
    private function cheapest(array $lines, array $unedged): array
    {
        $best = [0, 0, INF];
        $labels = array_keys($lines);
        $wide = max($this->grid->width, $this->grid->height);
        foreach ($labels as $i => $one) {
            for ($j = $i + 1, $n = count($labels); $j < $n; $j++) {
                $other = $labels[$j];
                $cost =
                    $lines[$one]->joiningCosts($lines[$other]) / $this->grid->count() -
                    self::WORTH -
                    (self::GRADING * ($unedged[$one][$other] ?? 0.0)) / $wide;
                if ($cost < $best[2]) {
                    $best = [$one, $other, $cost];
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $labels
     * @param  array<int, int>  $into
     * @return list<int>
     */
    private static function renamed(array $labels, array $into): array
    {
        return array_map(static function (int $label) use ($into): int {
            while (isset($into[$label])) {
                $label = $into[$label];
            }

            return $label;
        }, $labels);
    }
}
