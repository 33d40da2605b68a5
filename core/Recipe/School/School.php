<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\School;

use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Finishes\Finish;

/**
 * A way of working, as practitioners differ in it. It says what is wanted; the rules of the search say what that means for one target and
 * one drawer. The first choice of each setting leaves the search free.
 */
final readonly class School
{
    public const CHOICES = [
        'values' => ['free', 'light-to-dark', 'dark-to-light', 'form-first'],
        'beneath' => ['any', 'nothing', 'complement', 'split-complement', 'dark-cool', 'neutral-grey'],
        'darks' => ['black-allowed', 'black-last', 'never-black'],
        'lights' => ['free', 'reserve-paper', 'pale-first', 'white-last', 'lift'],
        'neutralising' => ['computed', 'traditional'],
        'joining' => ['free', 'light-coats', 'solvent', 'blender', 'light-pencil', 'tissue'],
        'palette' => ['whole', 'at-most-3', 'at-most-6', 'at-most-9', 'at-most-12', 'exactly-three'],
    ];

    private function __construct(
        public string $values,
        public string $beneath,
        public string $darks,
        public string $lights,
        public string $neutralising,
        public string $joining,
        public string $palette,
    ) {
    }

    public static function free(): self
    {
        return self::ofSettings([]);
    }

    /**
     * @param  list<string>  $settings  like "darks=never-black"
     *
     * @throws UnreadableText for an unknown name or choice
     */
    public static function ofSettings(array $settings): self
    {
        $chosen = array_map(static fn (array $choices): string => $choices[0], self::CHOICES);
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

        return new self(...$chosen);
    }

    /** @return list<string> the settings that differ from free, as {@see self::ofSettings()} reads them */
    public function settings(): array
    {
        $settings = [];
        foreach (self::CHOICES as $name => $choices) {
            if ($this->{$name} !== $choices[0]) {
                $settings[] = $name.'='.$this->{$name};
            }
        }

        return $settings;
    }

    /** What every recipe ends with, whatever its colour; lights may end otherwise, as the rules of the search say. */
    public function finish(): ?Finish
    {
        return match ($this->joining) {
            'solvent' => Finish::Solvent,
            'blender' => Finish::Blender,
            'tissue' => Finish::Tissue,
            default => null,
        };
    }

    /** The firmest pressure allowed, 0–1. */
    public function mostPressure(): float
    {
        return $this->joining === 'light-coats' ? 0.55 : 1.0;
    }

    /** How many pencils a whole picture may use; null for the whole drawer. */
    public function mostPencils(): ?int
    {
        return match (true) {
            $this->palette === 'exactly-three' => 3,
            str_starts_with($this->palette, 'at-most-') => (int) substr($this->palette, 8),
            default => null,
        };
    }
}
