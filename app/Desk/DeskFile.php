<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\Study;
use App\Models\TickRow;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/** The desk of a study as its file has it: how one works, and every tick that was not taken back. */
final class DeskFile
{
    private const TICK = ['kind', 'zone', 'pass', 'rest', 'plan', 'minutes', 'made_at', 'film', 'zone_name', 'note', 'continues'];

    public function __construct(private readonly DeskKeeper $keeper)
    {
    }

    /** @return array{habits: object, ticks: list<array<string, mixed>>} */
    public function of(Study $study): array
    {
        return [
            'habits' => (object) ($study->desk ?? []),
            'ticks' => array_map(
                static fn (TickRow $r): array => [
                    ...$r->only(self::TICK),
                    'kind' => $r->kind->value,
                    'pass' => $r->tick()->pass->toArray(),
                    'rest' => $r->tick()->rest?->toArray(),
                ],
                $this->keeper->ticks($study),
            ),
        ];
    }

    /** @return list<string> identifiers of the pencils that were laid */
    public function pencils(Study $study): array
    {
        $tools = array_map(static fn (TickRow $r): string => $r->pass['tool'], $this->keeper->ticks($study));

        return array_values(array_unique(array_filter($tools, static fn (string $tool): bool => Finish::tryFrom($tool) === null)));
    }

    /**
     * @param array{
     *   habits: array<string, int|string|bool>,
     *   ticks: list<array{
     *     kind: string, zone: int, pass: array{tool: string, pressures: array<string, string>},
     *     rest: list<array{tool: string, pressures: array<string, string>}>|null, plan: string, minutes: int|float, made_at: int,
     *     film?: int|float|null, zone_name?: string, note?: ?string, continues?: bool
     *   }>
     * } $desk
     */
    public function putIn(Study $study, array $desk): void
    {
        $study->update(['desk' => $desk['habits']]);
        // Habits beyond reason are refused here, not whenever the desk is opened.
        $this->keeper->habits($study);
        foreach ($desk['ticks'] as $tick) {
            TickRow::query()->create([
                ...array_intersect_key($tick, array_flip(self::TICK)),
                'study_id' => $study->id,
                'kind' => TickKind::from($tick['kind']),
                'pass' => PassNote::ofArray($tick['pass'])->toArray(),
                'rest' => $tick['rest'] === null ? null : SequenceNote::ofArray($tick['rest'])->toArray(),
            ]);
        }
    }
}
