<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\UnreadableText;

/**
 * Another hue for the same values: as seen, the middle of a base family, or grey. Lightness is kept to the last digit, and so is strength
 * where there is any.
 */
final readonly class Recolour
{
    /** CIELAB hue that a family is turned to, degrees. */
    private const HUES = ['red' => 30.0, 'orange' => 62.0, 'yellow' => 95.0, 'green' => 150.0, 'blue' => 265.0, 'violet' => 315.0];

    public const CHOICES = ['as seen', 'red', 'orange', 'yellow', 'green', 'blue', 'violet', 'grey'];

    /** A colour weaker than this, C*ab, is given at least so much of its new hue, or nobody would see that it was recoloured. */
    private const LEAST_CHROMA = 12.0;

    private const SEEN = 3.0;

    /** @throws UnreadableText */
    public function __construct(public string $hue = 'as seen')
    {
        if (! in_array($hue, self::CHOICES, true)) {
            throw UnreadableText::choice('the hue', self::CHOICES, $hue);
        }
    }

    public function of(Lab $lab): Lab
    {
        if ($this->hue === 'as seen') {
            return $lab;
        }
        if ($this->hue === 'grey') {
            return new Lab($lab->l, 0.0, 0.0);
        }
        // Paper white and black stay what they are.
        $chroma =
            $lab->l > 94 || $lab->l < 12 || ($lab->chroma() < self::SEEN && $lab->l > 90)
                ? $lab->chroma()
                : max($lab->chroma(), self::LEAST_CHROMA);
        $hue = deg2rad(self::HUES[$this->hue]);

        return new Lab($lab->l, $chroma * cos($hue), $chroma * sin($hue));
    }
}
