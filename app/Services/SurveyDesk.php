<?php

declare(strict_types=1);

namespace App\Services;

use App\Models\Study;
use App\Models\SurveyVersion;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Photo\Survey\Survey;

/** A study's survey and its history: every change is a version, undo and redo move between them. */
final class SurveyDesk
{
    /** Older versions are forgotten: that many changes can be taken back. */
    private const KEPT = 200;

    public function current(Study $study): Survey
    {
        return $this->version($study, $study->survey_number)?->survey() ?? new Survey;
    }

    /** Names the survey's content: a number of the history may be given anew after undo, this never is. */
    public function stamp(Study $study): int
    {
        return $this->version($study, $study->survey_number)->id ?? 0;
    }

    /**
     * Makes a change, unless it was made before: a page that got no answer may send it again.
     *
     * @param  string  $key  the change's own
     * @param  \Closure(Survey): array{Survey, string}  $change  the new survey, and in words what was done
     */
    public function change(Study $study, string $key, \Closure $change): void
    {
        DB::transaction(function () use ($study, $key, $change): void {
            $locked = Study::query()->lockForUpdate()->findOrFail($study->id);
            if (SurveyVersion::query()->where('study_id', $study->id)->where('change_key', $key)->exists()) {
                return;
            }
            [$survey, $words] = $change($this->current($locked));
            $number = $locked->survey_number + 1;
            // What had been undone is gone once something else is done.
            $locked->surveyVersions()->where('number', '>=', $number)->orWhere(static fn ($q) => $q->where('study_id', $locked->id)->where('number', '<', $number - self::KEPT))->delete();
            $locked->surveyVersions()->create(['number' => $number, 'words' => mb_substr($words, 0, 160), 'change_key' => $key, 'document' => json_encode($survey->toArray(), JSON_THROW_ON_ERROR)]);
            $locked->survey_number = $number;
            $locked->save();
        });
        $study->refresh();
    }

    /** @param  -1|1  $by */
    public function move(Study $study, int $by): void
    {
        DB::transaction(static function () use ($study, $by): void {
            $locked = Study::query()->lockForUpdate()->findOrFail($study->id);
            $to = $locked->survey_number + $by;
            if ($to === 0 || $locked->surveyVersions()->where('number', $to)->exists()) {
                $locked->survey_number = max(0, $to);
                $locked->save();
            }
        });
        $study->refresh();
    }

    /** @return array{undo: ?string, redo: ?string} what would be taken back, and what done again */
    public function history(Study $study): array
    {
        $here = $study->survey_number;
        $undoable = $here > 0 && ($here === 1 || $this->version($study, $here - 1) !== null);

        return ['undo' => $undoable ? $this->version($study, $here)?->words : null, 'redo' => $this->version($study, $here + 1)?->words];
    }

    private function version(Study $study, int $number): ?SurveyVersion
    {
        return $number === 0 ? null : SurveyVersion::query()->where('study_id', $study->id)->where('number', $number)->first();
    }
}
