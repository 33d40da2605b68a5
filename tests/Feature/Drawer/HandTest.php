<?php

declare(strict_types=1);

use App\Models\HandVersion;
use App\Models\PencilRow;
use App\Models\User;
use KnottyPrism\Core\Colour\Lab;

it('learns a hand by the ladder, predicts for it from then on, and goes back', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $study = $this->study($user);
    $before = $this->getJson('/api/hand')->assertOk()->json();
    expect($before)
        ->toFitThePage('Hand')
        ->and($before['hand'])
        ->toBeNull()
        ->and($before['versions'])
        ->toBe([])
        ->and($before['strips'][0]['ladder'])
        ->toHaveCount(7);
    $spot = "/api/studies/$study->id/recipes?x=300&y=100&ring=5";
    $even = $this->getJson($spot)->assertOk()->json('recipes');

    $heavy = learnt(5);
    expect($heavy)
        ->toFitThePage('Hand')
        ->and($heavy['hand']['pressure'])
        ->toBeGreaterThan(1.15)
        ->and($heavy['hand']['words'])
        ->toContain('more than planned')
        ->and($heavy['hand']['rmsAfterDeltaE00'])
        ->toBeLessThan($heavy['hand']['rmsBeforeDeltaE00'])
        ->and($heavy['came'])
        ->toHaveCount(6)
        ->and($heavy['came'][0]['fault'])
        ->toContain('too dark');
    // Predictions, and the study, go by it; another paper and another artist do not.
    expect($this->getJson($spot)->json('recipes'))
        ->not->toEqual($even)
        ->and($this->getJson("/api/studies/$study->id")->json('hand'))
        ->toBe($heavy['hand']['words'])
        ->and($this->getJson('/api/studies')->json('studies.0.hand'))
        ->toBe($heavy['hand']['words'])
        ->and($this->getJson('/api/hand?paper=white%20smooth')->json('hand'))
        ->toBeNull();
    $this->actingAs($this->artistWithDrawer('other'));
    expect($this->getJson('/api/hand')->json('hand'))->toBeNull();

    // Back to the even hand, to the very answers of before; nothing is forgotten.
    $this->actingAs($user);
    $back = $this->patchJson('/api/hand', ['number' => 0])
        ->assertOk()
        ->json();
    expect($back['hand'])
        ->toBeNull()
        ->and($back['versions'])
        ->toHaveCount(1)
        ->and($this->getJson($spot)->json('recipes'))
        ->toEqual($even);
    expect(
        $this->patchJson('/api/hand', ['number' => 1])
            ->assertOk()
            ->json('hand.words'),
    )->toBe($heavy['hand']['words']);
});

it('adds what further strips say to what is known, as another version', function () {
    $this->actingAs($this->artistWithDrawer());
    $first = learnt(5);
    $second = learnt(3);
    expect($second['hand'])
        ->toMatchArray(['number' => 2, 'strips' => 12])
        ->and($second['hand']['pressure'])
        ->toBeLessThan($first['hand']['pressure'])
        ->and(array_column($second['versions'], 'inUse'))
        ->toBe([true, false]);
    // A pencil that has left the shelf takes its strips along; the rest still teach.
    PencilRow::query()->where('number', '745')->delete();
    expect(learnt(4)['hand']['strips'])->toBe(16);
});

it('is planned for: the plan follows the hand, and says that it was the reason', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $planned = function () use ($base): array {
        $this->postJson("$base/run")->assertAccepted();

        return $this->getJson($base)->assertOk()->json();
    };
    $passes = static fn (array $plan): array => array_map(
        static fn (array $z): array => array_map(static fn (array $p): array => $p['pressures'], $z['sequence']['passes']),
        $plan['zones'],
    );
    $even = $planned();
    // Strips may be what the plan lays: of each zone the heaviest shade, on their own sheet too.
    $laid = $this->getJson("/api/hand?study=$study->id&of=sequences")
        ->assertOk()
        ->json('strips.*.stack');
    $stacks = array_merge(...array_map(static fn (array $z): array => array_column($z['sequence']['outcomes'], 'stack'), $even['zones']));
    expect($laid)->not->toBe([])->and(array_diff($laid, $stacks))->toBe([])->and(count($laid))->toBeLessThanOrEqual(8);
    $this->get("/api/hand/strips.pdf?study=$study->id&of=sequences")->assertOk();
    // Or those of a zone that is about to be begun: its shades, the lightest first, and nobody else's.
    usort($even['zones'], static fn (array $a, array $b): int => count($b['shades']) <=> count($a['shades']));
    $zone = $even['zones'][0];
    $shades = array_filter(
        $zone['shades'],
        static fn (array $s): bool => in_array($s['shade'], ['light', 'mid', 'dark'], true) &&
            $zone['sequence']['outcomes'][$s['shade']]['stack'] !== '',
    );
    usort($shades, static fn (array $a, array $b): int => $b['aim']['lab'][0] <=> $a['aim']['lab'][0]);
    $bare = static fn (string $stack): string => implode(
        ',',
        array_filter(
            explode(',', $stack),
            static fn (string $pass): bool => ! in_array(explode('@', $pass)[0], ['solvent', 'blender', 'tissue', 'lift'], true),
        ),
    );
    expect(
        $this->getJson("/api/hand?study=$study->id&of=zone&zone={$zone['number']}")
            ->assertOk()
            ->json('strips.*.stack'),
    )->toBe(
        array_values(
            array_unique(array_map(static fn (array $s): string => $bare($zone['sequence']['outcomes'][$s['shade']]['stack']), $shades)),
        ),
    );
    $this->getJson("/api/hand?study=$study->id&of=zone")->assertUnprocessable();
    $this->getJson("/api/hand?study=$study->id&of=all")->assertUnprocessable();
    learnt(6);
    expect($this->getJson($base)->json('waiting'))->toBe(count($even['zones']));
    $heavy = $planned();
    expect($passes($heavy))
        ->not->toEqual($passes($even))
        ->and($heavy['run']['changes'][0]['why'])
        ->toStartWith('your hand ');
    $this->patchJson('/api/hand', ['number' => 0])->assertOk();
    expect($passes($planned()))->toEqual($passes($even));
});

it('reads strips from a photo, made up or not, before anything is learned', function () {
    $this->actingAs($this->artistWithDrawer());
    expect($this->get('/api/hand/strips.pdf')->assertOk()->getContent())->toStartWith('%PDF');
    $read = $this->postJson('/api/hand/made-up')->assertOk()->json();
    expect($read)
        ->toFitThePage('StripsRead')
        ->and($read['boxes'])
        ->toHaveCount(16)
        ->and(array_filter(array_column($read['boxes'], 'filled')))
        ->toHaveCount(16);
    expect(HandVersion::query()->count())->toBe(0);
    $photo = base64_decode(substr($read['photo'], strlen('data:image/jpeg;base64,')));
    $again = $this->postJson('/api/hand/photo', ['photo' => uploadOf($photo, 'strips.jpg')])
        ->assertOk()
        ->json('boxes');
    expect(array_column($again, 'stack'))->toBe(array_column($read['boxes'], 'stack'));
    $said = array_map(static fn (array $b): array => ['stack' => $b['stack'], 'hex' => $b['hex']], $again);
    expect(
        $this->postJson('/api/hand', ['strips' => $said])
            ->assertCreated()
            ->json('hand.strips'),
    )->toBe(16);
    $this->postJson('/api/hand/photo', ['photo' => $this->photo()])
        ->assertUnprocessable()
        ->assertJsonPath(
            'detail',
            'No chart sheet was found in this photo. Take it from above, with all four ring markers of the sheet in the picture.',
        );
});

it('learns from colours as a meter says them', function () {
    $this->actingAs($this->artistWithDrawer());
    $strips = $this->getJson('/api/hand')->assertOk()->json('strips');
    // Every strip as a firmer hand leaves it: the fifth dab of its ladder, by its figures.
    $byRung = $this->postJson('/api/hand', [
        'strips' => array_map(static fn (array $s): array => ['stack' => $s['stack'], 'rung' => 5], $strips),
    ])
        ->assertCreated()
        ->json();
    $labs = array_map(static function (array $came): array {
        [$x, $y, $z] = [Lab::ofHex($came['foundHex'])->l, Lab::ofHex($came['foundHex'])->a, Lab::ofHex($came['foundHex'])->b];

        return [round($x, 2), round($y, 2), round($z, 2)];
    }, $byRung['came']);
    $this->patchJson('/api/hand', ['number' => 0])->assertOk();
    $byLab = $this->postJson('/api/hand', [
        'strips' => array_map(static fn (array $s, array $lab): array => ['stack' => $s['stack'], 'lab' => $lab], $strips, $labs),
    ])
        ->assertCreated()
        ->json();
    expect($byLab['hand']['pressure'])->toBeGreaterThan(1.02)->and($byLab['hand']['strips'])->toBeGreaterThanOrEqual(count($strips));
});

it('refuses what no strip can be', function (array $json, string $says) {
    $this->actingAs($this->artistWithDrawer());
    expect($this->postJson('/api/hand', $json)->assertUnprocessable()->json('detail'))->toContain($says);
    expect(HandVersion::query()->count())->toBe(0);
})->with([
    'none' => [['strips' => []], 'result of at least one strip'],
    'a rung that is none' => [['strips' => [['stack' => '711@0.35', 'rung' => 9]]], 'rung'],
    'no colour' => [['strips' => [['stack' => '711@0.35', 'hex' => 'brownish']]], 'like #a1b2c3'],
    'a measured colour that is none' => [['strips' => [['stack' => '711@0.35', 'lab' => [300, 0, 0]]]], 'L* from 0 to 100'],
    'half a measured colour' => [['strips' => [['stack' => '711@0.35', 'lab' => [30, 0]]]], 'L* from 0 to 100'],
    'a pencil that nobody has' => [['strips' => [['stack' => '9999@0.35', 'rung' => 2]]], '9999'],
    'a stack that is none' => [['strips' => [['stack' => '711 firmly', 'rung' => 2]]], '711 firmly'],
]);

it('goes to no version that is not there, and to no study of another', function () {
    $this->actingAs($this->artistWithDrawer());
    $this->patchJson('/api/hand', ['number' => 4])->assertUnprocessable();
    $strange = $this->study(User::factory()->create(['name' => 'owner']));
    $this->getJson("/api/hand?study=$strange->id")->assertNotFound();
    $this->actingAs(User::factory()->create(['name' => 'empty']));
    $this->getJson('/api/hand')
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Your drawer is empty. Add pencils first, then calibrate your hand.');
});
