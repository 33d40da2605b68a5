<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Pencil;

use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Error\OutOfRange;

/**
 * What an artist can write down about a pencil. Swatches are colours #rrggbb on white medium paper: heavy is two passes at
 * 1.00, light one pass at 0.35, over black one pass at 0.80 over ink. Only the number and the heavy swatch are needed.
 */
final readonly class PencilRecord
{
    /** @param  ?float  $laydown film of a full-contact pass relative to a soft wax of 1 */
    public function __construct(
        public string $line,
        public string $number,
        public string $name,
        public string $heavy,
        public ?Binder $binder = null,
        public ?string $light = null,
        public ?string $overBlack = null,
        public ?Opacity $opacity = null,
        public ?float $laydown = null,
        public ?string $lightfast = null,
        public bool $owned = true,
    ) {
        foreach ([$heavy, $light, $overBlack] as $colour) {
            if ($colour !== null) {
                Srgb::ofHex($colour);
            }
        }
        if ($laydown !== null) {
            OutOfRange::check('laydown', $laydown, 0.1, 3);
        }
    }

    /** The line and the number, or the number alone for a pencil of no line. */
    public function id(): string
    {
        return $this->line === '' ? $this->number : $this->line.'/'.$this->number;
    }

    public function asOwned(): self
    {
        return new self(
            $this->line,
            $this->number,
            $this->name,
            $this->heavy,
            $this->binder,
            $this->light,
            $this->overBlack,
            $this->opacity,
            $this->laydown,
            $this->lightfast,
        );
    }
}
