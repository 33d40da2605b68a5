<?php

declare(strict_types=1);

use App\Cache\Computed;
use App\Cache\Prune;
use App\Models\Photo;
use App\Photos\FullDisk;
use App\Photos\Sweep;
use App\Photos\WholeFiles;
use App\Studies\StudyKeeper;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;

// A disk that is full, or a machine that stops, leaves halves of files behind.

it('makes a working copy again that is damaged, cut off or gone, and reads the same from it', function (string $file, Closure $spoilt) {
    $user = $this->artist();
    $study = $this->study($user);
    $this->actingAs($user);
    $asked = [
        "/api/studies/$study->id/spot?x=90&y=90&ring=9",
        "/api/studies/$study->id/photo",
        "/api/studies/$study->id/photos/{$study->photo()->id}/values?steps=9",
    ];
    $answers = fn (): array => array_map(fn (string $path): string => (string) $this->getJson($path)->assertOk()->getContent(), $asked);
    $before = $answers();
    $path = $study->photo()->storage_key."/$file";
    $whole = (string) Storage::get($path);
    $spoilt($path, $whole);
    Cache::store(Computed::NEAR)->flush();
    expect($answers())->toBe($before)->and(Storage::get($path))->toBe($whole);
})
    ->with(['working.rgb', 'working.jpg', 'side-720.rgb'])
    ->with([
        'cut off' => [fn (string $path, string $whole) => Storage::put($path, substr($whole, 0, intdiv(strlen($whole), 2)))],
        'empty' => [fn (string $path) => Storage::put($path, '')],
        'gone' => [fn (string $path) => Storage::delete($path)],
    ]);

it('says what to do when the photo itself is gone from the disk', function () {
    $user = $this->artist();
    $study = $this->study($user);
    Storage::deleteDirectory($study->photo()->storage_key);
    expect(
        $this->actingAs($user)
            ->getJson("/api/studies/$study->id/photo")
            ->assertUnprocessable()
            ->json('detail'),
    )->toContain('add the photo again');
});

it('writes a file whole or not at all', function () {
    $files = new WholeFiles(Storage::disk());
    $files->put('photos/a/one', 'before');
    $broken = fopen('php://memory', 'w+');
    fwrite($broken, 'after');
    rewind($broken);
    $files->put('photos/a/two', $broken);
    expect(Storage::get('photos/a/two'))->toBe('after');
    // What can't be put in its place leaves the one before, and nothing beside it.
    Storage::makeDirectory('photos/a/three');
    expect(fn () => $files->put('photos/a/three', 'x'))->toThrow(RuntimeException::class);
    expect(Storage::files('photos/a'))->toBe(['photos/a/one', 'photos/a/two']);
});

it('keeps no files of a photo whose row can not be made, and no row of one whose files can not be kept', function () {
    $user = $this->artist();
    DB::listen(
        fn ($query) => str_starts_with($query->sql, 'insert into `studies`')
            ? throw new RuntimeException('SQLSTATE[HY000]: General error: 1114 The table \'studies\' is full')
            : null,
    );
    expect(fn () => app(StudyKeeper::class)->begin($user, 'x', $this->photo()->getRealPath(), 'x.png'))->toThrow(RuntimeException::class);
    expect(Storage::allFiles())->toBe([]);
});

it('removes what a machine left that stopped while a photo was coming in, but not what is coming in', function () {
    $study = $this->study($this->artist());
    foreach (['old' => 8 * 24 * 3600, 'new' => 60] as $name => $age) {
        Storage::put("photos/$name/original", 'x');
        touch(Storage::path("photos/$name/original"), time() - $age);
    }
    touch(Storage::path($study->photo()->storage_key.'/original'), 1);
    expect(Sweep::now())->toBe(1);
    expect(Storage::directories('photos'))
        ->toEqualCanonicalizing([$study->photo()->storage_key, 'photos/new'])
        ->and(Photo::query()->count())
        ->toBe(1);
});

it('forgets what was worked out and nobody asks for any more', function () {
    $folder = sys_get_temp_dir().'/kp-prune-'.bin2hex(random_bytes(4));
    config([
        'cache.stores' => [
            'array' => ['driver' => 'array'],
            'looks' => ['driver' => 'file', 'path' => $folder],
            'gone' => ['driver' => 'file', 'path' => "$folder/none"],
        ],
    ]);
    mkdir("$folder/ab/cd", 0o777, true);
    foreach (['old' => 9, 'new' => 6] as $name => $days) {
        touch("$folder/ab/cd/$name", time() - $days * 86400);
    }
    DB::table('cache')->insert([
        ['key' => 'over', 'value' => 'x', 'expiration' => time() - 5],
        ['key' => 'still', 'value' => 'x', 'expiration' => time() + 500],
    ]);
    expect(Prune::now())
        ->toBe(2)
        ->and(glob("$folder/ab/cd/*"))
        ->toBe(["$folder/ab/cd/new"])
        ->and(DB::table('cache')->pluck('key')->all())
        ->toBe(['still']);
});

it('answers what it has worked out though it can be kept nowhere', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $this->actingAs($user);
    // A file where the caches' folder should be: nothing can be written there, nor read.
    $file = (string) tempnam(sys_get_temp_dir(), 'kp');
    config([
        'cache.stores.looks' => ['driver' => 'file', 'path' => "$file/looks"],
        'cache.stores.atlases' => ['driver' => 'file', 'path' => "$file/atlases"],
        'cache.stores.array' => ['driver' => 'file', 'path' => "$file/all"],
    ]);
    foreach (['looks', 'atlases', 'array'] as $store) {
        Cache::purge($store);
    }
    $this->postJson("/api/studies/$study->id/survey/changes", [
        'key' => 'propose-zones',
        'kind' => 'proposeZones',
        'most' => 6,
    ])->assertOk();
    $id = $study->photo()->id;
    foreach (
        [
            'survey',
            'spot?x=90&y=90&ring=9',
            'recipes?x=90&y=90&ring=9',
            "photos/$id/look?tone=grey&squint=2",
            "photos/$id/values?steps=9",
            'plan',
        ] as $path
    ) {
        $this->getJson("/api/studies/$study->id/$path")->assertOk();
    }
    $this->getJson('/api/drawer/tray?order=value')->assertOk();
});

it('names a full disk, whichever way it is said, and asks to be sent the same again', function (string $said) {
    Route::middleware('web')->get('/api/fails', fn () => throw new RuntimeException('outer', 0, new RuntimeException($said)));
    expect($this->getJson('/api/fails')->assertStatus(507)->json('detail'))->toContain('disk of this computer is full');
})->with([
    'fopen(/x): Failed to open stream: No space left on device',
    'file_put_contents(): Only 4096 of 70000 bytes written, possibly out of free disk space',
    "SQLSTATE[HY000]: General error: 1114 The table 'studies' is full",
    'SQLSTATE[HY000]: General error: 1026 Error writing file \'x\' (Errcode: 28 "No space left on device")',
]);

it('asks for a moment where the database waited too long for somebody else', function () {
    Route::middleware('web')->get('/api/fails', function () {
        $error = new PDOException('SQLSTATE[HY000]: General error: 1205 Lock wait timeout exceeded');
        $error->errorInfo = ['HY000', 1205, 'Lock wait timeout exceeded'];
        throw new Illuminate\Database\QueryException('mariadb', 'update x', [], $error);
    });
    $this->getJson('/api/fails')->assertStatus(503);
});

it('tells how much room there is', function () {
    expect(FullDisk::freeBytes(sys_get_temp_dir()))->toBeGreaterThan(0)->and(FullDisk::freeBytes('/no/such/folder'))->toBeNull();
    $this->getJson('/health')->assertJson(['diskSpace' => true]);
});
