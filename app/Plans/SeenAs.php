<?php

declare(strict_types=1);

namespace App\Plans;

use App\Photos\Raster;
use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Viewing\Squint;
use KnottyPrism\Core\Photo\Viewing\Tone;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;

/** How the picture to come is looked at: as the photo beside it, and under which light. */
final readonly class SeenAs
{
    public function __construct(public Tone $tone = Tone::Colour, public ?Squint $squint = null, public Illuminant $light = Illuminant::D65)
    {
    }

    /** Names it, for a key. */
    public function key(): string
    {
        return implode('/', [$this->tone->value, $this->squint->value ?? 0, $this->light->value]);
    }

    /** @param  string  $drawn  sRGB, three bytes a pixel */
    public function png(int $width, int $height, string $drawn): string
    {
        $picture = (new WayOfLooking($this->tone, squint: $this->squint))->at(new PixelWindow($width, $height, $drawn));

        return Raster::encoded($picture->width, $picture->height, $picture->channels, $picture->bytes, 'png');
    }
}
