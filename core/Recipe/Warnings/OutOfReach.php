<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

use KnottyPrism\Core\Colour\Comparison;

/** A colour that the pencils available stop short of. */
final class OutOfReach extends WarningKind
{
    /** ΔE00 by which a colour is missed that says more than an ordinary hand on a paper errs by anyway. */
    private const FROM = 6.0;

    public function __construct()
    {
        parent::__construct('out of reach', 9, ofPasses: false);
    }

    public function in(Laying $laying): array
    {
        $comparison = new Comparison($laying->trace->final(), $laying->target);

        return $comparison->deltaE00 < self::FROM
            ? []
            : [
                $this->at(
                    null,
                    $laying,
                    sprintf('This colour falls short of its target. %s.', $comparison->words()),
                    'Accept it, use another pencil there, or add one that is closer.',
                ),
            ];
    }
}
