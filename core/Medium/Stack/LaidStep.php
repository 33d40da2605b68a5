<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Stack;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;

/**
 * A stack after one of its steps: its colour as seen, the colour of each stratum (peaks first), the tooth used, 0–1, and how evenly it
 * lies.
 */
final readonly class LaidStep
{
    /** @param  list<string>  $strataHex one #rrggbb a stratum as a screen shows it, see {@see Sheet::flecks()} */
    private function __construct(
        public Pass|Finish $step,
        public Lab $lab,
        public string $hex,
        public array $strataHex,
        public float $toothUsed,
        public Evenness $evenness,
    ) {
    }

    public static function of(Pass|Finish $step, Sheet $sheet): self
    {
        $lab = Lab::ofReflectance($sheet->meanReflectance());
        $strata = $sheet->dab();

        return new self($step, $lab, Srgb::ofXyz($lab->xyz())->hex(), $strata, $sheet->toothUsed(), Evenness::of($sheet));
    }
}
