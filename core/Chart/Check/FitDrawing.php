<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Error\BadPhoto;

/**
 * Finds where in a photo the drawing lies: of all ways in which it can lie on the sheet, the one whose lights and darks go best with what
 * is expected, a ring of bare paper around it; from there each margin, and in the end each corner a little, is moved as long as they go
 * together better. How well is a correlation, 1 at best.
 */
final class FitDrawing
{
    /** Ways to lie on the sheet from which corners are moved. */
    private const STARTS = 3;

    /** Bare margins that are tried, as shares of the sheet. */
    private const MARGINS = [0.02, 0.05, 0.08, 0.11, 0.15, 0.2];

    /**
     * Steps of a margin, as shares of the sheet, and then of single corners, as shares of the drawing: the sheet's own corners are known to
     * so much.
     */
    private const SHIFTS = [0.03, 0.012, 0.005, 0.002];

    private const STEPS = [0.004, 0.002, 0.001];

    /** Two drawings of other things go together by less. */
    private const ALIKE = 0.58;

    private function __construct(private readonly Likeness $likeness)
    {
    }

    /**
     * @param  list<array{float, float}>|null  $corners  in pixels from the top left of the drawing clockwise, where somebody has set them
     * @return array{list<array{float, float}>, float} its corners, and how well it goes with what is expected
     *
     * @throws BadPhoto
     */
    public static function in(Photograph $photo, ExpectedDrawing $expected, ?array $corners): array
    {
        $likeness = new Likeness($photo, $expected);
        $fit = new self($likeness);
        if (! $likeness->tells()) {
            throw BadPhoto::because(BadPhoto::NO_DRAWING);
        }
        if ($corners === null) {
            $paper = FindPaper::in($photo) ?? throw BadPhoto::because(BadPhoto::NO_DRAWING);
            [$corners, $alike] = [$paper, -1.0];
            foreach ($fit->placed($paper) as [$view, $margins]) {
                [$moved, $now] = $fit->shifted($view, $margins);
                if ($now > $alike) {
                    [$corners, $alike] = [$moved, $now];
                }
            }
            [$corners, $alike] = $fit->refined($corners, self::STEPS);
        } else {
            // Set by hand they are right to within a finger's breadth of a screen.
            [$corners, $alike] = $fit->refined($corners, self::STEPS);
        }
        // Bare paper lies around every drawing: whether it is this one is told by what is within.
        $within = $likeness->within($corners);
        if ($within < self::ALIKE) {
            throw BadPhoto::because(BadPhoto::OTHER_DRAWING);
        }

        return [$corners, $within];
    }

    /**
     * The likeliest ways for a drawing to lie on the sheet.
     *
     * @param  list<array{float, float}>  $paper
     * @return list<array{Homography, array{float, float, float, float}}> the sheet as a unit square, and the bare margins left, above,
     *   right, below
     */
    private function placed(array $paper): array
    {
        $ways = [];
        for ($turn = 0; $turn < 4; $turn++) {
            $view = Homography::between(
                [[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]],
                [...array_slice($paper, $turn), ...array_slice($paper, 0, $turn)],
            );
            foreach (self::MARGINS as $x) {
                foreach (self::MARGINS as $y) {
                    $ways[] = [$this->likeness->alike(self::corners($view, [$x, $y, $x, $y])), [$view, [$x, $y, $x, $y]]];
                }
            }
        }
        usort($ways, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column(array_slice($ways, 0, self::STARTS), 1);
    }

    /**
     * Each margin by itself, as long as that is better: a drawing lies along the edges of its sheet, or nearly.
     *
     * @param  array{float, float, float, float}  $margins
     * @return array{list<array{float, float}>, float}
     */
    private function shifted(Homography $view, array $margins): array
    {
        $alike = $this->likeness->alike(self::corners($view, $margins));
        foreach (self::SHIFTS as $step) {
            do {
                $moved = false;
                foreach ([[0], [1], [2], [3], [0, 2], [1, 3]] as $which) {
                    foreach ([[1, 1], [-1, -1], [1, -1], [-1, 1]] as $signs) {
                        $tried = $margins;
                        foreach ($which as $n => $side) {
                            $tried[$side] = max(0.0, $tried[$side] + $signs[$n] * $step);
                        }
                        $now = $this->likeness->alike(self::corners($view, $tried));
                        if ($now > $alike + 1e-5) {
                            [$margins, $alike, $moved] = [$tried, $now, true];
                        }
                    }
                }
            } while ($moved);
        }

        return [self::corners($view, $margins), $alike];
    }

    /**
     * @param  array{float, float, float, float}  $margins
     * @return list<array{float, float}>
     */
    private static function corners(Homography $view, array $margins): array
    {
        [$left, $above, $right, $below] = $margins;

        return [$view->to($left, $above), $view->to(1 - $right, $above), $view->to(1 - $right, 1 - $below), $view->to($left, 1 - $below)];
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @param  list<float>  $steps
     * @return array{list<array{float, float}>, float}
     */
    private function refined(array $corners, array $steps): array
    {
        $alike = $this->likeness->alike($corners);
        $size = hypot($corners[2][0] - $corners[0][0], $corners[2][1] - $corners[0][1]);
        foreach ($steps as $step) {
            do {
                $moved = false;
                foreach (self::moves() as $move) {
                    $tried = $corners;
                    foreach ($move as $corner => [$dx, $dy]) {
                        $tried[$corner] = [$tried[$corner][0] + $dx * $step * $size, $tried[$corner][1] + $dy * $step * $size];
                    }
                    $now = $this->likeness->alike($tried);
                    if ($now > $alike + 1e-5) {
                        [$corners, $alike, $moved] = [$tried, $now, true];
                    }
                }
            } while ($moved);
        }

        return [array_values($corners), $alike];
    }

    /**
     * The whole to each side, larger and smaller, and each corner by itself.
     *
     * @return list<array<int, array{float, float}>>
     */
    private static function moves(): array
    {
        $moves = [];
        foreach ([[1.0, 0.0], [-1.0, 0.0], [0.0, 1.0], [0.0, -1.0]] as $by) {
            $moves[] = array_fill(0, 4, $by);
            for ($corner = 0; $corner < 4; $corner++) {
                $moves[] = [$corner => $by];
                $moves[] = [$corner => $by, ($corner + 1) % 4 => $by];
            }
        }

        return $moves;
    }
}
