<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Reading;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;

/**
 * Maps a photo's values into what paper and pencils can reach: the order of values is kept, and of the range between the reachable
 * ends the middle half does not move at all; what lies beyond is folded into the quarters beside it.
 */
final readonly class ToneFit
{
    /** Share of the pixels at either end that may be glints and noise. */
    private const TRIMMED = 0.004;

    /** L* beyond an end that nobody misses. */
    private const SLACK = 1.0;

    /** Share of the photo below the darkest that can be reached, and above the lightest, 0–1. */
    public float $tooDark;

    public float $tooLight;

    private float $photoDarkest;

    private float $photoLightest;

    /**
     * @param  array<int, float>  $lightness  L* of the photo's pixels
     * @param  float  $darkest  L* of the darkest mix
     * @param  float  $lightest  L* of the bare paper or the lightest pencil on it
     */
    public function __construct(array $lightness, public float $darkest, public float $lightest)
    {
        OutOfRange::check('the darkest reachable L*', $darkest, 0, $lightest - 1);
        sort($lightness);
        $n = count($lightness);
        $cut = (int) floor(self::TRIMMED * $n);
        $this->photoDarkest = min($darkest, $lightness[$cut] ?? $darkest);
        $this->photoLightest = max($lightest, $lightness[$n - 1 - $cut] ?? $lightest);
        $this->tooDark = $n === 0 ? 0.0 : count(array_filter($lightness, static fn (float $l): bool => $l < $darkest - self::SLACK)) / $n;
        $this->tooLight =
            $n === 0 ? 0.0 : count(array_filter($lightness, static fn (float $l): bool => $l > $lightest + self::SLACK)) / $n;
    }

    public function fitted(Lab $lab): Lab
    {
        $quarter = ($this->lightest - $this->darkest) / 4;
        $low = $this->darkest + $quarter;
        $high = $this->lightest - $quarter;
        $l = match (true) {
            $lab->l < $low => $this->darkest +
                (($low - $this->darkest) * max(0.0, $lab->l - $this->photoDarkest)) / ($low - $this->photoDarkest),
            $lab->l > $high => $high + ($this->lightest - $high) * min(1.0, ($lab->l - $high) / ($this->photoLightest - $high)),
            default => $lab->l,
        };

        return new Lab($l, $lab->a, $lab->b);
    }

    /** "The darkest 6 % of the photo is darker than your darkest mix", and the like; empty where everything can be reached. */
    public function words(): string
    {
        $parts = [];
        if (round(100 * $this->tooDark) >= 1) {
            $parts[] = sprintf(
                'The darkest %d %% of the photo is darker than your darkest mix (L* %.0f).',
                round(100 * $this->tooDark),
                $this->darkest,
            );
        }
        if (round(100 * $this->tooLight) >= 1) {
            $parts[] = sprintf(
                'The lightest %d %% of the photo is lighter than your lightest (L* %.0f).',
                round(100 * $this->tooLight),
                $this->lightest,
            );
        }

        return implode(' ', $parts);
    }
}
