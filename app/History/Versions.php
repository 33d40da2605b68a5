<?php

declare(strict_types=1);

namespace App\History;

use App\Models\PlanVersion;
use App\Models\Study;
use App\Models\SurveyVersion;
use App\Quota\Room;
use Illuminate\Support\Facades\DB;

/**
 * The history of something that a study has: every change is a version, undo and redo move between them.
 *
 * @template V of SurveyVersion|PlanVersion
 */
final class Versions
{
    /** Older versions are forgotten: that many changes can be taken back. */
    private const KEPT = 200;

    /** Bytes of one whose room is asked for. */
    private const LARGE = 50_000;

    /**
     * @param  class-string<V>  $model
     * @param  'survey_number'|'plan_number'  $column  of the study: the version that is shown
     */
    public function __construct(private readonly string $model, private readonly string $column)
    {
    }

    /** @return V|null */
    public function current(Study $study): SurveyVersion|PlanVersion|null
    {
        return $this->version($study, $study->{$this->column});
    }

    /**
     * Makes a change.
     *
     * @param  \Closure(Study): array{array<string, mixed>, string}  $change  the new document, and in words what was done
     * @return int the version that it made, by its id
     */
    public function change(Study $study, \Closure $change): int
    {
        $made = DB::transaction(function () use ($study, $change): int {
            $locked = Study::query()->lockForUpdate()->findOrFail($study->id);
            [$document, $words] = $change($locked);
            $text = json_encode($document, JSON_THROW_ON_ERROR);
            if (strlen($text) > self::LARGE) {
                // Two hundred of them are many megabytes.
                app(Room::class)->keepFor($locked->user()->firstOrFail(), strlen($text));
            }
            $number = $locked->{$this->column} + 1;
            // What had been undone is gone once something else is done.
            $this->model::query()
                ->where('study_id', $study->id)
                ->where(static fn ($q) => $q->where('number', '>=', $number)->orWhere('number', '<', $number - self::KEPT))
                ->delete();
            $version = $this->model::query()
                ->create(['study_id' => $study->id, 'number' => $number, 'words' => mb_substr($words, 0, 160), 'document' => $text]);
            $locked->{$this->column} = $number;
            $locked->save();

            return $version->id;
        });
        $study->refresh();

        return $made;
    }

    /**
     * Shows another version; one that is not there is not gone to.
     *
     * @return int the version that is shown then, by its id; 0 before the first
     */
    public function go(Study $study, int $to): int
    {
        return $this->shown($study, static fn (): int => $to);
    }

    /**
     * @param  -1|1  $by
     * @param  ?int  $of  id of the version that was shown where this was asked for; 0 before the first, null when it is not known
     * @return int the version that is shown then, by its id
     *
     * @throws ChangedElsewhere when another is shown by now
     */
    public function move(Study $study, int $by, ?int $of = null): int
    {
        return $this->shown($study, function (Study $locked) use ($by, $of): int {
            $here = $this->current($locked);
            ChangedElsewhere::check($of, $here->id ?? 0, $here?->words);

            return $locked->{$this->column} + $by;
        });
    }

    /** @return array{undo: ?string, redo: ?string} what would be taken back, and what done again */
    public function history(Study $study): array
    {
        $here = $study->{$this->column};
        $undoable = $here > 0 && ($here === 1 || $this->version($study, $here - 1) !== null);

        return ['undo' => $undoable ? $this->version($study, $here)?->words : null, 'redo' => $this->version($study, $here + 1)?->words];
    }

    /** @return array<string, mixed>|null the version that is shown, as it is kept */
    public function kept(Study $study): ?array
    {
        $document = json_decode($this->current($study)->document ?? 'null', true);

        return is_array($document) ? $document : null;
    }

    /** @param  \Closure(Study): int  $to  number of the version to show, found while nobody else can move */
    private function shown(Study $study, \Closure $to): int
    {
        $shown = DB::transaction(function () use ($study, $to): int {
            $locked = Study::query()->lockForUpdate()->findOrFail($study->id);
            $number = $to($locked);
            if ($number === 0 || $this->version($locked, $number) !== null) {
                $locked->{$this->column} = $number;
                $locked->save();
            }

            return $this->current($locked)->id ?? 0;
        });
        $study->refresh();

        return $shown;
    }

    /** @return V|null */
    public function version(Study $study, int $number): SurveyVersion|PlanVersion|null
    {
        return $number <= 0 ? null : $this->model::query()->where('study_id', $study->id)->where('number', $number)->first();
    }
}
