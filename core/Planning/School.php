<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Pencil;
use KnottyPrism\Core\Medium\Swatch;

/** A way of working that the search obeys: what may lie beneath the local colour, and whether black may be used. */
final readonly class School
{
    public const CHOICES = [
        'beneath' => ['any', 'nothing', 'complement'],
        'darks' => ['black-allowed', 'never-black'],
    ];

    private function __construct(public string $beneath, public string $darks)
    {
    }

    public static function free(): self
    {
        return new self('any', 'black-allowed');
    }

    /**
     * @param  list<string>  $settings  like "darks=never-black"
     *
     * @throws UnreadableText for an unknown name or choice
     */
    public static function ofSettings(array $settings): self
    {
        $chosen = ['beneath' => 'any', 'darks' => 'black-allowed'];
        foreach ($settings as $setting) {
            [$name, $choice] = array_map(trim(...), explode('=', $setting, 2)) + [1 => ''];
            if (! isset(self::CHOICES[$name])) {
                throw UnreadableText::choice('a school setting', array_map(static fn (string $k): string => $k.'=…', array_keys(self::CHOICES)), $setting);
            }
            if (! in_array($choice, self::CHOICES[$name], true)) {
                throw UnreadableText::choice($name, self::CHOICES[$name], $choice);
            }
            $chosen[$name] = $choice;
        }

        return new self($chosen['beneath'], $chosen['darks']);
    }

    /** Whether a pencil may be used at all. */
    public function allows(Pencil $pencil): bool
    {
        return $this->darks !== 'never-black' || Family::of(Swatch::Heavy->colourOf($pencil))->base !== 'black';
    }

    /** Whether a pencil's colour lies opposite on the ring, within 35°, and is strong enough to neutralise anything. */
    public static function complements(Oklch $local, Oklch $pencil): bool
    {
        $apart = abs(fmod($local->hueDegrees - $pencil->hueDegrees + 540, 360) - 180);

        return $apart >= 145 && $pencil->chroma >= 0.04;
    }
}
