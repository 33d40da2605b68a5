<?php

declare(strict_types=1);

it('goes on from what lies when the plan of a zone has changed since', function () {
    [$study, $base] = deskOf($this);
    $step = $this->getJson($base)->json('steps.0');
    ticked($this, $base, $step)->assertOk();
    $zone = fn (array $desk): array => array_values(array_filter($desk['zones'], fn (array $z): bool => $z['number'] === $step['zone']))[0];
    // Another method for the zone: its plan is another, what lies is what it was.
    $this->postJson("/api/studies/$study->id/plan/changes", [
        'kind' => 'method',
        'zone' => $step['zone'],
        'settings' => ['beneath=complement'],
        'key' => 'another-way-'.bin2hex(random_bytes(4)),
    ])->assertOk();
    $between = $this->getJson($base)->assertOk()->json();
    expect(array_column($between['zones'], 'number'))
        ->not->toContain($step['zone'])
        ->and($between['unplanned'])
        ->toStartWith('One zone is not planned yet');
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $desk = $this->getJson($base)->assertOk()->json();
    expect($zone($desk)['laid'])
        ->toBe(1)
        ->and($this->getJson($base)->json('steps'))
        ->toBe($desk['steps']);
    foreach (array_filter($desk['steps'], fn (array $s): bool => $s['zone'] === $step['zone']) as $next) {
        expect($next['position'])->toBeGreaterThan(0)->and($next['pass'])->toBeGreaterThan(1);
    }
});

it('keeps what lies where a hand is learned in the middle of a drawing, says what to do, and goes on', function () {
    [$study, $base] = deskOf($this);
    $step = $this->getJson($base)->assertOk()->assertJsonPath('unplanned', null)->json('steps.0');
    ticked($this, $base, $step)->assertOk();
    $strips = array_map(
        static fn (array $strip): array => ['stack' => $strip['stack'], 'rung' => 5],
        $this->getJson('/api/hand?paper=white+medium')->json('strips'),
    );
    $this->postJson('/api/hand?paper=white+medium', ['strips' => array_slice($strips, 0, 4)])->assertCreated();
    $between = $this->getJson($base)->assertOk();
    expect(json_decode((string) $between->getContent()))
        ->toFitThePage('Desk')
        ->and($between->json('unplanned'))
        ->toStartWith('No zone is planned yet')
        ->toContain('What is drawn is kept')
        ->and($between->json('cannot'))
        ->not->toBeNull();
    expect(
        $this->postJson("/api/studies/$study->id/plan/checks/made-up", ['passes' => 1])
            ->assertUnprocessable()
            ->json('detail'),
    )->toContain('not planned yet');
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $desk = $this->getJson($base)->assertOk()->assertJsonPath('unplanned', null)->assertJsonPath('cannot', null)->json();
    expect(array_column($desk['zones'], 'laid', 'number')[$step['zone']])
        ->toBe(1)
        ->and(array_sum(array_column($desk['zones'], 'ticks')))
        ->toBe(1);
});
