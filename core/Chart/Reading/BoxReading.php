<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Reading;

use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;

/** What lies in a box of a chart, as far as its photo tells. */
final readonly class BoxReading
{
    /** Doubt from which a box is better photographed again, ΔE00. */
    public const TOO_DOUBTFUL = 4.0;

    /**
     * @param  Lab  $lab  under the light in which the paper has its own colour
     * @param  float  $doubt  how far it may be off, ΔE00
     * @param  ?string  $note  what is wrong with it, in a sentence
     */
    public function __construct(public ChartBox $box, public Lab $lab, public bool $filled, public float $doubt, public ?string $note)
    {
    }

    /** @param  array{float, float, float}  $linear  sRGB in linear light, 1 for a perfect white */
    public static function labOf(array $linear): Lab
    {
        [$x, $y, $z] = SrgbMatrix::xyzOfLinear(...$linear);

        return Lab::ofXyz(new Xyz($x, $y, $z));
    }

    public function hex(): string
    {
        return Srgb::ofXyz($this->lab->xyz())->hex();
    }
}
