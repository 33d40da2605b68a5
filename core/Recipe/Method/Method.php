<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Kinds\Found;
use KnottyPrism\Core\Medium\Finishes\Finish;

/**
 * A method, as practitioners differ in it. It says what is wanted; the rules of the search say what that means for one target and
 * one drawer. The first choice of each setting leaves the search free.
 */
final readonly class Method
{
    /** @param  array<string, Setting>  $chosen  by name */
    private function __construct(private array $chosen)
    {
    }

    /**
     * @template S of Setting
     *
     * @param  class-string<S>  $setting
     * @return S what is chosen of it
     */
    public function of(string $setting): Setting
    {
        /** @var S */
        return $this->chosen[$setting::name()];
    }

    /** @return array<string, class-string<Setting>> by name, in their order */
    public static function kinds(): array
    {
        static $kinds = null;
        if ($kinds === null) {
            $found = Found::enums(Setting::class, __DIR__);
            usort($found, static fn (string $a, string $b): int => $a::place() <=> $b::place());
            $kinds = array_combine(array_map(static fn (string $setting): string => $setting::name(), $found), $found);
        }

        return $kinds;
    }

    /** @return array<string, list<string>> what may be chosen, by setting; the first choice leaves the search free */
    public static function choices(): array
    {
        return array_map(
            static fn (string $setting): array => array_map(static fn (Setting $s): string => (string) $s->value, $setting::cases()),
            self::kinds(),
        );
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
        $choices = self::choices();
        $chosen = array_map(static fn (array $names): string => $names[0], $choices);
        foreach ($settings as $setting) {
            [$name, $choice] = array_map(trim(...), explode('=', $setting, 2)) + [1 => ''];
            if (! isset($choices[$name])) {
                throw UnreadableText::choice(
                    'a method setting',
                    array_map(static fn (string $k): string => $k.'=…', array_keys($choices)),
                    $setting,
                );
            }
            if (! in_array($choice, $choices[$name], true)) {
                throw UnreadableText::choice($name, $choices[$name], $choice);
            }
            $chosen[$name] = $choice;
        }

        return new self(
            array_combine(
                array_keys($choices),
                array_map(static fn (string $setting, string $choice): Setting => $setting::from($choice), self::kinds(), $chosen),
            ),
        );
    }

    /** @return list<string> the settings that differ from free, as {@see self::ofSettings()} reads them */
    public function settings(): array
    {
        $settings = [];
        foreach ($this->chosen as $name => $choice) {
            if ($choice !== $choice::cases()[0]) {
                $settings[] = "$name=$choice->value";
            }
        }

        return $settings;
    }

    /** What every recipe ends with, whatever its colour; lights may end otherwise, as the rules of the search say. */
    public function finish(): ?Finish
    {
        return Finish::tryFrom($this->of(Joining::class)->value);
    }

    /** The firmest pressure allowed, 0–1. */
    public function mostPressure(): float
    {
        return $this->of(Joining::class) === Joining::LightCoats ? 0.55 : 1.0;
    }

    /** How much grain counts, of what it does for the surface of a thing: who draws in light coats alone wants the paper to show. */
    public function grainCounts(): float
    {
        return $this->of(Joining::class) === Joining::LightCoats ? 0.2 : 1.0;
    }

    /** How many pencils a whole picture may use; null for the whole drawer. */
    public function mostPencils(): ?int
    {
        return $this->of(PaletteLimit::class)->most();
    }
}
