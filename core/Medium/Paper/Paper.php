<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Medium\Hand\Hand;

/** A paper: its colour as a reflectance, its tooth, and the hand that works on it. */
final readonly class Paper
{
    /** @var array<int, float> 36 bands, 0–1 */
    public array $reflectance;

    public Hand $hand;

    public function __construct(public string $name, public string $hex, public Tooth $tooth, ?Hand $hand = null)
    {
        $this->hand = $hand ?? Hand::even();
        $this->reflectance = SmoothestReflectance::ofHex($hex);
    }

    /** The paper on which swatches are made and measured; made once, since every fit asks for it some hundred times. */
    public static function whiteMedium(): self
    {
        static $paper = null;

        return $paper ??= new self('white medium', '#f6f4ee', Tooth::medium());
    }

    /** The same paper under another hand. */
    public function under(Hand $hand): self
    {
        return new self($this->name, $this->hex, $this->tooth, $hand);
    }

    /** What is kept for this paper is kept under: its name, and with it any hand but the even one. */
    public function key(): string
    {
        return $this->name.($this->hand->isEven() ? '' : '/'.$this->hand->fingerprint());
    }

    /** Names everything a prediction on this paper depends on. */
    public function fingerprint(): string
    {
        return sprintf('%s/%s/%.4f/%.4f', $this->name, $this->hex, $this->tooth->roughness, $this->tooth->capacity).
            ($this->hand->isEven() ? '' : '/'.$this->hand->fingerprint());
    }
}
