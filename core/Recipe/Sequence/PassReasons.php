<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;

/** Why each pass of a sequence is there: what its shades would end like without it, and where that is no other colour, how evenly. */
final class PassReasons
{
    /** A change smaller than this, ΔE00, is no reason. */
    private const MATTERS = 1.5;

    /** The same of grain, L*. */
    private const EVENS = 2.0;

    /** @return list<?string> a sentence a pass, null when it only helps a little in each shade */
    public static function of(SequenceAnswer $answer, Paper $paper): array
    {
        $reasons = [];
        foreach ($answer->sequence->passes as $at => $pass) {
            $passes = $answer->sequence->passes;
            unset($passes[$at]);
            $rest = new Sequence(array_values($passes));
            $without = [];
            foreach ($pass->over() as $i) {
                $without[$i] = $rest->stackIn($i)->on($paper);
            }
            $reasons[] =
                $pass->tool instanceof Finish
                    ? self::evens($answer, $without) ?? self::colours($answer, $without)
                    : self::colours($answer, $without) ?? self::evens($answer, $without);
        }

        return $reasons;
    }

    /** @param  array<int, Sheet>  $without  what each shade would be without the pass */
    private static function colours(SequenceAnswer $answer, array $without): ?string
    {
        $most = self::MATTERS;
        $sentence = null;
        foreach ($without as $i => $sheet) {
            $outcome = $answer->outcomes[$i];
            $look = Lab::ofReflectance($sheet->meanReflectance());
            $worse = $look->deltaE00($outcome->shade->target) - $outcome->lab->deltaE00($outcome->shade->target);
            if ($worse > $most) {
                $most = $worse;
                $words = (new Comparison($look, $outcome->shade->target))->words();
                $at = strpos($words, ': ');
                $sentence = sprintf(
                    'Without this pass the %s would be %s.',
                    $outcome->shade->called(),
                    str_replace('leans', 'leaning', $at === false ? lcfirst($words) : substr($words, $at + 2)),
                );
            }
        }

        return $sentence;
    }

    /** @param  array<int, Sheet>  $without */
    private static function evens(SequenceAnswer $answer, array $without): ?string
    {
        $most = self::EVENS;
        $sentence = null;
        foreach ($without as $i => $sheet) {
            [$before, $after] = [Evenness::of($sheet), $answer->outcomes[$i]->evenness];
            if ($before->grain - $after->grain > $most) {
                $most = $before->grain - $after->grain;
                $called = $answer->outcomes[$i]->shade->called();
                $sentence =
                    $before->words() === $after->words()
                        ? sprintf('It makes the %s less grainy.', $called)
                        : sprintf('It evens the %s: %s without it, %s with it.', $called, $before->words(), $after->words());
            }
        }

        return $sentence;
    }
}
