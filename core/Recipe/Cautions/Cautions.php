<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Everything there is to mind in a stack: one check after the other. A new check is a class of its own and a line here. */
final readonly class Cautions
{
    /** @var list<class-string<CautionCheck>> in the order in which they are said */
    private const CHECKS = [GreenCast::class, BlackDeadens::class, PastelShift::class, Resist::class, ValueJump::class, ToothSpent::class, Bloom::class, NotLightfast::class, OutOfReach::class, Unsteady::class, Grainy::class, SolventOnFilm::class];

    /**
     * @param  ?float  $steadiness  RMS ΔE00 in an ordinary hand, where it is known; else unsteadiness is not looked at
     * @param  float  $grainCounts  see {@see Shade::$grainCounts}
     * @return list<Caution> in the order of the codes, their remedies still general advice
     */
    public static function in(Trace $trace, Lab $target, ?float $steadiness, float $grainCounts = Shade::SMOOTH): array
    {
        $laying = new Laying($trace, $target, $steadiness, $grainCounts);

        return array_merge(...array_map(static fn (string $check): array => (new $check)->in($laying), self::CHECKS));
    }
}
