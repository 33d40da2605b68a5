<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Decisions;

/**
 * All that an artist decided about the plan of a picture. What the planner finds follows from it, and is not part of it. Every change
 * returns a new sheet.
 */
final readonly class PlanSheet
{
    /**
     * @param  array<string, array<string, string>>  $overruled warnings that the artist overrules: by "zone/shade", then the note by the
     *   warning's code
     * @param  array<int, SequenceNote>  $sequences  the artist's own, by zone
     */
    public function __construct(
        public PlanSettings $settings = new PlanSettings(),
        public array $overruled = [],
        public array $sequences = [],
    ) {
    }

    /** @return array<string, string> the notes with which warnings of a shade are overruled, by code */
    public function overruled(int $zone, string $shade): array
    {
        return $this->overruled["$zone/$shade"] ?? [];
    }

    /** @param  ?string  $note  null to heed the warning again */
    public function overruling(int $zone, string $shade, string $code, ?string $note): self
    {
        $notes = array_diff_key($this->overruled($zone, $shade), [$code => true]);
        $overruled = array_diff_key($this->overruled, ["$zone/$shade" => true]);
        $notes += $note === null ? [] : [$code => $note];

        return new self($this->settings, $notes === [] ? $overruled : [...$overruled, "$zone/$shade" => $notes], $this->sequences);
    }

    /** A zone's own sequence, or the planner's again. */
    public function withSequence(int $zone, ?SequenceNote $sequence): self
    {
        $sequences = $this->sequences;
        unset($sequences[$zone]);

        return new self(
            $this->settings,
            $this->overruled,
            $sequence === null ? $sequences : array_replace($sequences, [$zone => $sequence]),
        );
    }

    public function withSettings(PlanSettings $settings): self
    {
        return new self($settings, $this->overruled, $this->sequences);
    }

    /** @return array<string, mixed> for JSON */
    public function toArray(): array
    {
        return [
            'settings' => $this->settings->toArray(),
            'overruled' => (object) array_map(static fn (array $notes): object => (object) $notes, $this->overruled),
            'sequences' => (object) array_map(static fn (SequenceNote $s): array => $s->toArray(), $this->sequences),
        ];
    }

    /**
     * @param array{settings: array{methods: array<int, list<string>>, mode: string, pencils: ?int, keep: list<string>,
     *   without: list<string>, hues: array<int, string>, strokes?: array<int, int>}, overruled: array<string, array<string, string>>,
     *   sequences: array<int, list<array{tool: string, pressures: array<string, string>}>>} $data
     */
    public static function ofArray(array $data): self
    {
        return new self(
            PlanSettings::ofArray($data['settings']),
            $data['overruled'],
            array_map(SequenceNote::ofArray(...), $data['sequences']),
        );
    }
}
