<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;

/** Everything to look out for in a sequence: what its shades have each, said once for the pass that causes it. */
final class Warnings
{
    /**
     * @param  bool  $inHand  whether steadiness is looked at, which takes longest
     * @return list<Warning> by pass, those of the whole last; their remedies are general advice
     */
    public static function in(SequenceAnswer $answer, bool $inHand = true): array
    {
        $found = $first = [];
        foreach ($answer->outcomes as $shade => $outcome) {
            foreach (self::found($outcome, self::numbers($answer->sequence, $shade), $shade, $inHand) as $warning) {
                $key = "$warning->pass/{$warning->kind->value}";
                $found[$key][$shade] = $shade;
                $first[$key] ??= $warning;
            }
        }
        $warnings = array_map(static fn (Warning $w, array $shades): Warning => $w->in(array_values($shades)), $first, $found);
        usort($warnings, static fn (Warning $a, Warning $b): int => ($a->pass ?: PHP_INT_MAX) <=> ($b->pass ?: PHP_INT_MAX));

        return $warnings;
    }

    /** @return list<Warning> of one shade's stack alone */
    public static function of(Outcome $outcome): array
    {
        return self::found($outcome, range(1, max(1, $outcome->laid->steps())), 0, true);
    }

    /** @return list<string> the codes of what is found, each once */
    public static function codesIn(SequenceAnswer $answer, bool $inHand = true): array
    {
        return array_values(array_unique(array_map(static fn (Warning $w): string => $w->kind->value, self::in($answer, $inHand))));
    }

    /**
     * @param  list<int>  $numbers  see {@see Trace::of()}
     * @return list<Warning>
     */
    private static function found(Outcome $outcome, array $numbers, int $shade, bool $inHand): array
    {
        $laying = new Laying(Trace::of($outcome->laid, $numbers), $outcome->shade, $shade, $inHand ? $outcome->sway() : null);

        return array_merge(...array_map(static fn (WarningKind $kind): array => $kind->in($laying), WarningKind::cases()));
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
