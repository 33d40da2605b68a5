<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\DeskMarkRow;
use App\Models\Study;
use KnottyPrism\Core\Desk\Progress\MarkKind;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

/** The desk of a study as its file has it: how one works, and every mark that was not taken back. */
final class DeskFile
{
    private const MARK = ['kind', 'zone', 'pass', 'rest', 'plan', 'minutes', 'made_at', 'film', 'zone_name', 'note', 'continues'];

    public function __construct(private readonly DeskKeeper $keeper)
    {
    }

    /** @return array{habits: object, marks: list<array<string, mixed>>} */
    public function of(Study $study): array
    {
        return [
            'habits' => (object) ($study->desk ?? []),
            'marks' => array_map(
                static fn (DeskMarkRow $r): array => [
                    ...$r->only(self::MARK),
                    'kind' => $r->kind->value,
                    'pass' => $r->mark()->pass->toArray(),
                    'rest' => $r->mark()->rest?->toArray(),
                ],
                $this->keeper->marks($study),
            ),
        ];
    }

    /** @return list<string> identifiers of the pencils that were laid */
    public function pencils(Study $study): array
    {
        $tools = array_map(static fn (DeskMarkRow $r): string => $r->pass['tool'], $this->keeper->marks($study));

        return array_values(array_unique(array_filter($tools, static fn (string $tool): bool => Finish::tryFrom($tool) === null)));
    }

    /**
     * @param array{
     *   habits: array<string, int|string|bool>,
     *   marks: list<array{
     *     kind: string, zone: int, pass: array{tool: string, marks: array<string, string>},
     *     rest: list<array{tool: string, marks: array<string, string>}>|null, plan: string, minutes: int|float, made_at: int,
     *     film?: int|float|null, zone_name?: string, note?: ?string, continues?: bool
     *   }>
     * } $desk
     */
    public function putIn(Study $study, array $desk): void
    {
        $study->update(['desk' => $desk['habits']]);
        // Habits beyond reason are refused here, not whenever the desk is opened.
        $this->keeper->habits($study);
        foreach ($desk['marks'] as $mark) {
            DeskMarkRow::query()->create([
                ...array_intersect_key($mark, array_flip(self::MARK)),
                'study_id' => $study->id,
                'kind' => MarkKind::from($mark['kind']),
                'pass' => PassNote::ofArray($mark['pass'])->toArray(),
                'rest' => $mark['rest'] === null ? null : SequenceNote::ofArray($mark['rest'])->toArray(),
            ]);
        }
    }
}
