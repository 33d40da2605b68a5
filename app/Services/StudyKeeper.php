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
        return $this->kept($path, $fileName, Photo::ROLES[0], static fn (array $columns): Study => DB::transaction(static function () use ($user, $name, $columns): Study {
            $study = $user->studies()->create(['name' => $name, 'paper' => 'white medium', ...$columns['width'] >= $columns['height'] ? [] : ['drawing_width_mm' => 210, 'drawing_height_mm' => 297]]);
            $photo = $study->photos()->create($columns);
            $study->colourPhoto()->associate($photo)->save();

            return $study;
        }));
    }

    public function addPhoto(Study $study, string $path, string $fileName): Photo
    {
        if ($study->photos()->count() >= self::MOST_PHOTOS) {
            throw ImpossibleChange::because(sprintf('A study holds up to %d photos; remove one first.', self::MOST_PHOTOS));
        }

        return $this->kept($path, $fileName, 'detail', static fn (array $columns): Photo => $study->photos()->create($columns));
    }

    public function removePhoto(Study $study, Photo $photo): void
    {
        if ($study->colour_photo_id === $photo->id) {
            throw ImpossibleChange::because('The colours follow this photo; let them follow another one first.');
        }
        $photo->delete();
        $this->store->forget($photo->storage_key);
    }

    /**
     * Keeps a photo's files and then its row; files whose row can't be made go again.
     *
     * @template T
     *
     * @param  \Closure(array{storage_key: string, name: string, width: int, height: int, roles: list<string>}): T  $row
     * @return T
     */
    private function kept(string $path, string $fileName, string $role, \Closure $row): mixed
    {
        $copy = $this->intake->take($path);
        $key = $this->store->keep($path, $copy);
        try {
            return $row(['storage_key' => $key, 'name' => mb_substr($fileName, 0, 200), 'width' => $copy->width, 'height' => $copy->height, 'roles' => [$role]]);
        } catch (\Throwable $error) {
            $this->store->forget($key);

            throw $error;
        }
    }
}
