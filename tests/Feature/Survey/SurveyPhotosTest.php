<?php

declare(strict_types=1);

use App\Models\Photo;
use App\Models\SurveyVersion;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

it('holds several photos with their roles, lets the colours follow another, and keeps the one they follow', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $first = $study->photo();
    $second = $this->postJson("/api/studies/$study->id/photos", ['photo' => $this->photo()])
        ->assertCreated()
        ->json('photos.1.id');
    $this->patchJson("/api/studies/$study->id/photos/$second", ['roles' => ['light', 'pose'], 'name' => 'evening'])
        ->assertOk()
        ->assertJsonPath('photos.1.roles', ['light', 'pose']);
    $this->patchJson("/api/studies/$study->id/photos/$second", ['roles' => ['music']])->assertUnprocessable();
    $this->deleteJson("/api/studies/$study->id/photos/$first->id")
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'use another one for the colours first'));
    $this->patchJson("/api/studies/$study->id", ['colourPhoto' => $second])
        ->assertOk()
        ->assertJson(['photoId' => $second, 'photoWidth' => 400]);
    expect(
        $this->getJson("/api/studies/$study->id/comparison?one=$second&other=$first->id")
            ->assertOk()
            ->json('sentence'),
    )->toStartWith('“evening”');
    $this->deleteJson("/api/studies/$study->id/photos/$first->id")
        ->assertOk()
        ->assertJsonCount(1, 'photos');
    Storage::assertMissing($first->storage_key.'/original');
    $this->postJson("/api/studies/$study->id/photos", [
        'photo' => new UploadedFile(__FILE__, 'photo.jpg', null, null, true),
    ])->assertUnprocessable();
});

it('shows nothing of all this to another account, nor through another study', function (string $method, string $path) {
    $study = $this->study($this->artist('owner'));
    $photo = $study->photo()->id;
    $stranger = $this->artist('stranger');
    $own = $this->study($stranger);
    $body = ['kind' => 'proposeZones', 'key' => 'some-key-1', 'most' => 8, 'roles' => [], 'colourPhoto' => $photo];
    $this->actingAs($stranger)
        ->json($method, str_replace(['{study}', '{photo}'], [(string) $study->id, (string) $photo], $path), $body)
        ->assertNotFound();
    // Somebody else's photo through one's own study.
    if (str_contains($path, '{photo}')) {
        $this->json($method, str_replace(['{study}', '{photo}'], [(string) $own->id, (string) $photo], $path), $body)->assertNotFound();
    }
    expect($study->refresh()->survey_number)
        ->toBe(0)
        ->and(Photo::query()->whereKey($photo)->exists())
        ->toBeTrue();
})->with([
    ['GET', '/api/studies/{study}/survey'],
    ['POST', '/api/studies/{study}/survey/changes'],
    ['POST', '/api/studies/{study}/survey/undo'],
    ['POST', '/api/studies/{study}/survey/redo'],
    ['GET', '/api/studies/{study}/spots.csv'],
    ['GET', '/api/studies/{study}/comparison?one=1&other=2'],
    ['PATCH', '/api/studies/{study}/photos/{photo}'],
    ['DELETE', '/api/studies/{study}/photos/{photo}'],
    ['GET', '/api/studies/{study}/photos/{photo}/look'],
    ['GET', '/api/studies/{study}/photos/{photo}/values'],
]);

it('does not read a stranger\'s photo through a spot of one\'s own study', function () {
    $theirs = $this->study($this->artist('owner'))->photo()->id;
    $user = $this->artist('stranger');
    $own = $this->study($user);
    $this->actingAs($user)
        ->getJson("/api/studies/$own->id/spot?x=1&y=1&ring=3&photo=$theirs")
        ->assertNotFound();
    change($own, 'addSpot', ['name' => 'theirs', 'photo' => $theirs, 'x' => 0.5, 'y' => 0.5, 'ring' => 3])->assertNotFound();
    $this->patchJson("/api/studies/$own->id", ['colourPhoto' => $theirs])->assertUnprocessable();
});

it('holds a dozen photos, and says so at the thirteenth', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    for ($n = 0; $n < 11; $n++) {
        $this->postJson("/api/studies/$study->id/photos", ['photo' => $this->photo(width: 80, height: 70)])->assertCreated();
    }
    $this->postJson("/api/studies/$study->id/photos", ['photo' => $this->photo()])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'A study holds up to 12 photos; remove one first.');
    expect($study->photos()->count())->toBe(12);
});

it('forgets only what lies further back than anyone undoes, and stops there', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $desk = app(App\Photos\SurveyRepository::class);
    $photo = $study->photo()->id;
    for ($n = 1; $n <= 205; $n++) {
        $desk->change(
            $study,
            static fn ($s) => [
                $n === 1 ? $s->withNewSpot('a', $photo, 0.5, 0.5, 9) : $s->withSpot($s->spot(1)->named("name $n")),
                "change $n",
            ],
        );
    }
    expect(SurveyVersion::query()->count())
        ->toBeLessThanOrEqual(202)
        ->and($desk->current($study)->spot(1)->name)
        ->toBe('name 205');
    for ($n = 0; $n < 230; $n++) {
        $desk->move($study, -1);
    }
    expect($desk->history($study)['undo'])
        ->toBeNull()
        ->and($desk->history($study)['redo'])
        ->toBeString()
        ->and($desk->current($study)->spot(1)->name)
        ->toStartWith('name');
});

it('does not touch the history of another study', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $other = $this->study($study->user);
    change($other, 'addSpot', ['name' => 'theirs', 'photo' => $other->photo()->id, 'x' => 0.5, 'y' => 0.5, 'ring' => 3])->assertOk();
    change($study, 'addSpot', ['name' => 'mine', 'photo' => $study->photo()->id, 'x' => 0.5, 'y' => 0.5, 'ring' => 3])->assertOk();
    $this->postJson("/api/studies/$study->id/survey/undo")->assertOk();
    change($study, 'addSpot', ['name' => 'again', 'photo' => $study->photo()->id, 'x' => 0.5, 'y' => 0.5, 'ring' => 3])->assertOk();
    expect($this->getJson("/api/studies/$other->id/survey")->json('spots.*.name'))->toBe(['theirs']);
});
