<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/**
 * How a camera's lens bends straight lines, by the first term of radial distortion (D. C. Brown, 1966): a place of the photo at ρ half
 * diagonals from its middle would lie at ρ(1 + kρ²) were the lens straight. k above 0 is a barrel, below a cushion.
 */
final readonly class LensBend
{
    public function __construct(public float $k, private float $width, private float $height)
    {
    }

    /** @return array{float, float} where a place of the photo would lie, pixels */
    public function straight(float $u, float $v): array
    {
        [$x, $y] = [$u - $this->width / 2, $v - $this->height / 2];
        $by = 1 + $this->k * $this->squared($x, $y);

        return [$this->width / 2 + $x * $by, $this->height / 2 + $y * $by];
    }

    /** @return array{float, float} where it lies in the photo, pixels */
    public function bent(float $u, float $v): array
    {
        if ($this->k === 0.0) {
            return [$u, $v];
        }
        [$x, $y] = [$u - $this->width / 2, $v - $this->height / 2];
        $by = 1.0;
        // Each step is off by a tenth of the one before, or less, for any lens that a phone has.
        for ($step = 0; $step < 5; $step++) {
            $by = 1 + $this->k * $this->squared($x / $by, $y / $by);
        }

        return [$this->width / 2 + $x / $by, $this->height / 2 + $y / $by];
    }

    private function squared(float $x, float $y): float
    {
        return 4 * ($x * $x + $y * $y) / ($this->width ** 2 + $this->height ** 2);
    }
}
