<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\Tooth;

/** How evenly film lies, in words before figures. */
final readonly class Evenness
{
    /** L* of grain that nobody sees at arm's length, and from which everybody does. */
    private const EVEN = 5.0;

    public const GRAINY = 12.0;

    /**
     * @param  float  $grain  L*, see {@see Sheet::grain()}
     * @param  float  $paperShows  share of the area that is nearer to the bare paper than to what the eye makes of all of it, 0–1
     */
    private function __construct(public float $grain, public float $paperShows)
    {
    }

    public static function of(Sheet $sheet): self
    {
        $grain = $sheet->grain();
        $paper = Lab::ofReflectance($sheet->paper->reflectance)->l;
        $halfway = ($paper + Lab::ofXyz($sheet->xyz())->l) / 2;
        $bare =
            $grain < self::EVEN ? [] : array_filter($sheet->strata(), static fn (array $r): bool => Lab::ofReflectance($r)->l > $halfway);

        return new self($grain, count($bare) / Tooth::STRATA);
    }

    /** As one would say it of a swatch: "even", "grainy", "paper shows through: 35 %". */
    public function words(): string
    {
        return match (true) {
            $this->grain < self::EVEN => 'even',
            $this->grain < self::GRAINY || $this->paperShows === 0.0 => 'grainy',
            default => sprintf('paper shows through: %d %%', 5 * (int) round(20 * $this->paperShows)),
        };
    }
}
