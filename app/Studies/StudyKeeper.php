<?php

declare(strict_types=1);

namespace App\Studies;

use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoIntake;
use App\Photos\PhotoStore;
use App\Quota\Room;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Recipe\Method\StartingPoint;

/** Studies and the photos in them: rows and files come together and go together. */
final class StudyKeeper
{
    private const MOST_PHOTOS = 12;

    /** As many as an account file holds. */
    private const MOST_STUDIES = 2000;

    public function __construct(private readonly PhotoIntake $intake, private readonly PhotoStore $store, private readonly Room $room)
    {
    }

    /**
     * A new study around one photo; the drawing is taken to lie as the photo does.
     *
     * @param  (\Closure(\Closure(): Study): Study)|null  $making  makes the rows, once; null when they may simply be made
     */
    public function begin(User $user, string $name, string $path, string $fileName, ?\Closure $making = null): Study
    {
        if ($user->studies()->count() >= self::MOST_STUDIES) {
            throw ImpossibleChange::because(
                sprintf(
                    'An account holds up to %s studies; delete one that you no longer need (save its file first).',
                    number_format(self::MOST_STUDIES),
                ),
            );
        }

        return $this->kept($user, $path, $fileName, Photo::ROLES[0], static function (array $columns) use ($user, $name, $making): Study {
            $rows = static fn (): Study => DB::transaction(static function () use ($user, $name, $columns): Study {
                $study = $user
                    ->studies()
                    ->create([
                        'name' => $name,
                        'paper' => 'white medium',
                        'origin' => Study::newOrigin(),
                        'first_method' => implode(',', StartingPoint::LightToDark->method()->settings()),
                        ...$columns['width'] >= $columns['height'] ? [] : ['drawing_width_mm' => 210, 'drawing_height_mm' => 297],
                    ]);
                $photo = $study->photos()->create($columns);
                $study->colourPhoto()->associate($photo)->save();

                return $study;
            });

            return $making === null ? $rows() : $making($rows);
        });
    }

    /** @param  (\Closure(\Closure(): Photo): Photo)|null  $making  makes the row, once */
    public function addPhoto(Study $study, string $path, string $fileName, ?\Closure $making = null): Photo
    {
        if ($study->photos()->count() >= self::MOST_PHOTOS) {
            throw ImpossibleChange::because(sprintf('A study holds up to %d photos; remove one first.', self::MOST_PHOTOS));
        }

        return $this->kept(User::query()->findOrFail($study->user_id), $path, $fileName, 'detail', static function (array $columns) use (
            $study,
            $making,
        ): Photo {
            $row = static fn (): Photo => $study->photos()->create($columns);

            return $making === null ? $row() : $making($row);
        });
    }

    /** The files go when the row is gone for good. */
    public function removePhoto(Study $study, Photo $photo): void
    {
        if ($study->colour_photo_id === $photo->id) {
            throw ImpossibleChange::because('This photo is used for the colours; use another one for the colours first.');
        }
        $photo->delete();
        $this->forgetLater([$photo->storage_key]);
    }

    /** With its photos, its survey, its plan and all their versions. */
    public function remove(Study $study): void
    {
        DB::transaction(function () use ($study): void {
            $keys = array_values(array_filter($study->photos()->pluck('storage_key')->all(), is_string(...)));
            $study->delete();
            $this->forgetLater($keys);
        });
    }

    /** @param  list<string>  $keys */
    private function forgetLater(array $keys): void
    {
        DB::afterCommit(function () use ($keys): void {
            // What can't be removed now is found by the sweep.
            array_map(fn (string $key): mixed => rescue(fn () => $this->store->forget($key)), $keys);
        });
    }

    /**
     * Keeps a photo's files and then its row; files whose row can't be made, or was made before, go again.
     *
     * @template T of Study|Photo
     *
     * @param  \Closure(array{storage_key: string, name: string, width: int, height: int, roles: list<string>, bytes: int}): T  $row
     * @return T
     */
    private function kept(User $user, string $path, string $fileName, string $role, \Closure $row): mixed
    {
        $came = (int) filesize($path);
        $this->room->keepFor($user, $came);
        $copy = $this->intake->take($path);
        // A small file may be a large picture.
        $bytes = $came + PhotoStore::bytesOf($copy);
        $this->room->keepFor($user, $bytes);
        $key = $this->store->keep($path, $copy);
        try {
            $made = $row([
                'storage_key' => $key,
                'name' => mb_substr($fileName, 0, 200),
                'width' => $copy->width,
                'height' => $copy->height,
                'roles' => [$role],
                'bytes' => $bytes,
            ]);
        } catch (\Throwable $error) {
            $this->store->forget($key);

            throw $error;
        }
        if (! Photo::query()->where('storage_key', $key)->exists()) {
            $this->store->forget($key);
        }

        return $made;
    }
}
