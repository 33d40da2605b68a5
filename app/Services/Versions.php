<?php

declare(strict_types=1);

namespace App\Services;

use App\Models\PictureVersion;
use App\Models\Study;
use App\Models\SurveyVersion;
use Illuminate\Support\Facades\DB;

/**
 * The history of something that a study has: every change is a version, undo and redo move between them.
 *
 * @template V of SurveyVersion|PictureVersion
 */
final class Versions
{
    /** Older versions are forgotten: that many changes can be taken back. */
    private const KEPT = 200;

    /**
     * @param  class-string<V>  $model
     * @param  'survey_number'|'picture_number'  $column  of the study: the version that is shown
     */
    public function __construct(private readonly string $model, private readonly string $column)
    {
    }

    /** @return V|null */
    public function current(Study $study): SurveyVersion|PictureVersion|null
    {
        return $this->version($study, $study->{$this->column});
    }

    /**
     * Makes a change, unless it was made before: a page that got no answer may send it again.
     *
     * @param  string  $key  the change's own
     * @param  \Closure(Study): array{array<string, mixed>, string}  $change  the new document, and in words what was done
     */
    public function change(Study $study, string $key, \Closure $change): void
    {
        DB::transaction(function () use ($study, $key, $change): void {
            $locked = Study::query()->lockForUpdate()->findOrFail($study->id);
            if ($this->model::query()->where('study_id', $study->id)->where('change_key', $key)->exists()) {
                return;
            }
            [$document, $words] = $change($locked);
            $number = $locked->{$this->column} + 1;
            // What had been undone is gone once something else is done.
            $this->model::query()->where('study_id', $study->id)->where(static fn ($q) => $q->where('number', '>=', $number)->orWhere('number', '<', $number - self::KEPT))->delete();
            $this->model::query()->create(['study_id' => $study->id, 'number' => $number, 'words' => mb_substr($words, 0, 160), 'change_key' => $key, 'document' => json_encode($document, JSON_THROW_ON_ERROR)]);
            $locked->{$this->column} = $number;
            $locked->save();
        });
        $study->refresh();
    }

    /** Shows another version; one that is not there is not gone to. */
    public function go(Study $study, int $to): void
    {
        DB::transaction(function () use ($study, $to): void {
            $locked = Study::query()->lockForUpdate()->findOrFail($study->id);
            if ($to === 0 || $this->version($locked, $to) !== null) {
                $locked->{$this->column} = max(0, $to);
                $locked->save();
            }
        });
        $study->refresh();
    }

    /** @param  -1|1  $by */
    public function move(Study $study, int $by): void
    {
        $this->go($study, $study->{$this->column} + $by);
    }

    /** @return array{undo: ?string, redo: ?string} what would be taken back, and what done again */
    public function history(Study $study): array
    {
        $here = $study->{$this->column};
        $undoable = $here > 0 && ($here === 1 || $this->version($study, $here - 1) !== null);

        return ['undo' => $undoable ? $this->version($study, $here)?->words : null, 'redo' => $this->version($study, $here + 1)?->words];
    }

    /** @return V|null */
    public function version(Study $study, int $number): SurveyVersion|PictureVersion|null
    {
        return $number <= 0 ? null : $this->model::query()->where('study_id', $study->id)->where('number', $number)->first();
    }
}
