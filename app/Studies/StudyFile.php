<?php

declare(strict_types=1);

namespace App\Studies;

use App\Drawers\DrawerKeeper;
use App\Jobs\FitPencils;
use App\Models\KeptRecipe;
use App\Models\PencilRow;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\FullDisk;
use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use App\Plans\PlanRepository;
use Illuminate\Database\QueryException;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Stock\ShelfRow;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Drawer\Stock\StockNote;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Formats\BoundedJson;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Formats\DrawerWriter;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\TargetNote;
use KnottyPrism\Core\Recipe\RecipeLabel;
use Opis\JsonSchema\Validator;

/**
 * A whole study as one JSON file (docs/schemas/study.schema.json): photos, survey, plan, and the pencils that it takes. Brought in elsewhere,
 * every stack is held as it was, so that the plan is the same whatever drawer it comes to.
 */
final class StudyFile
{
    public const FORMAT = 'knotty-prism-study';

    private const VERSION = 1;

    /** What can be brought in; nothing larger is written. */
    public const MOST_KILOBYTES = 153_600;

    /** Bytes of all photos together: as base64 they are a third larger, and the rest of a study needs room too. */
    private const MOST_PHOTO_BYTES = 110_000_000;

    /** Some hundred thousand points of strokes beside all that can be said of zones and spots. */
    private const MOST_VALUES = 400_000;

    private const ENTRY = ['name', 'x', 'y', 'ring', 'target_l', 'target_a', 'target_b', 'label', 'stack', 'paper'];

    private const STUDY = ['name', 'paper', 'drawing_width_mm', 'drawing_height_mm', 'grid_mm', 'cut_place'];

    public function __construct(private readonly StudyKeeper $studies, private readonly SurveyRepository $surveys, private readonly PlanRepository $pictures, private readonly DrawerKeeper $drawers, private readonly PhotoStore $store)
    {
    }

    public function write(User $user, Study $study): string
    {
        $bytes = $study->photos->sum($this->store->originalBytes(...));
        if ($bytes > self::MOST_PHOTO_BYTES) {
            throw ImpossibleChange::because(sprintf('The photos of this study are %d MB together; a study file holds up to %d. Remove one that the plan does without, or bring it in smaller.', (int) ceil($bytes / 1e6), (int) (self::MOST_PHOTO_BYTES / 1e6)));
        }
        // What can't be read any more is written as it is kept: a study that can't be shown can be saved all the same.
        $survey = rescue(fn (): array => $this->surveys->current($study)->toArray(), fn (): array => $this->surveys->kept($study));
        [$sheet, $used] = rescue(fn (): array => $this->heldPlan($user, $study), fn (): array => [$this->pictures->versions->kept($study) ?? (new PlanSheet)->toArray(), []]);
        $entries = $study->entries()->get();
        foreach ($entries as $entry) {
            array_push($used, ...StackText::identifiers($entry->stack));
        }
        $rows = array_values(array_filter($this->drawers->shelfRows($user), static fn (ShelfRow $r): bool => in_array($r->record->id(), $used, true)));

        return json_encode([
            'format' => self::FORMAT, 'version' => self::VERSION, 'study' => $study->only(self::STUDY),
            'photos' => array_values($study->photos->map(fn (Photo $p): array => ['id' => $p->id, 'name' => $p->name, 'roles' => $p->roles, 'isFollowed' => $p->id === $study->colour_photo_id, 'data' => base64_encode($this->store->original($p))])->all()),
            'survey' => $survey, 'plan' => $sheet,
            'spots' => array_values($entries->map(static fn (KeptRecipe $e): array => $e->only(self::ENTRY))->all()),
            'pencils' => json_decode(DrawerWriter::json($rows), true, flags: JSON_THROW_ON_ERROR)['pencils'],
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /**
     * The plan with every stack held as it is now.
     *
     * @return array{array<string, mixed>, list<string>} and the pencils that the stacks take
     */
    private function heldPlan(User $user, Study $study): array
    {
        $sheet = $this->pictures->sheet($study);
        $used = [];
        if ($this->surveys->current($study)->zones !== null && $this->drawers->drawerOf($user)->usable()->pencils !== []) {
            foreach ($this->pictures->planned($this->pictures->ground($user, $study)) as $p) {
                if ($p->stack !== null) {
                    $sheet = $sheet->withNote($p->wish->zone, $p->wish->role, $sheet->note($p->wish->zone, $p->wish->role)->withStack($p->stack->text()));
                    array_push($used, ...$p->pencils());
                }
            }
        }

        return [$sheet->toArray(), $used];
    }

    /**
     * @param  \Closure(\Closure(): Study): Study  $making  makes the study, once
     * @param  \Closure(Study): void  $check  opens it as its places will; throws what opening it would
     *
     * @throws BadFile when it is no bundle, a damaged one, or one that could be taken in but not be opened
     */
    public function read(User $user, string $text, \Closure $making, \Closure $check): Study
    {
        BoundedJson::check($text, self::MOST_VALUES, 'The study file');
        $read = json_decode($text);
        if (! is_object($read) || ($read->format ?? null) !== self::FORMAT) {
            throw BadFile::because('This is no study file; one is saved under "Plan", "Take along".');
        }
        if (($read->version ?? 0) !== self::VERSION) {
            throw BadFile::because('This study file is of another version; save it again with this version of Knotty Prism.');
        }
        $wrong = self::wrongAt($read);
        if ($wrong !== null) {
            throw BadFile::because("The study file is damaged at \"$wrong\"; save it again where it came from.");
        }
        // Photos make it large: it is not held twice.
        unset($read);
        $data = json_decode($text, true, flags: JSON_THROW_ON_ERROR);
        $keys = [];
        try {
            return $making(function () use ($user, $data, $check, &$keys): Study {
                $study = $this->made($user, $data, $keys);
                $check($study);

                return $study;
            });
        } catch (\Throwable $error) {
            array_map($this->store->forget(...), $keys);
            $isDamage = $error instanceof \Error || $error instanceof \ErrorException || $error instanceof \JsonException || $error instanceof \LogicException && ! $error instanceof CoreError
                || $error instanceof QueryException && ! FullDisk::isSaidBy($error);

            throw $isDamage ? BadFile::because('The study file is damaged; save it again where it came from.') : $error;
        }
    }

    /** @return ?string the first place that is not as the schema has it */
    private static function wrongAt(object $data): ?string
    {
        $result = (new Validator)->validate($data, (string) file_get_contents(base_path('docs/schemas/study.schema.json')));
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
        $study->fill(array_intersect_key($data['study'], array_flip(self::STUDY)))->save();
        // A paper or a drawing that can't be is refused here, not whenever the study is opened.
        PaperShelf::named($study->paper);
        $study->checkDrawing();
        $survey = Survey::ofArray(self::withPhotos($data['survey'], $ids));
        $this->surveys->change($study, 'brought-in-'.$study->id, static fn (): array => [$survey, 'bring the study in']);
        $sheet = PlanSheet::ofArray($data['plan']);
        if (array_filter($sheet->notes, static fn (TargetNote $n): bool => ! $n->isEmpty()) !== []) {
            $this->pictures->change($study, 'brought-in-'.$study->id, static fn (): array => [$sheet, 'bring the plan in']);
        }
        $shelf = $this->drawers->shelfOf($user);
        foreach ([...array_map(static fn (TargetNote $n): ?string => $n->stack, array_values($sheet->notes)), ...array_column($data['spots'], 'stack')] as $stack) {
            self::checkStack($stack, $shelf);
        }
        foreach ($data['spots'] as $entry) {
            PaperShelf::named((string) $entry['paper']);
            $study->entries()->create([...array_intersect_key($entry, array_flip(self::ENTRY)), 'label' => RecipeLabel::from((string) $entry['label'])->value]);
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
        $known = array_fill_keys(array_map(static fn (ShelfRow $r): string => mb_strtolower($r->record->id()), $this->drawers->shelfRows($user)), true);
        foreach (DrawerFile::rows(json_encode($pencils, JSON_THROW_ON_ERROR)) as $row) {
            if (! isset($known[mb_strtolower($row->record->id())])) {
                $user->pencils()->create(PencilRow::columnsOfRow(new ShelfRow($row->record, new StockNote(Stock::Absent))));
            }
        }
        // A stack is read with its pencils: they are fitted before the plan is looked at.
        dispatch_sync(new FitPencils($user->id));
    }

    /**
     * The survey speaks of photos by their numbers, which are others here.
     *
     * @param  array<string, mixed>  $survey
     * @param  array<int, int>  $ids
     * @return array{spots: list<array{number: int, name: string, places: non-empty-array<int, array{x: float, y: float, ring: int}>}>, zones: ?array{width: int, height: int, labels: string, notes: array<int, array{name: string, importance: string, surface: string, distance: string, places: array<string, float>}>}, whites: array{from: float, strokes: list<array{keep: bool, radius: float, points: list<array{float, float}>}>}, neutrals: array<int, array{float, float, float}>}
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

        /** @var array{spots: list<array{number: int, name: string, places: non-empty-array<int, array{x: float, y: float, ring: int}>}>, zones: ?array{width: int, height: int, labels: string, notes: array<int, array{name: string, importance: string, surface: string, distance: string, places: array<string, float>}>}, whites: array{from: float, strokes: list<array{keep: bool, radius: float, points: list<array{float, float}>}>}, neutrals: array<int, array{float, float, float}>} $survey */
        return $survey;
    }
}
