<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;

/** Why a recipe is as it is, in one or two sentences: what would come of it without its most important pass, and in the opposite order. */
final class Reasons
{
    /** A change smaller than this, ΔE00, is no reason. */
    private const MATTERS = 1.5;

    /** @return list<string> up to two sentences */
    public static function for(Stack $stack, Lab $target, Paper $paper): array
    {
        $own = self::look($stack, $paper);
        $passes = $stack->passes();
        if ($passes === []) {
            return ['No pencil is laid: the paper stays as it is.'];
        }
        if (count($passes) === 1) {
            return [sprintf('One pass of %s comes %s by itself.', self::named($passes[0]), (new Comparison($own, $target))->closeness() === 'a match' ? 'to a match' : 'as near as it gets')];
        }

        return array_values(array_filter([self::mostNeeded($stack, $own, $target, $paper), self::order($stack, $own, $target, $paper)]));
    }

    /** What is missing without the pass that matters most. */
    private static function mostNeeded(Stack $stack, Lab $own, Lab $target, Paper $paper): ?string
    {
        $most = self::MATTERS;
        $sentence = null;
        foreach ($stack->steps as $i => $step) {
            if ($step instanceof Finish) {
                continue;
            }
            $rest = $stack->steps;
            unset($rest[$i]);
            $without = self::look(new Stack(array_values($rest)), $paper);
            $moved = $without->deltaE00($own);
            if ($moved > $most) {
                $most = $moved;
                $sentence = sprintf('Without %s%s it ends %s.', self::named($step), $i === 0 ? ' beneath' : '', self::fault($without, $target));
            }
        }

        return $sentence;
    }

    /** What the first and the last pass would make if they changed places. */
    private static function order(Stack $stack, Lab $own, Lab $target, Paper $paper): ?string
    {
        $passes = array_keys(array_filter($stack->steps, static fn (Pass|Finish $s): bool => $s instanceof Pass));
        [$first, $last] = [$passes[0], $passes[count($passes) - 1]];
        $turned = $stack->steps;
        [$turned[$first], $turned[$last]] = [$turned[$last], $turned[$first]];
        $turned = array_values($turned);
        [$one, $other] = [$stack->steps[$first], $stack->steps[$last]];
        if (! $one instanceof Pass || ! $other instanceof Pass || $one->pencil === $other->pencil) {
            return null;
        }
        $look = self::look(new Stack($turned), $paper);
        if ($look->deltaE00($own) < self::MATTERS || $look->deltaE00($target) < $own->deltaE00($target)) {
            return null;
        }

        return sprintf('%s goes before %s: the other way round it ends %s.', ucfirst(self::named($one)), self::named($other), self::fault($look, $target));
    }

    /** "a step too light, too grey" */
    private static function fault(Lab $result, Lab $target): string
    {
        $words = (new Comparison($result, $target))->words();
        $at = strpos($words, ': ');

        return $at === false ? lcfirst($words) : substr($words, $at + 2);
    }

    private static function named(Pass $pass): string
    {
        return $pass->pencil->record->number.' '.PressureMark::nearest($pass->pressure)->value;
    }

    private static function look(Stack $stack, Paper $paper): Lab
    {
        return Lab::ofReflectance($stack->on($paper)->meanReflectance());
    }
}
