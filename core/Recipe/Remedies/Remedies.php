<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Remedies;

use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Warnings\OutOfReach;
use KnottyPrism\Core\Recipe\Warnings\Unsteady;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/**
 * Tries what could remove a warning: small changes of the sequence, each laid and looked at again in every shade. What is advised is free
 * of the warning, brings no other, and stays near the colours.
 */
final readonly class Remedies
{
    /** A pencil that could be bought helps where it brings a colour this much nearer, ΔE00. */
    private const WORTH_BUYING = 1.0;

    /**
     * @param  list<Pencil>  $pencils  available
     * @param  ?\Closure(Sequence): bool  $allowed  whether craft and method allow a sequence; null when the sequence itself breaks them
     * @param  list<Pencil>  $missing  known, and could be bought; asked where one shade is out of reach
     */
    public function __construct(
        private Paper $paper,
        private Mode $mode,
        private array $pencils,
        private ?\Closure $allowed,
        private array $missing = [],
    ) {
    }

    /**
     * The least costly change that removes a warning; null when none of those tried does.
     *
     * @param  iterable<string, Sequence>  $otherwise  what may be laid instead, where no small change helps
     */
    public function for(Warning $warning, SequenceAnswer $answer, iterable $otherwise = []): ?Remedy
    {
        if ($warning->kind instanceof OutOfReach && $this->missing !== []) {
            return $this->nearestPurchase($answer);
        }
        $before = Warnings::codesIn($answer);
        $limit = $answer->errorOnPaper() + $warning->kind->mayCost;
        $free = static fn (SequenceAnswer $changed): bool => ! in_array(
            $warning->kind->value,
            $codes = Warnings::codesIn($changed, false),
            true,
        ) && array_diff($codes, $before) === [];
        $mayBeUnsteady = ! ($warning->kind instanceof Unsteady) && in_array(Unsteady::it()->value, $before, true);

        return $this->best($answer, $this->changes($warning, $answer), $limit, $free, $mayBeUnsteady) ??
            $this->best($answer, $otherwise, $limit, $free, $mayBeUnsteady);
    }

    /**
     * The change that ends nearest on paper of those that do what they are for; null when none does.
     *
     * @param  iterable<string, Sequence>  $changes  what to do, in words => what results
     * @param  float  $limit  the most that it may be off on paper, ΔE00
     * @param  \Closure(SequenceAnswer): bool  $free  whether a change does what it is for
     */
    public function best(SequenceAnswer $answer, iterable $changes, float $limit, \Closure $free, bool $mayBeUnsteady = true): ?Remedy
    {
        $best = null;
        foreach ($changes as $words => $sequence) {
            if ($sequence->passes === [] || ($this->allowed !== null && ! ($this->allowed)($sequence))) {
                continue;
            }
            $changed = SequenceAnswer::of($answer->label, $sequence, $answer->shades(), $this->paper, $this->mode);
            // What a hand adds takes longest to work out, and is asked last.
            if (
                $changed->leastError() <= $limit &&
                $free($changed) &&
                $changed->errorOnPaper() <= $limit &&
                ($mayBeUnsteady || self::isSteady($changed))
            ) {
                $limit = $changed->errorOnPaper() - 1e-9;
                $best = new Remedy(sprintf('%s: likely error then %.0f.', $words, max(1.0, $changed->errorOnPaper())), $changed);
            }
        }

        return $best;
    }

    /** The same whatever craft and method say: what is planned again keeps them by itself. */
    public function freely(): self
    {
        return new self($this->paper, $this->mode, $this->pencils, null, $this->missing);
    }

    /** @return iterable<string, Sequence> what to do, in words => what results */
    private function changes(Warning $warning, SequenceAnswer $answer): iterable
    {
        // What spends the tooth or slicks it may be any pass, whichever of them shows it: the one that shows it is tried first.
        foreach (array_unique([...$warning->pass > 0 ? [$warning->pass - 1] : [], ...array_keys($answer->sequence->passes)]) as $at) {
            yield from SequenceChanges::ofPass($answer->sequence, $at, $answer->shades(), $this->pencils);
        }
        yield from $warning->kind->changes($warning, $answer, $this->pencils);
    }

    private static function isSteady(SequenceAnswer $answer): bool
    {
        return array_filter($answer->outcomes, static fn (Outcome $o): bool => $o->sway() >= Unsteady::FROM) === [];
    }

    /** The pencil that, alone in up to two coats or as a pass more, comes nearest to the one shade that is asked for. */
    private function nearestPurchase(SequenceAnswer $answer): ?Remedy
    {
        $limit = $answer->missed() - self::WORTH_BUYING;
        $best = null;
        foreach ($this->missing as $pencil) {
            foreach (SequenceChanges::with($answer->sequence, $pencil, count($answer->outcomes)) as $sequence) {
                $changed = SequenceAnswer::of($answer->label, $sequence, $answer->shades(), $this->paper, $this->mode);
                if ($changed->missed() < $limit) {
                    $limit = $changed->missed();
                    $best = new Remedy(
                        sprintf(
                            'Of the pencils you don’t have, %s %s is closest (ΔE00 %.1f).',
                            $pencil->record->number,
                            $pencil->record->name,
                            $limit,
                        ),
                        $changed,
                    );
                }
            }
        }

        return $best;
    }
}
