<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Photo\Zones\Role;

/** All that an artist decided about the plan of a picture. What the planner finds follows from it, and is not part of it. Every change returns a new sheet. */
final readonly class PlanSheet
{
    /** @param  array<string, TargetNote>  $notes  by "zone/role" */
    public function __construct(public PlanSettings $settings = new PlanSettings, public array $notes = [])
    {
    }

    public static function key(int $zone, Role $role): string
    {
        return "$zone/$role->value";
    }

    public function note(int $zone, Role $role): TargetNote
    {
        return $this->notes[self::key($zone, $role)] ?? new TargetNote;
    }

    public function withNote(int $zone, Role $role, TargetNote $note): self
    {
        $notes = $this->notes;
        unset($notes[self::key($zone, $role)]);

        return new self($this->settings, $note->isEmpty() ? $notes : [...$notes, self::key($zone, $role) => $note]);
    }

    public function withSettings(PlanSettings $settings): self
    {
        return new self($settings, $this->notes);
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return ['settings' => $this->settings->toArray(), 'notes' => (object) array_map(static fn (TargetNote $n): array => ['stack' => $n->stack, 'overruled' => (object) $n->overruled], $this->notes)];
    }

    /** @param  array{settings: array{schools: array<int, list<string>>, mode: string, pencils: ?int, keep: list<string>, without: list<string>, hues: array<int, string>}, notes: array<string, array{stack: ?string, overruled: array<string, string>}>}  $data */
    public static function ofArray(array $data): self
    {
        return new self(PlanSettings::ofArray($data['settings']), array_map(static fn (array $n): TargetNote => new TargetNote($n['stack'], $n['overruled']), $data['notes']));
    }
}
