<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/** A colour read the way an artist asks about it: value step, family with lean, strength, temperature; words and figures. */
final readonly class ColourReading
{
    public int $valueStep;

    public Family $family;

    public Strength $strength;

    public Temperature $temperature;

    public Oklch $oklch;

    public function __construct(public Lab $lab, public ValueScale $scale = new ValueScale())
    {
        $this->valueStep = $scale->stepOf($lab);
        $this->family = Family::of($lab);
        $this->strength = Strength::of($lab);
        $this->temperature = Temperature::of($lab);
        $this->oklch = Oklch::ofLab($lab);
    }

    /** "value 7 of 9, light, muted yellow, leaning orange". */
    public function words(): string
    {
        $strength = $this->family->isChromatic() ? $this->strength->value.' ' : '';

        return sprintf(
            'value %d of %d, %s, %s%s',
            $this->valueStep,
            $this->scale->steps,
            ValueScale::word($this->lab),
            $strength,
            $this->family->words(),
        );
    }
}
