<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

it('answers in the form that the page is built on', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $this->actingAs($user);
    expect($this->getJson('/api/me')->json())->toFitThePage('Me');
    expect($this->getJson('/api/grain')->json())->toFitThePage('Grain');
    expect($this->getJson('/api/drawer')->json())->toFitThePage('Drawer');
    expect($this->getJson('/api/studies')->json())->toFitThePage('Studies');
    expect($this->getJson("/api/studies/$study->id/spot?x=100&y=150&ring=9")->json())->toFitThePage('Spot');
    $recipes = $this->getJson("/api/studies/$study->id/recipes?x=100&y=150&ring=9")
        ->assertOk()
        ->json();
    expect($recipes)->toFitThePage('Recipes');
    expect($recipes['recipes'])->toHaveCount(4)->and(array_unique(array_column($recipes['recipes'], 'label')))->toHaveCount(4);
    $entry = [
        'name' => 'left',
        'x' => 100,
        'y' => 150,
        'ring' => 9,
        'label' => $recipes['recipes'][0]['label'],
        'stack' => $recipes['recipes'][0]['outcomes']['spot']['stack'],
    ];
    expect(
        $this->postJson("/api/studies/$study->id/kept-recipes", $entry)
            ->assertCreated()
            ->json(),
    )->toFitThePage('KeptRecipes');
    expect(
        $this->postJson("/api/studies/$study->id/kept-recipes", [...$entry, 'stack' => '735@1.4'])
            ->assertUnprocessable()
            ->json(),
    )->toFitThePage('Problem');
});

it('keeps what is chosen, renames, removes, and takes each change back in turn', function () {
    $user = $this->artistWithDrawer();
    $plan = "/api/studies/{$this->study($user)->id}/kept-recipes";
    $this->actingAs($user);
    $add = fn (string $name): array => $this->postJson($plan, [
        'name' => $name,
        'x' => 100,
        'y' => 150,
        'ring' => 9,
        'label' => 'closest',
        'stack' => '735@0.35,668@0.20',
    ])
        ->assertCreated()
        ->json('entries');
    $names = fn (): array => array_column($this->getJson($plan)->json('entries'), 'name');
    $add('first');
    $id = collect($add('second'))->firstWhere('name', 'second')['id'];
    $this->patchJson("$plan/$id", ['name' => 'renamed'])->assertOk();
    $this->deleteJson("$plan/$id")->assertOk();
    expect($names())->toBe(['first']);

    $this->postJson("$plan/undo");
    expect($names())->toBe(['first', 'renamed']);
    $this->postJson("$plan/undo");
    expect($names())->toBe(['first', 'second']);
    $this->postJson("$plan/undo");
    expect($names())->toBe(['first']);
    $this->postJson("$plan/undo");
    expect($names())
        ->toBe([])
        ->and($this->getJson($plan)->json('undoWords'))
        ->toBeNull();
    $this->postJson("$plan/undo")->assertOk();
});

it('refuses a pencil that is not on the shelf, a pressure of 1.4 and a missing name, and the plan stays', function (
    array $wrong,
    string $says,
) {
    $user = $this->artistWithDrawer();
    $plan = "/api/studies/{$this->study($user)->id}/kept-recipes";
    $entry = ['name' => 'n', 'x' => 100, 'y' => 150, 'ring' => 9, 'label' => 'closest', 'stack' => '735@0.35'];
    $this->actingAs($user)->postJson($plan, $entry)->assertCreated();
    expect(
        $this->postJson($plan, [...$entry, ...$wrong])
            ->assertUnprocessable()
            ->json('detail'),
    )->toContain($says);
    expect($this->getJson($plan)->json('entries'))->toHaveCount(1);
})->with([
    [['stack' => '999@0.35'], 'There is no pencil "999"'],
    [['stack' => '735@1.4'], 'Pressure must be between'],
    [['name' => ''], 'Give the spot a name'],
    [['label' => 'prettiest'], 'label'],
]);

it('keeps a plan whole when the drawer changes under it', function () {
    $user = $this->artistWithDrawer();
    $plan = "/api/studies/{$this->study($user)->id}/kept-recipes";
    $this->actingAs($user)->postJson($plan, [
        'name' => 'n',
        'x' => 100,
        'y' => 150,
        'ring' => 9,
        'label' => 'closest',
        'stack' => '735@0.35',
    ]);
    $before = $this->getJson($plan)->json('entries.0.recipe.outcomes.spot.hex');
    $user->pencils()->update(['stock' => 'not owned']);
    expect($this->getJson($plan)->json('entries.0.recipe.outcomes.spot.hex'))
        ->toBe($before)
        ->toStartWith('#');
    $user->pencils()->delete();
    expect($this->getJson($plan)->json('entries.0'))
        ->recipe->toBeNull()
        ->stack->toBe('Slipway/735@0.35');
});

it('prints the palette card on one page of each size, with every number, name, pressure and order', function (
    string $size,
    string $measures,
) {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $this->actingAs($user);
    foreach (['lit side', 'shadow', 'edge'] as $name) {
        $this->postJson("/api/studies/$study->id/kept-recipes", [
            'name' => $name,
            'x' => 100,
            'y' => 150,
            'ring' => 9,
            'label' => 'closest',
            'stack' => '735@0.35,668@0.20,F90@0.80',
        ]);
    }
    $path = (string) tempnam(sys_get_temp_dir(), 'kp');
    file_put_contents(
        $path,
        $this->get("/api/studies/$study->id/kept-recipes/card?size=$size")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent(),
    );
    $run = static fn (string ...$command): string => (new Process($command))->mustRun()->getOutput();
    expect($run('pdfinfo', $path))->toMatch('/Pages:\s+1\n/')->toContain($measures);
    $text = $run('pdftotext', '-layout', $path, '-');
    foreach (
        [
            'lit side',
            'shadow',
            'edge',
            '735',
            '668',
            'F90',
            'Driftwood rail',
            'light 0.35',
            'whisper 0.20',
            'firm 0.80',
            'expected',
            'yours',
        ] as $word
    ) {
        expect($text)->toContain($word);
    }
    expect($run('pdffonts', $path))->not->toMatch('/ no\s+(yes|no)\s+(yes|no)\s+\d+/');
})->with([['a4', '595.276 x 841.89'], ['a5', '419.528 x 595.276'], ['letter', '612 x 792']]);

it('prints an empty card that says what to do first', function () {
    $user = $this->artist();
    $this->actingAs($user)
        ->get("/api/studies/{$this->study($user)->id}/kept-recipes/card")
        ->assertOk();
});
