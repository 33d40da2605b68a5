<?php

declare(strict_types=1);

use App\Cache\Computed;
use App\Cache\KeptFiles;
use App\Models\DrawingCheckRow;
use App\Models\Photo;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Storage;

const PRESENT = 'long enough 10';

/** A small photo as a phone takes it, upright only by its note, with the place in it in three ways. */
function photoWithPlace(string $kind = 'jpg'): UploadedFile
{
    $path = sys_get_temp_dir().'/kp-place-'.bin2hex(random_bytes(6)).".$kind";
    $image = new Imagick();
    $image->newPseudoImage(160, 120, 'gradient:#804020-#e0d0a0');
    $image->setImageFormat($kind === 'jpg' ? 'jpeg' : $kind);
    $image->writeImage($path);
    Process::run([
        'exiftool',
        '-q',
        '-overwrite_original',
        '-GPSLatitude=54.1',
        '-GPSLatitudeRef=N',
        '-GPSLongitude=8.2',
        '-GPSLongitudeRef=E',
        '-Orientation#=6',
        '-XMP:City=Harbour town',
        '-SerialNumber=4711',
        '-LensSerialNumber=4712',
        '-HostComputer=Harbour phone',
        '-ImageDescription=Harbour wall',
        '-Copyright=Harbour owner',
        '-UserComment=Harbour note',
        '-OwnerName=Harbour owner',
        '-Artist=Harbour owner',
        '-XMP-dc:Description=Harbour',
        '-IPTC:Caption-Abstract=Harbour',
        '-Software=Harbour',
        '-Comment=Harbour',
        '-DateTimeOriginal=2020:01:02 10:00:00',
        $path,
    ])->throw();

    // What no list of names knows: parts of other programs, and what is hidden behind the picture.
    $bytes = (string) file_get_contents($path);
    $secret = 'Harbour secret..';
    file_put_contents(
        $path,
        match ($kind) {
            'jpg' => substr($bytes, 0, 2)."\xFF\xE9".pack('n', 2 + strlen($secret)).$secret.substr($bytes, 2).$secret,
            'png' => substr($bytes, 0, 33).
                pack('N', strlen($secret)).
                'prVt'.
                $secret.
                pack('N', crc32('prVt'.$secret)).
                substr($bytes, 33).
                $secret,
            'webp' => 'RIFF'.
                pack('V', strlen($bytes) + strlen($secret)).
                substr($bytes, 8).
                'SECR'.
                pack('V', strlen($secret)).
                $secret,
            'heic' => $bytes.pack('N', 24 + strlen($secret)).'uuid0123456789abcdef'.$secret,
            default => $bytes.$secret,
        },
    );

    return new UploadedFile($path, "photo.$kind", null, null, true);
}

it('changes the password against the present one, and ends what is signed in elsewhere', function () {
    $account = ['name' => 'Tide', 'email' => 'tide@example.org', 'password' => PRESENT, 'stays' => true];
    $this->postJson('/accounts', $account)->assertCreated();
    $user = User::query()->firstOrFail();
    $before = [$user->password, $user->remember_token];
    $this->patchJson('/api/account/password', ['password' => 'not this one', 'new' => 'another long one'])
        ->assertUnprocessable()
        ->assertJsonFragment(['detail' => 'That is not the password of this account; check it and try again.']);
    $this->patchJson('/api/account/password', ['password' => PRESENT, 'new' => 'short'])
        ->assertUnprocessable()
        ->assertJsonFragment(['detail' => 'A password needs at least 10 characters.']);
    $this->patchJson('/api/account/password', ['password' => PRESENT, 'new' => 'another long one'])->assertNoContent();
    // Here one goes on; a session that was begun with the old one does not.
    $this->getJson('/api/me')->assertOk();
    $user->refresh();
    expect($user->password)->not->toBe($before[0])->and($user->remember_token)->not->toBe($before[1]);
    $this->withSession(['password_hash_web' => 'of-the-old-one'])
        ->getJson('/api/me')
        ->assertUnauthorized();
    $this->postJson('/sign-in', $account)->assertUnprocessable();
    $this->postJson('/sign-in', ['email' => 'tide@example.org', 'password' => 'another long one'])->assertOk();
    $this->postJson('/api/account/elsewhere', ['password' => 'another long one'])->assertNoContent();
    $this->getJson('/api/me')->assertOk();
    expect($user->refresh()->remember_token)->not->toBeNull();
});

it('deletes an account with everything in it, against its password, and nothing of anybody else', function () {
    $other = $this->study($this->artistWithDrawer('other'));
    $study = pictureOf($this);
    $user = $study->user;
    $user->update(['password' => PRESENT]);
    $this->actingAs($user->fresh());
    $this->postJson("/api/studies/$study->id/plan/run");
    $this->postJson("/api/studies/$study->id/share");
    $keys = Photo::query()->where('study_id', $study->id)->pluck('storage_key')->all();
    expect(Storage::exists("$keys[0]/original"))->toBeTrue();
    $this->deleteJson('/api/account', ['password' => 'not this one'])->assertUnprocessable();
    $this->deleteJson('/api/account', ['password' => PRESENT])
        ->assertNoContent()
        ->assertHeader('Clear-Site-Data', '"cache"');
    $this->getJson('/api/me')->assertUnauthorized();
    expect(Storage::exists("$keys[0]/original"))
        ->toBeFalse()
        ->and(User::query()->pluck('name')->all())
        ->toBe(['other']);
    foreach (
        DB::select(
            'select table_name as t, column_name as c from information_schema.columns where table_schema = database() and column_name in '
                ."('user_id', 'study_id', 'account')",
        ) as $column
    ) {
        $left = DB::table($column->t)->whereNotNull($column->c)->pluck($column->c)->unique()->values()->all();
        expect(array_diff($left, [$column->c === 'study_id' ? $other->id : $other->user_id]))->toBe([], "$column->t.$column->c");
    }
    $demo = User::factory()->create(['email' => config('app.demo_email'), 'password' => PRESENT]);
    $this->actingAs($demo)
        ->deleteJson('/api/account', ['password' => PRESENT])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'open to everyone who uses this computer'));
});

it('stays signed in by choice, and says when to try again', function () {
    $user = $this->artist('tide');
    $user->update(['password' => PRESENT]);
    $cookies = fn (bool $stays): array => collect(
        $this->postJson('/sign-in', ['email' => $user->email, 'password' => PRESENT, 'stays' => $stays])
            ->assertOk()
            ->headers->getCookies(),
    )
        ->keyBy(fn ($c): string => str_starts_with($c->getName(), 'remember_') ? 'remember' : $c->getName())
        ->all();
    $passing = $cookies(false);
    expect($passing)->not->toHaveKey('remember')->and($passing[config('session.cookie')]->getExpiresTime())->toBe(0);
    $this->postJson('/sign-out');
    $staying = $cookies(true);
    expect($staying)
        ->toHaveKey('remember')
        ->and($staying[config('session.cookie')]->getExpiresTime())
        ->toBeGreaterThan(time() + 86_400);
    $this->postJson('/sign-out')->assertHeader('Clear-Site-Data', '"cache"');
    // Known and unknown are refused in the same words, and told when it is worth another try.
    $refused = fn (string $email): array => [
        ($answer = $this->postJson('/sign-in', ['email' => $email, 'password' => 'a guess of mine']))->getStatusCode(),
        $answer->json('detail'),
    ];
    expect($refused($user->email))->toBe($refused('nobody@example.org'));
    for ($try = 0; $try < 6; $try++) {
        $last = $this->postJson('/sign-in', ['email' => 'nobody@example.org', 'password' => "guess $try"]);
    }
    expect((int) $last->assertTooManyRequests()->headers->get('Retry-After'))->toBeGreaterThan(0)->toBeLessThanOrEqual(60);
});

it('keeps nothing of a photo but the picture, its profile and the way up, and leaves the picture as it is', function (string $kind) {
    $this->actingAs($this->artist());
    $id = $this->postJson('/api/studies', ['photo' => photoWithPlace($kind)])
        ->assertCreated()
        ->json('id');
    $photo = Photo::query()->where('study_id', $id)->firstOrFail();
    $kept = Storage::path("$photo->storage_key/original");
    $told = Process::run(['exiftool', '-a', '-s', '-G1', $kept])->output();
    expect($told)
        ->not->toContain('GPSLatitude')
        ->not->toContain('Harbour')
        ->not->toContain('471')
        ->not->toContain('2020:01:02')
        ->and((string) file_get_contents($kept))
        ->not->toContain('Harbour');
    // As it was taken, and upright; what decodes HEIC has no header that PHP reads.
    $head = $kind === 'heic' ? [(new Imagick($kept))->getImageWidth()] : getimagesize($kept);
    expect($head[0])
        ->toBe(160)
        ->and([$photo->width, $photo->height])
        ->toBe($kind === 'jpg' ? [120, 160] : [$photo->width, $photo->height]);
})->with(['jpg', 'png', 'webp', 'tiff', 'heic']);

it('counts all that is kept of a photo, however small its file came, and says what to do when there is no room', function () {
    $this->actingAs($user = $this->artist());
    config()->set('app.most_megabytes', 25);
    $flat = fn (): UploadedFile => $this->photo(width: 1920, height: 1440);
    expect($flat()->getSize())->toBeLessThan(20_000);
    // Of a file of some kilobytes more than ten megabytes are kept.
    $this->postJson('/api/studies', ['photo' => $flat()])->assertCreated();
    $this->postJson('/api/studies', ['photo' => $flat()])->assertCreated();
    expect(
        $this->postJson('/api/studies', ['photo' => $flat()])
            ->assertUnprocessable()
            ->json('detail'),
    )
        ->toContain('Delete a study that you no longer need')
        ->and($user->studies()->count())
        ->toBe(2);
    $bytes = (int) Photo::query()->sum('bytes');
    $kept = array_sum(array_map(Storage::size(...), Storage::allFiles('photos')));
    expect($bytes)
        ->toBeGreaterThanOrEqual($kept)
        ->toBeLessThan($kept + 5_000_000);
    expect(json_decode((string) $this->getJson('/api/account')->getContent()))
        ->toFitThePage('Account')
        ->and($this->getJson('/api/account')->json('megabytes'))
        ->toBe(intdiv($bytes, 1_000_000));
    // So are photos of the drawing that were checked.
    DrawingCheckRow::query()->create([
        'study_id' => $user->studies()->value('id'),
        'passes' => 1,
        'said' => [],
        'photo' => str_repeat('A', 3_000_000),
        'map' => '',
    ]);
    expect($this->getJson('/api/account')->json('megabytes'))->toBe(intdiv($bytes + 3_000_000, 1_000_000));
});

it('keeps what was worked out in a folder of the account, for its owner alone, bounded, counted, and gone with it', function () {
    config()->set('cache.stores.looks', [
        'driver' => 'file',
        'path' => ($folder = sys_get_temp_dir().'/kp-looks-'.bin2hex(random_bytes(6))),
        'permission' => 0700,
    ]);
    $user = $this->artist();
    $user->update(['password' => PRESENT]);
    $this->actingAs($user->fresh());
    $study = $this->study($user);
    $photo = $study->photo();
    foreach (['grey', 'steps'] as $tone) {
        $this->get("/api/studies/$study->id/photos/$photo->id/look?tone=$tone")->assertOk();
    }
    clearstatcache();
    $kept = glob("$folder/$user->id/*/*/*") ?: [];
    expect($kept)
        ->not->toBe([])
        ->and(array_filter($kept, static fn (string $file): bool => (fileperms($file) & 0077) !== 0))
        ->toBe([])
        ->and(glob("$folder/*"))
        ->toBe(["$folder/$user->id"]);
    $bytes = Computed::bytesOf($user->id);
    expect($bytes)
        ->toBe(array_sum(array_map(filesize(...), $kept)))
        ->and($this->getJson('/api/account')->json('megabytes'))
        ->toBe(intdiv((int) Photo::query()->sum('bytes') + Computed::bytesOf($user->id), 1_000_000));
    // The oldest go first, and what can be worked out again makes room for what can't.
    touch($kept[0], time() - 1000);
    KeptFiles::shrink("$folder/$user->id", $bytes - 1);
    expect(is_file($kept[0]))->toBeFalse()->and(Computed::bytesOf($user->id))->toBeGreaterThan(0);
    config()->set('app.most_megabytes', 1 + intdiv((int) Photo::query()->sum('bytes'), 1_000_000));
    file_put_contents("$folder/$user->id/large", str_repeat('x', 2_000_000));
    $this->postJson("/api/studies/$study->id/photos", ['photo' => $this->photo(width: 64, height: 64)])->assertCreated();
    $this->get("/api/studies/$study->id/photos/$photo->id/look?tone=grey")->assertOk();
    expect(is_file("$folder/$user->id/large"))->toBeFalse()->and(Computed::bytesOf($user->id))->toBeGreaterThan(0);
    $this->deleteJson('/api/account', ['password' => PRESENT])->assertNoContent();
    expect(Computed::bytesOf($user->id))->toBe(0);
});
