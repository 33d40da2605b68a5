<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Laying\PressureMark;

/** How a whole pass is graded otherwise: every change is a mark's step. */
enum Regrade: string
{
    case Firmer = 'firmer';
    case Lighter = 'lighter';

    /** Lighter in the lights and firmer in the darks, or the other way round; the middle stays. */
    case Steeper = 'steeper';
    case Flatter = 'flatter';

    /**
     * @param  list<int>  $run  the shades of the value run, lightest first; touches keep their marks when a pass gets steeper or flatter
     */
    public function of(GradedPass $pass, array $run): GradedPass
    {
        $marks = $pass->marks;
        $ends = count($run) < 2 ? [] : [$run[0] => -1, $run[count($run) - 1] => 1];
        foreach ($marks as $shade => $mark) {
            $strokes = $mark?->strokes() ?? 0;
            $marks[$shade] = match ($this) {
                self::Firmer => $mark === null ? null : self::mark(min(5, $strokes + 1)),
                self::Lighter => $mark === null ? null : self::mark(max(1, $strokes - 1)),
                self::Steeper => self::mark(max(0, min(5, $strokes + ($ends[$shade] ?? 0)))),
                self::Flatter => self::mark(max(0, min(5, $strokes - ($ends[$shade] ?? 0)))),
            };
        }

        return new GradedPass($pass->tool, $marks);
    }

    private static function mark(int $strokes): ?PressureMark
    {
        return PressureMark::cases()[$strokes - 1] ?? null;
    }
}
