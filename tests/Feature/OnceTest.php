<?php

declare(strict_types=1);

use App\Edits\Once;
use App\Edits\Unwanted;
use App\Models\DrawingCheckRow;
use App\Models\MeasuringSheet;
use App\Models\PencilRow;
use App\Models\Study;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

// A page that got no answer sends its change again; two tabs know nothing of each other.

/** @return array<string, string> */
function under(string $key): array
{
    return [Once::HEADER => $key];
}

it('makes every kind of change once, however often it is sent under its key', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $study = $this->study($user);
    $base = "/api/studies/$study->id";
    $photo = $study->photo();
    $entry = ['name' => 'left', 'x' => 100, 'y' => 150, 'ring' => 9, 'label' => 'closest', 'stack' => '735@0.35'];
    $spot = ['kind' => 'addSpot', 'name' => 'hull', 'photo' => $photo->id, 'x' => 0.2, 'y' => 0.2, 'ring' => 9];
    $count = fn (): array => array_map(static fn (string $table): int => DB::table($table)->count(), [
        'kept_recipes',
        'reversals',
        'survey_versions',
        'plan_versions',
        'photos',
        'studies',
        'pencil_uses',
    ]);
    $file = fn (): UploadedFile => $this->photo();
    foreach (
        [
            'a recipe' => ['POST', "$base/kept-recipes", fn () => $entry],
            'a spot' => ['POST', "$base/survey/changes", fn () => $spot],
            'a decision' => ['POST', "$base/plan/changes", fn () => ['kind' => 'mode', 'mode' => 'value-first']],
            'a run' => ['POST', '/api/drawer/ranges', fn () => ['line' => 'Slipway', 'numbers' => '600-700', 'stock' => 'wanted']],
            'a length' => ['PATCH', '/api/drawer/pencil', fn () => ['id' => 'Slipway/735', 'lengthLeft' => 120]],
            'a photo' => ['POST', "$base/photos", fn () => ['photo' => $file()]],
            'a study' => ['POST', '/api/studies', fn () => ['photo' => $file(), 'name' => 'Ebb']],
        ] as $what => [$method, $path, $data]
    ) {
        $key = 'key-of-'.strtr($what, ' ', '-');
        $first = $this->json($method, $path, $data(), under($key))->assertSuccessful();
        $made = $first->headers->get(Once::MADE);
        $after = $count();
        $files = count(Storage::allFiles());
        for ($n = 0; $n < 2; $n++) {
            $again = $this->json($method, $path, $data(), under($key))->assertStatus($first->status());
            expect($count())
                ->toBe($after, $what)
                ->and(count(Storage::allFiles()))
                ->toBe($files, $what)
                ->and("$what: $made")
                ->not->toBe("$what: ")
                ->and($again->headers->get(Once::MADE))
                ->toBe($made, $what);
        }
    }
    // Another change under another key is another change; what was refused leaves no key behind.
    $this->postJson("$base/kept-recipes", $entry, under('another-key'))->assertCreated();
    expect($this->getJson("$base/kept-recipes")->json('entries'))->toHaveCount(2);
    $this->postJson("$base/kept-recipes", [...$entry, 'stack' => '999@0.35'], under('refused-key'))->assertUnprocessable();
    $this->postJson("$base/kept-recipes", $entry, under('refused-key'))->assertCreated();
    $this->postJson("$base/kept-recipes", $entry, under('no'))->assertUnprocessable();
    $this->actingAs($this->artistWithDrawer('other'));
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/735', 'lengthLeft' => 60], under('key-of-a-length'))->assertSuccessful();
    expect(PencilRow::query()->where('number', '735')->pluck('length_left')->all())->toBe([120.0, 60.0]);
});

it('keeps nothing of what is said to be unwanted while it is worked out, by whoever asked for it', function (bool $isOwn) {
    [$user, $other] = [$this->artistWithDrawer(), $this->artist('other')];
    $study = $this->study($user);
    // Said in the middle, as a page does that is waiting for the answer.
    DB::listen(
        static fn ($query) => str_starts_with($query->sql, 'insert into `photos`')
            ? Unwanted::say($isOwn ? $user : $other, 'key-of-a-photo')
            : null,
    );
    $files = Storage::allFiles();
    $answer = $this->actingAs($user)->postJson("/api/studies/$study->id/photos", ['photo' => $this->photo()], under('key-of-a-photo'));
    expect($answer->status())
        ->toBe($isOwn ? 409 : 201)
        ->and($study->photos()->count())
        ->toBe($isOwn ? 1 : 2);
    $this->postJson('/api/unwanted', ['key' => 'key-of-a-photo'])->assertNoContent();
    $this->postJson('/api/unwanted', ['key' => 'no'])->assertUnprocessable();
    // Kept before, it stays kept.
    expect($study->photos()->count())
        ->toBe($isOwn ? 1 : 2)
        ->and(Storage::allFiles() === $files)
        ->toBe($isOwn);
})->with(['by oneself' => true, 'by a stranger' => false]);

it('takes one change back for an undo that is sent three times, and none for one that stands on something else', function (
    string $history,
    Closure $change,
    Closure $words,
) {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $study = $this->study($user);
    $at = fn (string $path): string => str_replace('{study}', (string) $study->id, $path);
    $state = fn () => $this->getJson($at($history === 'drawer' ? '/api/drawer/lines' : "/api/studies/{study}/$history"))
        ->assertOk()
        ->json();
    $undo = fn (array $data, string $key) => $this->postJson(
        $at($history === 'drawer' ? '/api/drawer/undo' : "/api/studies/{study}/$history/undo"),
        $data,
        under($key),
    );
    foreach (['one', 'two', 'three'] as $n) {
        $change($this, $at, $study, $n);
    }
    $stamp = $state()['stamp'];
    $undo(['of' => $stamp], 'undo-number-1')->assertOk();
    $undo(['of' => $stamp], 'undo-number-1')->assertOk();
    $undo(['of' => $stamp], 'undo-number-1')->assertOk();
    expect($state()['undoWords'])->toContain($words('two'));
    // Meant for the third, which is taken back already: by another tab, say.
    expect(
        $undo(['of' => $stamp], 'undo-number-2')
            ->assertConflict()
            ->json('detail'),
    )
        ->toContain('Changed on another device meanwhile')
        ->toContain($words('two'));
    expect($state()['undoWords'])->toContain($words('two'));
    $made = $undo(['of' => $state()['stamp']], 'undo-number-3')
        ->assertOk()
        ->headers->get(Once::MADE);
    expect((string) $state()['stamp'])->toBe($made)->and($state()['undoWords'])->toContain($words('one'));
})->with([
    'the survey' => [
        'survey',
        fn ($t, $at, $study, $n) => $t
            ->postJson($at('/api/studies/{study}/survey/changes'), [
                'key' => "change-$n-",
                'kind' => 'addSpot',
                'name' => $n,
                'photo' => $study->colour_photo_id,
                'x' => 0.2,
                'y' => 0.2,
                'ring' => 9,
            ])
            ->assertOk(),
        fn ($n) => "keep the spot “{$n}”",
    ],
    'the plan of the picture' => [
        'plan',
        fn ($t, $at, $study, $n) => $t
            ->postJson($at('/api/studies/{study}/plan/changes'), [
                'key' => "change-$n-",
                'kind' => 'lock',
                'pencil' => ['one' => 'Slipway/624', 'two' => 'Slipway/661', 'three' => 'Slipway/745'][$n],
                'how' => 'in',
            ])
            ->assertOk(),
        fn ($n) => ['one' => '624', 'two' => '661', 'three' => '745'][$n],
    ],
    'kept recipes' => [
        'kept-recipes',
        fn ($t, $at, $study, $n) => $t
            ->postJson($at('/api/studies/{study}/kept-recipes'), [
                'name' => $n,
                'x' => 100,
                'y' => 150,
                'ring' => 9,
                'label' => 'closest',
                'stack' => '735@0.35',
            ])
            ->assertCreated(),
        fn ($n) => "“{$n}”",
    ],
    'the drawer' => [
        'drawer',
        fn ($t, $at, $study, $n) => $t
            ->patchJson('/api/drawer/pencil', [
                'id' => ['one' => 'Slipway/624', 'two' => 'Slipway/661', 'three' => 'Slipway/745'][$n],
                'notes' => $n,
            ])
            ->assertNoContent(),
        fn ($n) => ['one' => '624', 'two' => '661', 'three' => '745'][$n],
    ],
]);

it('deletes a study with its photos, once, and nobody else\'s', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $stranger = $this->study($this->artist('stranger'));
    $this->actingAs($user)
        ->deleteJson("/api/studies/$stranger->id")
        ->assertNotFound();
    $this->deleteJson("/api/studies/$study->id", [], under('delete-this-study'))->assertNoContent();
    $this->deleteJson("/api/studies/$study->id", [], under('delete-this-study'))->assertNoContent();
    $this->deleteJson("/api/studies/$study->id")->assertNotFound();
    expect(Study::query()->pluck('id')->all())
        ->toBe([$stranger->id])
        ->and(Storage::directories('photos'))
        ->toBe([$stranger->photo()->storage_key]);
});

it('binds a key to the account and the address that it came to, letter for letter', function () {
    $other = $this->artistWithDrawer('other');
    $this->actingAs($other)
        ->postJson('/api/drawer/sheets', ['pencils' => "1 one\n2 theirs", 'line' => 'Mine', 'size' => 'a4'], under('key-of-a-sheet'))
        ->assertCreated();
    $theirs = $this->study($other);
    $check = DrawingCheckRow::query()->create([
        'study_id' => $theirs->id,
        'passes' => 1,
        'said' => ['secret' => 'theirs'],
        'photo' => '',
        'map' => '',
    ]);
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $this->actingAs($user);
    // A number that some change of one's own made, used where it would name somebody else's row.
    foreach (
        [
            [
                'POST',
                '/api/drawer/sheets',
                ['pencils' => '1 one', 'line' => 'Mine', 'size' => 'a4'],
                (int) MeasuringSheet::query()->value('id'),
            ],
            ['POST', "/api/studies/$study->id/plan/checks/made-up", ['passes' => 1, 'seed' => 1], $check->id],
            ['POST', '/api/studies', ['photo' => $this->photo(), 'name' => 'x'], $theirs->id],
            ['POST', "/api/studies/$study->id/photos", ['photo' => $this->photo()], $theirs->photo()->id],
        ] as $n => [$method, $path, $data, $made]
    ) {
        $this->patchJson(
            '/api/drawer/pencil',
            ['id' => 'Slipway/735', 'lengthLeft' => 100 + $n],
            under("used-before-$n"),
        )->assertSuccessful();
        DB::table('made_changes')
            ->where('change_key', "used-before-$n")
            ->update(['made' => $made]);
        $this->json($method, $path, $data, under("used-before-$n"))
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'This page is out of step; reload it and try again.');
        // Even bound to this address, a row is fetched through its owner.
        DB::table('made_changes')
            ->where('change_key', "used-before-$n")
            ->update(['route' => "$method ".ltrim($path, '/')]);
        $answer = $this->json($method, $path, $data, under("used-before-$n"));
        expect($answer->status() === 404 || str_contains($path, '/photos'))
            ->toBeTrue($path)
            ->and($answer->getContent())
            ->not->toContain('theirs');
    }
    $count = fn (): int => DB::table('made_changes')->where('user_id', $user->id)->count();
    $before = $count();
    foreach (['LETTERS-large', 'letters-LARGE'] as $key) {
        $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/735', 'lengthLeft' => 90], under($key))->assertSuccessful();
    }
    expect($count())->toBe($before + 2);
});

it('fetches no row in a controller but through its owner', function () {
    $found = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(app_path('Http/Controllers'), FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        preg_match_all(
            '/[A-Z]\w+::query\(\)[^;]*?->(?:find|findOrFail|first|firstOrFail|sole|get|value|pluck|delete|update)\(/',
            (string) file_get_contents((string) $file),
            $chains,
        );
        foreach ($chains[0] as $chain) {
            if (preg_match("/where\('(user_id|study_id)'|whereKey\(\\\$(import|sheet|study|accountImport)->id\)/", $chain) !== 1) {
                $found[] = basename((string) $file).": $chain";
            }
        }
    }
    expect($found)->toBe([]);
    // What a route names by number is looked at by its policy before a controller sees it, or asked for within a study that was.
    foreach (Route::getRoutes()->getRoutes() as $route) {
        $rule = implode(' ', $route->gatherMiddleware());
        foreach (['study', 'import', 'sheet', 'accountImport'] as $name) {
            if (
                in_array($name, $route->parameterNames(), true) &&
                "{$route->methods()[0]} {$route->uri()}" !== 'DELETE api/studies/{study}' &&
                str_starts_with($route->uri(), 'api/')
            ) {
                expect($rule)->toContain("can:own,$name");
            }
        }
    }
});
