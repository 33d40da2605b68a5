<?php

declare(strict_types=1);

use App\Photos\SurveyRepository;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** Six flat fields as six zones, planned in a small drawer. */
it('plans a picture in one action, says how it will look, and what it takes', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $before = $this->getJson($base)->assertOk()->json();
    expect(json_decode((string) $this->getJson($base)->getContent()))
        ->toFitThePage('Plan')
        ->and($before['waiting'])
        ->toBe(count($before['zones']))
        ->and($before['run'])
        ->toBeNull();
    $this->postJson("$base/run")->assertAccepted();
    $picture = $this->getJson($base)->json();
    expect(
        json_decode(
            (string) $this->getJson("$base/run")
                ->assertOk()
                ->getContent(),
        ),
    )
        ->toFitThePage('PlanProgress')
        ->and($this->getJson("$base/run")->json('run'))
        ->toBe(array_diff_key($picture['run'], ['changes' => true]));
    expect(json_decode((string) $this->getJson($base)->getContent()))
        ->toFitThePage('Plan')
        ->and($before['time'])
        ->toBe('')
        ->and($picture['time'])
        ->toMatch('/^about (\d+ minutes|\d+½? hours)$/')
        ->and($picture['waiting'])
        ->toBe(0)
        ->and($picture['run']['state'])
        ->toBe('done')
        ->and($picture['run']['changes'])
        ->toHaveCount(count($picture['zones']))
        ->and($picture['palette'])
        ->not->toBeEmpty()
        ->and($picture['meanDeltaE00'])
        ->toBeLessThan(4.0);
    foreach ($picture['zones'] as $zone) {
        expect(array_keys($zone['sequence']['outcomes']))
            ->toBe(array_column($zone['shades'], 'shade'))
            ->and($zone['sequence']['own'])
            ->toBeFalse();
    }
    $this->getJson("$base/values")->assertOk();
    // The drawer asks for the same: what would help this picture most.
    expect(
        $this->getJson("/api/studies/$study->id/purchases")
            ->assertOk()
            ->json('colours'),
    )->toBe(count($picture['zones']));
    $sizes = array_map(
        fn (string $step): string => $this->get("$base/image?step=$step")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png')
            ->getContent(),
        ['0', '1', '99', 'error'],
    );
    expect(array_unique(array_map(md5(...), $sizes)))->toHaveCount(4);
    foreach (['card', 'zones', 'steps'] as $sheet) {
        expect(
            $this->get("$base/$sheet.pdf?size=a5")
                ->assertOk()
                ->getContent(),
        )->toStartWith('%PDF-');
    }
    expect(
        $this->get("$base/palette.csv")
            ->assertOk()
            ->getContent(),
    )->toContain($picture['palette'][0]['number']);
    $this->get("$base/palette.doc")->assertNotFound();
});

it('tries a starting point in a zone before it is taken, and what it promised is what comes', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $coats = array_column($this->getJson($base)->json('startingPoints'), 'settings', 'value')['many-light-coats'];
    // Without pencils chosen nothing can be tried, and that is said.
    $this->getJson("$base/answers?zone=1&start=many-light-coats")->assertUnprocessable();
    $this->postJson("$base/run")->assertAccepted();
    $plan = $this->getJson($base)->json();
    $zone = $plan['zones'][0]['number'];
    $tried = $this->getJson("$base/answers?zone=$zone&start=many-light-coats")->assertOk()->json('answers.0');
    expect($this->getJson($base)->json('stamp'))->toBe($plan['stamp']);
    foreach ($tried['passes'] as $pass) {
        expect(array_intersect(array_values(array_filter($pass['pressures'])), ['firm', 'full']))->toBe([]);
    }
    changedBy($this, $study, ['kind' => 'method', 'zone' => $zone, 'settings' => $coats])->assertOk();
    $this->postJson("$base/run")->assertAccepted();
    expect(sequenceOf($this->getJson($base)->json(), $zone)['words'])->toBe($tried['words']);
    $this->getJson("$base/answers?zone=$zone&start=upside-down")->assertUnprocessable();
    $this->getJson("$base/answers?zone=99&start=many-light-coats")->assertUnprocessable();
});

it('plans again only what a change touches, and says what changed and why', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run")->assertAccepted();
    $zones = $this->getJson($base)->json('zones');
    $parts = DB::table('plan_parts')->count();
    // Another method for one zone.
    $zone = $zones[0]['number'];
    $after = changedBy($this, $study, ['kind' => 'method', 'zone' => $zone, 'settings' => ['joining=light-coats', 'beneath=nothing']])
        ->assertOk()
        ->json();
    expect($after['waiting'])
        ->toBe(1)
        ->and(sequenceOf($after, $zone))
        ->toBeNull()
        ->and(sequenceOf($after, $zones[1]['number']))
        ->not->toBeNull();
    $this->postJson("$base/run")->assertAccepted();
    $run = $this->getJson($base)->json('run');
    expect($run['changes'])
        ->toHaveCount(1)
        ->and($run['changes'][0]['why'])
        ->toBe('the method changed')
        ->and($run['changes'][0]['before'])
        ->not->toBeNull()
        ->and(DB::table('plan_parts')->count())
        ->toBe($parts + 1);
    // Undone, the old plan is there at once, and nothing waits.
    expect($this->postJson("$base/undo")->json('waiting'))
        ->toBe(0)
        ->and($this->postJson("$base/redo")->json('waiting'))
        ->toBe(0);
    // Fewer pencils touch the whole.
    $fewer = changedBy($this, $study, ['kind' => 'pencils', 'count' => 3])->json();
    expect($fewer['waiting'])->toBe(count($zones));
    $this->postJson("$base/run");
    $three = $this->getJson($base)->json();
    expect(count($three['palette']))->toBeLessThanOrEqual(3)->and($three['suffering'])->not->toBeEmpty();
    changedBy($this, $study, ['kind' => 'pencils', 'count' => 0])->assertUnprocessable();
});

it('takes an artist\'s own sequence, holds it whatever else changes, grades its passes, and gives it back', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run");
    $plan = $this->getJson($base)->json();
    $zone = $plan['zones'][0]['number'];
    $found = sequenceOf($plan, $zone);
    expect($found['own'])
        ->toBeFalse()
        ->and($found['label'])
        ->toBe('surest on paper')
        ->and($found['errorOnPaper'])
        ->toBeGreaterThan($found['errorInHand']);
    $mine = [
        ['tool' => '711', 'pressures' => ['mid' => 'light']],
        ['tool' => 'slipway/745', 'pressures' => ['mid' => 'medium']],
        ['tool' => 'solvent', 'pressures' => ['mid' => 'medium']],
    ];
    $own = sequenceOf(
        changedBy($this, $study, ['kind' => 'sequence', 'zone' => $zone, 'passes' => $mine])
            ->assertOk()
            ->json(),
        $zone,
    );
    expect($own['own'])
        ->toBeTrue()
        ->and(array_map(static fn (array $p): string => ($p['pencil']['id'] ?? $p['finish']).' '.$p['pressures']['mid'], $own['passes']))
        ->toBe(['Slipway/711 light', 'Slipway/745 medium', 'solvent medium'])
        ->and(outcomeOf($this->getJson($base)->json(), $zone)['stack'])
        ->toBe('Slipway/711@0.35,Slipway/745@0.55,solvent');
    changedBy($this, $study, ['kind' => 'method', 'zone' => 0, 'settings' => ['darks=never-black']]);
    $this->postJson("$base/run");
    expect(sequenceOf($this->getJson($base)->json(), $zone)['passes'])->toEqual($own['passes']);
    // What is missed follows from what counts.
    $valueOnly = changedBy($this, $study, ['kind' => 'mode', 'mode' => 'value-only'])
        ->assertOk()
        ->json();
    expect(sequenceOf($valueOnly, $zone)['missed'])
        ->toBeLessThan($own['missed'])
        ->and(outcomeOf($valueOnly, $zone)['missed'])
        ->toBe(sequenceOf($valueOnly, $zone)['missed']);
    $this->postJson("$base/undo")->assertOk();
    $firmer = sequenceOf(
        changedBy($this, $study, ['kind' => 'regrade', 'zone' => $zone, 'pass' => 1, 'how' => 'firmer'])
            ->assertOk()
            ->json(),
        $zone,
    );
    expect($firmer['passes'][1]['pressures']['mid'])
        ->toBe('firm')
        ->and($firmer['passes'][0])
        ->toEqual($own['passes'][0]);
    changedBy($this, $study, ['kind' => 'regrade', 'zone' => $zone, 'pass' => 9, 'how' => 'firmer'])->assertUnprocessable();
    changedBy($this, $study, ['kind' => 'regrade', 'zone' => $zone, 'pass' => 2, 'how' => 'firmer'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'drop it'));
    changedBy($this, $study, [
        'kind' => 'sequence',
        'zone' => $zone,
        'passes' => [['tool' => '999', 'pressures' => ['mid' => 'light']]],
    ])->assertUnprocessable();
    changedBy($this, $study, [
        'kind' => 'sequence',
        'zone' => $zone,
        'passes' => [['tool' => '711', 'pressures' => ['mid' => 'hard']]],
    ])->assertUnprocessable();
    // Answers to compare: clearly different, the surest first.
    $answers = $this->getJson("$base/answers?zone=$zone")
        ->assertOk()
        ->json();
    expect($answers)
        ->toFitThePage('PlanAnswers')
        ->and($answers['answers'][0]['label'])
        ->toBe('surest on paper')
        ->and(array_unique(array_column($answers['answers'], 'words')))
        ->toHaveCount(count($answers['answers']));
    $taken = changedBy($this, $study, [
        'kind' => 'sequence',
        'zone' => $zone,
        'passes' => array_map(
            static fn (array $p): array => ['tool' => $p['pencil']['id'] ?? $p['finish'], 'pressures' => $p['pressures']],
            $answers['answers'][0]['passes'],
        ),
    ])
        ->assertOk()
        ->json();
    expect(sequenceOf($taken, $zone)['own'])->toBeTrue()->and(sequenceOf($taken, $zone)['words'])->toBe($answers['answers'][0]['words']);
    // Given back, it is the planner's to find again.
    expect(
        changedBy($this, $study, ['kind' => 'sequence', 'zone' => $zone, 'passes' => null])
            ->assertOk()
            ->json('waiting'),
    )->toBe(1);
    $this->postJson("$base/run");
    expect(sequenceOf($this->getJson($base)->json(), $zone)['own'])->toBeFalse();
});

it('removes a warning by its remedy, or keeps the note with which it was overruled', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    // So many firm coats spend the tooth before the last pass; of four no small change is left that gives it back.
    $spent = ['624 full', '624 full', '624 full', '711 light'];
    laidIn($this, $study, $zone, '624 full', ...$spent);
    changedBy($this, $study, ['kind' => 'remedy', 'zone' => $zone, 'shade' => 'mid', 'code' => 'tooth spent'])
        ->assertUnprocessable()
        ->assertJsonPath('title', fn (string $title): bool => $title !== '');
    $codes = static fn (array $plan): array => array_column(sequenceOf($plan, $zone)['warnings'], 'code');
    expect($codes(laidIn($this, $study, $zone, ...$spent)))->toContain('tooth spent');
    $noted = shadeOf(
        changedBy($this, $study, [
            'kind' => 'overrule',
            'zone' => $zone,
            'shade' => 'mid',
            'code' => 'tooth spent',
            'note' => 'it is the last pass',
        ])->json(),
        $zone,
    );
    expect($noted['overruled'])
        ->toBe(['tooth spent' => 'it is the last pass'])
        ->and(shadeOf($this->postJson("$base/undo")->json(), $zone)['overruled'])
        ->toBe([]);
    expect(
        $codes(
            changedBy($this, $study, ['kind' => 'remedy', 'zone' => $zone, 'shade' => 'mid', 'code' => 'tooth spent'])
                ->assertOk()
                ->json(),
        ),
    )->not->toContain('tooth spent');
    changedBy($this, $study, ['kind' => 'remedy', 'zone' => 99, 'shade' => 'mid', 'code' => 'tooth spent'])->assertUnprocessable();
});

it('keeps, leaves out, presets and recolours, with the values as they were', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $seen = array_column(array_column(array_column($this->getJson($base)->json('zones'), 'shades'), 0), 'aim');
    $grey = changedBy($this, $study, ['kind' => 'hue', 'zone' => 0, 'hue' => 'violet'])->json();
    foreach (array_column(array_column($grey['zones'], 'shades'), 0) as $i => $target) {
        expect($target['aim']['valueStep'])
            ->toBe($seen[$i]['valueStep'])
            ->and($target['aim']['lab'][0])
            ->toEqualWithDelta($seen[$i]['lab'][0], 1e-6);
    }
    expect($grey['zones'][0]['shades'][0]['aim']['family'])->toStartWith('violet');
    // Without any pencil nothing is begun, and it is said why.
    foreach (['624', '661', '711', '735', '688', '608', '745', 'F90'] as $number) {
        changedBy($this, $study, ['kind' => 'lock', 'pencil' => $number, 'how' => 'out'])->assertOk();
    }
    $this->postJson("$base/run")
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'pencils that may be used'));
    for ($i = 0; $i < 8; $i++) {
        $this->postJson("$base/undo")->assertOk();
    }
    expect(changedBy($this, $study, ['kind' => 'lock', 'pencil' => '624', 'how' => 'out'])->json('settings.without'))->toBe([
        'Slipway/624',
    ]);
    expect(changedBy($this, $study, ['kind' => 'lock', 'pencil' => '624', 'how' => 'in'])->json('settings'))->toMatchArray([
        'keep' => ['Slipway/624'],
        'without' => [],
    ]);
    expect(changedBy($this, $study, ['kind' => 'preset', 'what' => 'one-colour'])->json('settings'))->toMatchArray([
        'pencils' => 3,
        'keep' => ['Slipway/745', 'Foghorn/F90'],
    ]);
    $this->postJson("$base/run");
    $three = $this->getJson($base)->json();
    expect(count($three['palette']))->toBeLessThanOrEqual(3);
    // A named version is found again.
    $this->postJson("$base/version", ['name' => 'violet evening'])->assertOk();
    $named = $this->getJson($base)->json('named.0');
    changedBy($this, $study, ['kind' => 'preset', 'what' => 'whole']);
    changedBy($this, $study, ['kind' => 'mode', 'mode' => 'value-first']);
    expect($this->postJson("$base/version", ['number' => $named['number']])->json('settings.pencils'))
        ->toBe(3)
        ->and($named['name'])
        ->toBe('violet evening');
});

it('says why nothing can be planned yet, and shows the plan to nobody else', function () {
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $base = "/api/studies/$study->id/plan";
    expect($this->getJson($base)->assertOk()->json('cannot'))->toContain('no zones');
    $this->postJson("$base/run")->assertUnprocessable();
    $this->actingAs($this->artist('stranger'));
    foreach (['', '/answers?zone=1', '/values', '/image?step=1', '/card.pdf', '/palette.csv'] as $path) {
        $this->getJson($base.$path)->assertNotFound();
    }
    foreach (['/run', '/undo', '/redo', '/version'] as $path) {
        $this->postJson($base.$path, ['number' => 1])->assertNotFound();
    }
    $this->postJson("$base/changes", ['kind' => 'pencils', 'count' => 3, 'key' => 'a-key-of-its-own'])->assertNotFound();
});

it('fades along a line across a zone, and says how its surface is joined', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $line = 'x1=0.05&y1=0.2&x2=0.3&y2=0.3';
    $this->getJson("$base/ramp?$line")
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'not planned yet'));
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    foreach ($this->getJson($base)->json('zones') as $z) {
        laidIn($this, $study, $z['number'], '711 light', '745 medium');
    }
    $ramp = $this->getJson("$base/ramp?$line")
        ->assertOk()
        ->json();
    expect($ramp)
        ->toFitThePage('PlanRamp')
        ->and($ramp['steps'])
        ->toHaveCount(9)
        ->and($ramp['joiningWords'])
        ->not->toBe('')
        ->and(count($ramp['overlaps']))
        ->toBe(count($ramp['pencils']) - 1)
        ->and($zone)
        ->toBeGreaterThan(0);
    $this->getJson("$base/ramp?x1=2&y1=0&x2=1&y2=1")->assertUnprocessable();
});

it('parts two zones that end alike, or lets that be overruled', function () {
    $study = $this->fields('#86807a', '#7a8286', '#3a5a8a', '#b04030', '#e0c040', '#2c2c30');
    $surveys = app(SurveyRepository::class);
    $grid = app(App\Photos\PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run")->assertAccepted();
    $twins = array_values(array_filter($this->getJson($base)->json('warnings'), static fn (array $c): bool => $c['code'] === 'twins'));
    expect($twins)->not->toBeEmpty();
    ['zone' => $zone, 'shade' => $shade] = $twins[0];
    $before = outcomeOf($this->getJson($base)->json(), $zone, $shade);
    $answer = changedBy($this, $study, ['kind' => 'remedy', 'zone' => $zone, 'shade' => $shade, 'code' => 'twins'])
        ->assertOk()
        ->json();
    expect(array_filter($answer['warnings'], static fn (array $c): bool => $c['code'] === 'twins' && $c['zone'] === $zone))->toBe([]);
    expect(abs(Lab::ofHex(outcomeOf($answer, $zone, $shade)['hex'])->l - Lab::ofHex($before['hex'])->l))->toBeGreaterThan(4.0);
    $this->postJson("$base/undo");
    $noted = shadeOf(
        changedBy($this, $study, ['kind' => 'overrule', 'zone' => $zone, 'shade' => $shade, 'code' => 'twins', 'note' => 'mist'])->json(),
        $zone,
        $shade,
    );
    expect($noted['overruled'])->toBe(['twins' => 'mist']);
});
