<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Colour\Lab;

/** All that a photo of a half-done drawing says. */
final readonly class DrawingCheck
{
    /**
     * @param  list<array{float, float}>  $corners  of the drawing in the photo, shares of its width and height, from the top left clockwise
     * @param  float  $alike  how well it goes with what is expected, 1 at best
     * @param  list<ShadeFinding>  $findings  those that matter most first
     * @param  string  $differences sRGB, three bytes a place of the plan's grid: grey where nothing differs, lighter and darker, and tinted
     *   as it does
     */
    public function __construct(
        public array $corners,
        public float $alike,
        public array $findings,
        public int $width,
        public int $height,
        public string $differences,
    ) {
    }

    /** "The dark of the float is a step too light, leans too blue." */
    public function summary(): string
    {
        $worst = $this->findings[0] ?? null;
        if ($worst === null) {
            return 'The drawn parts are too small to measure.';
        }
        $how = explode(': ', $worst->words(), 2)[1] ?? '';
        if ($worst->found->deltaE00($worst->expected) < 3.0 || $how === '') {
            return 'The drawing matches the plan so far.';
        }

        return sprintf('The %s of "%s" %s.', $worst->shade->name, $worst->zone->name, str_starts_with($how, 'leans') ? $how : "is $how");
    }

    /** Mean ΔE00 from what is expected, by area. */
    public function meanDeltaE00(): float
    {
        $sum = $area = 0.0;
        foreach ($this->findings as $finding) {
            $sum += $finding->area * $finding->found->deltaE00($finding->expected);
            $area += $finding->area;
        }

        return $area > 0 ? $sum / $area : 0.0;
    }

    /** A difference as it is drawn on the map. */
    public static function drawn(Lab $found, Lab $expected): Lab
    {
        // Value is what is looked for first: a tint never hides it.
        return new Lab(
            max(15.0, min(95.0, 60 + 1.3 * ($found->l - $expected->l))),
            0.6 * ($found->a - $expected->a),
            0.6 * ($found->b - $expected->b),
        );
    }
}
