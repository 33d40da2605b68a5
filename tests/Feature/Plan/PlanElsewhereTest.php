<?php

declare(strict_types=1);

use App\Jobs\ChoosePencils;
use App\Models\PlanRun;
use App\Plans\PlanRunner;
use App\Work\Standing;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;

it('brings a whole study to another account with the very same plan, and refuses what is no study', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run");
    $before = $this->getJson($base)->json();
    $file = (string) $this->get("/api/studies/$study->id/bundle")
        ->assertOk()
        ->getContent();
    $schema = json_decode((string) file_get_contents(base_path('docs/schemas/study.schema.json')));
    expect((new Opis\JsonSchema\Validator())->validate(json_decode($file), $schema)->isValid())->toBeTrue();

    $other = $this->artist('other');
    $this->actingAs($other);
    // A drawer with one pencil of its own, or nothing could be planned on.
    App\Models\PencilRow::factory()->for($other)->create();
    $id = $this->postJson('/api/studies/bundle', ['file' => uploadOf($file, 'fields.study.json')])
        ->assertCreated()
        ->json('id');
    $after = $this->getJson("/api/studies/$id/plan")
        ->assertOk()
        ->json();
    $recipes = static fn (array $picture): array => array_map(
        static fn (array $z): array => [
            $z['name'],
            array_map(
                static fn (array $s): array => [
                    $s['shade'],
                    $z['sequence']['outcomes'][$s['shade']]['stack'],
                    $z['sequence']['outcomes'][$s['shade']]['hex'],
                    $s['seen']['hex'],
                ],
                $z['shades'],
            ),
        ],
        $picture['zones'],
    );
    expect($recipes($after))
        ->toEqual($recipes($before))
        ->and($after['waiting'])
        ->toBe(0)
        ->and($other->pencils()->where('owned', true)->count())
        ->toBe(1);

    $this->postJson('/api/studies/bundle', ['file' => uploadOf('{"pencils": []}', 'x.json')])->assertUnprocessable();
    $this->postJson('/api/studies/bundle', [
        'file' => uploadOf(str_replace('"survey":{', '"survey":{"spots":3,"x":{', $file), 'x.json'),
    ])->assertUnprocessable();
    $this->postJson('/api/studies/bundle', [
        'file' => uploadOf(str_replace('"version":1', '"version":99', $file), 'x.json'),
    ])->assertUnprocessable();
    expect($other->studies()->count())->toBe(1);
    $this->getJson("/api/studies/$study->id/bundle")->assertNotFound();
});

it('carries a study of several photos elsewhere: which the colours follow, spots on each, a balance, recipes, the drawing', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id";
    $first = $study->photo()->id;
    $second = $this->postJson("$base/photos", ['photo' => $this->photo('#f0e8d8', '#203040')])->json('photos.1.id');
    $this->patchJson("$base/photos/$second", ['name' => 'evening', 'roles' => ['light', 'pose']])->assertOk();
    $change = fn (array $c) => $this->postJson("$base/survey/changes", [...$c, 'key' => bin2hex(random_bytes(8))])->assertOk();
    $spot = $change(['kind' => 'addSpot', 'name' => 'hull', 'photo' => $first, 'x' => 0.2, 'y' => 0.2, 'ring' => 9])->json(
        'spots.0.number',
    );
    $change(['kind' => 'placeSpot', 'spot' => $spot, 'photo' => $second, 'x' => 0.7, 'y' => 0.5, 'ring' => 25]);
    $change(['kind' => 'balance', 'photo' => $second, 'x' => 0.1, 'y' => 0.5, 'ring' => 9]);
    $this->patchJson($base, ['colourPhoto' => $second, 'drawingWidthMm' => 180, 'gridMm' => 12, 'paper' => 'black'])->assertOk();
    $this->postJson("$base/kept-recipes", [
        'name' => 'hull',
        'x' => 20,
        'y' => 20,
        'ring' => 9,
        'label' => 'closest',
        'stack' => 'Slipway/624@0.55,Slipway/745@0.20',
    ])->assertCreated();
    $survey = $this->getJson("$base/survey")->json();
    $bundle = json_decode(
        (string) $this->get("$base/bundle")
            ->assertOk()
            ->getContent(),
        true,
    );
    expect(array_column($bundle['pencils'], 'number'))->toContain('624', '745');

    $other = $this->artist('other');
    $this->actingAs($other);
    $bring = fn (array $data) => $this->postJson('/api/studies/bundle', ['file' => uploadOf((string) json_encode($data), 'x.study.json')]);
    $there = $bring($bundle)->assertCreated()->json('id');
    $after = $this->getJson("/api/studies/$there/survey")->json();
    expect(array_column($after['photos'], 'name'))
        ->toBe(array_column($survey['photos'], 'name'))
        ->and(array_column($after['photos'], 'roles'))
        ->toBe(array_column($survey['photos'], 'roles'))
        ->and($after['colourPhoto'])
        ->toBe($after['photos'][1]['id'])
        ->and($after['photos'][1]['neutral']['hex'])
        ->toBe($survey['photos'][1]['neutral']['hex'])
        ->and(array_column($after['spots'][0]['places'], 'x'))
        ->toBe([0.2, 0.7])
        ->and(array_column(array_column($after['spots'][0]['places'], 'reading'), 'hex'))
        ->toBe(array_column(array_column($survey['spots'][0]['places'], 'reading'), 'hex'))
        ->and($after['frame']['gridMm'])
        ->toEqual(12)
        ->and(array_column($after['zones']['list'], 'name'))
        ->toBe(array_column($survey['zones']['list'], 'name'));
    $this->getJson("/api/studies/$there/kept-recipes")
        ->assertJsonPath('entries.0.name', 'hull')
        ->assertJsonPath('entries.0.stack', 'Slipway/624@0.55,Slipway/745@0.20')
        ->assertJsonPath('entries.0.recipe.passes.1.pencil.number', '745');

    // A spot on a photo that the file has not lies nowhere; whatever can't be is refused, and leaves nothing behind.
    $alone = [...$bundle, 'photos' => [$bundle['photos'][1]]];
    expect(
        $this->getJson('/api/studies/'.$bring($alone)->assertCreated()->json('id').'/survey')->json('spots.0.places'),
    )->toHaveCount(1);
    $kept = Illuminate\Support\Facades\Storage::allFiles();
    foreach (
        [
            [...$bundle, 'photos' => []],
            [...$bundle, 'study' => [...$bundle['study'], 'paper' => 'vellum of the moon']],
            [...$bundle, 'study' => [...$bundle['study'], 'drawing_width_mm' => -4]],
            [...$bundle, 'study' => [...$bundle['study'], 'grid_mm' => 900]],
            [...$bundle, 'study' => [...$bundle['study'], 'name' => str_repeat('long ', 200)]],
            [...$bundle, 'photos' => [$bundle['photos'][0], [...$bundle['photos'][1], 'data' => base64_encode('no photo')]]],
            [...$bundle, 'spots' => [['name' => 'hull']]],
        ] as $wrong
    ) {
        expect($bring($wrong)->assertUnprocessable()->json('detail'))->toBeString();
    }
    expect(Illuminate\Support\Facades\Storage::allFiles())
        ->toEqual($kept)
        ->and($other->studies()->count())
        ->toBe(2);
});

it('outlives a pencil that leaves the shelf: what she laid with it falls back to the planner, and planning goes on', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    laidIn($this, $study, $zone, '624 medium', '745 whisper');
    $study->user->pencils()->where('number', '624')->delete();
    $picture = $this->getJson($base)->assertOk()->json();
    expect(sequenceOf($picture, $zone)['own'] ?? false)
        ->toBeFalse()
        ->and($picture['waiting'])
        ->toBeGreaterThan(0);
    $this->postJson("$base/run")->assertAccepted();
    $after = $this->getJson($base)->json();
    expect($after['run']['state'])
        ->toBe('done')
        ->and($after['waiting'])
        ->toBe(0)
        ->and(json_encode($after['zones']))
        ->not->toContain('Slipway\/624@');
});

it('plans, prints and carries along with pencils of no line, known by their number alone', function () {
    $study = pictureOf($this);
    $study->user->pencils()->update(['line' => '']);
    $base = "/api/studies/$study->id/plan";
    changedBy($this, $study, ['kind' => 'pencils', 'count' => 4])->assertOk();
    changedBy($this, $study, ['kind' => 'lock', 'pencil' => '745', 'how' => 'in'])->assertOk();
    changedBy($this, $study, ['kind' => 'lock', 'pencil' => '688', 'how' => 'out'])->assertOk();
    $this->postJson("$base/run")->assertAccepted();
    $picture = $this->getJson($base)->assertOk()->json();
    expect(json_decode((string) $this->getJson($base)->getContent()))
        ->toFitThePage('Plan')
        ->and($picture['waiting'])
        ->toBe(0)
        ->and(count($picture['palette']))
        ->toBeLessThanOrEqual(4)
        ->and(array_column($picture['palette'], 'id'))
        ->toContain('745')
        ->not->toContain('688')
        ->and(collect($picture['left'])->firstWhere('id', '688')['lockedOut'])
        ->toBeTrue()
        ->and($picture['settings']['keep'])
        ->toBe(['745']);
    $zone = $picture['zones'][0]['number'];
    $answers = $this->getJson("$base/answers?zone=$zone")
        ->assertOk()
        ->json('answers');
    $taken = changedBy($this, $study, [
        'kind' => 'sequence',
        'zone' => $zone,
        'passes' => array_map(
            static fn (array $p): array => ['tool' => $p['pencil']['id'], 'pressures' => $p['pressures']],
            end($answers)['passes'],
        ),
    ])
        ->assertOk()
        ->json();
    expect(sequenceOf($taken, $zone)['words'])->toBe(end($answers)['words']);
    foreach (['zones.pdf', 'steps.pdf', 'card.pdf', 'palette.gpl', 'palette.csv', 'values', 'image?step=1'] as $path) {
        $this->get("$base/$path")->assertOk();
    }
    $file = (string) $this->get("/api/studies/$study->id/bundle")
        ->assertOk()
        ->getContent();
    expect(array_column(json_decode($file, true)['pencils'], 'number'))->toEqualCanonicalizing(
        array_values(array_unique(array_column($taken['palette'], 'number'))),
    );
    $this->getJson("/api/studies/$study->id/purchases")->assertOk();
    $this->getJson('/api/drawer/reach?paper=white%20medium')->assertOk();
    $this->getJson('/api/drawer/pencil?id=745&paper=white%20medium')->assertOk()->assertJsonPath('id', '745');
});

it('chooses the pencils of a plan ahead where zones are proposed or a plan is looked at, and plans with just those', function () {
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $base = "/api/studies/$study->id/plan";
    $prepare = static function () use ($study): void {
        (new ChoosePencils($study->id))->handle(app(PlanRunner::class));
    };
    // Nothing to choose for yet, and nothing is said: it is where planning is asked for.
    $prepare();
    expect(DB::table('plan_parts')->count())->toBe(0);
    change($study, 'proposeZones', ['most' => 6])->assertOk();
    change($study, 'keepWhitesFrom', ['from' => 90])->assertOk();
    Bus::assertDispatchedTimes(ChoosePencils::class, 1);
    $this->postJson("$base/pencils")->assertNoContent();
    Bus::assertDispatched(ChoosePencils::class);
    $prepare();
    $kept = DB::table('plan_parts')
        ->get(['part_key', 'value'])
        ->all();
    expect($kept)->toHaveCount(1);
    $prepare();
    $this->postJson("$base/run")->assertAccepted();
    $after = $this->getJson($base)->json();
    expect($after['waiting'])
        ->toBe(0)
        ->and(DB::table('plan_parts')->where('part_key', $kept[0]->part_key)->value('value'))
        ->toBe($kept[0]->value)
        ->and(DB::table('plan_parts')->count())
        ->toBe(1 + count($after['zones']));
    // Being planned, it is left to the run; a study that is gone is none.
    DB::table('plan_parts')->delete();
    PlanRun::query()
        ->where('study_id', $study->id)
        ->update(['state' => Standing::Waiting]);
    $prepare();
    (new ChoosePencils(999_999))->handle(app(PlanRunner::class));
    expect(DB::table('plan_parts')->count())->toBe(0);
});
