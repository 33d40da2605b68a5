<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * How one colour differs from another, as two people would say it who look at both: lighter or darker in value steps, warmer or cooler,
 * stronger or greyer.
 *
 * Warmth is the place along the CIELAB axis through hue 70° (orange-yellow) and 250° (blue), in units of a* and b*: candle light on white
 * lies some 20 above daylight on it.
 */
final readonly class Contrast
{
    private const WARM_HUE = 70.0;

    /** Below these nobody would remark on it: value steps of 9, warmth, C*. */
    private const STEP_SEEN = 0.35;

    private const WARMTH_SEEN = 3.0;

    private const CHROMA_SEEN = 6.0;

    /** Value steps of 9, positive when the colour is lighter than the other. */
    public float $steps;

    /** Positive when warmer. */
    public float $warmth;

    /** Positive when stronger. */
    public float $strength;

    public float $deltaE00;

    public function __construct(Lab $colour, Lab $from)
    {
        $this->steps = (new ValueScale())->difference($colour, $from);
        $this->warmth = self::warmthOf($colour) - self::warmthOf($from);
        $this->strength = $colour->chroma() - $from->chroma();
        $this->deltaE00 = $colour->deltaE00($from);
    }

    public static function warmthOf(Lab $lab): float
    {
        return $lab->a * cos(deg2rad(self::WARM_HUE)) + $lab->b * sin(deg2rad(self::WARM_HUE));
    }

    /** "warmer by 9, a step darker, stronger", or "about the same". */
    public function words(): string
    {
        $parts = array_filter([$this->warmthWords(), $this->valueWords(), $this->strengthWords()]);

        return $parts === [] ? 'about the same' : implode(', ', $parts);
    }

    /** "a step darker"; null when the values are alike. */
    public function valueWords(): ?string
    {
        $size = abs($this->steps);
        if ($size < self::STEP_SEEN) {
            return null;
        }
        $amount = match (true) {
            $size < 0.75 => 'half a step',
            $size < 1.5 => 'a step',
            default => sprintf('%d steps', round($size)),
        };

        return $amount.($this->steps > 0 ? ' lighter' : ' darker');
    }

    /** "warmer by 9"; null when nobody would say so. */
    public function warmthWords(): ?string
    {
        return abs($this->warmth) < self::WARMTH_SEEN
            ? null
            : sprintf('%s by %d', $this->warmth > 0 ? 'warmer' : 'cooler', round(abs($this->warmth)));
    }

    private function strengthWords(): ?string
    {
        return abs($this->strength) < self::CHROMA_SEEN ? null : ($this->strength > 0 ? 'stronger' : 'greyer');
    }
}
