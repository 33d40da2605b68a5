<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\PencilRow;
use App\Models\User;
use App\Photos\PhotoIntake;
use App\Photos\PhotoStore;
use App\Services\PlanDesk;
use App\Services\SpotDesk;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Medium\PencilFit;

/** The demo: an account with both invented lines, 24 of their pencils owned, and the study "Low water". Safe to run again. */
final class DatabaseSeeder extends Seeder
{
    private const PHOTO = 'demo/photos/low-water-morning.jpg';

    /** Name, place on the photo's working copy, ring, and which of the answers is chosen. */
    private const CHOSEN = [
        ['mug, lit side', 1440, 420, 20, 0],
        ['rope, lit side', 790, 1010, 9, 0],
        ['plank, faded paint', 860, 660, 9, 0],
        ['float, upper glass', 520, 380, 20, 3],
        ['ring, rust in the light', 1330, 640, 9, 0],
        ['post, tar', 1790, 480, 20, 1],
    ];

    public function run(PhotoIntake $intake, PhotoStore $store, SpotDesk $spots, PlanDesk $plans): void
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
            DB::transaction(fn () => $this->setUpStudy($user, $intake, $store, $spots, $plans));
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

    private function setUpStudy(User $user, PhotoIntake $intake, PhotoStore $store, SpotDesk $spots, PlanDesk $plans): void
    {
        $copy = $intake->take(base_path(self::PHOTO));
        $study = $user->studies()->create([
            'name' => 'Low water', 'paper' => 'white medium', 'photo_key' => $store->keep(base_path(self::PHOTO), $copy),
            'photo_name' => 'low-water-morning.jpg', 'photo_width' => $copy->width, 'photo_height' => $copy->height,
        ]);
        foreach (self::CHOSEN as [$name, $x, $y, $ring, $answer]) {
            $lab = $spots->read($study, $x, $y, $ring)->lab;
            $recipes = $spots->recipes($user, $study, $lab)['recipes'];
            $recipe = $recipes[$answer] ?? $recipes[0];
            $plans->add($study, [
                'name' => $name, 'x' => $x, 'y' => $y, 'ring' => $ring, 'target_l' => $lab->l, 'target_a' => $lab->a, 'target_b' => $lab->b,
                'label' => $recipe['label'], 'stack' => $recipe['stack'], 'paper' => $study->paper,
            ]);
        }
        $study->changes()->delete();
    }
}
