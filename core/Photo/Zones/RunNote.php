<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\ImpossibleChange;

/** What someone has said about the shades of a zone's value run: what they call them, and which it does without. */
final readonly class RunNote
{
    private const LONGEST_NAME = 40;

    /** @var array<string, string> by role */
    public array $names;

    /**
     * @param  array<string, string>  $names  by role of the value run
     * @param  list<Role>  $dropped  of light and dark: the mid stays, as a zone asks for a colour at least
     *
     * @throws ImpossibleChange
     */
    public function __construct(array $names = [], public array $dropped = [])
    {
        $kept = [];
        foreach ($names as $role => $name) {
            $kept[self::ofRun($role)->value] = mb_substr(trim($name), 0, self::LONGEST_NAME);
        }
        $this->names = array_filter(
            $kept,
            static fn (string $name, string $role): bool => $name !== '' && $name !== $role,
            ARRAY_FILTER_USE_BOTH,
        );
        foreach ($dropped as $role) {
            if (self::ofRun($role->value) === Role::Mid) {
                throw ImpossibleChange::because(
                    'The mid stays, as a zone asks for one colour at least; move it, or merge the zone with another.',
                );
            }
        }
    }

    /** An empty name is none: the shade is called by its place again. */
    public function named(Role $role, string $name): self
    {
        return new self([...$this->names, $role->value => $name], $this->dropped);
    }

    public function without(Role $role): self
    {
        return new self($this->names, in_array($role, $this->dropped, true) ? $this->dropped : [...$this->dropped, $role]);
    }

    public function with(Role $role): self
    {
        return new self($this->names, array_values(array_filter($this->dropped, static fn (Role $r): bool => $r !== $role)));
    }

    public function lacks(Role $role): bool
    {
        return in_array($role, $this->dropped, true);
    }

    public function isPlain(): bool
    {
        return $this->names === [] && $this->dropped === [];
    }

    /** @return array{names: array<string, string>, dropped: list<string>} */
    public function toArray(): array
    {
        return ['names' => $this->names, 'dropped' => array_map(static fn (Role $r): string => $r->value, $this->dropped)];
    }

    /** @param  array{names: array<string, string>, dropped: list<string>}  $data */
    public static function ofArray(array $data): self
    {
        return new self($data['names'], array_map(self::ofRun(...), $data['dropped']));
    }

    private static function ofRun(string $role): Role
    {
        $found = Role::tryFrom($role);
        if ($found === null || ! $found->isOfValueRun()) {
            throw ImpossibleChange::because(sprintf('"%s" is no shade of a value run; name light, mid or dark.', $role));
        }

        return $found;
    }
}
