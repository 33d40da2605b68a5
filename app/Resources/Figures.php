<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\ValueScale;

/** The core's figures as they are written in JSON, on the command line and over the API alike, each to a fixed precision. */
final class Figures
{
    /** @return array{hex: string, lab: array{float, float, float}, valueStep: int} */
    public static function colour(Lab $lab): array
    {
        return ['hex' => Srgb::ofXyz($lab->xyz())->hex(), 'lab' => self::lab($lab), 'valueStep' => (new ValueScale)->stepOf($lab)];
    }

    /** @return array{float, float, float} L*, a*, b* */
    public static function lab(Lab $lab): array
    {
        return [round($lab->l, 4), round($lab->a, 4), round($lab->b, 4)];
    }

    /** A ΔE00 or another difference in its unit. */
    public static function difference(float $value): float
    {
        return round($value, 3);
    }

    /** A share, 0–1. */
    public static function share(float $value): float
    {
        return round($value, 4);
    }
}
