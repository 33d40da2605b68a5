<?php

declare(strict_types=1);

namespace App\Quota;

use App\Cache\Computed;
use App\Models\AccountImport;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Work\Standing;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Error\ImpossibleChange;

/** How much room an account takes, of what one may take. */
final class Room
{
    /** Bytes. */
    public static function most(): int
    {
        return 1_000_000 * (int) config('app.most_megabytes');
    }

    /**
     * Bytes of all that is kept for an account: photos with their working copies, versions, plans, recipes, photos of drawings that were
     * checked, files on their way in, and what was worked out to look at.
     */
    public function taken(User $user): int
    {
        return $this->lasting($user) + Computed::bytesOf($user->id);
    }

    /** @throws ImpossibleChange where there is none for so many bytes more; what can be worked out again makes room first */
    public function keepFor(User $user, int $bytes): void
    {
        $taken = $this->lasting($user);
        if ($taken + Computed::bytesOf($user->id) + $bytes > self::most()) {
            Computed::forget($user->id);
        }
        if ($taken + $bytes > self::most()) {
            throw ImpossibleChange::because(
                sprintf(
                    'Your studies take %s of the %s MB that an account may have here, and this needs %s more. Delete a study that you no '
                        .'longer need (save its file first), or a photo in one; then try again.',
                    number_format($taken / 1e6),
                    number_format(self::most() / 1e6),
                    number_format(max(1, $bytes / 1e6)),
                ),
            );
        }
    }

    /** Bytes. */
    private function lasting(User $user): int
    {
        $studies = Study::query()->where('user_id', $user->id)->select('id');
        $bytes =
            (int) Photo::query()->whereIn('study_id', $studies)->sum('bytes') +
            (int) AccountImport::query()
                ->where('user_id', $user->id)
                ->whereIn('state', [Standing::Waiting, Standing::Working])
                ->sum('bytes') +
            (int) DB::table('book_recipes')->where('user_id', $user->id)->sum('held');
        foreach (['drawing_checks', 'survey_versions', 'plan_versions', 'plan_parts'] as $table) {
            $bytes += (int) DB::table($table)->whereIn('study_id', $studies)->sum('held');
        }

        return $bytes;
    }
}
