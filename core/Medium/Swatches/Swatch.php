<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Swatches;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** The three swatches an artist makes of a pencil, on white medium paper where nothing else is said, as the model lays them. */
enum Swatch
{
    case Heavy;
    case Light;
    case OverBlack;

    /** Printed black under the hiding-power swatch: this reflectance in every band. */
    public const INK_REFLECTANCE = 0.03;

    /** @return list<float> the pressures of its passes */
    public function pressures(): array
    {
        return match ($this) {
            self::Heavy => [1.0, 1.0],
            self::Light => [0.35],
            self::OverBlack => [0.80],
        };
    }

    public function lay(Pencil $pencil, ?Paper $paper = null): Sheet
    {
        $sheet = new Sheet($paper ?? Paper::whiteMedium());
        if ($this === self::OverBlack) {
            $sheet->reflectance = array_fill(0, count($sheet->reflectance), self::INK_REFLECTANCE);
        }
        foreach ($this->pressures() as $pressure) {
            LayPass::onto($sheet, $pencil, $pressure);
        }

        return $sheet;
    }

    public function colourOf(Pencil $pencil, ?Paper $paper = null): Lab
    {
        return Lab::ofReflectance($this->lay($pencil, $paper)->meanReflectance());
    }
}
