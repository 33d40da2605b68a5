<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

use KnottyPrism\Core\Photo\Zones\Role;

/** All that an artist decided about the plan of a picture. What the planner finds follows from it, and is not part of it. Every change returns a new sheet. */
final readonly class PlanSheet
{
    /**
     * @param  array<string, TargetNote>  $notes  by "zone/role"
     * @param  array<int, SequenceNote>  $sequences  the artist's own, by zone
     */
    public function __construct(public PlanSettings $settings = new PlanSettings, public array $notes = [], public array $sequences = [])
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

        return new self($this->settings, $note->isEmpty() ? $notes : [...$notes, self::key($zone, $role) => $note], $this->sequences);
    }

    /** A zone's own sequence, or the planner's again. It takes the place of single stacks that were held in the zone. */
    public function withSequence(int $zone, ?SequenceNote $sequence): self
    {
        $sequences = $this->sequences;
        unset($sequences[$zone]);
        $sheet = new self($this->settings, $this->notes, $sequence === null ? $sequences : array_replace($sequences, [$zone => $sequence]));
        foreach (Role::cases() as $role) {
            $sheet = $sheet->withNote($zone, $role, $sheet->note($zone, $role)->withStack(null));
        }

        return $sheet;
    }

    public function withSettings(PlanSettings $settings): self
    {
        return new self($settings, $this->notes, $this->sequences);
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return ['settings' => $this->settings->toArray(), 'notes' => (object) array_map(static fn (TargetNote $n): array => ['stack' => $n->stack, 'overruled' => (object) $n->overruled], $this->notes), 'sequences' => (object) array_map(static fn (SequenceNote $s): array => $s->toArray(), $this->sequences)];
    }

    /** @param  array{settings: array{schools: array<int, list<string>>, mode: string, pencils: ?int, keep: list<string>, without: list<string>, hues: array<int, string>, strokes?: array<int, int>}, notes: array<string, array{stack: ?string, overruled: array<string, string>}>, sequences?: array<int, list<array{tool: string, marks: array<string, string>}>>}  $data */
    public static function ofArray(array $data): self
    {
        return new self(PlanSettings::ofArray($data['settings']), array_map(static fn (array $n): TargetNote => new TargetNote($n['stack'], $n['overruled']), $data['notes']), array_map(SequenceNote::ofArray(...), $data['sequences'] ?? []));
    }
}
