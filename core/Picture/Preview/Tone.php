<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Tooth;

/**
 * What lies on a small area, as light for a screen: the mean that the eye makes of it, and how each stratum of the tooth differs from that.
 */
final readonly class Tone
{
    /**
     * @param  array{float, float, float}  $mean  linear sRGB
     * @param  list<array{float, float, float}>  $flecks  by stratum from the peaks: beside the mean, together nothing
     */
    private function __construct(public array $mean, public array $flecks)
    {
    }

    public static function of(Sheet $sheet, Illuminant $light): self
    {
        $mean = $sheet->light($light);

        return new self(
            $mean,
            array_map(static fn (array $s): array => [$s[0] - $mean[0], $s[1] - $mean[1], $s[2] - $mean[2]], $sheet->flecks($light)),
        );
    }

    /** L* of the mean. */
    public function lightness(): float
    {
        return Lab::ofXyz(new Xyz(...SrgbMatrix::xyzOfLinear(...$this->mean)))->l;
    }

    /** Part of the way to another. */
    public function towards(self $other, float $share): self
    {
        $between = static fn (array $a, array $b): array => [
            $a[0] + $share * ($b[0] - $a[0]),
            $a[1] + $share * ($b[1] - $a[1]),
            $a[2] + $share * ($b[2] - $a[2]),
        ];

        return new self($between($this->mean, $other->mean), array_map($between, $this->flecks, $other->flecks));
    }

    /**
     * The mean with so much of a fleck.
     *
     * @param  float  $place  0 on the peaks, 1 in the deepest valleys
     * @param  float  $contrast  0–1: what a pixel leaves of flecks that are finer than it
     * @return array{float, float, float} linear sRGB
     */
    public function at(float $place, float $contrast): array
    {
        $at = max(0.0, min(Tooth::STRATA - 1, $place * Tooth::STRATA - 0.5));
        $low = min(Tooth::STRATA - 2, (int) $at);
        [$below, $above, $share] = [$this->flecks[$low], $this->flecks[$low + 1], $at - $low];

        return [
            $this->mean[0] + $contrast * ($below[0] + $share * ($above[0] - $below[0])),
            $this->mean[1] + $contrast * ($below[1] + $share * ($above[1] - $below[1])),
            $this->mean[2] + $contrast * ($below[2] + $share * ($above[2] - $below[2])),
        ];
    }
}
