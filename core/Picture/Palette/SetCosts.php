<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

/**
 * What a set of pencils costs a picture. Once for every target the forecast gives the nearest stack of every one, two or three pencils;
 * the cost of a set is then a look-up: for each target the nearest stack whose pencils are all in the set, weighted by area.
 */
final class SetCosts
{
    /** Price of a target that nothing in a set comes near, ΔE00. */
    private const HOPELESS = 40.0;

    /** @var list<array<int, float>> per target: ΔE00 by the set of pencils as bits, nearest first */
    private array $nearest = [];

    /** @var list<float> */
    private array $weights = [];

    private float $weight = 0.0;

    /** @param  float  $weight  area of the target times its importance, above 0 */
    public function add(SetForecast $forecast, float $weight): void
    {
        $nearest = $forecast->nearestOfEverySet();
        asort($nearest);
        $this->nearest[] = self::worthKeeping($nearest);
        $this->weights[] = $weight;
        $this->weight += $weight;
    }

    /**
     * @param  list<int>  $set  pencils
     * @return float mean ΔE00 over the picture
     */
    public function of(array $set): float
    {
        return $this->ofBits(self::bits($set));
    }

    /**
     * @param  list<int>  $set
     * @return list<float> ΔE00 of each target with a set of pencils
     */
    public function each(array $set): array
    {
        $bits = self::bits($set);

        return array_map(static fn (array $nearest): float => self::least($nearest, $bits), $this->nearest);
    }

    /**
     * Leaves out every set that needs more pencils than a nearer one does.
     *
     * @param  array<int, float>  $nearest  nearest first
     * @return array<int, float>
     */
    private static function worthKeeping(array $nearest): array
    {
        $kept = [];
        foreach ($nearest as $needed => $apart) {
            // All parts of a set of up to three: the subsets of a bit mask, by counting down through it.
            for ($part = ($needed - 1) & $needed; $part > 0; $part = ($part - 1) & $needed) {
                if (isset($kept[$part])) {
                    continue 2;
                }
            }
            $kept[$needed] = $apart;
        }

        return $kept;
    }

    public function ofBits(int $bits): float
    {
        $sum = 0.0;
        foreach ($this->nearest as $target => $nearest) {
            $sum += $this->weights[$target] * self::least($nearest, $bits);
        }

        return $this->weight > 0 ? $sum / $this->weight : 0.0;
    }

    /** @param  array<int, float>  $nearest  nearest first */
    private static function least(array $nearest, int $bits): float
    {
        foreach ($nearest as $needed => $apart) {
            if (($needed & ~$bits) === 0) {
                return min(self::HOPELESS, $apart);
            }
        }

        return self::HOPELESS;
    }

    /** @param  list<int>  $set */
    private static function bits(array $set): int
    {
        $bits = 0;
        foreach ($set as $pencil) {
            $bits |= 1 << $pencil;
        }

        return $bits;
    }
}
