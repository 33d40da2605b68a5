<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** What a sequence costs besides its error, in ΔE00: every weight of the search in one place. docs/model.md says why. */
final readonly class Prices
{
    /** A pass must earn its time at the desk: what it brings is seen, or a hand would press the one before it firmer. */
    private const PER_PASS = 0.1;

    /**
     * Another coat of the same pencil, right on the one before, costs its time alone: the pencil is in the hand, and light coats lie evener
     * than a firm one.
     */
    private const PER_COAT = 0.05;

    /** One pressed otherwise is no coat of the same step any more, and what firmer pressure does at once. */
    private const PRESSED_OTHERWISE = 0.05;

    /** a further pencil its being found, sharpened and put back, */
    private const PER_PENCIL = 0.06;

    /**
     * Coming back to an earlier pencil once is ordinary, the base again to bring it together; every further time two are worked by turns.
     */
    private const PER_TURN = 0.1;

    /** and tooth used beyond this share is missed by later corrections. */
    private const TOOTH_FREE = 0.85;

    private const PER_TOOTH = 12.0;

    /** A pass pressed harder in the lights than in the darks is not what a hand does by itself. */
    private const PER_FALL = 0.05;

    /** @param  list<float>  $strangeness  ΔE00 that each pencil costs besides, by its place: for those the picture does without */
    public function __construct(public array $strangeness)
    {
    }

    /** @param  list<int>  $pencils  of all passes, whatever their pressures: no more than {@see self::ofRun()} */
    public function ofPasses(array $pencils): float
    {
        $price = self::PER_TURN * max(0, self::returns($pencils) - 1);
        foreach ($pencils as $at => $pencil) {
            $price += $at > 0 && $pencils[$at - 1] === $pencil ? self::PER_COAT : self::PER_PASS;
        }
        foreach (array_unique($pencils) as $pencil) {
            $price += self::PER_PENCIL + $this->strangeness[$pencil];
        }

        return $price;
    }

    public function ofRun(Run $run): float
    {
        $price = $this->ofPasses($run->pencils);
        foreach ($run->pressures as $at => $pressures) {
            $price += $this->ofGrading($pressures);
            if ($at > 0 && $run->pencils[$at] === $run->pencils[$at - 1] && $pressures !== $run->pressures[$at - 1]) {
                $price += self::PRESSED_OTHERWISE;
            }
        }

        return $price;
    }

    /** @param  list<int>  $pressures  from the lightest shade */
    public function ofGrading(array $pressures): float
    {
        return $pressures !== [] && $pressures[0] > $pressures[count($pressures) - 1] && $pressures[count($pressures) - 1] > 0
            ? self::PER_FALL
            : 0.0;
    }

    /** @param  list<int>  $before  pencils in use already */
    public function ofOneMore(array $before, int $pencil): float
    {
        if (! in_array($pencil, $before, true)) {
            return self::PER_PASS + self::PER_PENCIL + $this->strangeness[$pencil];
        }
        if ($before[count($before) - 1] === $pencil) {
            return self::PER_COAT;
        }

        return self::PER_PASS + (self::returns($before) > 0 ? self::PER_TURN : 0.0);
    }

    /**
     * How often a pencil is taken up again after another.
     *
     * @param  list<int>  $pencils  of all passes
     */
    private static function returns(array $pencils): int
    {
        $returns = 0;
        $seen = [];
        foreach ($pencils as $at => $pencil) {
            $returns += isset($seen[$pencil]) && $pencils[$at - 1] !== $pencil ? 1 : 0;
            $seen[$pencil] = true;
        }

        return $returns;
    }

    public function ofTooth(float $used): float
    {
        return self::PER_TOOTH * max(0.0, $used - self::TOOTH_FREE);
    }
}
