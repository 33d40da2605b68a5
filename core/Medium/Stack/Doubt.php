<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Stack;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/**
 * How far the model itself may err about a stack, in ΔE00: what to add to a plan's own miss before believing it.
 *
 * Laid on an independent fine-grained sheet, stacks in a light hand with at most the last pass firm came out within a median of 1.5,
 * 1.8, 2.8 and 3.0 of what is predicted here, for one to four passes; three and four firm passes over each other within 4.0 and 6.5. So
 * every pass adds {@see self::STEP}, more where it contrasts with what it is laid over, and each further firm pass over a firm one adds
 * twice what the one before it did, as far as that was measured.
 */
final class Doubt
{
    /** Of a single pass: as good as a hand is even. */
    private const FIRST = 1.5;

    /** What each further pass adds over something of ordinary contrast, and what a finish does. */
    public const STEP = 0.5;

    /** What the first firm pass over a firm one adds besides; the next twice that, and so on. */
    private const FIRM = 0.5;

    /** It was measured up to the third of these; from there on each adds as much as that one. */
    private const FIRM_MEASURED = 3;

    /** Whoever knows nothing errs no more: two ordinary colours of one value lie so far apart. */
    private const MOST = 20.0;

    /**
     * Contrast of a pass with what it lies over, ΔE00 between their heavy swatches, that is ordinary; none counts half, twice that half as
     * much again.
     */
    private const ORDINARY = 30.0;

    /** A pass this light changes too little to be much in doubt. */
    private const WHISPER = 0.5;

    public static function of(Stack $stack): float
    {
        $doubt = 0.0;
        $below = null;
        $firm = 0;
        foreach ($stack->steps as $step) {
            if ($step instanceof Finish || $step->pencil->isBlender()) {
                $doubt += $below === null ? 0.0 : self::STEP;

                continue;
            }
            $pressure = Pressure::nearest($step->pressure);
            $doubt += $below === null ? self::FIRST : self::added($pressure, self::contrast($below, $step->pencil), $firm);
            $firm += self::isFirm($pressure) ? 1 : 0;
            $below = $step->pencil;
        }

        return min(self::MOST, $doubt);
    }

    /**
     * What one more pass adds.
     *
     * @param  float  $contrast  see {@see self::contrast()}
     * @param  int  $firm  firm passes that lie there
     */
    public static function added(Pressure $pressure, float $contrast, int $firm): float
    {
        $step = self::STEP * $contrast * ($pressure === Pressure::Whisper ? self::WHISPER : 1.0);

        return $firm > 0 && self::isFirm($pressure) ? $step + self::FIRM * 2 ** (min(self::FIRM_MEASURED, $firm) - 1) : $step;
    }

    /** How much a pencil contrasts with the one that it is laid over: 0.5 where they are one, 1 ordinarily, up to 1.5. */
    public static function contrast(Pencil $below, Pencil $above): float
    {
        return $below === $above ? 0.5 : 0.5 + 0.5 * min(2.0, self::heavy($below)->deltaE00(self::heavy($above)) / self::ORDINARY);
    }

    /** Of one pass on bare paper. */
    public static function first(): float
    {
        return self::FIRST;
    }

    public static function isFirm(Pressure $pressure): bool
    {
        return $pressure === Pressure::Firm || $pressure === Pressure::Full;
    }

    private static function heavy(Pencil $pencil): Lab
    {
        /** @var \WeakMap<Pencil, Lab>|null $known */
        static $known = null;
        $known ??= new \WeakMap();

        return $known[$pencil] ??= Swatch::Heavy->colourOf($pencil);
    }
}
