<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\Method\Mode;

/**
 * What a small difference in log cone responses looks like near one colour: a matrix that turns it into a vector whose length
 * is close to ΔE00. A search that compares a million predictions can afford three products and a sum for each, not a ΔE00.
 *
 * ΔE00² is taken as a quadratic form M of the difference in L*, a*, b* (probed on both sides of the colour), the difference in
 * L*a*b* as linear in the logarithms (probed too), and M is split into its Cholesky factor.
 */
final readonly class LocalMetric
{
    /** L*, a*, b*: large against rounding, small against the curvature of the difference formula. */
    private const PROBE = 0.5;

    /** L* below which nothing is told apart. */
    private const DARKEST = 2.0;

    /** @var array{float, float, float, float, float, float} an upper triangle, row after row */
    public array $factor;

    public function __construct(public Lab $target, private Mode $mode = Mode::ColourAndValue)
    {
        // Next to black, or where no pigment comes, a response is cut off and has no slope: probe at the nearest colour that has.
        $at = new Lab(max(self::DARKEST, $target->l), $target->a, $target->b);
        while (($slopes = self::labPerLog($at)) === null) {
            $at = new Lab(max(20.0, $at->l), $at->a / 2, $at->b / 2);
        }
        $perLab = $this->differenceForm($at);
        $form = [];
        foreach ([[0, 0], [0, 1], [0, 2], [1, 1], [1, 2], [2, 2]] as [$i, $j]) {
            $sum = 0.0;
            for ($p = 0; $p < 3; $p++) {
                for ($q = 0; $q < 3; $q++) {
                    $sum += $slopes[$i][$p] * $perLab[$p][$q] * $slopes[$j][$q];
                }
            }
            $form[] = $sum;
        }
        [$m00, $m01, $m02, $m11, $m12, $m22] = $form;
        $a = sqrt(max(1e-9, $m00));
        $b = $m01 / $a;
        $c = $m02 / $a;
        $d = sqrt(max(1e-9, $m11 - $b * $b));
        $e = ($m12 - $b * $c) / $d;
        $this->factor = [$a, $b, $c, $d, $e, sqrt(max(1e-9, $m22 - $c * $c - $e * $e))];
    }

    /**
     * @param  array{float, float, float}  $logs  a difference in log cone responses
     * @return array{float, float, float} of length about ΔE00
     */
    public function stretch(array $logs): array
    {
        [$a, $b, $c, $d, $e, $f] = $this->factor;

        return [$a * $logs[0] + $b * $logs[1] + $c * $logs[2], $d * $logs[1] + $e * $logs[2], $f * $logs[2]];
    }

    /** @return array<int, array<int, float>> the symmetric form of ΔE00² in L*, a*, b* */
    private function differenceForm(Lab $at): array
    {
        $h = self::PROBE;
        $probe = fn (float $l, float $a, float $b): float => ($this->mode->apart(new Lab($at->l + $l, $at->a + $a, $at->b + $b), $at) **
            2 +
            $this->mode->apart(new Lab($at->l - $l, $at->a - $a, $at->b - $b), $at) ** 2) /
            (2 * $h * $h);
        $ll = $probe($h, 0, 0);
        $aa = $probe(0, $h, 0);
        $bb = $probe(0, 0, $h);
        $la = ($probe($h, $h, 0) - $ll - $aa) / 2;
        $lb = ($probe($h, 0, $h) - $ll - $bb) / 2;
        $ab = ($probe(0, $h, $h) - $aa - $bb) / 2;

        return [[$ll, $la, $lb], [$la, $aa, $ab], [$lb, $ab, $bb]];
    }

    /** @return array<int, array<int, float>>|null ∂(L*, a*, b*)/∂log, one row a cone: the inverse of the matrix that is probed */
    private static function labPerLog(Lab $at): ?array
    {
        $columns = [];
        foreach ([[self::PROBE, 0, 0], [0, self::PROBE, 0], [0, 0, self::PROBE]] as [$l, $a, $b]) {
            $up = Look::of(new Lab($at->l + $l, $at->a + $a, $at->b + $b))->logs;
            $down = Look::of(new Lab($at->l - $l, $at->a - $a, $at->b - $b))->logs;
            $columns[] = array_map(static fn (float $u, float $d): float => ($u - $d) / (2 * self::PROBE), $up, $down);
        }

        return self::inverse($columns);
    }

    /**
     * @param  array<int, array<int, float>>  $m  rows L*, a*, b*; columns the cones
     * @return array<int, array<int, float>>|null rows the cones; columns L*, a*, b*; null when there is none
     */
    private static function inverse(array $m): ?array
    {
        $cross = static fn (array $u, array $v): array => [
            $u[1] * $v[2] - $u[2] * $v[1],
            $u[2] * $v[0] - $u[0] * $v[2],
            $u[0] * $v[1] - $u[1] * $v[0],
        ];
        [$p, $q, $r] = [$cross($m[1], $m[2]), $cross($m[2], $m[0]), $cross($m[0], $m[1])];
        $determinant = $m[0][0] * $p[0] + $m[0][1] * $p[1] + $m[0][2] * $p[2];

        return abs($determinant) < 1e-12
            ? null
            : array_map(static fn (int $i): array => [$p[$i] / $determinant, $q[$i] / $determinant, $r[$i] / $determinant], [0, 1, 2]);
    }
}
