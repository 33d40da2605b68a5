<?php

declare(strict_types=1);

use App\Jobs\PlanPicture;
use App\Models\PlanRun;
use App\Models\Study;
use App\Photos\SurveyRepository;
use App\Plans\PlanRunner;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;
use Tests\TestCase;

/** Six flat fields as six zones, planned in a small drawer. */
function pictureOf(TestCase $test): Study
{
    $study = $test->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    // Few pencils make quick plans.
    $study->user->pencils()->whereNotIn('number', ['624', '661', '711', '735', '688', '608', '745', 'F90'])->update(['stock' => 'not owned']);
    $surveys = app(SurveyRepository::class);
    $grid = app(App\Photos\PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, 'zones-for-a-test', static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);

    return $study;
}

/** @return array<string, mixed> the target of a zone */
function targetOf(array $picture, int $zone, string $role = 'mid'): array
{
    $targets = array_values(array_filter($picture['zones'], static fn (array $z): bool => $z['number'] === $zone))[0]['targets'];

    return array_values(array_filter($targets, static fn (array $t): bool => $t['role'] === $role))[0];
}

function changedBy(TestCase $test, Study $study, array $change): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/studies/$study->id/picture/changes", [...$change, 'key' => bin2hex(random_bytes(8))]);
}

it('plans a picture in one action, says how it will look, and what it takes', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $before = $this->getJson($base)->assertOk()->json();
    expect(json_decode((string) $this->getJson($base)->getContent()))->toFitThePage('Picture')->and($before['waiting'])->toBe(count($before['zones']))->and($before['run'])->toBeNull();
    $this->postJson("$base/run")->assertAccepted();
    $picture = $this->getJson($base)->json();
    expect(json_decode((string) $this->getJson($base)->getContent()))->toFitThePage('Picture')->and($picture['waiting'])->toBe(0)->and($picture['run']['state'])->toBe('done')->and($picture['run']['changes'])->toHaveCount(count($picture['zones']))
        ->and($picture['palette'])->not->toBeEmpty()->and($picture['meanDeltaE00'])->toBeLessThan(4.0);
    foreach ($picture['zones'] as $zone) {
        foreach ($zone['targets'] as $target) {
            expect($target['recipe']['reasons'])->not->toBeEmpty()->and($target['own'])->toBeFalse();
        }
    }
    $this->getJson("$base/values")->assertOk();
    // The drawer asks for the same: what would help this picture most.
    expect($this->getJson("/api/studies/$study->id/purchases")->assertOk()->json('colours'))->toBe(count($picture['zones']));
    $sizes = array_map(fn (string $step): string => $this->get("$base/image?step=$step")->assertOk()->assertHeader('Content-Type', 'image/png')->getContent(), ['0', '1', '99', 'error']);
    expect(array_unique(array_map(md5(...), $sizes)))->toHaveCount(4);
    foreach (['card', 'zones', 'steps'] as $sheet) {
        expect($this->get("$base/$sheet.pdf?size=a5")->assertOk()->getContent())->toStartWith('%PDF-');
    }
    expect($this->get("$base/palette.csv")->assertOk()->getContent())->toContain($picture['palette'][0]['number']);
    $this->get("$base/palette.doc")->assertNotFound();
});

it('plans anew only what a change touches, and says what changed and why', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run")->assertAccepted();
    $zones = $this->getJson($base)->json('zones');
    $parts = DB::table('picture_parts')->count();
    // Another way of working for one zone.
    $zone = $zones[0]['number'];
    $after = changedBy($this, $study, ['kind' => 'school', 'zone' => $zone, 'settings' => ['joining=light-coats', 'beneath=nothing']])->assertOk()->json();
    expect($after['waiting'])->toBe(1)->and(targetOf($after, $zone)['recipe'])->toBeNull()->and(targetOf($after, $zones[1]['number'])['recipe'])->not->toBeNull();
    $this->postJson("$base/run")->assertAccepted();
    $run = $this->getJson($base)->json('run');
    expect($run['changes'])->toHaveCount(1)->and($run['changes'][0]['why'])->toBe('the way of working changed')->and($run['changes'][0]['before'])->not->toBeNull()->and(DB::table('picture_parts')->count())->toBe($parts + 1);
    // Undone, the old plan is there at once, and nothing waits.
    expect($this->postJson("$base/undo")->json('waiting'))->toBe(0)->and($this->postJson("$base/redo")->json('waiting'))->toBe(0);
    // Fewer pencils touch the whole.
    $fewer = changedBy($this, $study, ['kind' => 'pencils', 'count' => 3])->json();
    expect($fewer['waiting'])->toBe(count($zones));
    $this->postJson("$base/run");
    $three = $this->getJson($base)->json();
    expect(count($three['palette']))->toBeLessThanOrEqual(3)->and($three['suffering'])->not->toBeEmpty();
    changedBy($this, $study, ['kind' => 'pencils', 'count' => 0])->assertUnprocessable();
});

it('takes the artist\'s own stacks, holds them, predicts them before they are kept, and gives them back', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    $tried = $this->getJson("$base/tried?zone=$zone&role=mid&stack=624@0.55,745@0.20")->assertOk()->json();
    expect($tried)->toFitThePage('PictureRecipe')->and($tried['passes'])->toHaveCount(2);
    $own = targetOf(changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => '624@0.55,745@0.20'])->assertOk()->json(), $zone);
    expect($own['own'])->toBeTrue()->and($own['recipe']['stack'])->toBe('Slipway/624@0.55,Slipway/745@0.20')->and($own['recipe']['deltaE00'])->toBe($tried['deltaE00']);
    // Held whatever else changes.
    changedBy($this, $study, ['kind' => 'school', 'zone' => 0, 'settings' => ['darks=never-black']]);
    $this->postJson("$base/run");
    expect(targetOf($this->getJson($base)->json(), $zone)['recipe']['stack'])->toBe('Slipway/624@0.55,Slipway/745@0.20');
    $answers = $this->getJson("$base/answers?zone=$zone&role=mid")->assertOk()->json();
    expect($answers)->toFitThePage('PictureAnswers')->and(count($answers['recipes']))->toBeGreaterThan(1);
    expect(targetOf(changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => null])->json(), $zone)['own'])->toBeFalse();
    changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => '999@0.5'])->assertUnprocessable();
    changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => '624@7'])->assertUnprocessable();
});

it('removes a caution by its remedy, or keeps the note with which it was overruled', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    // So many firm coats spend the tooth before the last pass.
    $spent = '624@1.00,624@1.00,624@1.00,624@1.00,711@0.35';
    $with = targetOf(changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => $spent])->json(), $zone);
    $codes = array_column($with['recipe']['cautions'], 'code');
    expect($codes)->toContain('tooth spent');
    $noted = targetOf(changedBy($this, $study, ['kind' => 'overrule', 'zone' => $zone, 'role' => 'mid', 'code' => 'tooth spent', 'note' => 'it is the last pass'])->json(), $zone);
    expect($noted['overruled'])->toBe(['tooth spent' => 'it is the last pass'])->and(targetOf($this->postJson("$base/undo")->json(), $zone)['overruled'])->toBe([]);
    $answer = changedBy($this, $study, ['kind' => 'remedy', 'zone' => $zone, 'role' => 'mid', 'code' => 'tooth spent']);
    if ($answer->status() === 200) {
        expect(array_column(targetOf($answer->json(), $zone)['recipe']['cautions'], 'code'))->not->toContain('tooth spent');
    } else {
        $answer->assertUnprocessable();
    }
    changedBy($this, $study, ['kind' => 'remedy', 'zone' => 99, 'role' => 'mid', 'code' => 'tooth spent'])->assertUnprocessable();
});

it('keeps, leaves out, presets and recolours, with the values as they were', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $seen = array_column(array_column(array_column($this->getJson($base)->json('zones'), 'targets'), 0), 'aim');
    $grey = changedBy($this, $study, ['kind' => 'hue', 'zone' => 0, 'hue' => 'violet'])->json();
    foreach (array_column(array_column($grey['zones'], 'targets'), 0) as $i => $target) {
        expect($target['aim']['valueStep'])->toBe($seen[$i]['valueStep'])->and($target['aim']['lab'][0])->toEqualWithDelta($seen[$i]['lab'][0], 1e-6);
    }
    expect($grey['zones'][0]['targets'][0]['aim']['family'])->toStartWith('violet');
    // Without any pencil nothing is begun, and it is said why.
    foreach (['624', '661', '711', '735', '688', '608', '745', 'F90'] as $number) {
        changedBy($this, $study, ['kind' => 'lock', 'pencil' => $number, 'how' => 'out'])->assertOk();
    }
    $this->postJson("$base/run")->assertUnprocessable()->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'pencils that may be used'));
    for ($i = 0; $i < 8; $i++) {
        $this->postJson("$base/undo")->assertOk();
    }
    expect(changedBy($this, $study, ['kind' => 'lock', 'pencil' => '624', 'how' => 'out'])->json('settings.without'))->toBe(['Slipway/624']);
    expect(changedBy($this, $study, ['kind' => 'lock', 'pencil' => '624', 'how' => 'in'])->json('settings'))->toMatchArray(['keep' => ['Slipway/624'], 'without' => []]);
    expect(changedBy($this, $study, ['kind' => 'preset', 'what' => 'one-colour'])->json('settings'))->toMatchArray(['pencils' => 3, 'keep' => ['Slipway/745', 'Foghorn/F90']]);
    $this->postJson("$base/run");
    $three = $this->getJson($base)->json();
    expect(count($three['palette']))->toBeLessThanOrEqual(3);
    // A named version is found again.
    $this->postJson("$base/version", ['name' => 'violet evening'])->assertOk();
    $named = $this->getJson($base)->json('named.0');
    changedBy($this, $study, ['kind' => 'preset', 'what' => 'whole']);
    changedBy($this, $study, ['kind' => 'mode', 'mode' => 'value-first']);
    expect($this->postJson("$base/version", ['number' => $named['number']])->json('settings.pencils'))->toBe(3)->and($named['name'])->toBe('violet evening');
});

it('goes on where a killed worker was, repeats nothing, and stops when it is cancelled', function () {
    Queue::fake();
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run")->assertAccepted();
    $this->postJson("$base/run")->assertAccepted();
    expect(PlanRun::query()->count())->toBe(1);
    $run = PlanRun::query()->firstOrFail();
    app(PlanRunner::class)->run($run->load('study'));
    $parts = DB::table('picture_parts')->orderBy('id')->get();
    // As if the worker had been killed after half of them.
    DB::table('picture_parts')->whereIn('id', $parts->slice(4)->pluck('id'))->delete();
    $kept = DB::table('picture_parts')->pluck('created_at', 'id');
    PlanRun::query()->update(['state' => PlanRun::WORKING]);
    expect($this->getJson($base)->json('waiting'))->toBe($parts->count() - 4);
    app(PlanRunner::class)->resume();
    Queue::assertPushed(PlanPicture::class, 3);
    app()->call([new PlanPicture($run->id), 'handle']);
    expect(DB::table('picture_parts')->count())->toBe($parts->count())->and(DB::table('picture_parts')->whereIn('id', $kept->keys())->count())->toBe(4)->and($this->getJson($base)->json('run.state'))->toBe('done')
        ->and(DB::table('picture_parts')->orderBy('part_key')->pluck('part_key')->all())->toBe($parts->sortBy('part_key')->pluck('part_key')->values()->all());

    changedBy($this, $study, ['kind' => 'pencils', 'count' => 4]);
    $this->postJson("$base/run");
    $this->deleteJson("$base/run")->assertOk();
    app()->call([new PlanPicture(PlanRun::query()->max('id')), 'handle']);
    expect($this->getJson($base)->json('run.state'))->toBe('cancelled')->and($this->getJson($base)->json('waiting'))->toBeGreaterThan(0);
});

it('says why nothing can be planned yet, and shows the plan to nobody else', function () {
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $base = "/api/studies/$study->id/picture";
    expect($this->getJson($base)->assertOk()->json('cannot'))->toContain('no zones yet');
    $this->postJson("$base/run")->assertUnprocessable();
    $this->actingAs($this->artist('stranger'));
    foreach (['', '/answers?zone=1&role=mid', '/tried?zone=1&role=mid&stack=x', '/values', '/image?step=1', '/card.pdf', '/palette.csv'] as $path) {
        $this->getJson($base.$path)->assertNotFound();
    }
    foreach (['/run', '/undo', '/redo', '/version'] as $path) {
        $this->postJson($base.$path, ['number' => 1])->assertNotFound();
    }
    $this->postJson("$base/changes", ['kind' => 'pencils', 'count' => 3, 'key' => 'a-key-of-its-own'])->assertNotFound();
});

it('fades along a line across a zone, and says how its surface is joined', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $line = 'x1=0.05&y1=0.2&x2=0.3&y2=0.3';
    $this->getJson("$base/ramp?$line")->assertUnprocessable()->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'not planned yet'));
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    foreach ($this->getJson($base)->json('zones') as $z) {
        changedBy($this, $study, ['kind' => 'stack', 'zone' => $z['number'], 'role' => 'mid', 'stack' => '711@0.35,745@0.55'])->assertOk();
    }
    $ramp = $this->getJson("$base/ramp?$line")->assertOk()->json();
    expect($ramp)->toFitThePage('PictureRamp')->and($ramp['steps'])->toHaveCount(9)->and($ramp['joiningWords'])->not->toBe('')->and(count($ramp['overlaps']))->toBe(count($ramp['pencils']) - 1)->and($zone)->toBeGreaterThan(0);
    $this->getJson("$base/ramp?x1=2&y1=0&x2=1&y2=1")->assertUnprocessable();
});

it('brings a whole study to another account with the very same plan, and refuses what is no study', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run");
    $before = $this->getJson($base)->json();
    $file = (string) $this->get("/api/studies/$study->id/bundle")->assertOk()->getContent();
    $schema = json_decode((string) file_get_contents(base_path('docs/schemas/study.schema.json')));
    expect((new Opis\JsonSchema\Validator)->validate(json_decode($file), $schema)->isValid())->toBeTrue();

    $other = $this->artist('other');
    $this->actingAs($other);
    // A drawer with one pencil of its own, or nothing could be planned on.
    $other->pencils()->create(App\Models\PencilRow::columnsOf(KnottyPrism\Core\Medium\Swatches\PencilFit::of(new KnottyPrism\Core\Medium\Pencil\PencilRecord('', '1', 'Mine', '#804020'))));
    $id = $this->postJson('/api/studies/bundle', ['file' => uploadOf($file, 'fields.study.json')])->assertCreated()->json('id');
    $after = $this->getJson("/api/studies/$id/picture")->assertOk()->json();
    $recipes = static fn (array $picture): array => array_map(static fn (array $z): array => [$z['name'], array_map(static fn (array $t): array => [$t['role'], $t['recipe']['stack'], $t['recipe']['passes'][0]['hex'], $t['seen']['hex']], $z['targets'])], $picture['zones']);
    expect($recipes($after))->toEqual($recipes($before))->and($after['waiting'])->toBe(0)->and($other->pencils()->where('owned', true)->count())->toBe(1);

    $this->postJson('/api/studies/bundle', ['file' => uploadOf('{"pencils": []}', 'x.json')])->assertUnprocessable();
    $this->postJson('/api/studies/bundle', ['file' => uploadOf(str_replace('"survey":{', '"survey":{"spots":3,"x":{', $file), 'x.json')])->assertUnprocessable();
    $this->postJson('/api/studies/bundle', ['file' => uploadOf(str_replace('"version":1', '"version":99', $file), 'x.json')])->assertUnprocessable();
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
    $spot = $change(['kind' => 'addSpot', 'name' => 'hull', 'photo' => $first, 'x' => 0.2, 'y' => 0.2, 'ring' => 9])->json('spots.0.number');
    $change(['kind' => 'placeSpot', 'spot' => $spot, 'photo' => $second, 'x' => 0.7, 'y' => 0.5, 'ring' => 25]);
    $change(['kind' => 'balance', 'photo' => $second, 'x' => 0.1, 'y' => 0.5, 'ring' => 9]);
    $this->patchJson($base, ['colourPhoto' => $second, 'drawingWidthMm' => 180, 'gridMm' => 12, 'paper' => 'black'])->assertOk();
    $this->postJson("$base/plan", ['name' => 'hull', 'x' => 20, 'y' => 20, 'ring' => 9, 'label' => 'closest', 'stack' => 'Slipway/624@0.55,Slipway/745@0.20'])->assertCreated();
    $survey = $this->getJson("$base/survey")->json();
    $bundle = json_decode((string) $this->get("$base/bundle")->assertOk()->getContent(), true);
    expect(array_column($bundle['pencils'], 'number'))->toContain('624', '745');

    $other = $this->artist('other');
    $this->actingAs($other);
    $bring = fn (array $data) => $this->postJson('/api/studies/bundle', ['file' => uploadOf((string) json_encode($data), 'x.study.json')]);
    $there = $bring($bundle)->assertCreated()->json('id');
    $after = $this->getJson("/api/studies/$there/survey")->json();
    expect(array_column($after['photos'], 'name'))->toBe(array_column($survey['photos'], 'name'))->and(array_column($after['photos'], 'roles'))->toBe(array_column($survey['photos'], 'roles'))
        ->and($after['colourPhoto'])->toBe($after['photos'][1]['id'])->and($after['photos'][1]['neutral']['hex'])->toBe($survey['photos'][1]['neutral']['hex'])
        ->and(array_column($after['spots'][0]['places'], 'x'))->toBe([0.2, 0.7])->and(array_column(array_column($after['spots'][0]['places'], 'reading'), 'hex'))->toBe(array_column(array_column($survey['spots'][0]['places'], 'reading'), 'hex'))
        ->and($after['frame']['gridMm'])->toEqual(12)->and(array_column($after['zones']['list'], 'name'))->toBe(array_column($survey['zones']['list'], 'name'));
    $this->getJson("/api/studies/$there/plan")->assertJsonPath('entries.0.name', 'hull')->assertJsonPath('entries.0.stack', 'Slipway/624@0.55,Slipway/745@0.20')->assertJsonPath('entries.0.recipe.passes.1.pencil.number', '745');

    // A spot on a photo that the file has not lies nowhere; whatever can't be is refused, and leaves nothing behind.
    $alone = [...$bundle, 'photos' => [$bundle['photos'][1]]];
    expect($this->getJson('/api/studies/'.$bring($alone)->assertCreated()->json('id').'/survey')->json('spots.0.places'))->toHaveCount(1);
    $kept = Illuminate\Support\Facades\Storage::allFiles();
    foreach ([
        [...$bundle, 'photos' => []],
        [...$bundle, 'study' => [...$bundle['study'], 'paper' => 'vellum of the moon']],
        [...$bundle, 'study' => [...$bundle['study'], 'drawing_width_mm' => -4]],
        [...$bundle, 'study' => [...$bundle['study'], 'grid_mm' => 900]],
        [...$bundle, 'study' => [...$bundle['study'], 'name' => str_repeat('long ', 200)]],
        [...$bundle, 'photos' => [$bundle['photos'][0], [...$bundle['photos'][1], 'data' => base64_encode('no photo')]]],
        [...$bundle, 'spots' => [['name' => 'hull']]],
    ] as $wrong) {
        expect($bring($wrong)->assertUnprocessable()->json('detail'))->toBeString();
    }
    expect(Illuminate\Support\Facades\Storage::allFiles())->toEqual($kept)->and($other->studies()->count())->toBe(2);
});

it('parts two zones that end alike, or lets that be overruled', function () {
    $study = $this->fields('#86807a', '#7a8286', '#3a5a8a', '#b04030', '#e0c040', '#2c2c30');
    $surveys = app(SurveyRepository::class);
    $grid = app(App\Photos\PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, 'zones-for-a-test', static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run")->assertAccepted();
    $twins = array_values(array_filter($this->getJson($base)->json('cautions'), static fn (array $c): bool => $c['code'] === 'twins'));
    expect($twins)->not->toBeEmpty();
    ['zone' => $zone, 'role' => $role] = $twins[0];
    $step = targetOf($this->getJson($base)->json(), $zone, $role)['recipe']['passes'];
    $answer = changedBy($this, $study, ['kind' => 'remedy', 'zone' => $zone, 'role' => $role, 'code' => 'twins'])->assertOk()->json();
    expect(array_filter($answer['cautions'], static fn (array $c): bool => $c['code'] === 'twins' && $c['zone'] === $zone))->toBe([]);
    $after = targetOf($answer, $zone, $role)['recipe']['passes'];
    expect(abs(end($after)['lab'][0] - end($step)['lab'][0]))->toBeGreaterThan(4.0);
    $this->postJson("$base/undo");
    $noted = targetOf(changedBy($this, $study, ['kind' => 'overrule', 'zone' => $zone, 'role' => $role, 'code' => 'twins', 'note' => 'mist'])->json(), $zone, $role);
    expect($noted['overruled'])->toBe(['twins' => 'mist']);
});

it('outlives a pencil that leaves the shelf: its own stacks fall back to the planner, and planning goes on', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/picture";
    $this->postJson("$base/run");
    $zone = $this->getJson($base)->json('zones.0.number');
    changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => '624@0.55,745@0.20'])->assertOk();
    $study->user->pencils()->where('number', '624')->delete();
    $picture = $this->getJson($base)->assertOk()->json();
    expect(targetOf($picture, $zone)['own'])->toBeFalse()->and($picture['waiting'])->toBeGreaterThan(0);
    $this->postJson("$base/run")->assertAccepted();
    $after = $this->getJson($base)->json();
    expect($after['run']['state'])->toBe('done')->and($after['waiting'])->toBe(0)->and(json_encode($after['zones']))->not->toContain('Slipway\/624@');
});

it('plans, prints and carries along with pencils of no line, known by their number alone', function () {
    $study = pictureOf($this);
    $study->user->pencils()->update(['line' => '']);
    $base = "/api/studies/$study->id/picture";
    changedBy($this, $study, ['kind' => 'pencils', 'count' => 4])->assertOk();
    changedBy($this, $study, ['kind' => 'lock', 'pencil' => '745', 'how' => 'in'])->assertOk();
    changedBy($this, $study, ['kind' => 'lock', 'pencil' => '688', 'how' => 'out'])->assertOk();
    $this->postJson("$base/run")->assertAccepted();
    $picture = $this->getJson($base)->assertOk()->json();
    expect(json_decode((string) $this->getJson($base)->getContent()))->toFitThePage('Picture')->and($picture['waiting'])->toBe(0)->and(count($picture['palette']))->toBeLessThanOrEqual(4)
        ->and(array_column($picture['palette'], 'id'))->toContain('745')->not->toContain('688')
        ->and(collect($picture['left'])->firstWhere('id', '688')['lockedOut'])->toBeTrue()->and($picture['settings']['keep'])->toBe(['745']);
    $zone = $picture['zones'][0]['number'];
    $answers = $this->getJson("$base/answers?zone=$zone&role=mid")->assertOk()->json('recipes');
    $taken = changedBy($this, $study, ['kind' => 'stack', 'zone' => $zone, 'role' => 'mid', 'stack' => end($answers)['stack']])->assertOk()->json();
    expect(targetOf($taken, $zone)['recipe']['stack'])->toBe(end($answers)['stack']);
    foreach (['zones.pdf', 'steps.pdf', 'card.pdf', 'palette.gpl', 'palette.csv', 'values', 'image?step=1'] as $path) {
        $this->get("$base/$path")->assertOk();
    }
    $file = (string) $this->get("/api/studies/$study->id/bundle")->assertOk()->getContent();
    expect(array_column(json_decode($file, true)['pencils'], 'number'))->toEqualCanonicalizing(array_values(array_unique(array_column($taken['palette'], 'number'))));
    $this->getJson("/api/studies/$study->id/purchases")->assertOk();
    $this->getJson('/api/drawer/reach?paper=white%20medium')->assertOk();
    $this->getJson('/api/drawer/pencil?id=745&paper=white%20medium')->assertOk()->assertJsonPath('id', '745');
});
