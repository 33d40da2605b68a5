<?php

declare(strict_types=1);

it('shows the touches of a zone, takes them where they are put and under which name, and plans them', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $all = change($study, 'proposeZones', ['most' => 12])->json('zones.list');
    [$zone, $other] = [$all[0]['number'], $all[1]];
    // A place in another field, whose colour the zone then asks for too.
    $outline = $other['outlines'][0];
    [$x, $y] = [
        array_sum(array_filter($outline, static fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY)) / (count($outline) / 2),
        array_sum(array_filter($outline, static fn (int $i): bool => $i % 2 === 1, ARRAY_FILTER_USE_KEY)) / (count($outline) / 2),
    ];
    expect($all[0]['touches'])->toBe([])->and($all[0]['placed'])->toBeFalse();
    $answer = change($study, 'setTouches', ['zone' => $zone, 'touches' => [['name' => 'columns', 'x' => $x, 'y' => $y]]])->assertOk();
    $shown = collect($answer->json('zones.list'))->firstWhere('number', $zone);
    expect($shown['touches'])
        ->toHaveCount(1)
        ->and($shown['touches'][0]['name'])
        ->toBe('columns')
        ->and($shown['touches'][0]['shade'])
        ->toBe('touch')
        ->and($shown['placed'])
        ->toBeTrue()
        ->and($shown['touches'][0]['reading']['hex'])
        ->toBe(collect($other['shades'])->firstWhere('shade', 'mid')['reading']['hex'])
        ->and($answer->json('undoWords'))
        ->toContain('touches');
    $planned = collect($this->getJson("/api/studies/$study->id/plan")->json('zones'))->firstWhere('number', $zone);
    expect(array_column($planned['shades'], 'name', 'shade'))->toMatchArray(['touch' => 'columns']);
    // Dropped; and refused with the cure.
    expect(change($study, 'setTouches', ['zone' => $zone, 'touches' => []])->json('zones.list.0.touches'))->toBe([]);
    change($study, 'setTouches', ['zone' => $zone, 'touches' => [['name' => ' ', 'x' => 0.5, 'y' => 0.5]]])->assertUnprocessable();
    change($study, 'setTouches', [
        'zone' => $zone,
        'touches' => array_fill(0, 4, ['name' => 'x', 'x' => 0.5, 'y' => 0.5]),
    ])->assertUnprocessable();
    change($study, 'setTouches', ['zone' => $zone, 'touches' => [['name' => 'x', 'x' => 1.5, 'y' => 0.5]]])->assertUnprocessable();
    $this->postJson("/api/studies/$study->id/survey/undo");
    expect($this->getJson("/api/studies/$study->id/survey")->json('zones.list.0.touches.0.name'))->toBe('columns');
});

it('takes shades of a zone as they are called, does without those that were dropped, and has them back', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $zone = change($study, 'proposeZones', ['most' => 12])->json('zones.list.0.number');
    $shades = static fn (array $answer): array => array_column(
        collect($answer['zones']['list'])->firstWhere('number', $zone)['shades'],
        'name',
        'shade',
    );
    change($study, 'moveShade', ['zone' => $zone, 'shade' => 'light', 'place' => 1]);
    $with = change($study, 'moveShade', ['zone' => $zone, 'shade' => 'dark', 'place' => 0])->json();
    expect($shades($with))->toBe(['light' => 'light', 'mid' => 'mid', 'dark' => 'dark']);
    expect($shades(change($study, 'nameShade', ['zone' => $zone, 'shade' => 'dark', 'name' => 'under the fold'])->json()))->toMatchArray([
        'dark' => 'under the fold',
    ]);
    $without = change($study, 'dropShade', ['zone' => $zone, 'shade' => 'light'])
        ->assertOk()
        ->json();
    expect($shades($without))
        ->toBe(['mid' => 'mid', 'dark' => 'under the fold'])
        ->and(collect($without['zones']['list'])->firstWhere('number', $zone)['missing'])
        ->toBe(['light']);
    $planned = collect($this->getJson("/api/studies/$study->id/plan")->json('zones'))->firstWhere('number', $zone);
    expect(array_column($planned['shades'], 'name', 'shade'))->toBe(['mid' => 'mid', 'dark' => 'under the fold']);
    // Put somewhere, it is there again; the mid stays, and its place in words is what a shade is called without a name.
    expect($shades(change($study, 'moveShade', ['zone' => $zone, 'shade' => 'light', 'place' => 0.9])->json()))->toHaveKey('light');
    change($study, 'dropShade', ['zone' => $zone, 'shade' => 'mid'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'needs its mid'));
    change($study, 'nameShade', ['zone' => $zone, 'shade' => 'touch', 'name' => 'x'])->assertUnprocessable();
    expect($shades(change($study, 'nameShade', ['zone' => $zone, 'shade' => 'dark', 'name' => ' '])->json()))->toMatchArray([
        'dark' => 'dark',
    ]);
    foreach ([1, 2, 3] as $_) {
        $last = $this->postJson("/api/studies/$study->id/survey/undo")
            ->assertOk()
            ->json();
    }
    expect($shades($last))->toBe(['light' => 'light', 'mid' => 'mid', 'dark' => 'under the fold']);
});
