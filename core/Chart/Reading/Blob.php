<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

/** A piece of a photo that hangs together, all dark or all light. */
final readonly class Blob
{
    /**
     * @param  array{int, int, int, int}  $box  left, top, right, bottom
     * @param  array{int, int, int, int, int, int}  $moments  pixels, and the sums of x, y, x², y², xy
     */
    public function __construct(public bool $dark, public array $box, public array $moments)
    {
    }

    public function size(): int
    {
        return $this->moments[0];
    }

    /** @return array{float, float} in pixels; a pixel's centre lies half a pixel from its edge */
    public function centre(): array
    {
        return [$this->moments[1] / $this->moments[0] + 0.5, $this->moments[2] / $this->moments[0] + 0.5];
    }

    public function inside(self $other): bool
    {
        return $this->box[0] > $other->box[0] &&
            $this->box[1] > $other->box[1] &&
            $this->box[2] < $other->box[2] &&
            $this->box[3] < $other->box[3];
    }

    public function with(self ...$others): self
    {
        $moments = $this->moments;
        foreach ($others as $other) {
            foreach ($other->moments as $i => $m) {
                $moments[$i] += $m;
            }
        }

        return new self($this->dark, $this->box, $moments);
    }

    /**
     * Its area over that of the ellipse of the same spread: 1 for a disc however it is seen, 0.955 for a rectangle, less for all that is
     * ragged or hollow.
     */
    public function likeDisc(): float
    {
        [$n, $sx, $sy, $sxx, $syy, $sxy] = $this->moments;
        $xx = $sxx / $n - ($sx / $n) ** 2 + 1 / 12;
        $yy = $syy / $n - ($sy / $n) ** 2 + 1 / 12;
        $xy = $sxy / $n - ($sx * $sy) / $n ** 2;

        return $n / (4 * M_PI * sqrt(max(1e-9, $xx * $yy - $xy * $xy)));
    }
}
