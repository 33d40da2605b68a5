<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

use KnottyPrism\Core\Error\OutOfRange;

/** Equal bands of L*, counted from the darkest; 9 by default, as on an artist's value ruler. */
final readonly class ValueScale
{
    public function __construct(public int $steps = 9)
    {
        OutOfRange::check('the number of value steps', $steps, 2, 20);
    }

    /** The step of a lightness: 1 the darkest, {@see self::$steps} the lightest. */
    public function stepOf(Lab $lab): int
    {
        return 1 + (int) min($this->steps - 1, floor(max(0.0, $lab->l) / 100 * $this->steps));
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
