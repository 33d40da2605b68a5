<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Hand;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * How one artist lays a pass on one paper, beside the even hand that plans are made for: every figure is a factor on what the model takes
 * for granted, 1 for no difference. Test strips teach it ({@see \KnottyPrism\Core\Medium\Strips\LearnHand}); docs/model.md, "A hand of
 * one's own".
 */
final readonly class Hand
{
    /** What may be learned, and how far each can differ from the even hand. */
    public const RANGES = [
        'pressure' => [0.5, 2.0],
        'laydown' => [0.4, 2.5],
        'spread' => [0.25, 4.0],
        'drag' => [0.0, 3.0],
        'packing' => [0.6, 1.5],
        'contact' => [0.4, 3.0],
    ];

    /**
     * @param  float  $pressure  on the planned pressure: 1.25 presses a quarter harder
     * @param  float  $laydown  on the film that a pass offers
     * @param  float  $spread  on how far passes wander from each other
     * @param  float  $drag  on what a firm stroke ploughs up
     * @param  float  $packing  on how densely film packs into the tooth
     * @param  float  $contact  on how gradually a stroke's contact fades with depth
     * @param  array<string, float>  $pencils  on the film of single pencils, by identifier
     *
     * @throws OutOfRange
     */
    public function __construct(
        public float $pressure = 1.0,
        public float $laydown = 1.0,
        public float $spread = 1.0,
        public float $drag = 1.0,
        public float $packing = 1.0,
        public float $contact = 1.0,
        public array $pencils = [],
    ) {
        foreach (self::RANGES as $name => [$least, $most]) {
            OutOfRange::check("the hand's $name", $this->{$name}, $least, $most);
        }
        foreach ($pencils as $id => $factor) {
            OutOfRange::check("the hand's film of $id", $factor, ...self::RANGES['laydown']);
        }
    }

    /** What plans are made for as long as nothing else is known. */
    public static function even(): self
    {
        static $even = null;

        return $even ??= new self();
    }

    /** The pressure that comes out where so much was meant, 0–1. */
    public function presses(float $meant): float
    {
        return min(1.0, $meant * $this->pressure);
    }

    /** What it lays of a pencil, over what an even hand does at the same pressure. */
    public function lays(Pencil $pencil): float
    {
        return $this->pencils === [] ? $this->laydown : $this->laydown * ($this->pencils[$pencil->id()] ?? 1.0);
    }

    public function isEven(): bool
    {
        return $this->fingerprint() === self::even()->fingerprint();
    }

    public function fingerprint(): string
    {
        return json_encode($this->toArray(), JSON_THROW_ON_ERROR);
    }

    /**
     * @return array{pressure: float, laydown: float, spread: float, drag: float, packing: float, contact: float,
     *   pencils: array<string, float>} to four digits
     */
    public function toArray(): array
    {
        $rounded = static fn (float $f): float => round($f, 4);

        return [
            'pressure' => $rounded($this->pressure),
            'laydown' => $rounded($this->laydown),
            'spread' => $rounded($this->spread),
            'drag' => $rounded($this->drag),
            'packing' => $rounded($this->packing),
            'contact' => $rounded($this->contact),
            'pencils' => array_map($rounded, $this->pencils),
        ];
    }
}
