<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Answers\StudyOpening;
use App\Book\RecipeBook;
use App\Drawers\DrawerKeeper;
use App\Drawers\FitDrawer;
use App\Models\HandVersion;
use App\Models\Photo;
use App\Models\PracticeAttempt;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Studies\StudyFile;
use App\Studies\StudyFileReader;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Book\Practice\Drills\Skill;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\HandJson;
use KnottyPrism\Core\Formats\Text\BoundedJson;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use Opis\JsonSchema\Validator;

/**
 * Brings an account file in: what this account has stays as it is, and what it lacks is added, all of it or nothing. A study or a recipe
 * that is damaged is named, and keeps nothing else out.
 */
final class AccountReader
{
    private const MOST_VALUES = 2_000_000;

    private const NONE = 'This is not an account file. You can save one under “Book”, “Share”.';

    /** Rows put in at a time. */
    private const CHUNK = 500;

    public function __construct(
        private readonly StudyFileReader $studies,
        private readonly StudyOpening $opening,
        private readonly DrawerKeeper $drawers,
        private readonly FitDrawer $fits,
        private readonly RecipeBook $book,
        private readonly PhotoStore $store,
    ) {
    }

    /** @throws BadFile when it is no account file, as far as a look at it tells */
    public static function recognise(string $path): void
    {
        $zip = self::opened($path);
        $is = $zip->statName(AccountFile::INDEX);
        $zip->close();
        if ($is === false || $is['size'] > 1024 * StudyFile::MOST_KILOBYTES) {
            throw BadFile::because(self::NONE);
        }
    }

    /**
     * All or nothing: all of it is one transaction.
     *
     * @param  int  $attempts  how often it is begun again where others change the same
     * @param  \Closure(int, int): void  $at told before the work, and before each study: how many were gone through, and of how many;
     *   throws
     *   what ends the work
     * @param  \Closure(array{pencils: int, studies: int, known: int, recipes: int, practice: int, problems: list<string>}): void  $end told
     *   how many of each were taken in, as part of the same transaction
     *
     * @throws BadFile when it is no account file, or a damaged one
     */
    public function read(User $user, string $path, int $attempts, \Closure $at, \Closure $end): void
    {
        $zip = self::opened($path);
        $made = [];
        try {
            $index = self::index($zip);
            $at(0, count($index['studies']));
            DB::transaction(function () use ($user, $zip, $index, $at, $end, &$made): void {
                $this->forget($made);
                $pencils = $this->drawers->addUnknown(
                    $user,
                    $index['pencils'] === [] ? [] : DrawerFile::rows(json_encode($index['pencils'], JSON_THROW_ON_ERROR)),
                );
                while ($this->fits->some($user->id, tells: false));
                self::hands($user, $index['hands'] ?? []);
                [$ids, $problems] = $this->studies($user, $zip, $index['studies'], $at, $made);
                $recipes = $this->recipes($user, $index['recipes'], $ids, $problems);
                $practice = self::practice($user, $index['practice'], $ids);
                $end([
                    'pencils' => $pencils,
                    'studies' => count($made),
                    'known' => count($ids) - count($made),
                    'recipes' => $recipes,
                    'practice' => $practice,
                    'problems' => $problems,
                ]);
            }, $attempts);
            $made = [];
        } catch (QueryException $error) {
            // What no rule of the schema refuses and no column holds.
            throw in_array($error->errorInfo[0] ?? '', ['22001', '22003', '22007', '23000'], true)
                ? BadFile::because('The account file is damaged; save it again from the account it belongs to.')
                : $error;
        } finally {
            // No transaction takes files back.
            $this->forget($made);
            $zip->close();
        }
    }

    /** @param  list<Study>  $made  whose files go; none are left */
    private function forget(array &$made): void
    {
        foreach ($made as $study) {
            $study->photos->each(fn (Photo $photo) => $this->store->forget($photo->storage_key));
        }
        $made = [];
    }

    private static function opened(string $path): \ZipArchive
    {
        $zip = new \ZipArchive();

        return $zip->open($path, \ZipArchive::RDONLY) === true ? $zip : throw BadFile::because(self::NONE);
    }

    /** @return array<string, mixed> */
    private static function index(\ZipArchive $zip): array
    {
        $text = self::entry($zip, AccountFile::INDEX) ?? throw BadFile::because(self::NONE);
        BoundedJson::check($text, self::MOST_VALUES, 'The account file');
        $read = json_decode($text);
        if (! is_object($read) || ($read->format ?? null) !== AccountFile::FORMAT || ($read->version ?? 0) !== AccountFile::VERSION) {
            throw BadFile::because('This account file was made by another version; save it again with this version of Knotty Prism.');
        }
        if (! (new Validator())->validate($read, (string) file_get_contents(base_path('docs/schemas/account.schema.json')))->isValid()) {
            throw BadFile::because('The account file is damaged; save it again from the account it belongs to.');
        }

        return json_decode($text, true, flags: JSON_THROW_ON_ERROR);
    }

    /** No more of it is unpacked than may be brought in: a small zip can hold a very large nothing. */
    private static function entry(\ZipArchive $zip, string $name): ?string
    {
        $is = $zip->statName($name);
        if ($is === false || $is['size'] > 1024 * StudyFile::MOST_KILOBYTES) {
            return null;
        }
        $text = $zip->getFromName($name, 1024 * StudyFile::MOST_KILOBYTES);

        return $text === false ? null : $text;
    }

    /**
     * Of papers on which this account knows nothing of the hand yet.
     *
     * @param  list<array<string, mixed>>  $hands
     */
    private static function hands(User $user, array $hands): void
    {
        $known = HandVersion::query()->where('user_id', $user->id)->pluck('paper')->all();
        $numbers = [];
        foreach ($hands as $hand) {
            if (isset($numbers["{$hand['paper']}/{$hand['number']}"])) {
                throw BadFile::because(
                    sprintf('The account file is damaged: the hand on %s has two versions numbered %d.', $hand['paper'], $hand['number']),
                );
            }
            $numbers["{$hand['paper']}/{$hand['number']}"] = true;
            PaperShelf::named((string) $hand['paper']);
            if (! in_array($hand['paper'], $known, true)) {
                // What is no hand is refused here, not whenever something is predicted.
                HandJson::hand(json_encode(['hand' => $hand['hand']], JSON_THROW_ON_ERROR));
                HandVersion::query()->create([...array_intersect_key($hand, array_flip(AccountFile::HAND)), 'user_id' => $user->id]);
            }
        }
    }

    /**
     * @param  list<string>  $files
     * @param  \Closure(int, int): void  $at
     * @param  list<Study>  $made  to which those are added that were not here yet
     * @return array{array<string, int>, list<string>} studies by their file; and which could not be taken in, with why
     */
    private function studies(User $user, \ZipArchive $zip, array $files, \Closure $at, array &$made): array
    {
        $ids = $problems = [];
        foreach ($files as $done => $file) {
            $at($done, count($files));
            try {
                $text = self::entry($zip, $file) ?? throw BadFile::because('It is not in the file, or too large.');
                [$study, $isNew] = $this->studies->readUnlessKnown(
                    $user,
                    $text,
                    fn (Study $study) => $this->opening->check($user, $study),
                );
                $ids[$file] = $study->id;
                if ($isNew) {
                    // Its photos are known by now: after a rollback they could not be asked for.
                    $made[] = $study->load('photos');
                }
            } catch (CoreError $error) {
                $problems[] = "$file: {$error->getMessage()}";
            }
        }
        $at(count($files), count($files));

        return [$ids, $problems];
    }

    /**
     * @param  list<array<string, mixed>>  $recipes
     * @param  array<string, int>  $studies
     * @param  list<string>  $problems  to which those are added that can't be laid
     */
    private function recipes(User $user, array $recipes, array $studies, array &$problems): int
    {
        $taken = 0;
        foreach ($recipes as $r) {
            try {
                $taken += (int) $this->book->bringIn($user, [
                    ...array_intersect_key(
                        $r,
                        array_flip(['name', 'words', 'paper', 'shades', 'pencils', 'passes', 'outcome', 'cutout']),
                    ),
                    'study_id' => $studies[$r['study'] ?? ''] ?? null,
                    'created_at' => date('Y-m-d H:i:s', (int) $r['kept']),
                ]);
            } catch (CoreError $error) {
                $problems[] = $error->getMessage();
            }
        }

        return $taken;
    }

    /**
     * @param  list<array<string, mixed>>  $attempts
     * @param  array<string, int>  $studies
     */
    private static function practice(User $user, array $attempts, array $studies): int
    {
        $known = PracticeAttempt::query()
            ->where('user_id', $user->id)
            ->toBase()
            ->get(['skill', 'seed', 'made_at'])
            ->mapWithKeys(static fn (object $a): array => ["{$a->skill}/$a->seed/$a->made_at" => true])
            ->all();
        $now = now();
        $new = [];
        // What another version trained is left out.
        foreach (array_filter($attempts, static fn (array $a): bool => Skill::tryFrom($a['skill']) !== null) as $a) {
            $new["{$a['skill']}/{$a['seed']}/{$a['made_at']}"] ??= [
                ...array_diff_key($a, ['study' => 0]),
                'user_id' => $user->id,
                'study_id' => $studies[$a['study'] ?? ''] ?? null,
                'created_at' => $now,
                'updated_at' => $now,
            ];
        }
        $new = array_diff_key($new, $known);
        foreach (array_chunk(array_values($new), self::CHUNK) as $rows) {
            PracticeAttempt::query()->insert($rows);
        }

        return count($new);
    }
}
