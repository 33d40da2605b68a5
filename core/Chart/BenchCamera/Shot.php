<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\BenchCamera;

/** What goes wrong when somebody photographs a sheet: each figure of one shot, none of it known to what reads the photo. */
final readonly class Shot
{
    /**
     * @param  float  $turn  of the sheet in the picture, degrees
     * @param  float  $tilt  of the camera, degrees
     * @param  float  $pan  to the side, degrees
     * @param  float  $barrel  how the lens bends straight lines, as a share of the half diagonal
     * @param  array{float, float, float}  $lamp  strength of the light's red, green and blue
     * @param  float  $fallOff  how much light is lost at the far side of the sheet
     * @param  float  $shadow  how much the shadow of a hand takes; 0 for none
     * @param  float  $shadowAt  where its edge runs, share of the sheet's width
     * @param  float  $veil  stray light, of what white paper sends back
     * @param  float  $blur  radius, millimetres on the sheet
     * @param  float  $noise  deviation of a pixel in sRGB steps of 255
     * @param  float  $glare  share of the sheet's height that a lamp mirrors itself in
     * @param  float  $contrast  exponent of the camera's tone curve
     * @param  float  $saturation  how much it livens colours up, 1 for not at all
     * @param  float  $close  1 shows all of the sheet, more cuts its corners off
     */
    public function __construct(
        public float $turn = 0.0,
        public float $tilt = 0.0,
        public float $pan = 0.0,
        public float $barrel = 0.0,
        public array $lamp = [0.85, 0.85, 0.85],
        public float $fallOff = 0.0,
        public float $shadow = 0.0,
        public float $shadowAt = 0.5,
        public float $veil = 0.0,
        public float $blur = 0.0,
        public float $noise = 0.0,
        public float $glare = 0.0,
        public float $contrast = 1.0,
        public float $saturation = 1.0,
        public float $close = 1.0,
    ) {
    }

    /** Every disturbance at the strength that a phone at a desk has. */
    public static function ordinary(int $seed): self
    {
        $between = (new Chance($seed))->between(...);
        $bright = $between(0.6, 0.85);

        return new self(
            turn: $between(-180, 180),
            tilt: $between(-18, 18),
            pan: $between(-14, 14),
            barrel: $between(-0.004, 0.008),
            lamp: [$bright * $between(0.98, 1.08), $bright, $bright * $between(0.72, 1.02)],
            fallOff: $between(0.05, 0.35),
            shadow: $between(0.0, 0.4),
            shadowAt: $between(0.2, 0.8),
            veil: $between(0.0, 0.02),
            blur: $between(0.05, 0.35),
            noise: $between(0.5, 3.0),
            contrast: $between(0.96, 1.06),
            saturation: $between(1.0, 1.08),
        );
    }

    /** The same shot with nothing thrown across it. */
    public function withoutShadow(): self
    {
        return new self(
            $this->turn,
            $this->tilt,
            $this->pan,
            $this->barrel,
            $this->lamp,
            $this->fallOff,
            0.0,
            $this->shadowAt,
            $this->veil,
            $this->blur,
            $this->noise,
            $this->glare,
            $this->contrast,
            $this->saturation,
            $this->close,
        );
    }
}
