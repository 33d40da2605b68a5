<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Regions;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * What light and shade make of one material: its a* and b* go along with its L*, each by a straight line. Fitted by least squares,
 * reweighted so that what is far off counts little (Cauchy's weights; P. W. Holland and R. E. Welsch, "Robust regression using iteratively
 * reweighted least-squares", Communications in Statistics 6, 1977).
 */
final readonly class LocalColour
{
    private const FITS = 4;

    /** ΔE from the line at which a pixel counts half. */
    private const HALF = 5.0;

    /** L*², added to the spread of values, so that what is flat has hardly a slope. */
    private const FLAT = 2.0;

    /** The same where it is only asked how far off a line is, and nothing goes by it beyond the values that are there. */
    private const GRAIN = 0.5;

    /**
     * What joining counts for each pixel of the smaller, ΔE² for each L*²: values that neither has between them, and what their run is
     * longer than one that is easily laid.
     */
    private const FAR = 0.5;

    private const EASILY_LAID = 28.0;

    /** L* between two lines' own values that is no gap: a fold of cloth has such steps. */
    private const NO_GAP = 8.0;

    /** Shares of the pixels, darkest first, between which the line's own values lie. */
    private const DARKEST = 0.02;

    private const LIGHTEST = 0.98;

    /**
     * @param  float  $a  a* at L* 0, and how much it grows with each step of L*
     * @param  float  $b  the same of b*
     * @param  float  $dark  L* of its darkest and lightest
     * @param  int  $count  pixels
     * @param  array{float, float, float, float, float, float, float, float}  $means of its pixels, those far off counted little: L*, a*,
     *   b*,
     *   L*², L*a*, L*b*, a*², b*²
     */
    private function __construct(
        public float $a,
        public float $aSlope,
        public float $b,
        public float $bSlope,
        public float $dark,
        public float $light,
        private int $count,
        private array $means,
    ) {
    }

    /** @param  non-empty-list<int>  $pixels */
    public static function of(PixelGrid $grid, array $pixels): self
    {
        [$l, $a, $b] = [$grid->l, $grid->a, $grid->b];
        $line = [0.0, 0.0, 0.0, 0.0];
        for ($fit = 0; $fit < self::FITS; $fit++) {
            [$n, $sl, $sa, $sb, $sll, $sla, $slb, $saa, $sbb] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
            foreach ($pixels as $at) {
                [$x, $y, $z] = [$l[$at], $a[$at], $b[$at]];
                $w =
                    $fit === 0
                        ? 1.0
                        : 1 / (1 + (($y - $line[0] - $line[1] * $x) ** 2 + ($z - $line[2] - $line[3] * $x) ** 2) / self::HALF ** 2);
                $n += $w;
                $sl += $w * $x;
                $sa += $w * $y;
                $sb += $w * $z;
                $sll += $w * $x * $x;
                $sla += $w * $x * $y;
                $slb += $w * $x * $z;
                $saa += $w * $y * $y;
                $sbb += $w * $z * $z;
            }
            $spread = $sll / $n - ($sl / $n) ** 2 + self::FLAT;
            $ofA = ($sla / $n - (($sl / $n) * $sa) / $n) / $spread;
            $ofB = ($slb / $n - (($sl / $n) * $sb) / $n) / $spread;
            $line = [$sa / $n - ($ofA * $sl) / $n, $ofA, $sb / $n - ($ofB * $sl) / $n, $ofB];
        }
        $values = array_map(static fn (int $at): float => $l[$at], $pixels);
        sort($values);

        return new self(
            $line[0],
            $line[1],
            $line[2],
            $line[3],
            $values[(int) (self::DARKEST * (count($values) - 1))],
            $values[(int) (self::LIGHTEST * (count($values) - 1))],
            count($pixels),
            [$sl / $n, $sa / $n, $sb / $n, $sll / $n, $sla / $n, $slb / $n, $saa / $n, $sbb / $n],
        );
    }

    /** What it is where it has this value. */
    public function at(float $l): Lab
    {
        return new Lab($l, $this->a + $this->aSlope * $l, $this->b + $this->bSlope * $l);
    }

    /**
     * What both cost more as one than each by itself, by the line through their colours and by how far their values run: ΔE², over all
     * their pixels.
     */
    public function joiningCosts(self $other): float
    {
        $both = [];
        $share = $this->count / ($this->count + $other->count);
        foreach ($this->means as $i => $mean) {
            $both[$i] = $share * $mean + (1 - $share) * $other->means[$i];
        }

        $gap = max(0.0, $other->dark - $this->light - self::NO_GAP, $this->dark - $other->light - self::NO_GAP);
        $tooLong = max(0.0, max($this->light, $other->light) - min($this->dark, $other->dark) - self::EASILY_LAID);

        return self::FAR * min($this->count, $other->count) * ($gap ** 2 + $tooLong ** 2) +
            max(
                0.0,
                ($this->count + $other->count) * self::off($both) -
                    $this->count * self::off($this->means) -
                    $other->count * self::off($other->means),
            );
    }

    /**
     * @param  array<int, float>  $means
     * @return float mean square from the best line through them, ΔE²
     */
    private static function off(array $means): float
    {
        [$l, $a, $b, $ll, $la, $lb, $aa, $bb] = $means;
        $spread = $ll - $l * $l;
        $off = 0.0;
        foreach ([[$la - $l * $a, $aa - $a * $a], [$lb - $l * $b, $bb - $b * $b]] as [$along, $across]) {
            $slope = $along / ($spread + self::GRAIN);
            $off += $across - 2 * $slope * $along + $slope * $slope * $spread;
        }

        return max(0.0, $off);
    }
}
