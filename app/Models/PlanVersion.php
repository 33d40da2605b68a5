<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;

/**
 * What the artist had decided about the plan of the picture after one change.
 *
 * @property int $id
 * @property int $study_id
 * @property int $number
 * @property string $words what the change was
 * @property ?string $name given by the artist, to find it again
 * @property string $document JSON
 */
final class PlanVersion extends Model
{
    protected $fillable = ['study_id', 'number', 'words', 'name', 'document'];

    public function sheet(): PlanSheet
    {
        return PlanSheet::ofArray(json_decode($this->document, true, flags: JSON_THROW_ON_ERROR));
    }
}
