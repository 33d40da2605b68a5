<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** What a sequence costs besides its error, in ΔE00: every weight of the search in one place. docs/model.md says why. */
final readonly class Prices
{
    /** A pass must earn its time at the desk, */
    private const PER_PASS = 0.03;

    /** a further pencil its being found, sharpened and put back, */
    private const PER_PENCIL = 0.06;

    /** and tooth used beyond this share is missed by later corrections. */
    private const TOOTH_FREE = 0.85;

    private const PER_TOOTH = 12.0;

    /** A pass pressed harder in the lights than in the darks is not what a hand does by itself. */
    private const PER_FALL = 0.05;

    /** @param  list<float>  $strangeness  ΔE00 that each pencil costs besides, by its place: for those the picture does without */
    public function __construct(private array $strangeness)
    {
    }

    /** @param  list<int>  $pencils  of all passes */
    public function ofPasses(array $pencils): float
    {
        $price = self::PER_PASS * count($pencils);
        foreach (array_unique($pencils) as $pencil) {
            $price += self::PER_PENCIL + $this->strangeness[$pencil];
        }

        return $price;
    }

    public function ofRun(Run $run): float
    {
        $price = $this->ofPasses($run->pencils);
        foreach ($run->marks as $marks) {
            $price += $this->ofGrading($marks);
        }

        return $price;
    }

    /** @param  list<int>  $marks  from the lightest shade */
    public function ofGrading(array $marks): float
    {
        return $marks !== [] && $marks[0] > $marks[count($marks) - 1] && $marks[count($marks) - 1] > 0 ? self::PER_FALL : 0.0;
    }

    /** @param  list<int>  $before  pencils in use already */
    public function ofOneMore(array $before, int $pencil): float
    {
        return self::PER_PASS + (in_array($pencil, $before, true) ? 0.0 : self::PER_PENCIL + $this->strangeness[$pencil]);
    }

    public function ofTooth(float $used): float
    {
        return self::PER_TOOTH * max(0.0, $used - self::TOOTH_FREE);
    }
}
