<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;

/** Why each pass of a sequence is there: what its shades would end like without it, and where that is no other colour, how evenly. */
final class PassReasons
{
    /** A change smaller than this, ΔE00, is no reason. */
    private const MATTERS = 1.5;

    /** The same of grain, L*. */
    private const EVENS = 2.0;

    /**
     * @param  list<Shade>  $shades
     * @return list<?string> a sentence a pass, nothing where it only helps a little in each shade
     */
    public static function of(Sequence $sequence, array $shades, Paper $paper): array
    {
        $reasons = [];
        foreach (array_keys($sequence->passes) as $at) {
            $passes = $sequence->passes;
            unset($passes[$at]);
            $without = new Sequence(array_values($passes));
            $beside = [$without, $sequence, $sequence->passes[$at]->over(), $shades, $paper];
            $reasons[] = $sequence->passes[$at]->tool instanceof Finish ? self::evens(...$beside) ?? self::without(...$beside) : self::without(...$beside) ?? self::evens(...$beside);
        }

        return $reasons;
    }

    /**
     * @param  list<int>  $over
     * @param  list<Shade>  $shades
     */
    private static function without(Sequence $without, Sequence $with, array $over, array $shades, Paper $paper): ?string
    {
        $most = self::MATTERS;
        $sentence = null;
        foreach ($over as $i) {
            $look = self::look($without->stackIn($i), $paper);
            $worse = $look->deltaE00($shades[$i]->target) - self::look($with->stackIn($i), $paper)->deltaE00($shades[$i]->target);
            if ($worse > $most) {
                $most = $worse;
                $words = (new Comparison($look, $shades[$i]->target))->words();
                $at = strpos($words, ': ');
                $sentence = sprintf('Without it the %s ends %s.', $shades[$i]->called(), str_replace('leans', 'leaning', $at === false ? lcfirst($words) : substr($words, $at + 2)));
            }
        }

        return $sentence;
    }

    /**
     * @param  list<int>  $over
     * @param  list<Shade>  $shades
     */
    private static function evens(Sequence $without, Sequence $with, array $over, array $shades, Paper $paper): ?string
    {
        $most = self::EVENS;
        $sentence = null;
        foreach ($over as $i) {
            $before = Evenness::of($without->stackIn($i)->on($paper));
            $after = Evenness::of($with->stackIn($i)->on($paper));
            if ($before->grain - $after->grain > $most) {
                $most = $before->grain - $after->grain;
                $sentence = $before->words() === $after->words() ? sprintf('It makes the %s less grainy.', $shades[$i]->called()) : sprintf('It evens the %s: %s without it, %s with it.', $shades[$i]->called(), $before->words(), $after->words());
            }
        }

        return $sentence;
    }

    private static function look(Stack $stack, Paper $paper): Lab
    {
        return Lab::ofReflectance($stack->on($paper)->meanReflectance());
    }
}
