<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\PencilRow;
use App\Models\Study;
use App\Models\User;
use App\Services\PlanDesk;
use App\Services\SpotDesk;
use App\Services\StudyKeeper;
use App\Services\SurveyDesk;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Medium\PencilFit;
use KnottyPrism\Core\Photo\Survey\Survey;

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

    public function run(StudyKeeper $studies, SpotDesk $spots, PlanDesk $plans, SurveyDesk $surveys): void
    {
        $user = User::query()->firstOrCreate(
            ['email' => config('app.demo_email')],
            // Nobody signs in with it: the local visitor is let in without.
            ['name' => 'Demo', 'password' => Str::random(40)],
        );
        if ($user->pencils()->doesntExist()) {
            DB::transaction(fn () => $this->fillShelf($user));
        }
        if ($user->studies()->doesntExist()) {
            DB::transaction(fn () => $this->setUpStudy($user, $studies, $spots, $plans, $surveys));
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

    private function setUpStudy(User $user, StudyKeeper $studies, SpotDesk $spots, PlanDesk $plans, SurveyDesk $surveys): void
    {
        [$morning, $evening] = self::PHOTOS;
        $study = $studies->begin($user, 'Low water', base_path($morning), 'morning');
        $studies->addPhoto($study, base_path($evening), 'evening')->update(['roles' => ['light']]);
        $photo = $study->photo();
        $this->survey($study, $surveys);
        foreach (self::CHOSEN as [$name, $x, $y, $ring, $answer]) {
            $lab = $spots->read($photo, $x, $y, $ring)->lab;
            $recipes = $spots->recipes($user, $study, $lab)['recipes'];
            $recipe = $recipes[$answer] ?? $recipes[0];
            $plans->add($study, [
                'name' => $name, 'x' => $x, 'y' => $y, 'ring' => $ring, 'target_l' => $lab->l, 'target_a' => $lab->a, 'target_b' => $lab->b,
                'label' => $recipe['label'], 'stack' => $recipe['stack'], 'paper' => $study->paper,
            ]);
        }
        $study->changes()->delete();
    }

    /** Some spots to keep an eye on. */
    private function survey(Study $study, SurveyDesk $surveys): void
    {
        $photo = $study->photo();
        $surveys->change($study, 'demo-begins-here', static function (Survey $survey) use ($photo): array {
            foreach (self::CHOSEN as [$name, $x, $y, $ring]) {
                $survey = $survey->withNewSpot($name, $photo->id, $x / ($photo->width - 1), $y / ($photo->height - 1), $ring);
            }

            return [$survey, 'keep the first spots'];
        });
    }
}
