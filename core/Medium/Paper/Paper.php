<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

use KnottyPrism\Core\Colour\SmoothestReflectance;

/** A paper: its colour as a reflectance, and its tooth. */
final readonly class Paper
{
    /** @var array<int, float> 36 bands, 0–1 */
    public array $reflectance;

    public function __construct(public string $name, public string $hex, public Tooth $tooth)
    {
        $this->reflectance = SmoothestReflectance::ofHex($hex);
    }

    /** The paper on which swatches are made and measured; made once, since every fit asks for it some hundred times. */
    public static function whiteMedium(): self
    {
        static $paper = null;

        return $paper ??= new self('white medium', '#f6f4ee', Tooth::medium());
    }

    /** Names everything a prediction on this paper depends on. */
    public function fingerprint(): string
    {
        return sprintf('%s/%s/%.4f/%.4f', $this->name, $this->hex, $this->tooth->roughness, $this->tooth->capacity);
    }
}
