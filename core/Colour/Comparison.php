<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** How a colour that came out differs from the one that was wanted, as someone at the desk would say it. */
final readonly class Comparison
{
    /** Below these an eye comparing touching patches would not complain: value steps of 9, C*ab, and hue as a distance. */
    private const STEP_SEEN = 0.2;

    private const CHROMA_SEEN = 2.5;

    private const HUE_SEEN = 3.0;

    public float $deltaE00;

    /** Value steps, positive when the result is too light. */
    public float $valueError;

    public function __construct(private Lab $result, private Lab $wanted, private ValueScale $scale = new ValueScale)
    {
        $this->deltaE00 = $result->deltaE00($wanted);
        $this->valueError = $scale->difference($result, $wanted);
    }

    /** "A match", "close", "near", "off", "far off". */
    public function closeness(): string
    {
        return match (true) {
            $this->deltaE00 < 1.0 => 'a match',
            $this->deltaE00 < 2.0 => 'close',
            $this->deltaE00 < 4.0 => 'near',
            $this->deltaE00 < 8.0 => 'off',
            default => 'far off',
        };
    }

    /** "Close: a touch too light, leans too green", or only the closeness when nothing stands out. */
    public function words(): string
    {
        $parts = array_filter([$this->valueWords(), $this->chromaWords(), $this->hueWords()]);

        return ucfirst($this->closeness()).($parts === [] || $this->deltaE00 < 1.0 ? '' : ': '.implode(', ', $parts));
    }

    private function valueWords(): ?string
    {
        $size = abs($this->valueError);
        if ($size < self::STEP_SEEN) {
            return null;
        }
        $amount = match (true) {
            $size < 0.4 => 'a touch',
            $size < 0.75 => 'half a step',
            $size < 1.5 => 'a step',
            default => sprintf('%d steps', round($size)),
        };

        return $amount.($this->valueError > 0 ? ' too light' : ' too dark');
    }

    private function chromaWords(): ?string
    {
        $difference = $this->result->chroma() - $this->wanted->chroma();

        return abs($difference) < self::CHROMA_SEEN ? null : ($difference > 0 ? 'too strong' : 'too grey');
    }

    private function hueWords(): ?string
    {
        $turn = fmod($this->result->hueDegrees() - $this->wanted->hueDegrees() + 540, 360) - 180;
        $distance = 2 * sqrt($this->result->chroma() * $this->wanted->chroma()) * abs(sin(deg2rad($turn / 2)));
        if ($distance < self::HUE_SEEN) {
            return null;
        }

        return 'leans too '.Family::neighbour(Oklch::ofLab($this->wanted)->hueDegrees, $turn > 0);
    }
}
