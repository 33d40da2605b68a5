<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Cache\AccountClock;
use App\Cache\Computed;
use App\Database\NamedLock;
use App\Models\AccountImport;
use App\Models\User;
use App\Photos\WholeFiles;
use App\Quota\Room;
use App\Work\NotWanted;
use App\Work\Progress;
use App\Work\Standing;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\ImpossibleChange;

/**
 * Account files on their way in. A file is kept first and then taken in by a worker, in one transaction: called off, cut off or refused,
 * nothing of it is there. Killed in the middle it is begun again.
 */
final class AccountImports
{
    private const UNDER_WAY = [Standing::Waiting, Standing::Working];

    private const FOLDER = 'account-files';

    /** What kills its worker each time is not tried for ever. */
    private const MOST_TRIES = 3;

    /** Two who change the same. */
    private const ATTEMPTS = 3;

    /** Seconds after which one that nobody works at is begun again. */
    private const LEFT_AFTER = 15;

    public function __construct(private readonly AccountReader $reader, private readonly Room $room)
    {
    }

    /**
     * @throws BadFile when it is no account file
     * @throws ImpossibleChange while another one is on its way
     */
    public function begin(User $user, string $path): AccountImport
    {
        AccountReader::recognise($path);
        if (AccountImport::query()->where('user_id', $user->id)->whereIn('state', self::UNDER_WAY)->exists()) {
            throw ImpossibleChange::because('Another account file is being restored. Wait until it is done, or cancel it.');
        }
        $this->room->keepFor($user, (int) filesize($path));
        $kept = self::FOLDER.'/'.Str::random(40).'.zip';
        (new WholeFiles(Storage::disk()))->put($kept, fopen($path, 'rb') ?: throw new \RuntimeException('The uploaded file vanished.'));
        try {
            $import = AccountImport::query()->create([
                'user_id' => $user->id,
                'state' => Standing::Waiting,
                'path' => $kept,
                'bytes' => (int) filesize($path),
            ]);
        } catch (\Throwable $error) {
            Storage::delete($kept);

            throw $error;
        }

        return $import;
    }

    /** Studies gone through so far. */
    public function done(AccountImport $import): int
    {
        return $import->state === Standing::Done ? $import->total : Progress::of(self::key($import)) ?? 0;
    }

    public function cancel(AccountImport $import): void
    {
        if (
            AccountImport::query()
                ->whereKey($import->id)
                ->whereIn('state', self::UNDER_WAY)
                ->update(['state' => Standing::Cancelled]) === 1
        ) {
            rescue(static fn (): bool => Storage::delete($import->path));
        }
    }

    /** Takes a file in, unless another worker is at it. */
    public function takeIn(AccountImport $import): void
    {
        $lock = "kp-account-import-$import->id";
        // Held by this worker's connection: the database lets go of it when the worker dies.
        if (! NamedLock::take($lock)) {
            return;
        }
        try {
            $this->takeInAlone($import->refresh());
        } finally {
            Progress::forget(self::key($import));
            NamedLock::release($lock);
        }
    }

    /**
     * @return list<int> those that nobody works at, as a worker that was killed has left them; whoever is at one holds it, and it is not
     *   begun twice
     */
    public static function left(): array
    {
        $left = [];
        foreach (
            AccountImport::query()
                ->whereIn('state', self::UNDER_WAY)
                ->where('updated_at', '<', now()->subSeconds(self::LEFT_AFTER))
                ->pluck('id') as $id
        ) {
            AccountImport::query()
                ->whereKey($id)
                ->update(['updated_at' => now()]);
            $left[] = (int) $id;
        }

        return $left;
    }

    /** Files of what is over, or never got a row, go after a day. */
    public static function sweep(): void
    {
        $wanted = AccountImport::query()->whereIn('state', self::UNDER_WAY)->pluck('path')->all();
        foreach (array_diff(Storage::files(self::FOLDER), $wanted) as $path) {
            if (time() - Storage::lastModified($path) > 86_400) {
                Storage::delete($path);
            }
        }
    }

    private function takeInAlone(AccountImport $import): void
    {
        if (! $import->state->isUnderWay()) {
            return;
        }
        Computed::for($import->user_id);
        $import->update(['state' => Standing::Working, 'tries' => $import->tries + 1]);
        $passing = tmpfile() ?: throw new \RuntimeException('No temporary file can be made.');
        $path = stream_get_meta_data($passing)['uri'] ?? throw new \LogicException('a file has a path');
        try {
            if ($import->tries > self::MOST_TRIES) {
                throw BadFile::because(
                    'The account file could not be restored: the application stopped each time. Nothing was changed.',
                );
            }
            stream_copy_to_stream(
                Storage::readStream($import->path) ?? throw BadFile::because('The uploaded file is gone; choose it again.'),
                $passing,
            );
            $this->reader->read(
                User::query()->findOrFail($import->user_id),
                $path,
                self::ATTEMPTS,
                function (int $done, int $total) use ($import): void {
                    if ($import->total !== $total) {
                        $import->update(['total' => $total]);
                    }
                    if (AccountImport::query()->whereKey($import->id)->value('state') !== Standing::Working) {
                        throw new NotWanted();
                    }
                    Progress::tell(self::key($import), $done);
                },
                function (array $taken) use ($import): void {
                    if (
                        AccountImport::query()
                            ->whereKey($import->id)
                            ->where('state', Standing::Working)
                            ->update(['state' => Standing::Done, 'taken' => json_encode($taken, JSON_THROW_ON_ERROR)]) === 0
                    ) {
                        throw new NotWanted();
                    }
                    AccountClock::tick($import->user_id);
                },
            );
        } catch (NotWanted) {
            return;
        } catch (CoreError $error) {
            $import->update(['state' => Standing::Failed, 'problem' => mb_substr($error->getMessage(), 0, 1000)]);
        } catch (\Throwable $error) {
            report($error);

            // The database or the disk may be away: it is begun again, as often as after a kill.
            return;
        } finally {
            fclose($passing);
        }
        rescue(static fn (): bool => Storage::delete($import->path));
    }

    private static function key(AccountImport $import): string
    {
        return "account-import/$import->id";
    }
}
