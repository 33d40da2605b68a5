<?php

declare(strict_types=1);

it('plans a zone by what it is: proposed from the photo, changed, said why, and taken back to the very same plan', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id";
    $this->postJson("$base/plan/run");
    $before = $this->getJson("$base/plan")->json();
    $zone = $before['zones'][0];
    // One even colour is smooth; what lies there is said in words at the zone, at its shades and at every swatch.
    expect($zone['surface'])->toBe('smooth');
    foreach ($zone['shades'] as $shade) {
        expect($zone['sequence']['outcomes'][$shade['shade']]['evenness'])->toMatch('/^(even|grainy|paper shows through: \d+ %)$/');
    }
    expect(array_column($zone['sequence']['passes'][0]['dabs'], 'evenness'))->not->toContain('');

    $change = fn (array $json) => $this->postJson("$base/survey/changes", [...$json, 'key' => bin2hex(random_bytes(8))]);
    $change(['kind' => 'describeZone', 'zone' => $zone['number'], 'surface' => 'glassy'])->assertUnprocessable();
    $change(['kind' => 'describeZone', 'zone' => $zone['number'], 'surface' => 'rough'])->assertOk();
    $waiting = $this->getJson("$base/plan")->json();
    expect($waiting['waiting'])->toBeGreaterThan(0);
    $this->postJson("$base/plan/run");
    $rough = $this->getJson("$base/plan")->json();
    $why = collect($rough['run']['changes'])->firstWhere('zone', $zone['name'])['why'] ?? '';
    expect($why)->toContain('its surface')->and($rough['waiting'])->toBe(0);
    $grain = static fn (array $plan): float => collect($plan['zones'])->firstWhere('number', $zone['number'])['sequence']['grain'];
    expect($grain($rough))->toBeGreaterThanOrEqual($grain($before));

    $this->postJson("$base/survey/undo")->assertOk();
    $again = $this->getJson("$base/plan")->json();
    $stacks = static fn (array $plan): array => array_map(
        static fn (array $z): array => array_column($z['sequence']['outcomes'], 'stack'),
        $plan['zones'],
    );
    expect($again['waiting'])->toBe(0)->and($stacks($again))->toBe($stacks($before));
});

it('asks of a spot what the zone beneath it asks, and calls it smooth where there is none', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id";
    $recipes = fn (): array => $this->getJson("$base/recipes?x=20&y=20&ring=9")
        ->assertOk()
        ->json('recipes');
    $smooth = $recipes();
    $zone = collect($this->getJson("$base/survey")->json('zones.list'));
    foreach ($zone->pluck('number') as $number) {
        $this->postJson("$base/survey/changes", [
            'kind' => 'describeZone',
            'zone' => $number,
            'surface' => 'rough',
            'key' => bin2hex(random_bytes(8)),
        ])->assertOk();
    }
    $rough = $recipes();
    expect($rough[0]['grain'])
        ->toBeGreaterThanOrEqual($smooth[0]['grain'])
        ->and(array_column(array_merge(...array_column($rough, 'warnings')), 'code'))
        ->not->toContain('grainy');
});
