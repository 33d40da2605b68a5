<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Reversal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Undo for what is kept in rows of its own, the drawer and the recipes kept for spots: every change notes how the rows were that it
 * touched, and which it made; the latest is taken back first. To be used within a transaction that lets nobody else change the same rows.
 *
 * What is one document, a survey or a plan, keeps its versions instead: see {@see Versions}.
 */
final class Reversals
{
    /** Changes that are kept to be taken back. */
    private const KEPT = 50;

    /** Rows written at a time. */
    private const CHUNK = 250;

    /** Columns that follow from others are not written. */
    private const DERIVED = ['pencils' => ['owned' => true]];

    /** @param  ?int  $studyId  whose kept recipes; null for the drawer */
    public function __construct(private readonly int $userId, private readonly ?int $studyId = null)
    {
    }

    /**
     * @param  array<string, list<array<string, mixed>>>  $rows  by table, as they were
     * @param  array<string, list<int>>  $created  by table, the ids of those that were made
     */
    public function note(string $words, array $rows, array $created = []): int
    {
        $before = gzcompress(json_encode(['rows' => $rows, 'created' => $created], JSON_THROW_ON_ERROR));
        $noted = Reversal::query()->create([
            'user_id' => $this->userId,
            'study_id' => $this->studyId,
            'words' => mb_substr($words, 0, 200),
            'before' => $before,
        ]);
        $old = $this->query()->skip(self::KEPT)->take(self::CHUNK)->pluck('id');
        Reversal::query()->whereIn('id', $old)->delete();

        return $noted->id;
    }

    /** What would be taken back next; without what it was before, which may be large. */
    public function latest(): ?Reversal
    {
        return $this->query()->first(['id', 'words']);
    }

    /**
     * Takes back the latest change and says what it was, or null when there is none.
     *
     * @param  ?int  $of  the change that was the latest where this was asked for, 0 where there was none
     *
     * @throws ChangedElsewhere when it is another by now
     */
    public function undo(?int $of): ?string
    {
        $latest = $this->query()->first();
        ChangedElsewhere::check($of, $latest->id ?? 0, $latest?->words);
        if ($latest === null) {
            return null;
        }
        /** @var array{rows: array<string, list<array<string, mixed>>>, created: array<string, list<int>>} $before */
        $before = json_decode((string) gzuncompress($latest->before), true, 512, JSON_THROW_ON_ERROR);
        foreach ($before['created'] as $table => $created) {
            foreach (array_chunk($created, self::CHUNK) as $ids) {
                DB::table($table)->whereIn('id', $ids)->delete();
            }
        }
        foreach ($before['rows'] as $table => $rows) {
            foreach (
                array_chunk(
                    array_map(static fn (array $row): array => array_diff_key($row, self::DERIVED[$table] ?? []), $rows),
                    self::CHUNK,
                ) as $some
            ) {
                DB::table($table)->upsert($some, ['id']);
            }
        }
        $latest->delete();

        return $latest->words;
    }

    /** @return Builder<Reversal> the latest first */
    private function query(): Builder
    {
        return Reversal::query()->where('user_id', $this->userId)->where('study_id', $this->studyId)->orderByDesc('id');
    }
}
