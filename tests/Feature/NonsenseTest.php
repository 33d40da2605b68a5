<?php

declare(strict_types=1);

use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use Illuminate\Testing\TestResponse;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

// What no page sends, but a page of another version, a script or a broken connection may: every field of every request in turn is left
// out or holds something else. Whatever comes, the answer is a result or a sentence, never a fault, and what was there stays readable.

/** @return list<mixed> */
function nonsense(): array
{
    return [
        null,
        '',
        'x',
        "\0../../etc",
        str_repeat('é', 3000),
        '🖍',
        -1,
        0,
        7.5,
        1e12,
        true,
        [],
        ['a' => 1, 'b' => 2],
        [[]],
        [['a' => 0.1, 'b' => 0.2], [0.3, 0.2], [0.3, 0.9]],
        [[null, 'x']],
    ];
}

/**
 * @param  array<string, mixed>  $valid
 * @return iterable<string, array<string, mixed>>
 */
function spoilt(array $valid): iterable
{
    foreach (array_keys($valid) as $field) {
        yield "without $field" => array_diff_key($valid, [$field => true]);
        foreach (nonsense() as $value) {
            yield "$field = ".json_encode($value) => [...$valid, $field => $value];
        }
    }
}

/** @return list<string> what is wrong with an answer */
function faultsOf(TestResponse $answer, string $what): array
{
    $detail = $answer->status() >= 400 ? $answer->json('detail') : 'it is a result';
    $isSentence = is_string($detail) && $detail !== '' && ! str_contains($detail, 'SQL') && ! str_contains($detail, 'App\\');

    return $answer->status() < 500 && $isSentence
        ? []
        : [sprintf('%s: %d, %s', mb_substr($what, 0, 120), $answer->status(), $answer->exception?->getMessage() ?? json_encode($detail))];
}

beforeEach(function () {
    $this->study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $this->study->user
        ->pencils()
        ->whereNotIn('number', ['624', '661', '745', 'F90'])
        ->update(['stock' => 'not owned']);
    $surveys = app(SurveyRepository::class);
    $grid = app(PhotoStore::class)->grid($this->study->photo(), null);
    $surveys->change($this->study, static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);
    $this->base = "/api/studies/{$this->study->id}";
    $this->photoId = $this->study->photo()->id;
    $this->zone = array_key_first($surveys->current($this->study)->sheet()->notes);
});

it('takes a change of the survey, or says what is wrong with it', function () {
    $faults = [];
    $place = ['photo' => $this->photoId, 'x' => 0.4, 'y' => 0.4, 'ring' => 9];
    $line = [[0.0, 0.2], [0.5, 0.2], [0.5, 0.6]];
    foreach (
        [
            ['kind' => 'addSpot', 'name' => 'rope', ...$place],
            ['kind' => 'renameSpot', 'spot' => 1, 'name' => 'hull'],
            ['kind' => 'placeSpot', 'spot' => 1, ...$place],
            ['kind' => 'removeSpot', 'spot' => 1],
            ['kind' => 'renameZone', 'zone' => $this->zone, 'name' => 'sea'],
            ['kind' => 'mergeZones', 'zone' => $this->zone, 'with' => 2],
            ['kind' => 'splitZone', 'zone' => $this->zone, 'line' => $line],
            ['kind' => 'partZone', 'zone' => $this->zone, 'x' => 0.4, 'y' => 0.4],
            ['kind' => 'setBorder', 'zone' => $this->zone, 'with' => 2, 'meets' => 'grades'],
            ['kind' => 'redrawZone', 'zone' => $this->zone, 'outline' => $line],
            ['kind' => 'takeFromZone', 'zone' => $this->zone, 'outline' => $line],
            ['kind' => 'describeZone', 'zone' => $this->zone, 'importance' => 'ordinary', 'surface' => 'rough', 'distance' => 'far'],
            ['kind' => 'moveShade', 'zone' => $this->zone, 'shade' => 'mid', 'place' => 0.4],
            ['kind' => 'nameShade', 'zone' => $this->zone, 'shade' => 'dark', 'name' => 'shade'],
            ['kind' => 'dropShade', 'zone' => $this->zone, 'shade' => 'dark'],
            ['kind' => 'setTouches', 'zone' => $this->zone, 'touches' => [['name' => 'trim', 'x' => 0.4, 'y' => 0.4]]],
            ['kind' => 'resetShades', 'zone' => $this->zone],
            ['kind' => 'keepWhitesFrom', 'from' => 90],
            ['kind' => 'paintWhites', 'keep' => true, 'radius' => 0.02, 'points' => $line],
            ['kind' => 'balance', ...$place],
            ['kind' => 'unbalance', 'photo' => $this->photoId],
            ['kind' => 'proposeZones', 'most' => 6],
        ] as $change
    ) {
        foreach (spoilt($change) as $how => $data) {
            array_push(
                $faults,
                ...faultsOf(
                    $this->postJson("$this->base/survey/changes", ['key' => bin2hex(random_bytes(8)), ...$data]),
                    "{$change['kind']}, $how",
                ),
            );
        }
    }
    $this->getJson("$this->base/survey")->assertOk();
    $this->getJson("$this->base/plan")->assertOk();
    expect($faults)->toBe([]);
});

it('takes a change of the plan, or says what is wrong with it', function () {
    $faults = [];
    $target = ['zone' => $this->zone, 'shade' => 'mid'];
    foreach (
        [
            ['kind' => 'method', 'zone' => 0, 'settings' => ['darks=never-black']],
            ['kind' => 'mode', 'mode' => 'value-first'],
            ['kind' => 'pencils', 'count' => 3],
            ['kind' => 'lock', 'pencil' => 'Slipway/624', 'how' => 'in'],
            ['kind' => 'hue', 'zone' => 0, 'hue' => 'blue'],
            ['kind' => 'strokes', 'how' => 'drawn', 'x1' => 0.1, 'y1' => 0.1, 'x2' => 0.3, 'y2' => 0.2],
            ['kind' => 'preset', 'what' => 'whole'],
            ['kind' => 'sequence', 'zone' => $target['zone'], 'passes' => [['tool' => '624', 'pressures' => ['mid' => 'light']]]],
            ['kind' => 'regrade', 'zone' => $target['zone'], 'pass' => 0, 'how' => 'firmer'],
            ['kind' => 'remedy', ...$target, 'code' => 'bloom'],
            ['kind' => 'overrule', ...$target, 'code' => 'bloom', 'note' => 'under glass'],
        ] as $change
    ) {
        foreach (spoilt($change) as $how => $data) {
            array_push(
                $faults,
                ...faultsOf(
                    $this->postJson("$this->base/plan/changes", ['key' => bin2hex(random_bytes(8)), ...$data]),
                    "{$change['kind']}, $how",
                ),
            );
        }
    }
    foreach (['version' => ['name' => 'evening'], 'version ' => ['number' => 1]] as $path => $valid) {
        foreach (spoilt($valid) as $how => $data) {
            array_push($faults, ...faultsOf($this->postJson("$this->base/plan/".trim($path), $data), "version, $how"));
        }
    }
    $this->getJson("$this->base/plan")->assertOk();
    expect($faults)->toBe([]);
});

it('notes what is noted of a pencil, a run of numbers, a study or a photo, or says what is wrong with it', function () {
    $faults = [];
    foreach (
        [
            [
                'PATCH',
                '/api/drawer/pencil',
                [
                    'id' => 'Slipway/624',
                    'stock' => 'low',
                    'lengthLeft' => 40,
                    'discontinued' => false,
                    'formerly' => ['12'],
                    'notes' => 'soft',
                ],
            ],
            ['POST', '/api/drawer/ranges', ['line' => 'Slipway', 'numbers' => '600-640', 'stock' => 'wanted']],
            [
                'PATCH',
                $this->base,
                [
                    'name' => 'Fields',
                    'paper' => 'black',
                    'drawingWidthMm' => 200,
                    'drawingHeightMm' => 150,
                    'gridMm' => 20,
                    'cutPlace' => 0.5,
                    'colourPhoto' => $this->photoId,
                ],
            ],
            ['PATCH', "$this->base/photos/$this->photoId", ['name' => 'fields', 'roles' => ['colour']]],
            [
                'POST',
                "$this->base/kept-recipes",
                ['name' => 'rope', 'x' => 20, 'y' => 20, 'ring' => 9, 'label' => 'closest', 'stack' => '624@0.55'],
            ],
            ['POST', '/api/drawer/imports', ['file' => 'x']],
            ['POST', '/api/studies', ['photo' => 'x', 'name' => 'y']],
            ['POST', '/api/studies/bundle', ['file' => 'x']],
        ] as [$method, $path, $valid]
    ) {
        foreach (spoilt($valid) as $how => $data) {
            array_push($faults, ...faultsOf($this->json($method, $path, $data), "$method $path, $how"));
        }
    }
    foreach (
        [
            '/api/drawer/tray?order=gradual', "$this->base/survey", "$this->base/kept-recipes", "$this->base/plan", '/api/drawer/file/csv',
        ] as $path
    ) {
        $this->getJson($path)->assertOk();
    }
    expect($faults)->toBe([]);
});

it('takes what is said in the book, or says what is wrong with it', function () {
    $faults = [];
    $kept = $this->postJson("$this->base/kept-recipes", [
        'name' => 'rope',
        'x' => 20,
        'y' => 20,
        'ring' => 9,
        'label' => 'closest',
        'stack' => '624@0.55',
    ])
        ->assertCreated()
        ->json('entries.0.id');
    $recipe = $this->postJson("$this->base/book-recipes", ['spot' => $kept])
        ->assertCreated()
        ->json('recipes.0.id');
    $path = $this->postJson("$this->base/share")
        ->assertCreated()
        ->json('link.path');
    foreach (
        [
            ['PATCH', '/api/book/log', ['session' => 1, 'note' => 'rain']],
            [
                'POST',
                "$this->base/book-recipes",
                ['zone' => $this->zone, 'spot' => $kept, 'name' => 'rope', 'words' => 'old', 'outcome' => 'dull'],
            ],
            ['PATCH', "/api/book/recipes/$recipe", ['name' => 'rope', 'words' => 'old', 'outcome' => 'dull']],
            ['POST', "$this->base/practice", ['skill' => 'value', 'difficulty' => 2, 'seed' => 7, 'choice' => 0]],
            ['POST', "/api$path/note", ['photo' => $this->photoId, 'note' => 'warmer']],
            ['POST', '/api/book/account', ['file' => 'x']],
        ] as [$method, $to, $valid]
    ) {
        foreach (spoilt($valid) as $how => $data) {
            array_push($faults, ...faultsOf($this->json($method, $to, $data), "$method $to, $how"));
        }
    }
    foreach (
        [
            '/api/book/log' => ['skip' => 1],
            '/api/book/recipes' => [
                'like' => '#a1b2c3',
                'words' => 'old rope',
                'pencil' => 'Slipway/624',
                'paper' => 'black',
                'skip' => 0,
            ],
            "/api/book/recipes/$recipe/laid" => ['paper' => 'black'],
            "$this->base/practice" => ['skill' => 'value'],
            "/api$path/drawn" => ['step' => '1', 'light' => 'A'],
        ] as $to => $valid
    ) {
        foreach (spoilt($valid) as $how => $data) {
            array_push($faults, ...faultsOf($this->getJson("$to?".http_build_query($data)), "$to, $how"));
        }
    }
    foreach (['/api/book/log', '/api/book/recipes', "$this->base/practice", "$this->base/supply", "/api$path"] as $to) {
        $this->getJson($to)->assertOk();
    }
    expect($faults)->toBe([]);
});

it('answers whatever is asked in an address, planned or not, or says what is wrong with it', function () {
    $faults = [];
    $whole = [
        'plan/values',
        'plan/image?step=2',
        'plan/image?work=2',
        'plan/work',
        'plan/zones.pdf',
        'plan/steps.pdf',
        'plan/palette.pdf',
        'plan/palette.gpl',
        'plan/palette.csv',
        'purchases',
        'kept-recipes/card',
        'bundle',
        'spots.csv',
        'comparison',
    ];
    foreach ($whole as $path) {
        array_push($faults, ...faultsOf($this->getJson("$this->base/$path"), $path));
    }
    foreach (
        [
            "$this->base/spot" => ['photo' => $this->photoId, 'x' => 4, 'y' => 4, 'ring' => 9, 'steps' => 9, 'lightest' => 0],
            "$this->base/comparison" => ['one' => $this->photoId, 'other' => $this->photoId],
            "$this->base/photos/$this->photoId/look" => [
                'tone' => 'grey',
                'steps' => 9,
                'lightest' => 0,
                'only' => 3,
                'squint' => 1,
                'balanced' => 0,
                'push' => 1,
                'by' => '1',
            ],
            "$this->base/photos/$this->photoId/values" => ['steps' => 9],
            "$this->base/plan/answers" => ['zone' => $this->zone],
            "$this->base/plan/ramp" => ['x1' => 0.1, 'y1' => 0.1, 'x2' => 0.3, 'y2' => 0.3],
            "$this->base/plan/image" => ['step' => '1', 'work' => 3, 'tone' => 'grey'],
            '/api/drawer/pencil' => ['id' => 'Slipway/624', 'paper' => 'white medium'],
            '/api/drawer/tray' => ['order' => 'number', 'line' => 'Slipway', 'wanted' => 1],
            '/api/drawer/equivalents' => ['from' => 'Slipway', 'to' => 'Foghorn'],
            '/api/drawer/chart' => ['ids' => ['Slipway/624', 'Slipway/661'], 'paper' => 'black', 'beneath' => 'light', 'above' => 'firm'],
            '/api/drawer/map.pdf' => ['order' => 'number', 'rows' => 2, 'slots' => 12, 'size' => 'a5'],
        ] as $path => $valid
    ) {
        foreach (spoilt($valid) as $how => $data) {
            array_push($faults, ...faultsOf($this->getJson("$path?".http_build_query($data)), "$path, $how"));
        }
    }
    expect($faults)->toBe([]);
});
