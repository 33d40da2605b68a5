<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Photo\Notes\Survey;

/**
 * A study's survey as it was after one change.
 *
 * @property int $id
 * @property int $study_id
 * @property int $number
 * @property string $words what the change was
 * @property string $document JSON
 */
final class SurveyVersion extends Model
{
    protected $fillable = ['study_id', 'number', 'words', 'document'];

    public function survey(): Survey
    {
        return Survey::ofArray(json_decode($this->document, true, flags: JSON_THROW_ON_ERROR));
    }
}
