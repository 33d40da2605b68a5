<?php

declare(strict_types=1);

use App\Models\DrawingCheckRow;

it('holds a photo of the drawing against the plan, keeps what it said, and forgets it', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/checks/made-up", ['passes' => 1])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Some zones are not planned yet: plan the picture, then check the drawing.');
    $this->postJson("$base/run")->assertAccepted();
    expect(
        $this->getJson("$base/checks")
            ->assertOk()
            ->json('checks'),
    )->toBe([]);

    $early = $this->postJson("$base/checks/made-up", ['passes' => 1, 'seed' => 4])
        ->assertCreated()
        ->json();
    expect($early)
        ->toFitThePage('DrawingCheck')
        ->and($early['passes'])
        ->toBe(1)
        ->and($early['findings'])
        ->not->toBeEmpty()
        ->and($early['meanDeltaE00'])
        ->toBeLessThan(9.0);
    $late = $this->postJson("$base/checks/made-up", ['passes' => 20, 'seed' => 5])
        ->assertCreated()
        ->json();
    $all = $this->getJson("$base/checks")
        ->assertOk()
        ->json();
    expect($all)
        ->toFitThePage('DrawingChecks')
        ->and(array_column($all['checks'], 'id'))
        ->toBe([$late['id'], $early['id']]);
    $photo = (string) $this->get("$base/checks/$late[id]/photo")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/jpeg')
        ->getContent();
    expect(getimagesizefromstring($photo)[0])
        ->toBeLessThanOrEqual(640)
        ->and(
            getimagesizefromstring(
                (string) $this->get("$base/checks/$late[id]/map")
                    ->assertOk()
                    ->getContent(),
            )[2],
        )
        ->toBe(IMAGETYPE_PNG);

    // The same photo again, by its corners; and what it can't be.
    $corners = implode(',', array_map(static fn (array $c): string => "$c[0],$c[1]", $late['corners']));
    $again = $this->postJson("$base/checks", ['photo' => uploadOf($photo, 'small.jpg'), 'passes' => 20, 'corners' => $corners])
        ->assertCreated()
        ->json();
    expect($again['meanDeltaE00'])->toEqualWithDelta($late['meanDeltaE00'], 1.5);
    foreach ([['corners' => '0,0,1'], ['corners' => "$corners,0"], ['passes' => -1], ['passes' => 99], ['passes' => 'all']] as $wrong) {
        $this->postJson("$base/checks", ['photo' => $this->photo(), 'passes' => 3, ...$wrong])->assertUnprocessable();
    }
    expect(
        $this->postJson("$base/checks", ['photo' => $this->photo(width: 1000, height: 800), 'passes' => 20])
            ->assertUnprocessable()
            ->json('detail'),
    )->toMatch('/doesn’t look like|edges of the paper/');
    expect(DrawingCheckRow::query()->count())->toBe(3);

    expect(
        $this->deleteJson("$base/checks/$early[id]")
            ->assertOk()
            ->json('checks'),
    )->toHaveCount(2);
    $this->getJson("$base/checks/$early[id]/photo")->assertNotFound();
    // Of another study or another account it is not there.
    $this->actingAs($this->artistWithDrawer('stranger'));
    $this->getJson("$base/checks")->assertNotFound();
    $this->get("$base/checks/$late[id]/photo")->assertNotFound();
});

it('knows how far each zone is, where one works one area after the other', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run")->assertAccepted();
    $zones = $this->getJson($base)->json('zones');
    [$begun, $bare] = [$zones[0], $zones[1]];
    // One zone is bare still: beside a plan that is told so nothing is amiss there, beside one that is not, everything.
    $told = ['passes' => 20, 'zones' => "$bare[number]:0,$begun[number]:1", 'seed' => 11];
    $check = $this->postJson("$base/checks/made-up", $told)
        ->assertCreated()
        ->json();
    expect($check)
        ->toFitThePage('DrawingCheck')
        ->and(array_column($check['zones'], 'passes', 'name'))
        ->toBe([$bare['name'] => 0, $begun['name'] => 1]);
    $of = static fn (array $check): array => array_column(
        array_filter($check['findings'], static fn (array $f): bool => $f['number'] === $bare['number'] && $f['shade'] === 'mid'),
        'deltaE00',
    );
    expect($of($check)[0])->toBeLessThan(4.0);
    $photo = (string) $this->get("$base/checks/$check[id]/photo")->getContent();
    $corners = implode(',', array_map(static fn (array $c): string => "$c[0],$c[1]", $check['corners']));
    $untold = $this->postJson("$base/checks", ['photo' => uploadOf($photo, 'small.jpg'), 'passes' => 20, 'corners' => $corners]);
    $again = $this->postJson("$base/checks", [
        'photo' => uploadOf($photo, 'small.jpg'),
        'passes' => 20,
        'zones' => $told['zones'],
        'corners' => $corners,
    ])
        ->assertCreated()
        ->json();
    expect($of($again)[0])
        ->toBeLessThan(4.0)
        ->and($of($untold->assertCreated()->json())[0])
        ->toBeGreaterThan(8.0);
    foreach (['3', '3:', "$bare[number]:99", '3:1,', '250:1', str_repeat('1:1,', 200).'1:1'] as $wrong) {
        $this->postJson("$base/checks/made-up", ['passes' => 1, 'zones' => $wrong])->assertUnprocessable();
    }
});

it('leaves the whites of the paper out', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run")->assertAccepted();
    $before = $this->postJson("$base/checks/made-up", ['passes' => 20, 'seed' => 6])
        ->assertCreated()
        ->json('findings');
    $this->postJson("/api/studies/$study->id/survey/changes", [
        'kind' => 'paintWhites',
        'keep' => true,
        'radius' => 0.2,
        'points' => [[0.5, 0.25]],
        'key' => 'white-in-the-middle',
    ])->assertSuccessful();
    $this->postJson("$base/run")->assertAccepted();
    $after = $this->postJson("$base/checks/made-up", ['passes' => 20, 'seed' => 6])
        ->assertCreated()
        ->json('findings');
    $area = static fn (array $findings): float => array_sum(array_column($findings, 'area'));
    expect($area($after))->toBeLessThan($area($before) - 0.01);
});
