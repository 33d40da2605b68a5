<?php

declare(strict_types=1);

use App\Models\Study;
use Illuminate\Support\Facades\Auth;

it('shows one plan to whoever has its link, lets nothing be changed, takes one note, and is gone when withdrawn', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $user = $study->user;
    $other = $this->study($user);
    expect(
        $this->getJson("/api/studies/$study->id/share")
            ->assertOk()
            ->json('link'),
    )->toBeNull();
    $path = $this->postJson("/api/studies/$study->id/share")
        ->assertCreated()
        ->json('link.path');
    expect($this->postJson("/api/studies/$study->id/share")->json('link.path'))
        ->toBe($path)
        ->and(strlen(basename($path)))
        ->toBe(48);
    Auth::forgetGuards();
    $shared = $this->getJson("/api$path")->assertOk();
    expect(json_decode((string) $shared->getContent()))
        ->toFitThePage('SharedPlan')
        ->and($shared->json('isPlanned'))
        ->toBeTrue()
        ->and($shared->json('zones.0.words'))
        ->not->toBe('')
        ->and($shared->headers->get('Cache-Control'))
        ->toContain('no-store');
    $this->get($path)->assertOk()->assertSee('id="root"', false);
    $photo = $shared->json('photos.0.id');
    $this->get("/api$path/photos/$photo")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg');
    $this->get("/api$path/drawn?step=1")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png');

    // Signed out, and seeing nothing but this plan.
    expect(Auth::check())
        ->toBeFalse()
        ->and($this->getJson('/api/studies')->status())
        ->toBe(401)
        ->and($this->getJson("/api/studies/$study->id/plan")->status())
        ->toBe(401)
        ->and($this->get("/api$path/photos/{$other->photo()->id}")->status())
        ->toBe(404)
        ->and($this->postJson("/api$path/note", ['photo' => $other->photo()->id, 'note' => ''])->status())
        ->toBe(404)
        ->and($this->patchJson("/api$path", [])->status())
        ->toBe(405)
        ->and($this->deleteJson("/api$path")->status())
        ->toBe(405)
        ->and($this->getJson('/api/shared/'.str_repeat('a', 48))->status())
        ->toBe(404);
    $before = Study::query()->findOrFail($study->id)->toArray();
    expect(
        $this->postJson("/api$path/note", ['photo' => $photo, 'note' => ' The evening, please. '])
            ->assertOk()
            ->json('said.note'),
    )->toBe('The evening, please.');
    $this->postJson("/api$path/note", ['photo' => null, 'note' => str_repeat('x', 1001)])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'A note has up to 1000 characters.');
    expect(Study::query()->findOrFail($study->id)->toArray())->toBe($before);

    $this->actingAs($user);
    expect($this->getJson("/api/studies/$study->id/share")->json('link'))->toMatchArray([
        'photo' => $photo,
        'note' => 'The evening, please.',
    ]);
    expect(
        $this->deleteJson("/api/studies/$study->id/share")
            ->assertOk()
            ->json('link'),
    )->toBeNull();
    Auth::forgetGuards();
    foreach (["/api$path", "/api$path/photos/$photo", "/api$path/drawn?step=1"] as $gone) {
        expect($this->get($gone)->status())->toBe(404);
    }
    $this->actingAs($user);
    expect($this->postJson("/api/studies/$study->id/share")->json('link.path'))->not->toBe($path);
    $this->actingAs($this->artistWithDrawer('other'));
    expect($this->postJson("/api/studies/$study->id/share")->status())->toBe(404);
});
