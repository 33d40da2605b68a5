<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\ImpossibleChange;

/** What someone has said about the shades of a zone's value run: what they call them, and which it does without. */
final readonly class RunNote
{
    private const LONGEST_NAME = 40;

    /** @var array<string, string> by shade */
    public array $names;

    /**
     * @param  array<string, string>  $names  by shade of the value run
     * @param  list<ShadeName>  $dropped  of light and dark: the mid stays, as a zone asks for a colour at least
     *
     * @throws ImpossibleChange
     */
    public function __construct(array $names = [], public array $dropped = [])
    {
        $kept = [];
        foreach ($names as $shade => $name) {
            $kept[self::ofRun($shade)->value] = mb_substr(trim($name), 0, self::LONGEST_NAME);
        }
        $this->names = array_filter(
            $kept,
            static fn (string $name, string $shade): bool => $name !== '' && $name !== $shade,
            ARRAY_FILTER_USE_BOTH,
        );
        foreach ($dropped as $shade) {
            if (self::ofRun($shade->value) === ShadeName::Mid) {
                throw ImpossibleChange::because(
                    'A zone needs its mid; move it, or merge the zone with another.',
                );
            }
        }
    }

    /** An empty name is none: the shade is called by its place again. */
    public function named(ShadeName $shade, string $name): self
    {
        return new self([...$this->names, $shade->value => $name], $this->dropped);
    }

    public function without(ShadeName $shade): self
    {
        return new self($this->names, in_array($shade, $this->dropped, true) ? $this->dropped : [...$this->dropped, $shade]);
    }

    public function with(ShadeName $shade): self
    {
        return new self($this->names, array_values(array_filter($this->dropped, static fn (ShadeName $r): bool => $r !== $shade)));
    }

    public function lacks(ShadeName $shade): bool
    {
        return in_array($shade, $this->dropped, true);
    }

    public function isPlain(): bool
    {
        return $this->names === [] && $this->dropped === [];
    }

    /** @return array{names: array<string, string>, dropped: list<string>} */
    public function toArray(): array
    {
        return ['names' => $this->names, 'dropped' => array_map(static fn (ShadeName $r): string => $r->value, $this->dropped)];
    }

    /** @param  array{names: array<string, string>, dropped: list<string>}  $data */
    public static function ofArray(array $data): self
    {
        return new self($data['names'], array_map(self::ofRun(...), $data['dropped']));
    }

    private static function ofRun(string $shade): ShadeName
    {
        $found = ShadeName::tryFrom($shade);
        if ($found === null || ! $found->isOfValueRun()) {
            throw ImpossibleChange::because(sprintf('"%s" is no shade of a value run; name light, mid or dark.', $shade));
        }

        return $found;
    }
}
