<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\PassCautions;

use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Recipe\Cautions\Cautions;
use KnottyPrism\Core\Recipe\Cautions\Trace;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** Everything there is to mind in a sequence: what its shades have each, said once for the pass that causes it. */
final class SequenceCautions
{
    /** @return list<PassCaution> by pass, those of the whole last */
    public static function in(SequenceAnswer $answer, Paper $paper): array
    {
        $found = [];
        foreach ($answer->outcomes as $i => $outcome) {
            foreach (Cautions::in(Trace::of($outcome->stack, $paper, self::numbers($answer->sequence, $i)), $outcome->shade->target, $outcome->sway, $outcome->shade->grainCounts) as $caution) {
                $found["{$caution->step}/{$caution->code->value}"][$i] = $caution;
            }
        }
        $cautions = [];
        foreach ($found as $byShade) {
            $first = reset($byShade);
            $cautions[] = new PassCaution($first->code, $first->step, array_keys($byShade), $first->text, $first->remedy);
        }
        usort($cautions, static fn (PassCaution $a, PassCaution $b): int => ($a->pass ?: PHP_INT_MAX) <=> ($b->pass ?: PHP_INT_MAX));

        return $cautions;
    }

    /** @return list<int> which pass of the sequence each step of a shade's stack is, 1 the first */
    private static function numbers(Sequence $sequence, int $shade): array
    {
        $numbers = [];
        foreach ($sequence->passes as $at => $pass) {
            if ($pass->in($shade) !== null) {
                $numbers[] = $at + 1;
            }
        }

        return $numbers;
    }
}
