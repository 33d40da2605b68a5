<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;
use KnottyPrism\Core\Error\BadFile;

it('answers every refusal as problem details with a sentence that can be shown', function (Closure $fails, int $status, string $says) {
    Route::middleware('web')->get('/api/fails', $fails);
    $answer = $this->getJson('/api/fails')->assertStatus($status)->assertHeader('Content-Type', 'application/problem+json');
    expect($answer->json())
        ->toHaveKeys(['type', 'title', 'status', 'detail'])
        ->and($answer->json('status'))
        ->toBe($status)
        ->and($answer->json('detail'))
        ->toContain($says);
})->with([
    'a file with problems' => [
        fn () => throw BadFile::withProblems('The file has a problem in', ['row 2, column heavy: x', 'row 3: y']),
        422,
        '(and 1 more)',
    ],
    'not found' => [fn () => abort(404), 404, 'belongs to another account'],
    'forbidden looks like not found' => [fn () => abort(403), 403, 'belongs to another account'],
    'too many' => [fn () => abort(429), 429, 'Wait a minute'],
    'a stale page' => [fn () => throw new Illuminate\Session\TokenMismatchException(), 419, 'Reload the page'],
    'too large' => [fn () => throw new Illuminate\Http\Exceptions\PostTooLargeException(), 413, '60 MB'],
    'a fault of ours' => [fn () => throw new RuntimeException('the password is swordfish'), 500, 'your earlier work is safe'],
]);

it('tells nobody what went wrong inside', function () {
    Route::middleware('web')->get('/api/fails', fn () => throw new RuntimeException('the password is swordfish'));
    expect($this->getJson('/api/fails')->getContent())
        ->not->toContain('swordfish')
        ->not->toContain('.php');
});

it('sends a page that is not signed in to the sign-in page', function () {
    $this->get('/')->assertRedirect('/sign-in');
    $this->get('/photo/3')->assertRedirect('/sign-in');
    $this->actingAs($this->artist())->get('/sign-in')->assertRedirect('/');
});

it('changes the paper and the name of a study, and only to what there is', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $this->actingAs($user)
        ->patchJson("/api/studies/$study->id", ['paper' => 'black', 'name' => 'Ebb'])
        ->assertOk()
        ->assertJson(['paper' => 'black', 'paperHex' => '#232324', 'name' => 'Ebb']);
    $this->patchJson("/api/studies/$study->id", ['paper' => 'velvet'])->assertUnprocessable();
    $this->patchJson("/api/studies/$study->id", ['name' => ''])->assertUnprocessable();
    expect($study->refresh()->paper)->toBe('black');
});

it('refuses a drawer file that is missing, huge or no text', function () {
    $this->actingAs($this->artist());
    $this->postJson('/api/drawer/imports')
        ->assertUnprocessable()
        ->assertJsonFragment(['detail' => 'Choose a drawer file, CSV or JSON.']);
    $this->postJson('/api/drawer/imports', ['file' => uploadOf(str_repeat('x', 5_000_000), 'a.csv')])
        ->assertUnprocessable()
        ->assertJsonFragment(['detail' => 'A drawer file may be up to 4 MB.']);
    $this->postJson('/api/drawer/imports', ['file' => uploadOf(random_bytes(5000), 'a.csv')])->assertUnprocessable();
    $this->postJson('/api/studies')
        ->assertUnprocessable()
        ->assertJsonFragment(['detail' => 'Choose a photo: JPEG, PNG, WebP, TIFF or HEIC.']);
});
