<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Laying\Pressure;

/** How a whole pass is graded otherwise: every change is a step of pressure. */
enum Regrade: string
{
    case Firmer = 'firmer';
    case Lighter = 'lighter';

    /** Lighter in the lights and firmer in the darks, or the other way round; the middle stays. */
    case Steeper = 'steeper';
    case Flatter = 'flatter';

    /**
     * @param  list<int>  $run the shades of the value run, lightest first; touches keep their pressures when a pass gets steeper or flatter
     */
    public function of(GradedPass $pass, array $run): GradedPass
    {
        $pressures = $pass->pressures;
        $ends = count($run) < 2 ? [] : [$run[0] => -1, $run[count($run) - 1] => 1];
        foreach ($pressures as $shade => $pressure) {
            $strokes = $pressure?->strokes() ?? 0;
            $pressures[$shade] = match ($this) {
                self::Firmer => $pressure === null ? null : self::pressure(min(5, $strokes + 1)),
                self::Lighter => $pressure === null ? null : self::pressure(max(1, $strokes - 1)),
                self::Steeper => self::pressure(max(0, min(5, $strokes + ($ends[$shade] ?? 0)))),
                self::Flatter => self::pressure(max(0, min(5, $strokes - ($ends[$shade] ?? 0)))),
            };
        }

        return new GradedPass($pass->tool, $pressures);
    }

    private static function pressure(int $strokes): ?Pressure
    {
        return Pressure::cases()[$strokes - 1] ?? null;
    }
}
