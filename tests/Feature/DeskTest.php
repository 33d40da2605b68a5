<?php

declare(strict_types=1);

use App\Models\Study;
use App\Models\TickRow;
use App\Models\User;
use Illuminate\Http\UploadedFile;

it('lays a picture pass by pass: each once, in its zone\'s own order, until all is laid', function () {
    [$study, $base] = deskOf($this);
    $desk = $this->getJson($base)->assertOk();
    expect(json_decode((string) $desk->getContent()))->toFitThePage('Desk');
    $desk = $desk->json();
    $passes = array_sum(
        array_map(fn (array $z): int => count($z['sequence']['passes']), $this->getJson("/api/studies/$study->id/plan")->json('zones')),
    );
    expect(array_sum(array_column($desk['steps'], 'coats')))
        ->toBe($passes)
        ->and($desk['howFar'])
        ->toBe('Not started')
        ->and(array_sum(array_column($desk['sessions'], 'steps')))
        ->toBe(count($desk['steps']));
    $laid = [];
    while ($desk['steps'] !== []) {
        $step = $desk['steps'][0];
        expect($step['pass'])
            ->toBe(($laid[$step['zone']] ?? 0) + 1)
            ->and($step['position'])
            ->toBe($laid[$step['zone']] ?? 0);
        $laid[$step['zone']] = $step['pass'] + $step['coats'] - 1;
        $left = count($desk['steps']);
        $desk = ticked($this, $base, $step)->assertOk()->json();
        // Nothing else moves: what comes next is what was to come next.
        expect($desk['steps'])->toHaveCount($left - 1);
    }
    expect($desk['howFar'])->toBe('All passes done')->and(array_sum(array_column($desk['zones'], 'laid')))->toBe($passes);
    $finished = $this->getJson("$base/finished")->assertOk();
    expect(json_decode((string) $finished->getContent()))
        ->toFitThePage('DeskFinished')
        ->and(array_column($finished->json('findings'), 'what'))
        ->not->toContain('unfinished');
});

it('shows the drawing as it lies, and as this session will leave it', function () {
    [$study, $base] = deskOf($this);
    $picture = fn (string $when): string => (string) $this->get("$base/picture/$when")->assertOk()->getContent();
    $bare = (string) $this->get("/api/studies/$study->id/plan/image?step=0")->assertOk()->getContent();
    $this->patchJson("$base/habits", ['session' => 10])->assertOk();
    $desk = $this->getJson($base)->assertOk()->json();
    $then = $picture('then');
    expect(count($desk['sessions']))->toBeGreaterThan(1)->and($picture('now') === $bare)->toBeTrue()->and($then === $bare)->toBeFalse();
    for ($left = $desk['sessions'][0]['steps']; $left > 0; $left--) {
        $desk = ticked($this, $base, $desk['steps'][0])->assertOk()->json();
    }
    expect($picture('now') === $then)->toBeTrue();
    $this->get("$base/picture/later")->assertNotFound();
});

it('takes a tick in once however often it is sent, and refuses one that another device has made', function () {
    [, $base] = deskOf($this);
    $step = $this->getJson($base)->json('steps.0');
    $first = ticked($this, $base, $step, key: 'the-same-key')->assertOk();
    expect(ticked($this, $base, $step, key: 'the-same-key')->assertOk()->json('stamp'))
        ->toBe($first->json('stamp'))
        ->and(TickRow::query()->count())
        ->toBe(1);
    expect(ticked($this, $base, $step)->assertStatus(422)->json('detail'))
        ->toContain('already ticked on another device')
        ->and(TickRow::query()->count())
        ->toBe(1);
    // Taken back what was meant, and only that.
    expect($this->postJson("$base/undo", ['of' => $first->json('stamp') + 7])->status())->toBe(409);
    expect(
        $this->postJson("$base/undo", ['of' => $first->json('stamp')])
            ->assertOk()
            ->json('stamp'),
    )->toBe(0);
    expect($this->getJson($base)->json('steps.0.position'))
        ->toBe(0)
        ->and(
            $this->postJson("$base/undo")
                ->assertOk()
                ->json('stamp'),
        )
        ->toBe(0);
});

it('takes coats that are alike as one step: read, ticked and taken back at once, or the first of them alone', function () {
    [$study, $base] = deskOf($this);
    $zone = $this->getJson("/api/studies/$study->id/plan")->json('zones.0');
    $roles = array_column($zone['shades'], 'shade');
    $pass = static fn (string $tool, string $tick): array => ['tool' => $tool, 'pressures' => array_fill_keys($roles, $tick)];
    $this->postJson("/api/studies/$study->id/plan/changes", [
        'key' => 'three-coats-of-one',
        'kind' => 'sequence',
        'zone' => $zone['number'],
        'passes' => [$pass('711', 'light'), $pass('711', 'light'), $pass('711', 'light'), $pass('735', 'medium')],
    ])->assertOk();
    $steps = fn (): array => array_values(
        array_filter($this->getJson($base)->json('steps'), static fn (array $s): bool => $s['zone'] === $zone['number']),
    );
    [$coats, $then] = $steps();
    expect([$coats['pass'], $coats['coats'], $coats['how']])
        ->toBe([1, 3, 'Three light coats over all of it'])
        ->and([$then['pass'], $then['coats'], $then['position']])
        ->toBe([4, 1, 3])
        ->and($coats['shades'][0]['after'])
        ->toBe($then['shades'][0]['before'])
        ->and($coats['minutes'])
        ->toBeGreaterThan((2.5 * $then['minutes']) / 2);
    // The first alone, then both others; the last tick is taken back as a whole.
    ticked($this, $base, $coats, ['coats' => 1])->assertOk();
    [$left] = $steps();
    expect([$left['pass'], $left['coats'], $left['position'], $left['how']])->toBe([2, 2, 1, 'Two light coats over all of it']);
    $done = ticked($this, $base, $left, ['coats' => 2])
        ->assertOk()
        ->json();
    expect(array_column($done['ticks'], 'words'))
        ->toHaveCount(2)
        ->and(end($done['ticks'])['words'])
        ->toStartWith('two light coats of 711')
        ->and($steps()[0])
        ->toMatchArray(['pass' => 4, 'position' => 3]);
    $this->postJson("$base/undo", ['of' => $done['stamp']])->assertOk();
    expect($steps()[0])
        ->toMatchArray(['pass' => 2, 'coats' => 2])
        ->and(TickRow::query()->where('taken_back', false)->count())
        ->toBe(1);
    ticked($this, $base, $left, ['coats' => 40])->assertUnprocessable();
    $this->get("/api/studies/$study->id/plan/steps.pdf")->assertOk();
});

it('finds what is to come from what lies there, where that is something else, and keeps to it', function () {
    [, $base] = deskOf($this);
    $desk = $this->getJson($base)->json();
    $step = $desk['steps'][0];
    $other = array_values(array_filter($desk['pencils'], fn (array $p): bool => $p['id'] !== ($step['pencil']['id'] ?? '')))[0];
    $after = ticked($this, $base, $step, ['kind' => 'other', 'tool' => $other['id'], 'pressures' => ['mid' => 'firm']])
        ->assertOk()
        ->json();
    $of = fn (array $desk): array => array_map(
        fn (array $s): string => ($s['pencil']['id'] ?? $s['finish']).json_encode($s['pressures']),
        array_values(array_filter($desk['steps'], fn (array $s): bool => $s['zone'] === $step['zone'])),
    );
    expect($after['ticks'][0]['kind'])
        ->toBe('other')
        ->and($after['ticks'][0]['words'])
        ->toContain($other['number'])
        ->and($of($after))
        ->not->toBe($of($desk));
    $rest = $of($after);
    $next = array_values(array_filter($after['steps'], fn (array $s): bool => $s['zone'] === $step['zone']))[0];
    expect($next['position'])->toBe(1)->and($of(ticked($this, $base, $next)->assertOk()->json()))->toBe(array_slice($rest, 1));
});

it('counts a session down while one sits at it, says when it is done, and begins again after a night', function () {
    [, $base] = deskOf($this);
    $this->patchJson("$base/habits", ['session' => 30])->assertOk();
    $desk = $this->getJson($base)->json();
    $length = $desk['sessions'][0]['steps'];
    expect($desk['sessionEnds'])->toBeFalse();
    for ($i = 1; $i <= $length; $i++) {
        $desk = ticked($this, $base, $desk['steps'][0])->assertOk()->json();
        expect($desk['sessionEnds'])
            ->toBe($i === $length)
            ->and($i === $length ? $desk['steps'] !== [] : $desk['sessions'][0]['steps'] === $length - $i)
            ->toBeTrue();
    }
    TickRow::query()->update(['made_at' => time() - 40000]);
    expect($this->getJson($base)->json('sessionEnds'))->toBeFalse();
});

it('keeps a wet zone from being touched, says until when, and works as one likes to', function () {
    [, $base] = deskOf($this);
    $step = $this->getJson($base)->json('steps.0');
    $at = time() - 30;
    $wet = ticked($this, $base, $step, ['kind' => 'other', 'tool' => 'solvent', 'pressures' => ['mid' => 'medium'], 'at' => $at])
        ->assertOk()
        ->json('wet');
    expect($wet)->toBe([['zone' => $step['zone'], 'until' => $at + 300]]);
    expect(
        $this->patchJson("$base/habits", ['thin' => 20, 'workOrder' => 'darks-first', 'hand' => 'left', 'session' => 25, 'breaks' => false])
            ->assertOk()
            ->json('wet.0.until'),
    )->toBe($at + 1200);
    $habits = $this->getJson($base)->json('habits');
    expect($habits)->toMatchArray([
        'workOrder' => 'darks-first',
        'hand' => 'left',
        'session' => 25,
        'thin' => 20,
        'wet' => 15,
        'breaks' => false,
    ]);
    foreach ([['workOrder' => 'backwards'], ['hand' => 'both'], ['session' => 3], ['wet' => 1000]] as $wrong) {
        $this->patchJson("$base/habits", $wrong)->assertStatus(422);
    }
});

it('reckons by the pace of who works, once there is enough to tell it', function () {
    [$study, $base] = deskOf($this);
    $minutes = array_sum(array_column($this->getJson($base)->json('steps'), 'minutes'));
    $first = $this->getJson($base)->json('steps.0');
    // Thirteen passes ticked at twice the time that is reckoned for each, then an afternoon away.
    for ($i = 0, $at = time() - 90000; $i < 13; $i++) {
        TickRow::query()->create([
            'study_id' => $study->id,
            'kind' => 'skipped',
            'zone' => 250,
            'pass' => ['tool' => 'tissue', 'pressures' => []],
            'rest' => null,
            'plan' => '',
            'minutes' => 5.0,
            'made_at' => ($at += 600),
        ]);
    }
    expect($this->getJson($base)->json('habits.pace'))->toEqual(1); // left out is no work
    TickRow::query()->update(['kind' => 'done']);
    $desk = $this->getJson($base)->json();
    expect($desk['habits']['pace'])
        ->toEqual(2)
        ->and(array_sum(array_column($desk['steps'], 'minutes')))
        ->toEqualWithDelta(2 * $minutes, 0.1 * count($desk['steps']))
        ->and($desk['steps'][0]['zone'])
        ->toBe($first['zone']);
});

it('shows the demo half done', function () {
    $this->seed();
    $user = User::query()->where('email', config('app.demo_email'))->firstOrFail();
    $this->actingAs($user);
    $desk = $this->getJson('/api/studies/'.Study::query()->where('user_id', $user->id)->firstOrFail()->id.'/desk')
        ->assertOk()
        ->json();
    expect($desk['howFar'])
        ->toMatch('/A third|Halfway|Two thirds/')
        ->and($desk['habits']['pace'])
        ->toEqual(1)
        ->and(array_filter($desk['zones'], fn (array $z): bool => $z['astray']))
        ->toBe([])
        ->and(array_filter($desk['zones'], fn (array $z): bool => $z['laid'] > 0 && $z['left'] > 0))
        ->not->toBe([])
        ->and($desk['ticks'])
        ->toHaveCount(12);
});

it('refuses what is no tick with a sentence, and has nothing for strangers', function () {
    [, $base] = deskOf($this);
    $step = $this->getJson($base)->json('steps.0');
    foreach (
        [
            ['tool' => 'Slipway/000'],
            ['pressures' => []],
            ['pressures' => ['mid' => 'hard']],
            ['pressures' => ['middle' => 'light']],
            ['at' => time() + 999999],
            ['kind' => 'maybe'],
            ['zone' => 0],
        ] as $wrong
    ) {
        expect(ticked($this, $base, $step, $wrong)->assertStatus(422)->json('detail'))->toBeString();
    }
    expect(
        ticked($this, $base, $step, ['zone' => 200])
            ->assertStatus(422)
            ->json('detail'),
    )
        ->toContain('no longer planned')
        ->and(TickRow::query()->count())
        ->toBe(0);
    $this->actingAs(User::factory()->create(['email' => 'stranger@example.org']));
    $this->getJson($base)->assertNotFound();
    ticked($this, $base, $step)->assertNotFound();
});

it('prints outlines at the drawing\'s real size, over pages that fit together, mirrored truly', function () {
    [$study, $base] = deskOf($this);
    $pdf = fn (string $query): array => linesOf(
        (string) $this->get("$base/outlines.pdf?$query")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent(),
    );
    $longest = fn (array $lines, bool $across): float => max(
        array_map(fn (array $l): float => abs($across ? $l[2] - $l[0] : $l[3] - $l[1]), $lines),
    );
    // Small enough for one page: the frame is as long as the drawing, the measure 50 mm.
    $this->patchJson("/api/studies/$study->id", ['drawingWidthMm' => 160, 'drawingHeightMm' => 120])->assertOk();
    [$page] = $pages = $pdf('size=a4');
    expect($pages)
        ->toHaveCount(1)
        ->and($longest($page, true))
        ->toEqualWithDelta(160.0, 0.8)
        ->and($longest($page, false))
        ->toEqualWithDelta(120.0, 0.6)
        ->and(array_filter($page, fn (array $l): bool => abs(abs($l[2] - $l[0]) - 50.0) < 0.25 && $l[1] === $l[3]))
        ->not->toBe([]);
    // Mirrored: every line lies as far from the right edge as it lay from the left.
    $across = fn (array $lines): array => array_map(
        fn (array $l): string => sprintf('%.1f', ($l[0] + $l[2]) / 2 - 10.0),
        array_filter($lines, fn (array $l): bool => min($l[1], $l[3]) > 25),
    );
    $there = $across($page);
    $mirrored = array_map(fn (string $x): string => sprintf('%.1f', 160.0 - (float) $x), $across($pdf('size=a4&mirrored=1')[0]));
    sort($there);
    sort($mirrored);
    $apart = array_filter(
        array_map(fn (string $a, string $b): float => abs((float) $a - (float) $b), $there, $mirrored),
        fn (float $d): bool => $d > 0.25,
    );
    expect($apart)->toBe([])->and(count($there))->toBeGreaterThan(50);
    // A grid has its squares.
    expect(count($pdf('size=a4&grid=1')[0]) - count($page))->toBe(5 + 3);
    // Over several pages what both show is the same: the frame's upper edge is as long as the drawing with the shared strips once.
    $this->patchJson("/api/studies/$study->id", ['drawingWidthMm' => 297, 'drawingHeightMm' => 222])->assertOk();
    $pages = $pdf('size=a5');
    expect(count($pages))->toBe(6);
    $top = array_map(fn (array $lines): float => $longest($lines, true), array_slice($pages, 0, 3));
    expect(array_sum($top) - 2 * 10.0)->toEqualWithDelta(297.0, 1.4);
    $this->getJson("$base/outlines.pdf?size=a9")->assertStatus(422);
});

it('says what is missing before there is a plan', function () {
    $study = pictureOf($this);
    $desk = $this->getJson("/api/studies/$study->id/desk")->assertOk();
    expect(json_decode((string) $desk->getContent()))
        ->toFitThePage('Desk')
        ->and($desk->json('cannot'))
        ->not->toBeNull()
        ->and($desk->json('unplanned'))
        ->toBe('The picture is not planned yet.')
        ->and(
            $this->getJson("/api/studies/$study->id/desk/finished")
                ->assertOk()
                ->json('findings'),
        )
        ->toBe([]);
});

it('prints the step sheet in the order of the desk, and no outlines before there are zones', function () {
    [$study, $base] = deskOf($this);
    $sheet = (string) $this->get("/api/studies/$study->id/plan/steps.pdf?size=a5")
        ->assertOk()
        ->getContent();
    $this->patchJson("$base/habits", ['session' => 10])->assertOk();
    $shorter = (string) $this->get("/api/studies/$study->id/plan/steps.pdf?size=a5")
        ->assertOk()
        ->getContent();
    // More sessions, more headings.
    expect($sheet)->toStartWith('%PDF-')->and(strlen($shorter))->toBeGreaterThan(strlen($sheet));
    $study->surveyVersions()->delete();
    Study::query()
        ->whereKey($study->id)
        ->update(['survey_number' => 0]);
    expect(
        $this->getJson("$base/outlines.pdf")
            ->assertStatus(422)
            ->json('detail'),
    )
        ->toContain('no zones')
        ->and($this->getJson($base)->assertOk()->json('cannot'))
        ->toContain('no zones');
});

it('is the same desk in another account that a study file is brought into', function () {
    [$study, $base] = deskOf($this);
    $this->patchJson("$base/habits", ['hand' => 'left', 'session' => 90])->assertOk();
    $steps = $this->getJson($base)->json('steps');
    $after = ticked($this, $base, $steps[0])->assertOk()->json('steps');
    ticked($this, $base, $after[0], ['kind' => 'other', 'tool' => 'lift', 'pressures' => ['mid' => 'medium']])->assertOk();
    $desk = ticked($this, $base, $this->getJson($base)->json('steps.0'), ['kind' => 'skipped'])
        ->assertOk()
        ->json();
    $file = (string) $this->get("/api/studies/$study->id/bundle")
        ->assertOk()
        ->getContent();
    $this->actingAs($other = User::factory()->create(['email' => 'elsewhere@example.org']));
    $bring = fn (string $json) => $this->post(
        '/api/studies/bundle',
        ['file' => UploadedFile::fake()->createWithContent('study.json', $json)],
        ['Accept' => 'application/json', 'Idempotency-Key' => 'bring-'.bin2hex(random_bytes(5))],
    );
    $there = $bring($file)->assertCreated()->json('id');
    // The pencils are not owned there: one is enough to look at the desk.
    $other
        ->pencils()
        ->limit(3)
        ->update(['stock' => 'owned']);
    $brought = $this->getJson("/api/studies/$there/desk")
        ->assertOk()
        ->json();
    $of = fn (array $d): array => [
        array_map(fn (array $m): array => [$m['kind'], $m['zone'], $m['words'], $m['at']], $d['ticks']),
        array_map(fn (array $z): array => [$z['name'], $z['laid'], $z['ticks']], $d['zones']),
        $d['habits'],
    ];
    expect($of($brought))->toBe($of($desk));
    // Files of before know no desk; one with a tick that is none is refused.
    $data = json_decode($file, true);
    $data['desk']['ticks'][0]['kind'] = 'perhaps';
    expect($bring((string) json_encode($data))->assertStatus(422)->json('detail'))->toContain('damaged at');
    unset($data['desk']);
    expect(
        $this->getJson('/api/studies/'.$bring((string) json_encode($data))->assertCreated()->json('id').'/desk')->json('ticks'),
    )->toBe([]);
});
