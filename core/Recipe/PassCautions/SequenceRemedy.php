<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\PassCautions;

use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Cautions\CautionCode;
use KnottyPrism\Core\Recipe\Cautions\EvenOut;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\SequenceChanges;

/**
 * A small change of a sequence that was tried: laid and looked at again in every shade. What is advised is free of what it is to remove,
 * brings nothing else to mind, and stays near the colours.
 */
final readonly class SequenceRemedy
{
    /** How much farther off on paper a remedy may be, ΔE00; and the same where the paper or the film suffers, not only the colour. */
    private const MAY_COST = 1.0;

    private const MAY_COST_TO_SAVE = 2.5;

    private function __construct(public string $words, public SequenceAnswer $answer)
    {
    }

    /**
     * @param  list<Pencil>  $pencils  at hand
     * @param  ?\Closure(Sequence): bool  $allowed  whether craft and school allow a sequence; null where the sequence keeps them not itself
     * @return ?self the least costly change; nothing where none of those tried removes it
     */
    public static function of(PassCaution $caution, SequenceAnswer $answer, Paper $paper, Mode $mode, array $pencils, ?\Closure $allowed): ?self
    {
        $before = self::codes(SequenceCautions::in($answer, $paper));
        $limit = $answer->errorOnPaper() + (in_array($caution->code, [CautionCode::Solvent, CautionCode::Bloom, CautionCode::ToothSpent], true) ? self::MAY_COST_TO_SAVE : self::MAY_COST);
        $changes = [];
        // What spends the tooth or slicks it may be any pass, whichever of them shows it: the one that shows it is tried first.
        foreach (array_unique([...($caution->pass > 0 ? [$caution->pass - 1] : []), ...array_keys($answer->sequence->passes)]) as $at) {
            $changes[] = SequenceChanges::ofPass($answer->sequence, $at, $answer->shades(), $pencils);
        }
        if ($caution->code === CautionCode::Grainy) {
            $changes[] = self::evened($caution, $answer, $pencils);
        }
        $free = static fn (SequenceAnswer $changed): bool => ! in_array($caution->code->value, $codes = self::codes(SequenceCautions::in($changed, $paper)), true) && array_diff($codes, $before) === [];

        return self::best($answer, self::all($changes), $paper, $mode, $allowed, $limit, $free);
    }

    /**
     * @param  iterable<string, Sequence>  $changes
     * @param  ?\Closure(Sequence): bool  $allowed
     * @param  float  $limit  the most that it may be off on paper, ΔE00
     * @param  \Closure(SequenceAnswer): bool  $free  whether a change does what it is for
     */
    public static function best(SequenceAnswer $answer, iterable $changes, Paper $paper, Mode $mode, ?\Closure $allowed, float $limit, \Closure $free): ?self
    {
        $best = null;
        foreach ($changes as $words => $sequence) {
            if ($sequence->passes === [] || ($allowed !== null && ! $allowed($sequence))) {
                continue;
            }
            $changed = SequenceAnswer::of($answer->label, $sequence, $answer->shades(), $paper, $mode);
            if ($changed->errorOnPaper() <= $limit && $free($changed)) {
                $limit = $changed->errorOnPaper() - 1e-9;
                $best = new self(sprintf('%s: tried, within %.0f on paper.', $words, max(1.0, $changed->errorOnPaper())), $changed);
            }
        }

        return $best;
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return iterable<string, Sequence> {@see EvenOut} in the shades that are grainy, or one more coat of a pass
     */
    private static function evened(PassCaution $caution, SequenceAnswer $answer, array $pencils): iterable
    {
        $passes = $answer->sequence->passes;
        $there = static fn (PressureMark $mark): array => array_map(static fn (int $i): ?PressureMark => in_array($i, $caution->shades, true) ? $mark : null, array_keys($answer->outcomes));
        $first = $answer->outcomes[$caution->shades[0]];
        foreach (EvenOut::finishes($first->shade->grainCounts) as $words => $finish) {
            yield $words => new Sequence([...$passes, new GradedPass($finish, $there(PressureMark::Medium))]);
        }
        foreach (EvenOut::beneath($first->lab, $pencils) as $words => $pass) {
            yield $words => new Sequence([new GradedPass($pass->pencil, $there(PressureMark::nearest($pass->pressure))), ...$passes]);
        }
        foreach ($passes as $at => $pass) {
            yield sprintf('Lay one more coat of pass %d', $at + 1) => new Sequence([...array_slice($passes, 0, $at + 1), $pass, ...array_slice($passes, $at + 1)]);
        }
    }

    /**
     * @param  list<iterable<string, Sequence>>  $many
     * @return iterable<string, Sequence>
     */
    private static function all(array $many): iterable
    {
        foreach ($many as $changes) {
            yield from $changes;
        }
    }

    /**
     * @param  list<PassCaution>  $cautions
     * @return list<string>
     */
    private static function codes(array $cautions): array
    {
        return array_values(array_unique(array_map(static fn (PassCaution $c): string => $c->code->value, $cautions)));
    }
}
