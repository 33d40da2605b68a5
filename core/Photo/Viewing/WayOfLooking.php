<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;

/** How a photo is looked at: what is left of its colours, how far the eyes are closed, and whether one value alone shows. */
final readonly class WayOfLooking
{
    /** Scales on offer. */
    public const STEPS = [5, 9, 10];

    /** L* of all that is not in the one value that shows. */
    private const ASIDE = 62.0;

    /**
     * @param  ?int  $only  the one step that shows
     *
     * @throws OutOfRange
     */
    public function __construct(
        public Tone $tone = Tone::Colour,
        public ValueScale $scale = new ValueScale(),
        public ?int $only = null,
        public ?Squint $squint = null,
        public ?NeutralBalance $balance = null,
    ) {
        if ($only !== null) {
            OutOfRange::check('the value to show alone', $only, 1, $scale->steps);
        }
    }

    /** What everything but the tone is read from: the photo, balanced and squinted at. */
    public function seen(PixelWindow $photo): PixelWindow
    {
        $photo = $this->balance === null ? $photo : $this->balance->applied($photo);

        return $this->squint === null ? $photo : $this->squint->of($photo);
    }

    /** @param  ?Push  $push  a zone to try lighter or darker; then what is shown has no colour */
    public function at(PixelWindow $photo, ?Push $push = null): Picture
    {
        $seen = $this->seen($photo);
        if ($this->tone === Tone::Colour && $this->only === null && $push === null) {
            return new Picture($seen->width, $seen->height, 3, $seen->bytes);
        }
        $values = ValuePlane::of($seen);
        $values = $push === null ? $values : $push->on($values);
        $grey = $this->tone === Tone::Steps ? $values->stepped($this->scale) : $values->grey();
        if ($this->only === null) {
            return new Picture($seen->width, $seen->height, 1, $grey);
        }
        $mask = $values->maskOf($this->scale, $this->only);
        if ($this->tone !== Tone::Colour || $push !== null) {
            return new Picture($seen->width, $seen->height, 1, self::within($mask, $grey));
        }

        return new Picture($seen->width, $seen->height, 3, self::within($mask, $seen->bytes, 3));
    }

    /** @return array<int, float> share of the area of each step, 0–1, by step */
    public function shares(PixelWindow $photo): array
    {
        return ValuePlane::of($this->seen($photo))->shares($this->scale);
    }

    /** What lies within a mask, run by run, and one flat grey elsewhere. */
    private static function within(string $mask, string $bytes, int $channels = 1): string
    {
        $aside = chr(ValuePlane::greyOf(self::ASIDE));
        $parts = [];
        for ($at = 0, $n = strlen($mask); $at < $n; $at += $out) {
            $in = strspn($mask, "\xFF", $at);
            $parts[] = substr($bytes, $channels * $at, $channels * $in);
            $at += $in;
            $out = strspn($mask, "\0", $at);
            $parts[] = str_repeat($aside, $channels * $out);
        }

        return implode('', $parts);
    }
}
