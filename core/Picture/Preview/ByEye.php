<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

/**
 * How far a hand has gone from a darker shade to a lighter one where the value lies between theirs. Pressures that go evenly from one to
 * the other leave values that don't: where one pencil fades out while another comes in, the middle is too light. A hand that grades goes
 * by the eye, until values run evenly.
 */
final readonly class ByEye
{
    /** At how many places of the way a hand looks. */
    private const LOOKS = 16;

    /** @param  non-empty-list<float>  $lightness  L* at even shares of the way, each above the one before */
    private function __construct(private array $lightness)
    {
    }

    /** @param  \Closure(float): float  $laid  L* of what is laid at a share of the way, 0 at the darker shade */
    public static function between(\Closure $laid): self
    {
        $lightness = [$laid(0.0)];
        for ($i = 1; $i <= self::LOOKS; $i++) {
            // Where more of the way leaves a darker sheet the eye goes past it.
            $lightness[] = max($laid($i / self::LOOKS), $lightness[$i - 1] + 1e-6);
        }

        return new self($lightness);
    }

    /** @param  float  $value  where the value lies between the two shades; beyond them (below 0, above 1) a hand goes on as it was going */
    public function share(float $value): float
    {
        if ($value <= 0.0 || $value >= 1.0) {
            return $value;
        }
        $wanted = $this->lightness[0] + $value * ($this->lightness[self::LOOKS] - $this->lightness[0]);
        $at = 0;
        while ($this->lightness[$at + 1] < $wanted) {
            $at++;
        }

        return ($at + ($wanted - $this->lightness[$at]) / ($this->lightness[$at + 1] - $this->lightness[$at])) / self::LOOKS;
    }
}
