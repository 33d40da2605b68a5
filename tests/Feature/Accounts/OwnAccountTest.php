<?php

declare(strict_types=1);

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
    $image = new Imagick;
    $image->newPseudoImage(160, 120, 'gradient:#804020-#e0d0a0');
    $image->setImageFormat($kind === 'jpg' ? 'jpeg' : $kind);
    $image->writeImage($path);
    Process::run(['exiftool', '-q', '-overwrite_original', '-GPSLatitude=54.1', '-GPSLatitudeRef=N', '-GPSLongitude=8.2', '-GPSLongitudeRef=E', '-Orientation#=6', '-XMP:City=Harbour town', '-SerialNumber=4711', $path])->throw();

    return new UploadedFile($path, "photo.$kind", null, null, true);
}

it('changes the password against the present one, and ends what is signed in elsewhere', function () {
    $account = ['name' => 'Tide', 'email' => 'tide@example.org', 'password' => PRESENT, 'stays' => true];
    $this->postJson('/accounts', $account)->assertCreated();
    $user = User::query()->firstOrFail();
    $before = [$user->password, $user->remember_token];
    $this->patchJson('/api/account/password', ['password' => 'not this one', 'new' => 'another long one'])->assertUnprocessable()->assertJsonFragment(['detail' => 'That is not the password of this account; check it and try again.']);
    $this->patchJson('/api/account/password', ['password' => PRESENT, 'new' => 'short'])->assertUnprocessable()->assertJsonFragment(['detail' => 'A password needs at least 10 characters.']);
    $this->patchJson('/api/account/password', ['password' => PRESENT, 'new' => 'another long one'])->assertNoContent();
    // Here one goes on; a session that was begun with the old one does not.
    $this->getJson('/api/me')->assertOk();
    $user->refresh();
    expect($user->password)->not->toBe($before[0])->and($user->remember_token)->not->toBe($before[1]);
    $this->withSession(['password_hash_web' => 'of-the-old-one'])->getJson('/api/me')->assertUnauthorized();
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
    $this->deleteJson('/api/account', ['password' => PRESENT])->assertNoContent()->assertHeader('Clear-Site-Data', '"cache"');
    $this->getJson('/api/me')->assertUnauthorized();
    expect(Storage::exists("$keys[0]/original"))->toBeFalse()->and(User::query()->pluck('name')->all())->toBe(['other']);
    foreach (DB::select("select table_name as t, column_name as c from information_schema.columns where table_schema = database() and column_name in ('user_id', 'study_id', 'account')") as $column) {
        $left = DB::table($column->t)->whereNotNull($column->c)->pluck($column->c)->unique()->values()->all();
        expect(array_diff($left, [$column->c === 'study_id' ? $other->id : $other->user_id]))->toBe([], "$column->t.$column->c");
    }
    $demo = User::factory()->create(['email' => config('app.demo_email'), 'password' => PRESENT]);
    $this->actingAs($demo)->deleteJson('/api/account', ['password' => PRESENT])->assertUnprocessable()->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'belongs to whoever sits at this machine'));
});

it('stays signed in by choice, and says when to try again', function () {
    $user = $this->artist('tide');
    $user->update(['password' => PRESENT]);
    $cookies = fn (bool $stays): array => collect($this->postJson('/sign-in', ['email' => $user->email, 'password' => PRESENT, 'stays' => $stays])->assertOk()->headers->getCookies())->keyBy(fn ($c): string => str_starts_with($c->getName(), 'remember_') ? 'remember' : $c->getName())->all();
    $passing = $cookies(false);
    expect($passing)->not->toHaveKey('remember')->and($passing[config('session.cookie')]->getExpiresTime())->toBe(0);
    $this->postJson('/sign-out');
    $staying = $cookies(true);
    expect($staying)->toHaveKey('remember')->and($staying[config('session.cookie')]->getExpiresTime())->toBeGreaterThan(time() + 86_400);
    $this->postJson('/sign-out')->assertHeader('Clear-Site-Data', '"cache"');
    // Known and unknown are refused in the same words, and told when it is worth another try.
    $refused = fn (string $email): array => [($answer = $this->postJson('/sign-in', ['email' => $email, 'password' => 'a guess of mine']))->getStatusCode(), $answer->json('detail')];
    expect($refused($user->email))->toBe($refused('nobody@example.org'));
    for ($try = 0; $try < 6; $try++) {
        $last = $this->postJson('/sign-in', ['email' => 'nobody@example.org', 'password' => "guess $try"]);
    }
    expect((int) $last->assertTooManyRequests()->headers->get('Retry-After'))->toBeGreaterThan(0)->toBeLessThanOrEqual(60);
});

it('takes the place out of a photo before it keeps it, and leaves the picture as it is', function (string $kind) {
    $this->actingAs($this->artist());
    $id = $this->postJson('/api/studies', ['photo' => photoWithPlace($kind)])->assertCreated()->json('id');
    $photo = Photo::query()->where('study_id', $id)->firstOrFail();
    $kept = Storage::path("$photo->storage_key/original");
    $told = Process::run(['exiftool', '-a', '-s', '-G1', $kept])->output();
    expect($told)->not->toContain('GPSLatitude')->not->toContain('Harbour')->not->toContain('4711');
    // As it was taken, and upright; what decodes HEIC has no header that PHP reads.
    $head = $kind === 'heic' ? [(new Imagick($kept))->getImageWidth()] : getimagesize($kept);
    expect($head[0])->toBe(160)->and([$photo->width, $photo->height])->toBe($kind === 'jpg' ? [120, 160] : [$photo->width, $photo->height]);
})->with(['jpg', 'png', 'webp', 'tiff', 'heic']);

it('has room for so many megabytes of photos, and says what to do when they are taken', function () {
    $this->actingAs($user = $this->artist());
    config()->set('app.most_megabytes', 1);
    $big = static function (): UploadedFile {
        $image = new Imagick;
        $image->newPseudoImage(700, 500, 'plasma:');
        $image->addNoiseImage(Imagick::NOISE_RANDOM);
        $image->setImageFormat('png');
        $image->writeImage($path = sys_get_temp_dir().'/kp-big-'.bin2hex(random_bytes(6)).'.png');

        return new UploadedFile($path, 'big.png', null, null, true);
    };
    $first = $big();
    $size = $first->getSize();
    config()->set('app.most_megabytes', (int) ceil(1.5 * $size / 1e6));
    $this->postJson('/api/studies', ['photo' => $first])->assertCreated();
    expect($this->postJson('/api/studies', ['photo' => $big()])->assertUnprocessable()->json('detail'))->toContain('Delete a study that you no longer need')->and($user->studies()->count())->toBe(1);
    expect(json_decode((string) $this->getJson('/api/account')->getContent()))->toFitThePage('Account')->and($this->getJson('/api/account')->json('megabytes'))->toBe(intdiv((int) $size, 1_000_000));
});
