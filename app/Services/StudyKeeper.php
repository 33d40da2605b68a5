<?php

declare(strict_types=1);

namespace App\Services;

use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoIntake;
use App\Photos\PhotoStore;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Error\ImpossibleChange;

/** Studies and the photos in them. */
final class StudyKeeper
{
    private const MOST_PHOTOS = 12;

    public function __construct(private readonly PhotoIntake $intake, private readonly PhotoStore $store)
    {
    }

    /** A new study around one photo; the drawing is taken to lie as the photo does. */
    public function begin(User $user, string $name, string $path, string $fileName): Study
    {
        $columns = $this->take($path, $fileName, Photo::ROLES[0]);

        return DB::transaction(function () use ($user, $name, $columns): Study {
            $study = $user->studies()->create(['name' => $name, 'paper' => 'white medium', ...$columns['width'] >= $columns['height'] ? [] : ['drawing_width_mm' => 210, 'drawing_height_mm' => 297]]);
            $photo = $study->photos()->create($columns);
            $study->colourPhoto()->associate($photo)->save();

            return $study;
        });
    }

    public function addPhoto(Study $study, string $path, string $fileName): Photo
    {
        if ($study->photos()->count() >= self::MOST_PHOTOS) {
            throw ImpossibleChange::because(sprintf('A study holds up to %d photos; remove one first.', self::MOST_PHOTOS));
        }

        return $study->photos()->create($this->take($path, $fileName, 'detail'));
    }

    public function removePhoto(Study $study, Photo $photo): void
    {
        if ($study->colour_photo_id === $photo->id) {
            throw ImpossibleChange::because('The colours follow this photo; let them follow another one first.');
        }
        $photo->delete();
        $this->store->forget($photo);
    }

    /** @return array{storage_key: string, name: string, width: int, height: int, roles: list<string>} */
    private function take(string $path, string $fileName, string $role): array
    {
        $copy = $this->intake->take($path);

        return ['storage_key' => $this->store->keep($path, $copy), 'name' => mb_substr($fileName, 0, 200), 'width' => $copy->width, 'height' => $copy->height, 'roles' => [$role]];
    }
}
