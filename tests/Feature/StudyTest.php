<?php

declare(strict_types=1);

use App\Models\KeptRecipe;
use App\Models\Study;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;
use KnottyPrism\Core\Colour\Lab;

/** The head of a PNG that claims these measures, and nothing behind it. */
function pngHead(int $width, int $height): string
{
    $chunk = static fn (string $kind, string $data): string => pack('N', strlen($data)).$kind.$data.pack('N', crc32($kind.$data));

    return "\x89PNG\r\n\x1a\n".
        $chunk('IHDR', pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0)).
        $chunk('IDAT', (string) gzcompress('')).
        $chunk('IEND', '');
}

/** A noisy picture cut in the middle of its file. */
function halfOf(string $kind): UploadedFile
{
    $image = new Imagick();
    $image->newPseudoImage(300, 300, 'plasma:');
    $image->setImageFormat($kind);
    $blob = $image->getImageBlob();

    return uploadOf(substr($blob, 0, intdiv(strlen($blob), 2)), "half.$kind");
}

it('takes a photo in, keeps the original outside the web root, and serves a re-encoded copy', function () {
    $this->actingAs($this->artist());
    $id = $this->postJson('/api/studies', ['photo' => $this->photo()])
        ->assertCreated()
        ->assertJson(['name' => 'two halves', 'photoWidth' => 400, 'photoHeight' => 300])
        ->json('id');
    $photo = $this->get("/api/studies/$id/photo")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg');
    expect(substr((string) $photo->getContent(), 0, 2))->toBe("\xFF\xD8");
    Storage::assertExists(Study::query()->findOrFail($id)->photo()->storage_key.'/original');
    expect(str_starts_with(Storage::path(''), public_path()))->toBeFalse();
});

it('turns a photo upright as its orientation says, and makes a large one smaller', function () {
    $image = new Imagick();
    $image->newImage(2400, 1200, '#808080');
    $image->setImageFormat('jpeg');
    $image->setImageOrientation(Imagick::ORIENTATION_RIGHTTOP);
    // A minimal EXIF block: orientation 6, rotate a quarter turn clockwise.
    $exif = "Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\0\0\0\0";
    $jpeg = $image->getImageBlob();
    $jpeg = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    $this->actingAs($this->artist());
    $this->postJson('/api/studies', ['photo' => uploadOf($jpeg, 'turned.jpg')])
        ->assertCreated()
        ->assertJson(['photoWidth' => 960, 'photoHeight' => 1920]);
});

it('refuses what is no photo, says why, and loses nothing', function (Closure $file, string $says) {
    $user = $this->artist();
    $this->study($user);
    $this->actingAs($user)
        ->postJson('/api/studies', ['photo' => $file()])
        ->assertUnprocessable()
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJson(fn ($json) => $json->where('detail', fn (string $d): bool => str_contains($d, $says))->etc());
    expect(Study::query()->count())->toBe(1);
})->with([
    'text' => [fn () => uploadOf('only words', 'photo.jpg'), 'not a picture in a known format'],
    'nothing' => [fn () => uploadOf('', 'photo.jpg'), '0 bytes'],
    'a bomb' => [fn () => uploadOf(pngHead(30_000, 30_000), 'bomb.png'), '30,000 × 30,000 pixels'],
    'half a PNG' => [fn () => halfOf('png'), 'stops before its end'],
    'half a JPEG' => [fn () => halfOf('jpeg'), 'stops before its end'],
    'half a WebP' => [fn () => halfOf('webp'), 'stops before its end'],
    'a script dressed as a picture' => [
        fn () => uploadOf('<svg xmlns="http://www.w3.org/2000/svg" width="100" height="100"/>', 'a.png'),
        'not a picture in a known format',
    ],
    'a stamp' => [fn () => uploadOf(pngHead(20, 20), 'tiny.png'), 'at least 64'],
]);

it('reads the colour that is there, in words and figures', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $left = $this->actingAs($user)
        ->getJson("/api/studies/$study->id/spot?x=100&y=150&ring=9")
        ->assertOk()
        ->json();
    expect((new Lab(...$left['lab']))->deltaE00(Lab::ofHex('#b7b4a4')))
        ->toBeLessThan(0.5)
        ->and($left['words'])
        ->toBe('value 7 of 9, light, warm grey, leaning yellow')
        ->and($left['mixed'])
        ->toBeFalse();
    // Across the border the ring holds both halves, and the answer says so.
    expect($this->getJson("/api/studies/$study->id/spot?x=200&y=150&ring=20")->json('mixed'))->toBeTrue();
    // In a corner the ring is cut, not refused.
    $this->getJson("/api/studies/$study->id/spot?x=399&y=299&ring=45")->assertOk();
    $this->getJson("/api/studies/$study->id/spot?x=-4&y=0&ring=9")->assertUnprocessable();
});

it('is not there for another account', function (string $method, string $path) {
    $study = $this->study($this->artistWithDrawer('owner'));
    $entry = KeptRecipe::factory()->for($study)->create();
    $body = ['name' => 'mine now', 'x' => 1, 'y' => 1, 'ring' => 3, 'label' => 'closest', 'stack' => '735@0.35'];
    $address = str_replace(['{study}', '{entry}'], [(string) $study->id, (string) $entry->id], $path);
    $this->actingAs($this->artistWithDrawer('stranger'))->json($method, $address, $body)->assertNotFound();
    expect($study->refresh()->name)
        ->toBe('Two halves')
        ->and($study->keptRecipes()->count())
        ->toBe(1);
})->with([
    ['GET', '/api/studies/{study}'],
    ['PATCH', '/api/studies/{study}'],
    ['GET', '/api/studies/{study}/photo'],
    ['GET', '/api/studies/{study}/spot?x=1&y=1&ring=3'],
    ['GET', '/api/studies/{study}/recipes?x=1&y=1&ring=3'],
    ['GET', '/api/studies/{study}/kept-recipes'],
    ['POST', '/api/studies/{study}/kept-recipes'],
    ['POST', '/api/studies/{study}/kept-recipes/undo'],
    ['PATCH', '/api/studies/{study}/kept-recipes/{entry}'],
    ['DELETE', '/api/studies/{study}/kept-recipes/{entry}'],
    ['GET', '/api/studies/{study}/kept-recipes/card'],
]);

it('does not reach an entry through another study', function () {
    $user = $this->artistWithDrawer();
    [$one, $other] = [$this->study($user), $this->study($user)];
    $entry = KeptRecipe::factory()->for($one)->create();
    $this->actingAs($user)
        ->deleteJson("/api/studies/$other->id/kept-recipes/$entry->id")
        ->assertNotFound();
});
