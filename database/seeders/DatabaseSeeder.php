<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Answers\RecipeAnswers;
use App\Book\RecipeBook;
use App\Book\RecipeFromPlan;
use App\Desk\DeskBoard;
use App\Desk\DeskKeeper;
use App\Desk\HalfDone;
use App\Models\PencilRow;
use App\Models\Reversal;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Photos\SpotReader;
use App\Photos\SurveyRepository;
use App\Plans\KeptRecipes;
use App\Plans\ShippedPlan;
use App\Studies\StudyKeeper;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\Distance;
use KnottyPrism\Core\Photo\Zones\Importance;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** The demo: an account with both invented lines, 24 of their pencils owned, and the study "Low water". Safe to run again. */
final class DatabaseSeeder extends Seeder
{
    private const PHOTOS = ['demo/photos/low-water-morning.jpg', 'demo/photos/low-water-evening.jpg'];

    /** Name, place on the photo's working copy, ring, and which of the answers is chosen. */
    private const CHOSEN = [
        ['mug, lit side', 1440, 420, 20, 0],
        ['rope, lit side', 790, 1010, 9, 0],
        ['plank, faded paint', 860, 660, 9, 0],
        ['float, upper glass', 520, 380, 20, 3],
        ['ring, rust in the light', 1330, 640, 9, 0],
        ['post, tar', 1790, 480, 20, 1],
    ];

    private const ZONES = 14;

    /** Name of the zone at a place (shares of the photo), its surface, and where it stands. */
    private const NAMED = [
        ['sea', 0.28, 0.11, Surface::Smooth, Distance::Far],
        ['stone', 0.38, 0.93, Surface::Rough, Distance::Near],
        ['tar and deep shadow', 0.95, 0.17, Surface::Rough, Distance::Middle],
        ['rope', 0.5, 0.655, Surface::SoftAndFuzzy, Distance::Near],
        ['stone, worn edge', 0.064, 0.806, Surface::Rough, Distance::Near],
        ['float', 0.205, 0.306, Surface::HardAndShiny, Distance::Middle],
        ['float, underside', 0.075, 0.546, Surface::HardAndShiny, Distance::Middle],
        ['plank', 0.62, 0.457, Surface::Rough, Distance::Middle],
        ['mug', 0.793, 0.296, Surface::HardAndShiny, Distance::Near],
        ['mug, in shade', 0.875, 0.296, Surface::HardAndShiny, Distance::Near],
        ['float, waterline', 0.18, 0.44, Surface::HardAndShiny, Distance::Middle],
        ['iron ring, in shade', 0.894, 0.633, Surface::Rough, Distance::Near],
        ['iron ring', 0.717, 0.439, Surface::Rough, Distance::Near],
        ['float, glints', 0.097, 0.217, Surface::HardAndShiny, Distance::Middle],
    ];

    public function run(
        StudyKeeper $studies,
        PhotoStore $store,
        SpotReader $spots,
        RecipeAnswers $recipes,
        KeptRecipes $plans,
        SurveyRepository $surveys,
        ShippedPlan $shipped,
        HalfDone $halfDone,
    ): void {
        $user = User::query()->firstOrCreate(
            ['email' => config('app.demo_email')],
            // Nobody signs in with it: the local visitor is let in without.
            ['name' => 'Demo', 'password' => Str::random(40)],
        );
        if ($user->pencils()->doesntExist()) {
            DB::transaction(fn () => $this->fillShelf($user));
        }
        if ($user->studies()->doesntExist()) {
            DB::transaction(fn () => $this->setUpStudy($user, $studies, $store, $spots, $recipes, $plans, $surveys));
            // It opens planned; where something has changed since this was written, the planner finds it again.
            $study = $user->studies()->firstOrFail();
            $shipped->putIn($study, (string) file_get_contents(base_path('demo/plan.json')));
            $halfDone->tick($study);
            $this->keepWhatIsDone($user, $study);
        }
    }

    /** What is done of it is in the book already. */
    private function keepWhatIsDone(User $user, Study $study): void
    {
        $board = app(DeskBoard::class);
        $ground = $board->ground($user, $study);
        foreach ($ground === null ? [] : $board->zones($ground, app(DeskKeeper::class)->ticks($study)) as $zone) {
            if ($zone->left() === 0) {
                [$recipe, $name, $outcome, $cutout] = app(RecipeFromPlan::class)->zone($user, $study, $zone->place->number);
                app(RecipeBook::class)->keep($user, $recipe, [
                    'study_id' => $study->id,
                    'name' => $name,
                    'words' => 'harbour, overcast morning',
                    'paper' => $study->paper,
                    'outcome' => $outcome,
                    'cutout' => $cutout,
                ]);
            }
        }
    }

    private function fillShelf(User $user): void
    {
        foreach (['slipway', 'foghorn'] as $line) {
            foreach (DrawerFile::records((string) file_get_contents(base_path("demo/lines/$line.csv"))) as $record) {
                $user->pencils()->create(PencilRow::columnsOf(PencilFit::of($record)));
            }
        }
    }

    private function setUpStudy(
        User $user,
        StudyKeeper $studies,
        PhotoStore $store,
        SpotReader $spots,
        RecipeAnswers $recipes,
        KeptRecipes $plans,
        SurveyRepository $surveys,
    ): void {
        [$morning, $evening] = self::PHOTOS;
        $study = $studies->begin($user, 'Low water', base_path($morning), 'morning');
        $studies->addPhoto($study, base_path($evening), 'evening')->update(['roles' => ['light']]);
        $photo = $study->photo();
        $this->survey($study, $surveys, $store);
        foreach (self::CHOSEN as [$name, $x, $y, $ring, $answer]) {
            $lab = $spots->read($photo, $x, $y, $ring)->lab;
            $surface = $surveys->current($study)->surfaceAt($x / $photo->width, $y / $photo->height);
            $found = $recipes->recipes($user, $study, $lab, $surface)['recipes'];
            $recipe = $found[$answer] ?? $found[0];
            $plans->add($study, [
                'name' => $name,
                'x' => $x,
                'y' => $y,
                'ring' => $ring,
                'target_l' => $lab->l,
                'target_a' => $lab->a,
                'target_b' => $lab->b,
                'label' => $recipe['label'],
                'stack' => ((array) $recipe['outcomes'])['spot']['stack'],
                'paper' => $study->paper,
            ]);
        }
        // The demo begins here: there is nothing to take back.
        Reversal::query()->where('study_id', $study->id)->delete();
    }

    /** Some spots to keep an eye on, and zones with names. */
    private function survey(Study $study, SurveyRepository $surveys, PhotoStore $photos): void
    {
        $photo = $study->photo();
        $surveys->change($study, static function (Survey $survey) use ($photo): array {
            foreach (self::CHOSEN as [$name, $x, $y, $ring]) {
                $survey = $survey->withNewSpot($name, $photo->id, $x / ($photo->width - 1), $y / ($photo->height - 1), $ring);
            }

            return [$survey, 'keep the first spots'];
        });
        $grid = $photos->grid($photo, null);
        $surveys->change($study, static function (Survey $survey) use ($grid): array {
            $sheet = ZoneSheet::proposed($grid, self::ZONES);
            foreach (self::NAMED as [$name, $x, $y, $surface, $distance]) {
                $zone = $sheet->labels->at($x, $y);
                $sheet = $sheet->with($zone, new ZoneNote($name, Importance::Ordinary, $surface, $distance));
            }

            return [$survey->withZones($sheet), 'name the zones'];
        });
    }
}
