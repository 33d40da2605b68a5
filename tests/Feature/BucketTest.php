<?php

declare(strict_types=1);

use App\Photos\Originals;
use App\Photos\Sweep;
use Aws\Command;
use Aws\S3\Exception\S3Exception;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Storage;

// What is promised of photos that lie in a bucket; a real one is asked in tests/Ops/bucket.test.sh.

beforeEach(function () {
    Storage::fake('bucket');
    config(['filesystems.default' => 'bucket']);
});

it('keeps in the bucket only what came, and on this machine only what can be made again', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $key = $study->photo()->storage_key;
    expect(Storage::disk('bucket')->allFiles())
        ->toBe(["$key/original"])
        ->and(Storage::disk('local')->allFiles())
        ->toContain("$key/working.rgb")
        ->not->toContain("$key/original");
    $this->actingAs($user)
        ->getJson("/api/studies/$study->id/spot?x=90&y=90&ring=9")
        ->assertOk();
    Storage::disk('local')->deleteDirectory($key);
    $this->getJson("/api/studies/$study->id/photo")->assertOk();
    $this->deleteJson("/api/studies/$study->id")->assertNoContent();
    expect([...Storage::disk('bucket')->allFiles(), ...Storage::disk('local')->allFiles()])->toBe([]);
});

it('sweeps the bucket and this machine for what no row knows', function () {
    $key = $this->study($this->artist())->photo()->storage_key;
    foreach (['bucket' => 'original', 'local' => 'working.rgb'] as $disk => $file) {
        Storage::disk($disk)->put("photos/left/$file", 'x');
        touch(Storage::disk($disk)->path("photos/left/$file"), time() - 8 * 86400);
    }
    expect(Sweep::now())
        ->toBe(2)
        ->and(Storage::disk('bucket')->allFiles())
        ->toBe(["$key/original"])
        ->and(Storage::disk('local')->directories('photos'))
        ->toBe([$key]);
});

it('moves what a folder holds into the bucket, and fetches it for a backup', function () {
    $key = $this->study($this->artist())->photo()->storage_key;
    $folder = sys_get_temp_dir().'/kp-bucket-'.bin2hex(random_bytes(4));
    Originals::fetch($folder);
    $whole = Storage::get("$key/original");
    expect(file_get_contents("$folder/$key/original"))->toBe($whole);
    Storage::delete("$key/original");
    expect(Artisan::call('photos:bring', ['folder' => $folder]))
        ->toBe(0)
        ->and(Storage::get("$key/original"))
        ->toBe($whole)
        ->and(is_file("$folder/$key/original"))
        ->toBeFalse();
    // There is nowhere to move them to where a folder is all there is.
    config(['filesystems.default' => 'local']);
    expect(Artisan::call('photos:bring', ['folder' => $folder]))->toBe(1);
});

it('asks for the same again where the bucket does not answer, and keeps nothing of it', function () {
    $user = $this->artist();
    Storage::shouldReceive('disk')->with('local')->andReturn(Storage::disk('local'));
    Storage::shouldReceive('disk')->withNoArgs()->andThrow(new S3Exception('cURL error 7', new Command('PutObject')));
    Storage::shouldReceive('delete')->andThrow(new S3Exception('cURL error 7', new Command('DeleteObject')));
    $answer = $this->actingAs($user)->post('/api/studies', ['photo' => $this->photo()], ['Accept' => 'application/json']);
    expect($answer->assertStatus(503)->json('detail'))
        ->toContain('sent when it is back')
        ->and($user->studies()->count())
        ->toBe(0);
});
