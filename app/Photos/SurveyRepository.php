<?php

declare(strict_types=1);

namespace App\Photos;

use App\History\Versions;
use App\Models\Study;
use App\Models\SurveyVersion;
use KnottyPrism\Core\Photo\Notes\Survey;

/** A study's survey and its history. */
final class SurveyRepository
{
    /** @var Versions<SurveyVersion> */
    private readonly Versions $versions;

    public function __construct()
    {
        $this->versions = new Versions(SurveyVersion::class, 'survey_number');
    }

    public function current(Study $study): Survey
    {
        return $this->versions->current($study)?->survey() ?? new Survey;
    }

    /** @return array<string, mixed> the survey as it is kept, whether it can be read or not */
    public function kept(Study $study): array
    {
        return $this->versions->kept($study) ?? (new Survey)->toArray();
    }

    /** Names the survey's content: a number of the history may be given again after undo, this never is. */
    public function stamp(Study $study): int
    {
        return $this->versions->current($study)->id ?? 0;
    }

    /**
     * Makes a change.
     *
     * @param  \Closure(Survey): array{Survey, string}  $change  the new survey, and in words what was done
     * @return int the version that it made, by its id
     */
    public function change(Study $study, \Closure $change): int
    {
        return $this->versions->change($study, function (Study $locked) use ($change): array {
            [$survey, $words] = $change($this->current($locked));

            return [$survey->toArray(), $words];
        });
    }

    /**
     * @param  -1|1  $by
     * @param  ?int  $of  the stamp of the survey that was shown where this was asked for
     * @return int the stamp of the one that is shown then
     */
    public function move(Study $study, int $by, ?int $of = null): int
    {
        return $this->versions->move($study, $by, $of);
    }

    /** @return array{undo: ?string, redo: ?string} what would be taken back, and what done again */
    public function history(Study $study): array
    {
        return $this->versions->history($study);
    }
}
