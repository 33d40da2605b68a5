<?php

declare(strict_types=1);

namespace App\Models;

use App\Work\Standing;
use Illuminate\Database\Eloquent\Model;
use Symfony\Component\HttpKernel\Exception\ServiceUnavailableHttpException;

/**
 * An account file on its way in.
 *
 * @property int $id
 * @property int $user_id
 * @property Standing $state
 * @property string $path of the file, among the photos
 * @property int $bytes of the file
 * @property int $total studies in it; 0 before it was looked into
 * @property int $tries how often it was begun
 * @property ?array{pencils: int, studies: int, known: int, recipes: int, practice: int, problems: list<string>} $taken
 * @property ?string $problem why nothing was taken in
 */
final class AccountImport extends Model
{
    protected $fillable = ['user_id', 'state', 'path', 'bytes', 'total', 'tries', 'taken', 'problem'];

    protected $attributes = ['bytes' => 0, 'total' => 0, 'tries' => 0];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken' => 'array', 'state' => Standing::class];
    }

    /**
     * While all of an account file goes in as one transaction, whatever wants the whole account for itself would wait for minutes, and hold
     * a process meanwhile: it is told to come again.
     *
     * @throws ServiceUnavailableHttpException
     */
    public static function refuseMeanwhile(int $user): void
    {
        if (self::query()->where('user_id', $user)->where('state', Standing::Working)->exists()) {
            throw new ServiceUnavailableHttpException(
                5,
                'An account file is being restored. This follows automatically when it is done; you can cancel it in “Book”, “Share”.',
            );
        }
    }
}
