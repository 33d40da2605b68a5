<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

use KnottyPrism\Core\Error\OutOfRange;

/** Equal bands of L*; 9 by default, as on an artist's value ruler, and 1 the darkest unless someone counts from the lightest. */
final readonly class ValueScale
{
    public function __construct(public int $steps = 9, public bool $fromLightest = false)
    {
        OutOfRange::check('the number of value steps', $steps, 2, 20);
    }

    /** The step of a lightness: 1 the darkest, {@see self::$steps} the lightest, or the other way round. */
    public function stepOf(Lab $lab): int
    {
        $band = (int) min($this->steps - 1, floor(max(0.0, $lab->l) / 100 * $this->steps));

        return $this->fromLightest ? $this->steps - $band : $band + 1;
    }

    /** L* in the middle of a step's band. */
    public function middleOf(int $step): float
    {
        $band = $this->fromLightest ? $this->steps - $step : $step - 1;

        return ($band + 0.5) * 100 / $this->steps;
    }

    /** Signed difference in steps (not rounded): positive when the first colour is the lighter. */
    public function difference(Lab $lab, Lab $from): float
    {
        return ($lab->l - $from->l) / 100 * $this->steps;
    }

    /** Lightness in a word: very dark below L* 20, dark below 40, middle below 60, light below 78, pale above. */
    public static function word(Lab $lab): string
    {
        return match (true) {
            $lab->l < 20 => 'very dark',
            $lab->l < 40 => 'dark',
            $lab->l < 60 => 'middle',
            $lab->l < 78 => 'light',
            default => 'pale',
        };
    }
}
