<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Chance that falls out alike for the same seed, whatever else throws dice meanwhile. */
final readonly class Chance
{
    private const FINE = 0x7FFFFFFF;

    private Randomizer $dice;

    public function __construct(int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
    }

    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->dice->getInt(0, self::FINE) / self::FINE;
    }

    /** About normal, of deviation 1: three even throws together. */
    public function normal(): float
    {
        return $this->between(-1, 1) + $this->between(-1, 1) + $this->between(-1, 1);
    }
}
