<?php

declare(strict_types=1);

use App\Models\BookRecipeRow;
use App\Models\PencilRow;

it(
    'keeps a zone, finds it from another study by a like colour, word, pencil and paper, and lays it with a drawer that lacks a pencil',
    function () {
        $study = pictureOf($this);
        $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
        $zones = $this->getJson("/api/studies/$study->id/plan")->json('zones');
        usort(
            $zones,
            static fn (array $a, array $b): int => count(array_unique(array_column($b['sequence']['passes'], 'words'))) <=>
                count(array_unique(array_column($a['sequence']['passes'], 'words'))),
        );
        foreach ($zones as $zone) {
            $kept = $this->postJson("/api/studies/$study->id/book-recipes", [
                'zone' => $zone['number'],
                'words' => "subject {$zone['number']} Rust",
            ])->assertCreated();
        }
        expect(json_decode((string) $kept->getContent()))->toFitThePage('BookRecipes')->and($kept->json('found'))->toBe(count($zones));
        $zone = $zones[0];
        $recipe = array_values(
            array_filter($kept->json('recipes'), static fn (array $r): bool => $r['words'] === "subject {$zone['number']} Rust"),
        )[0];
        expect($recipe['name'])
            ->toBe($zone['name'])
            ->and($recipe['study'])
            ->toBe($study->name)
            ->and($recipe['cutout'])
            ->toStartWith('data:image/jpeg')
            ->and($recipe['passes'])
            ->toHaveCount(count($zone['sequence']['passes']));

        // Its study gone, it is found again: by a colour that one of its shades comes to, and by each of the others.
        $this->deleteJson("/api/studies/$study->id")->assertSuccessful();
        $find = fn (array $by): array => array_column(
            $this->getJson('/api/book/recipes?'.http_build_query($by))
                ->assertOk()
                ->json('recipes'),
            'id',
        );
        $like = $this->getJson('/api/book/recipes?'.http_build_query(['like' => $recipe['shades'][0]['hex']]))
            ->assertOk()
            ->json('recipes');
        expect($like[0]['deltaE00'])
            ->toBeLessThan(1)
            ->and(array_column($like, 'id'))
            ->toContain($recipe['id'])
            ->and(array_column($like, 'deltaE00'))
            ->toBe(collect($like)->pluck('deltaE00')->sort()->values()->all())
            ->and($find(['words' => "rust SUBJECT {$zone['number']}"]))
            ->toContain($recipe['id'])
            ->and($find(['words' => 'rust heron']))
            ->toBe([])
            ->and($find(['words' => '%']))
            ->toBe([])
            ->and($find(['pencil' => $recipe['passes'][0]['tool']]))
            ->toContain($recipe['id'])
            ->and($find(['pencil' => '74']))
            ->toBe([])
            ->and($find(['paper' => 'black']))
            ->toBe([])
            ->and($find(['paper' => 'white medium', 'skip' => 1]))
            ->toHaveCount(count($zones) - 1);
        $this->getJson('/api/book/recipes?like=blue')->assertUnprocessable();

        // With all its pencils available it comes out as it did; without one another stands in, and that is said.
        $then = $this->getJson("/api/book/recipes/{$recipe['id']}/laid")
            ->assertOk()
            ->json();
        expect($then)->toFitThePage('LaidAgain')->and($then['standIns'])->toBe([])->and($then['sequence']['missed'])->toBeLessThan(0.05);
        PencilRow::query()->where('number', $recipe['passes'][0]['number'])->delete();
        $now = $this->getJson("/api/book/recipes/{$recipe['id']}/laid")
            ->assertOk()
            ->json();
        expect($now['standIns'])
            ->toHaveCount(1)
            ->and($now['standIns'][0]['missing'])
            ->toBe($recipe['passes'][0]['tool'])
            ->and($now['standIns'][0]['words'])
            ->toContain('is not available')
            ->and($now['sequence']['passes'])
            ->toHaveCount(count($recipe['passes']))
            ->and(json_encode($now['sequence']['passes']))
            ->not->toContain(trim((string) json_encode($recipe['passes'][0]['tool']), '"').'"')
            ->and($now['sequence']['missed'])
            ->toEqualWithDelta($now['standIns'][0]['deltaE00'], 0.01);
        expect((string) $this->get('/api/book/swatches.pdf')->assertOk()->getContent())->toStartWith('%PDF');
        PencilRow::query()->delete();
        expect(
            $this->getJson("/api/book/recipes/{$recipe['id']}/laid")
                ->assertUnprocessable()
                ->json('detail'),
        )->toContain('Your drawer is empty');
    },
);

it('keeps what was really laid, where that is something else than was planned', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $desk = $this->getJson("/api/studies/$study->id/desk")->json();
    $step = $desk['steps'][0];
    $planned = $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => $step['zone']])
        ->assertCreated()
        ->json('recipes.0.passes');
    $other = array_values(array_filter($desk['pencils'], static fn (array $p): bool => $p['id'] !== ($step['pencil']['id'] ?? '')))[0];
    ticked($this, "/api/studies/$study->id/desk", $step, [
        'kind' => 'other',
        'tool' => $other['id'],
        'pressures' => ['mid' => 'firm'],
    ])->assertOk();
    $kept = $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => $step['zone']])
        ->assertCreated()
        ->json('recipes.0.passes');
    expect($planned)
        ->not->toEqual($kept)
        ->and($kept[0]['tool'])
        ->toBe($other['id'])
        ->and($kept[0]['pressures'])
        ->toBe(['mid' => 'firm']);
});

it('says of a zone that was photographed how it turned out, unless its artist says so herself', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $check = $this->postJson("/api/studies/$study->id/plan/checks/made-up", ['passes' => 20, 'seed' => 5])
        ->assertCreated()
        ->json();
    $found = collect($check['findings'])->groupBy('number')->map(static fn ($of): float => $of->avg('deltaE00'));
    $zone = $found->keys()->first();
    $kept = $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => $zone])
        ->assertCreated()
        ->json('recipes.0.outcome');
    expect($kept)->toStartWith(sprintf('In the photo %.1f away from the prediction: ', $found[$zone]));
    expect(
        $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => $zone, 'outcome' => 'as hoped'])->json('recipes.0.outcome'),
    )->toBe('as hoped');
    expect($this->getJson('/api/book/recipes?words=hoped')->json('found'))->toBe(1);
    $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => 200])->assertUnprocessable();
});

it('keeps what was chosen for a spot; changes its words, takes it out and puts it back; and shows it to nobody else', function () {
    $study = pictureOf($this);
    $spot = $this->getJson("/api/studies/$study->id/recipes?x=30&y=30&ring=5")
        ->assertOk()
        ->json('recipes.0');
    $entry = $this->postJson("/api/studies/$study->id/kept-recipes", [
        'name' => 'red field',
        'x' => 30,
        'y' => 30,
        'ring' => 5,
        'stack' => $spot['outcomes']['spot']['stack'],
        'label' => $spot['label'],
    ])
        ->assertCreated()
        ->json('entries.0.id');
    $recipe = $this->postJson("/api/studies/$study->id/book-recipes", ['spot' => $entry])
        ->assertCreated()
        ->json('recipes.0');
    expect($recipe['name'])->toBe('red field')->and($recipe['shades'])->toHaveCount(1);
    expect(
        $this->patchJson("/api/book/recipes/{$recipe['id']}", ['name' => 'brick', 'outcome' => 'dull at first'])
            ->assertOk()
            ->json('recipes.0.name'),
    )
        ->toBe('brick')
        ->and($this->getJson('/api/book/recipes?words=dull+brick')->json('found'))
        ->toBe(1)
        ->and($this->getJson('/api/book/recipes?words=red')->json('found'))
        ->toBe(0);
    $this->patchJson("/api/book/recipes/{$recipe['id']}", ['name' => ''])->assertUnprocessable();
    $this->postJson("/api/studies/$study->id/book-recipes", [])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Choose a zone, or a spot with a recipe.');
    $hex = $recipe['shades'][0]['hex'];
    expect(
        $this->deleteJson("/api/book/recipes/{$recipe['id']}")
            ->assertOk()
            ->json('found'),
    )
        ->toBe(0)
        ->and($this->getJson('/api/book/recipes?like='.urlencode($hex))->json('found'))
        ->toBe(0);
    expect(
        $this->postJson("/api/book/recipes/{$recipe['id']}/restore")
            ->assertOk()
            ->json('found'),
    )
        ->toBe(1)
        ->and($this->getJson('/api/book/recipes?like='.urlencode($hex))->json('found'))
        ->toBe(1);
    $this->actingAs($this->artistWithDrawer('other'));
    expect($this->getJson('/api/book/recipes')->json('found'))
        ->toBe(0)
        ->and($this->getJson("/api/book/recipes/{$recipe['id']}/laid")->status())
        ->toBe(404)
        ->and($this->deleteJson("/api/book/recipes/{$recipe['id']}")->status())
        ->toBe(404)
        ->and($this->postJson("/api/studies/$study->id/book-recipes", ['zone' => 1])->status())
        ->toBe(404)
        ->and(BookRecipeRow::query()->count())
        ->toBe(1);
});
