<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Viewing\DrawingFrame;

/**
 * One picture being planned: its photos, its paper, what was found out about the photos, its plan.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $paper
 * @property ?int $colour_photo_id the photo that the colours follow
 * @property int $plan_number the version of the picture's plan that is shown; 0 before the first
 * @property ?string $first_method settings of the method that it began with; null for one that was brought in
 * @property int $survey_number the version of the survey that is shown; 0 before the first
 * @property float $drawing_width_mm
 * @property float $drawing_height_mm
 * @property float $grid_mm side of a square of the grid
 * @property float $cut_place where the photo is cut to the drawing's shape, 0–1
 * @property array<string, int|string|bool>|null $desk how its artist likes to work
 * @property ?string $origin what it is known again by when it is brought in a second time
 * @property ?Photo $colourPhoto
 * @property Collection<int, Photo> $photos in the order they came
 */
final class Study extends Model
{
    protected $fillable = [
        'name',
        'paper',
        'colour_photo_id',
        'drawing_width_mm',
        'drawing_height_mm',
        'grid_mm',
        'cut_place',
        'first_method',
        'desk',
        'origin',
    ];

    protected $attributes = [
        'survey_number' => 0,
        'plan_number' => 0,
        'drawing_width_mm' => 297,
        'drawing_height_mm' => 210,
        'grid_mm' => 30,
        'cut_place' => 0.5,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['desk' => 'array'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        $photos = $this->hasMany(Photo::class);
        $photos->orderBy('id');

        return $photos;
    }

    /** @return BelongsTo<Photo, $this> */
    public function colourPhoto(): BelongsTo
    {
        return $this->belongsTo(Photo::class, 'colour_photo_id');
    }

    /** Given when it is first asked for, and then its own for good. */
    public function origin(): string
    {
        if ($this->origin === null) {
            DB::table('studies')
                ->where('id', $this->id)
                ->whereNull('origin')
                ->update(['origin' => self::newOrigin()]);
            $this->refresh();
        }

        return (string) $this->origin;
    }

    public static function newOrigin(): string
    {
        return Str::random(40);
    }

    /** The photo that the colours follow; every study has one. */
    public function photo(): Photo
    {
        return $this->colourPhoto ?? throw new \LogicException("study $this->id has lost its photo");
    }

    public function frame(): DrawingFrame
    {
        return new DrawingFrame(
            $this->photo()->width / $this->photo()->height,
            $this->drawing_width_mm,
            $this->drawing_height_mm,
            $this->cut_place,
        );
    }

    /** @throws OutOfRange when the drawing, or its grid, is none that can be ruled */
    public function checkDrawing(): void
    {
        $this->frame()->grid($this->grid_mm);
    }

    /** @return HasMany<SurveyVersion, $this> */
    public function surveyVersions(): HasMany
    {
        return $this->hasMany(SurveyVersion::class);
    }

    /** @return HasMany<PlanVersion, $this> */
    public function planVersions(): HasMany
    {
        return $this->hasMany(PlanVersion::class);
    }

    /** @return HasMany<PlanRun, $this> */
    public function planRuns(): HasMany
    {
        return $this->hasMany(PlanRun::class);
    }

    /** @return HasMany<KeptRecipe, $this> */
    public function keptRecipes(): HasMany
    {
        return $this->hasMany(KeptRecipe::class);
    }
}
