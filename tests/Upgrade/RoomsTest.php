<?php

declare(strict_types=1);

use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/**
 * A database as it was before tables were named for what they hold, with what the application answered then: tests/fixtures/before-rooms.
 * Recipes kept, renamed and removed for spots, a plan with a version taken back, a drawer with a note, two studies planned.
 */
const BEFORE_ROOMS = __DIR__.'/../fixtures/before-rooms';

function databaseOfBefore(): void
{
    DB::statement('drop database if exists knotty_prism_test_before');
    DB::statement('create database knotty_prism_test_before character set utf8mb4 collate utf8mb4_unicode_ci');
    foreach (['mariadb', 'apart'] as $connection) {
        config(["database.connections.$connection.database" => 'knotty_prism_test_before']);
        DB::purge($connection);
    }
    DB::unprepared((string) gzdecode((string) file_get_contents(BEFORE_ROOMS.'/database.sql.gz')));
}

/** Photos lie beside the database. */
function photosOfBefore(): void
{
    $small = json_decode((string) file_get_contents(BEFORE_ROOMS.'/study.json'), true)['photos'][0]['data'];
    foreach (DB::table('photos')->get() as $photo) {
        $demo = base_path("demo/photos/low-water-$photo->name.jpg");
        Storage::put("$photo->storage_key/original", is_file($demo) ? (string) file_get_contents($demo) : (string) base64_decode($small));
    }
}

afterEach(fn () => DB::statement('drop database if exists knotty_prism_test_before'));

it('brings a database of before through with nothing of the artist\'s lost, and can be cut off and go on', function () {
    databaseOfBefore();
    photosOfBefore();
    // Cut off after a few steps.
    DB::statement('rename table plan_entries to kept_recipes');
    DB::statement('alter table studies rename column picture_number to plan_number');
    $this->artisan('migrate', ['--force' => true])->assertSuccessful();
    $this->actingAs(User::query()->firstOrFail());
    $then = json_decode((string) file_get_contents(BEFORE_ROOMS.'/answers.json'), true);
    foreach ([1, 3] as $id) {
        $kept = $this->getJson("/api/studies/$id/kept-recipes")->assertOk()->json();
        $plan = $this->getJson("/api/studies/$id/plan")->assertOk()->json();
        // Stacks that the artist kept are held; what the planner found for single colours is planned anew, as sequences.
        $own = array_merge(...array_map(static fn (array $z): array => array_map(static fn (array $t): ?array => $t['own'] ? [$z['number'], $t['role'], $t['recipe']['stack']] : null, $z['targets']), $plan['zones']));
        $own = array_values(array_filter($own));
        expect(array_filter($own, static fn (array $o): bool => ! in_array($o, $then[(string) $id]['stacks'], true)))->toBe([])->and($plan['waiting'])->toBe(count($plan['zones']));
        expect([
            'kept' => array_map(static fn (array $e): array => [$e['id'], $e['name'], $e['stack'], $e['label']], $kept['entries']), 'undoKept' => $kept['undoWords'],
            'version' => $plan['version'], 'undo' => $plan['undoWords'], 'redo' => $plan['redoWords'], 'named' => $plan['named'],
            'pencils' => $plan['settings']['pencils'],
        ])->toEqual(array_diff_key($then[(string) $id], ['waiting' => 0, 'stacks' => 0]), "study $id");
    }
    expect($this->getJson('/api/drawer/lines')->json('undoWords'))->toBe($then['drawerUndo']);
});

it('takes back what was done before, step by step', function () {
    databaseOfBefore();
    photosOfBefore();
    $this->artisan('migrate', ['--force' => true])->assertSuccessful();
    $this->actingAs(User::query()->firstOrFail());
    $names = fn (): array => array_column($this->getJson('/api/studies/1/kept-recipes')->json('entries'), 'name');
    $before = $names();
    $this->postJson('/api/studies/1/kept-recipes/undo')->assertOk();
    expect(array_diff($names(), $before))->toBe([array_search('removed later', $names(), true) => 'removed later']);
    $this->postJson('/api/studies/1/kept-recipes/undo')->assertOk();
    expect(array_count_values($names())['renamed one'])->toBe(1)->and($names())->toContain('kept one');
    $undone = 0;
    while ($this->getJson('/api/studies/1/kept-recipes')->json('undoWords') !== null) {
        $this->postJson('/api/studies/1/kept-recipes/undo')->assertOk();
        expect(++$undone)->toBeLessThan(20);
    }
    expect(array_intersect($names(), ['kept one', 'kept two', 'renamed one', 'removed later']))->toBe([])->and($names())->toContain('rope, lit side');
    $this->postJson('/api/drawer/undo')->assertOk();
    expect($this->getJson('/api/drawer/pencil?id=Slipway/711&paper=white%20medium')->assertOk()->json('stock.notes'))->not->toBe('half left');
});

it('takes in a study file of before', function () {
    databaseOfBefore();
    photosOfBefore();
    $this->artisan('migrate', ['--force' => true])->assertSuccessful();
    $this->actingAs(User::query()->firstOrFail());
    $id = $this->postJson('/api/studies/bundle', ['file' => uploadOf((string) file_get_contents(BEFORE_ROOMS.'/study.json'), 'small.study.json')])->assertCreated()->json('id');
    $stacks = fn (int $study): array => array_map(static fn (array $z): array => array_map(static fn (array $t): ?string => $t['recipe']['stack'] ?? null, $z['targets']), $this->getJson("/api/studies/$study/plan")->assertOk()->json('zones'));
    $then = json_decode((string) file_get_contents(BEFORE_ROOMS.'/answers.json'), true);
    // A study file holds every stack as it was: so does the study that comes of it. A touch that was not found before has none yet.
    expect(array_values(array_filter(array_merge(...$stacks($id)), is_string(...))))->toBe(array_column($then['3']['stacks'], 2))->and($this->getJson("/api/studies/$id/kept-recipes")->json('entries.0.name'))->toBe('sky')
        ->and(Study::query()->findOrFail($id)->name)->toBe('Small');
});

it('tells a page of before to come back and not that it is wrong, so that what it has kept waits', function () {
    databaseOfBefore();
    photosOfBefore();
    $this->artisan('migrate', ['--force' => true])->assertSuccessful();
    $this->actingAs(User::query()->firstOrFail());
    foreach ([['POST', 'picture/changes'], ['GET', 'picture'], ['POST', 'picture/undo'], ['POST', 'plan'], ['PATCH', 'plan/7'], ['DELETE', 'plan/7']] as [$method, $path]) {
        $this->json($method, "/api/studies/1/$path", ['name' => 'rope'])->assertStatus(425)->assertJsonPath('detail', 'Reload the page; what waits on this device is then sent by itself.');
    }
    $this->deleteJson('/api/studies/1/plan/run')->assertOk();
});
