<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** A photograph that can't be read, with the one thing to do about it. */
final class BadPhoto extends \DomainException implements CoreError
{
    public const NO_SHEET = 'no sheet';

    public const CORNER_OUTSIDE = 'corner outside';

    public const BLURRED = 'blurred';

    public const DARK = 'dark';

    public const LAMP = 'coloured lamp';

    public const OTHER_SHEET = 'another sheet';

    public const GLARE = 'glare';

    public const NO_DRAWING = 'no drawing';

    public const OTHER_DRAWING = 'another drawing';

    public const NO_BARE_PAPER = 'no bare paper';

    private const WORDS = [
        self::NO_SHEET => 'No chart sheet was found in this photo. Take it from above, with all four ring markers of the sheet in the '
            .'picture.',
        self::CORNER_OUTSIDE => 'A corner of the sheet is outside the photo or covered: all four ring markers must be seen. Step back a '
            .'little and take it again.',
        self::BLURRED => 'The photo is blurred. Hold the camera still or rest it on something, let it focus on the sheet, and take it '
            .'again.',
        self::DARK => 'The photo is too dark to measure colours. Take it in daylight near a window, without sun on the sheet.',
        self::LAMP => 'A coloured lamp lights the sheet: its paper looks far from white. Take it in daylight, with the lamp off.',
        self::OTHER_SHEET => 'This is a different chart: its row of squares stands for other pencils or another '
            .'page. Choose the sheet that was printed.',
        self::GLARE => 'More than a third of the sheet has glare. Turn it away from the window or the lamp, and photograph it again '
            .'without flash.',
        self::NO_DRAWING => 'The edges of the paper can’t be seen. Put the drawing on something darker, photograph it from above, or set '
            .'its four corners by hand.',
        self::OTHER_DRAWING => 'This doesn’t look like the drawing of this plan: lights and darks are in other places. Choose another '
            .'photo, or set the four corners of the drawing by hand.',
        self::NO_BARE_PAPER => 'Too little bare paper is visible around the drawing; colours are measured against it. Step back so that a '
            .'finger\'s width shows on every side.',
    ];

    private function __construct(public readonly string $reason)
    {
        parent::__construct(self::WORDS[$reason]);
    }

    /** @param  key-of<self::WORDS>  $reason */
    public static function because(string $reason): self
    {
        return new self($reason);
    }
}
