<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Contrast;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** What a pencil is, by its swatches: colour in words, hiding power, and what its light swatch is beside the heavy one. */
final readonly class Portrait
{
    /** Contrast ratio from which a pencil hides, and from which it half hides. */
    private const HIDES = 0.6;

    private const HALF_HIDES = 0.33;

    public Lab $heavy;

    public Lab $light;

    public Lab $overBlack;

    public ColourReading $reading;

    public function __construct(public Pencil $pencil)
    {
        $this->heavy = Swatch::Heavy->colourOf($pencil);
        $this->light = Swatch::Light->colourOf($pencil);
        $this->overBlack = Swatch::OverBlack->colourOf($pencil);
        $this->reading = new ColourReading($this->heavy);
    }

    /** Contrast ratio, 0–1: the luminance of one firm pass over black ink as a share of that over white paper (after ISO 6504-3). */
    public function hiding(): float
    {
        $onWhite = new Sheet(Paper::whiteMedium());
        foreach (Swatch::OverBlack->pressures() as $pressure) {
            LayPass::onto($onWhite, $this->pencil, $pressure);
        }

        return max(0.0, min(1.0, $this->overBlack->xyz()->y / max(1e-6, $onWhite->xyz()->y)));
    }

    public function hidingWords(): string
    {
        return match (true) {
            $this->hiding() >= self::HIDES => 'opaque',
            $this->hiding() >= self::HALF_HIDES => 'semi-opaque',
            default => 'transparent',
        };
    }

    /** Which way a light hand turns its colour: "cooler by 6", "greyer", or "the same colour, lighter". */
    public function undertone(): string
    {
        // Seen at the same strength: a thin film is always lighter and weaker, which says nothing of its lean.
        $factor = $this->light->chroma() < 0.5 ? 1.0 : $this->heavy->chroma() / $this->light->chroma();
        $turned = new Lab($this->heavy->l, $this->light->a * $factor, $this->light->b * $factor);

        return (new Contrast($turned, $this->heavy))->warmthWords() ?? 'the same colour, lighter';
    }
}
