<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

/** The price of a recipe, in ΔE00: every weight of the search in one place. docs/model.md says why. */
final readonly class Objective
{
    /** A pass must earn its time at the desk. */
    private const PER_PASS = 0.05;

    /** Every further pencil is another to find, sharpen and put back. */
    private const PER_PENCIL = 0.06;

    /** Tooth used beyond this share is missed by later corrections. */
    private const TOOTH_FREE = 0.85;

    private const PER_TOOTH = 12.0;

    /** What a hand may add, by estimate: half a dozen ΔE00 of swing is not worth half a ΔE00 of closeness that nobody sees. */
    private const PER_SWAY = 0.02;

    /** @param  array<int, float>  $strangeness  ΔE00 that each pencil costs besides, by its place: for those not in use yet */
    public function __construct(private array $strangeness = [])
    {
    }

    public function price(Candidate $candidate): float
    {
        $strange = 0.0;
        if ($this->strangeness !== []) {
            foreach ($candidate->pencils() as $pencil) {
                $strange += $this->strangeness[$pencil] ?? 0.0;
            }
        }

        return $candidate->deltaE00 + $strange
            + self::PER_PASS * count($candidate->moves)
            + self::PER_PENCIL * $candidate->pencilCount()
            + self::PER_SWAY * sqrt($candidate->sway)
            + self::PER_TOOTH * max(0.0, $candidate->sheet->toothUsed() - self::TOOTH_FREE);
    }
}
