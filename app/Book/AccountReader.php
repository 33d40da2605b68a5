<?php

declare(strict_types=1);

namespace App\Book;

use App\Answers\StudyOpening;
use App\Drawers\DrawerKeeper;
use App\Drawers\FitDrawer;
use App\Models\HandVersion;
use App\Models\PracticeAttempt;
use App\Models\Study;
use App\Models\User;
use App\Studies\StudyFile;
use App\Studies\StudyFileReader;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\BoundedJson;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Formats\HandJson;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use Opis\JsonSchema\Validator;

/**
 * Brings an account file in: what this account has stays as it is, and what it lacks is added. A study or a recipe that can't be taken in is named,
 * and keeps nothing else out.
 */
final class AccountReader
{
    private const MOST_VALUES = 2_000_000;

    public function __construct(private readonly StudyFileReader $studies, private readonly StudyOpening $opening, private readonly DrawerKeeper $drawers, private readonly FitDrawer $fits, private readonly RecipeBook $book)
    {
    }

    /**
     * @return array{pencils: int, studies: int, recipes: int, practice: int, problems: list<string>} how many of each were taken in
     *
     * @throws BadFile when it is no account file, or a damaged one
     */
    public function read(User $user, string $path): array
    {
        $zip = new \ZipArchive;
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            throw BadFile::because('This is no account file; one is saved under “Book”, “Show it”.');
        }
        try {
            $index = self::index($zip);
            $pencils = DB::transaction(fn (): int => $this->drawers->addUnknown($user, $index['pencils'] === [] ? [] : DrawerFile::rows(json_encode($index['pencils'], JSON_THROW_ON_ERROR))));
            while ($this->fits->some($user->id));
            DB::transaction(static fn () => self::hands($user, $index['hands'] ?? []));
            [$ids, $problems] = $this->studies($user, $zip, $index['studies']);
            $recipes = DB::transaction(function () use ($user, $index, $ids, &$problems): int {
                return $this->recipes($user, $index['recipes'], $ids, $problems);
            });
            $practice = DB::transaction(static fn (): int => self::practice($user, $index['practice'], $ids));

            return ['pencils' => $pencils, 'studies' => count($ids), 'recipes' => $recipes, 'practice' => $practice, 'problems' => $problems];
        } finally {
            $zip->close();
        }
    }

    /** @return array<string, mixed> */
    private static function index(\ZipArchive $zip): array
    {
        $text = self::entry($zip, AccountFile::INDEX) ?? throw BadFile::because('This is no account file; one is saved under “Book”, “Show it”.');
        BoundedJson::check($text, self::MOST_VALUES, 'The account file');
        $read = json_decode($text);
        if (! is_object($read) || ($read->format ?? null) !== AccountFile::FORMAT || ($read->version ?? 0) !== AccountFile::VERSION) {
            throw BadFile::because('This account file is of another version; save it again with this version of Knotty Prism.');
        }
        if (! (new Validator)->validate($read, (string) file_get_contents(base_path('docs/schemas/account.schema.json')))->isValid()) {
            throw BadFile::because('The account file is damaged; save it again where it came from.');
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
        foreach ($hands as $hand) {
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
     * @return array{array<string, int>, list<string>} studies made, by their file; and which could not be, with why
     */
    private function studies(User $user, \ZipArchive $zip, array $files): array
    {
        $ids = $problems = [];
        foreach ($files as $file) {
            try {
                $text = self::entry($zip, $file) ?? throw BadFile::because('It is not in the file, or too large.');
                $ids[$file] = $this->studies->read($user, $text, static fn (\Closure $rows): Study => DB::transaction($rows), fn (Study $study) => $this->opening->check($user, $study))->id;
            } catch (CoreError $error) {
                $problems[] = "$file: {$error->getMessage()}";
            }
        }

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
                $taken += (int) $this->book->bringIn($user, [...array_intersect_key($r, array_flip(['name', 'words', 'paper', 'shades', 'pencils', 'passes', 'outcome', 'cutout'])), 'study_id' => $studies[$r['study'] ?? ''] ?? null, 'created_at' => date('Y-m-d H:i:s', (int) $r['kept'])]);
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
        $known = PracticeAttempt::query()->where('user_id', $user->id)->get()->mapWithKeys(static fn (PracticeAttempt $a): array => ["{$a->skill->value}/$a->seed/$a->made_at" => true])->all();
        $taken = 0;
        foreach ($attempts as $a) {
            if (! isset($known["{$a['skill']}/{$a['seed']}/{$a['made_at']}"])) {
                PracticeAttempt::query()->create([...array_diff_key($a, ['study' => 0]), 'user_id' => $user->id, 'study_id' => $studies[$a['study'] ?? ''] ?? null]);
                $taken++;
            }
        }

        return $taken;
    }
}
