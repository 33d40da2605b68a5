<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

use KnottyPrism\Core\Colour\Lab;

/** What near means: colour and value alike, value before colour, or value alone with whatever hue comes of it. */
enum Mode: string
{
    case ColourAndValue = 'colour-and-value';
    case ValueFirst = 'value-first';
    case ValueOnly = 'value-only';

    /** How much a difference in L* counts on top of its part in ΔE00, where value comes first. */
    private const VALUE_WEIGHT = 1.5;

    /** Share of ΔE00 that still decides between stacks of the same value, where hue is free. */
    private const HUE_LEFT = 0.03;

    /** Distance of a result from its target, in the unit of ΔE00. */
    public function apart(Lab $result, Lab $target): float
    {
        return match ($this) {
            self::ColourAndValue => $result->deltaE00($target),
            self::ValueFirst => hypot($result->deltaE00($target), self::VALUE_WEIGHT * ($result->l - $target->l)),
            self::ValueOnly => hypot(self::HUE_LEFT * $result->deltaE00($target), $result->l - $target->l),
        };
    }
}
