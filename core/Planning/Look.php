<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Sheet;

/** A sheet as seen: its colour, and the logarithms of its linear red, green and blue. */
final readonly class Look
{
    /** Linear light below this is black for any eye; its logarithm would only mislead. */
    private const DARKEST = 0.002;

    /** @param  array{float, float, float}  $logs */
    private function __construct(public Lab $lab, public array $logs)
    {
    }

    public static function at(Sheet $sheet): self
    {
        return self::ofXyz(Xyz::ofReflectance($sheet->meanReflectance()));
    }

    public static function ofXyz(Xyz $xyz): self
    {
        [$r, $g, $b] = SrgbMatrix::linearOfXyz($xyz->x, $xyz->y, $xyz->z);

        return new self(Lab::ofXyz($xyz), [log(max(self::DARKEST, $r)), log(max(self::DARKEST, $g)), log(max(self::DARKEST, $b))]);
    }
}
