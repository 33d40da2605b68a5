<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Pencil\Binder;

/** A colourless blender, pressed: it mixes less than solvent, crushes the tooth and leaves it slick. */
final class Blender extends Finish
{
    private const MIXES = 0.35;

    private const EVENS = 0.55;

    private const PRESSURE = 0.85;

    public function __construct()
    {
        parent::__construct('blender', 2, 'the blender, dull', 600.0, seals: true);
    }

    protected function onto(Sheet $sheet): void
    {
        MixFilms::within($sheet, self::MIXES, self::EVENS);
        LayPass::crush($sheet, self::PRESSURE);
        $slick = Binder::Blender->slickness() * self::PRESSURE ** 1.5;
        foreach ($sheet->slick as $m => $was) {
            $sheet->slick[$m] = max($was, $slick);
        }
    }
}
