<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Kinds\Found;
use KnottyPrism\Core\Kinds\Kind;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/**
 * One thing that is warned of, looked for in what the simulated passes do; nothing is warned of because of a pencil's name alone. Each is
 * one class of this folder, which says all that is particular to it, and is found there.
 */
abstract class WarningKind extends Kind
{
    /** How much farther off on paper a remedy may be, ΔE00. */
    private const MAY_COST = 1.0;

    /** The same where the paper or the film suffers, not only the colour. */
    protected const MAY_COST_TO_SAVE = 2.5;

    /**
     * @param  string  $value  its code in answers and files
     * @param  int  $place  in which warnings are said
     * @param  bool  $ofPasses  whether it is about a pass as it is laid, and so told at the desk
     * @param  float  $mayCost  how much farther off on paper a remedy may be, ΔE00
     */
    protected function __construct(
        string $value,
        int $place,
        public readonly bool $ofPasses = true,
        public readonly float $mayCost = self::MAY_COST,
    ) {
        parent::__construct($value, $place);
    }

    /** @return list<Warning> of one shade, the remedy still general advice; empty where there is nothing to warn of */
    public function in(Laying $laying): array
    {
        return [];
    }

    /**
     * What helps against it besides the small changes that are tried against every warning.
     *
     * @param  list<Pencil>  $pencils  available
     * @return iterable<string, Sequence> what to do, in words => what results
     */
    public function changes(Warning $warning, SequenceAnswer $answer, array $pencils): iterable
    {
        return [];
    }

    final public static function cases(): array
    {
        /** @var list<static> */
        return Found::of(self::class, __DIR__);
    }

    /** @param  ?int  $step  of the shade's stack, 0 the first; null for all of them together */
    final protected function at(?int $step, Laying $laying, string $text, string $advice): Warning
    {
        return new Warning($this, $step === null ? 0 : $laying->trace->number($step), [$laying->shade], $text, $advice);
    }
}
