<?php

declare(strict_types=1);

namespace App\Studies;

use App\Desk\DeskFile;
use App\Drawers\DrawerKeeper;
use App\Drawers\FitDrawer;
use App\Models\DrawingCheckRow;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\FullDisk;
use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use App\Plans\PlanRepository;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Formats\Text\BoundedJson;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use Opis\JsonSchema\Validator;

/** Brings a study file in: every stack is held as it was, so that the plan is the same whatever drawer it comes to. */
final class StudyFileReader
{
    /** Some hundred thousand points of strokes beside all that can be said of zones and spots. */
    private const MOST_VALUES = 400_000;

    /** MariaDB: a lock waited for too long, a deadlock. No fault of the file's; it is tried again. */
    private const CONTENDED = [1205, 1213];

    public function __construct(
        private readonly StudyKeeper $studies,
        private readonly SurveyRepository $surveys,
        private readonly PlanRepository $plans,
        private readonly DrawerKeeper $drawers,
        private readonly FitDrawer $fits,
        private readonly PhotoStore $store,
        private readonly DeskFile $desk,
    ) {
    }

    /**
     * @param  \Closure(\Closure(): Study): Study  $making  makes the study, once
     * @param  \Closure(Study): void  $check  opens it as its places will; throws what opening it would
     *
     * @throws BadFile when it is no bundle, a damaged one, or one that could be taken in but not be opened
     */
    public function read(User $user, string $text, \Closure $making, \Closure $check): Study
    {
        $data = self::data($text);
        unset($text);
        $keys = [];
        try {
            return $making(function () use ($user, $data, $check, &$keys): Study {
                $study = $this->made($user, $data, $keys);
                $check($study);

                return $study;
            });
        } catch (\Throwable $error) {
            array_map($this->store->forget(...), $keys);
            $isDamage =
                $error instanceof \Error ||
                $error instanceof \ErrorException ||
                $error instanceof \JsonException ||
                ($error instanceof \LogicException && ! ($error instanceof CoreError)) ||
                ($error instanceof QueryException &&
                    ! FullDisk::isSaidBy($error) &&
                    ! in_array($error->errorInfo[1] ?? null, self::CONTENDED, true));

            throw $isDamage ? BadFile::because('The study file is damaged; save it again from the original study.') : $error;
        }
    }

    /**
     * Of an account file: a study that this account has already, by its origin, stays as it is.
     *
     * @param  \Closure(Study): void  $check  opens it as its places will
     * @return array{Study, bool} and whether it was made just now
     *
     * @throws BadFile as {@see read()}
     */
    public function readUnlessKnown(User $user, string $text, \Closure $check): array
    {
        $known = $user->studies()->where('origin', StudyFile::originOf(self::data($text)))->first();

        return $known instanceof Study
            ? [$known, false]
            : [$this->read($user, $text, static fn (\Closure $rows): Study => DB::transaction($rows), $check), true];
    }

    /**
     * @return array<string, mixed> what the file says
     *
     * @throws BadFile when it is no study file, or a damaged one
     */
    private static function data(string $text): array
    {
        BoundedJson::check($text, self::MOST_VALUES, 'The study file');
        $read = json_decode($text);
        if (! is_object($read) || ($read->format ?? null) !== StudyFile::FORMAT) {
            throw BadFile::because('This is not a study file. You can save one in “Plan”, “Print & files”.');
        }
        if (($read->version ?? 0) !== StudyFile::VERSION) {
            throw BadFile::because('This study file was made by another version; save it again with this version of Knotty Prism.');
        }
        $wrong = self::wrongAt($read);
        if ($wrong !== null) {
            throw BadFile::because("The study file is damaged at \"$wrong\"; save it again from the original study.");
        }
        // Photos make it large: it is not held twice.
        unset($read);

        return json_decode($text, true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return ?string the first place that is not as the schema has it */
    private static function wrongAt(object $data): ?string
    {
        $result = (new Validator())->validate($data, (string) file_get_contents(base_path('docs/schemas/study.schema.json')));
        $error = $result->error();
        while ($error !== null && $error->subErrors() !== []) {
            $error = $error->subErrors()[0];
        }

        return $error === null ? null : (implode('/', $error->data()->fullPath()) ?: 'its beginning');
    }

    /**
     * @param  array<string, mixed>  $data
     * @param  list<string>  $keys  of the photos taken in so far, whose files no transaction takes back
     *
     * @throws \TypeError|\ValueError|\ErrorException|\JsonException where something is missing or of another kind
     */
    private function made(User $user, array $data, array &$keys): Study
    {
        $this->addPencils($user, $data['pencils']);
        $study = null;
        $ids = [];
        foreach ($data['photos'] as $photo) {
            $path = (string) tempnam(sys_get_temp_dir(), 'kp');
            try {
                file_put_contents($path, (string) base64_decode((string) $photo['data'], true));
                if ($study === null) {
                    $study = $this->studies->begin($user, (string) $data['study']['name'], $path, (string) $photo['name']);
                    $new = $study->photo();
                } else {
                    $new = $this->studies->addPhoto($study, $path, (string) $photo['name']);
                }
            } finally {
                unlink($path);
            }
            $keys[] = $new->storage_key;
            $new->update(['roles' => array_values(array_intersect((array) $photo['roles'], Photo::ROLES))]);
            $ids[(int) $photo['id']] = $new->id;
            if ($photo['isFollowed'] === true) {
                $study->colourPhoto()->associate($new);
            }
        }
        if ($study === null) {
            throw BadFile::because('The study file holds no photo.');
        }
        // Its method is the file's, where there is none as well. One that is here already stays what it is, and this is another.
        $origin = StudyFile::originOf($data);
        $study
            ->fill([
                ...array_intersect_key($data['study'], array_flip(StudyFile::STUDY)),
                'first_method' => null,
                'origin' => $user->studies()->where('origin', $origin)->exists() ? Study::newOrigin() : $origin,
            ])
            ->save();
        // A paper or a drawing that can't be is refused here, not whenever the study is opened.
        PaperShelf::named($study->paper);
        $study->checkDrawing();
        $survey = Survey::ofArray(self::withPhotos($data['survey'], $ids));
        $this->surveys->change($study, static fn (): array => [$survey, 'import the study']);
        $sheet = PlanSheet::ofArray($data['plan']);
        if ($sheet->settings != new PlanSettings() || $sheet->sequences !== [] || $sheet->overruled !== []) {
            $this->plans->change($study, static fn (): array => [$sheet, 'import the plan']);
        }
        $shelf = $this->drawers->shelfOf($user);
        foreach (array_column($data['spots'], 'stack') as $stack) {
            self::checkStack($stack, $shelf);
        }
        foreach ($data['spots'] as $entry) {
            PaperShelf::named((string) $entry['paper']);
            $study
                ->keptRecipes()
                ->create([
                    ...array_intersect_key($entry, array_flip(StudyFile::KEPT_RECIPE)),
                    'label' => RecipeLabel::from((string) $entry['label'])->value,
                ]);
        }

        foreach ($data['checks'] ?? [] as $check) {
            DrawingCheckRow::query()->forceCreate([
                ...array_intersect_key($check, array_flip(StudyFile::CHECK)),
                'study_id' => $study->id,
                'created_at' => date('Y-m-d H:i:s', (int) $check['made_at']),
            ]);
        }
        if (isset($data['desk'])) {
            $this->desk->putIn($study, $data['desk']);
        }

        return $study->refresh();
    }

    /** A pencil that is not there is no fault: the planner finds another. A text that is no stack is one. */
    private static function checkStack(?string $text, Drawer $shelf): void
    {
        try {
            if ($text !== null) {
                StackText::read($text, $shelf);
            }
        } catch (UnknownPencil) {
        }
    }

    /**
     * Pencils that this account does not know are noted as not owned; those it knows stay as they are.
     *
     * @param  array<mixed>  $pencils
     */
    private function addPencils(User $user, array $pencils): void
    {
        if ($pencils === []) {
            return;
        }
        $this->drawers->addUnknown(
            $user,
            array_map(
                static fn (ShelfRow $row): ShelfRow => new ShelfRow($row->record, new StockNote(Stock::Absent)),
                DrawerFile::rows(json_encode($pencils, JSON_THROW_ON_ERROR)),
            ),
        );
        // A stack is read with its pencils: they are fitted before the plan is looked at.
        while ($this->fits->some($user->id, tells: false));
    }

    /**
     * The survey speaks of photos by their numbers, which are others here.
     *
     * @param  array<string, mixed>  $survey
     * @param  array<int, int>  $ids
     * @return array{spots: list<array{number: int, name: string, places: non-empty-array<int, array{x: float, y: float, ring: int}>}>,
     *   zones: ?array{width: int, height: int, labels: string,
     *   notes: array<int, array{name: string, importance: string, surface: string, distance: string, places: array<string, float>}>},
     *   whites: array{from: float, strokes: list<array{keep: bool, radius: float, points: list<array{float, float}>}>},
     *   neutrals: array<int, array{float, float, float}>}
     */
    private static function withPhotos(array $survey, array $ids): array
    {
        $renamed = static function (array $byPhoto) use ($ids): array {
            $here = [];
            foreach ($byPhoto as $photo => $value) {
                if (isset($ids[$photo])) {
                    $here[$ids[$photo]] = $value;
                }
            }

            return $here;
        };
        $spots = array_map(static fn (array $spot): array => [...$spot, 'places' => $renamed($spot['places'])], $survey['spots']);
        // A spot that lay only on a photo which is not in the file lies nowhere.
        $survey['spots'] = array_values(array_filter($spots, static fn (array $spot): bool => $spot['places'] !== []));
        $survey['neutrals'] = $renamed($survey['neutrals']);

        /**
         * @var array{spots: list<array{number: int, name: string, places: non-empty-array<int, array{x: float, y: float, ring: int}>}>,
         *   zones: ?array{width: int, height: int, labels: string,
         *   notes: array<int, array{name: string, importance: string, surface: string, distance: string, places: array<string, float>}>},
         *   whites: array{from: float, strokes: list<array{keep: bool, radius: float, points: list<array{float, float}>}>},
         *   neutrals: array<int, array{float, float, float}>} $survey
         */
        return $survey;
    }
}
