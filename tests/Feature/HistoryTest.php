<?php

declare(strict_types=1);

use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

// Whatever was done, in whatever order: every change is taken back to exactly what was there before it, and done again to exactly what was
// there after it.

/**
 * Makes some of the changes in random order, then walks the whole history back and forth.
 *
 * @param  list<Closure(): Illuminate\Testing\TestResponse>  $changes
 * @param  Closure(): mixed  $state
 */
function walked(Tests\TestCase $test, string $history, array $changes, Closure $state, int $count): void
{
    $states = [$state()];
    for ($n = 0; count($states) <= $count && $n < 4 * $count; $n++) {
        $answer = $changes[mt_rand(0, count($changes) - 1)]();
        if ($answer->status() >= 400) {
            // A change that is refused changes nothing.
            expect($answer->status())->toBe(422)->and($state())->toEqual(end($states));

            continue;
        }
        $states[] = $state();
    }
    expect(count($states))->toBeGreaterThan($count / 2);
    for ($at = count($states) - 2; $at >= 0; $at--) {
        $test->postJson("$history/undo")->assertOk();
        expect($state())->toEqual($states[$at], "after taking back change $at");
    }
    for ($at = 1; $at < count($states); $at++) {
        $test->postJson("$history/redo")->assertOk();
        expect($state())->toEqual($states[$at], "after doing change $at again");
    }
    $test->postJson("$history/redo");
    expect($state())->toEqual(end($states), 'there is nothing after the last');
}

it('walks the survey of a photo there and back', function (int $seed) {
    mt_srand($seed);
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $photo = $study->photo()->id;
    $base = "/api/studies/$study->id";
    $of = static fn (float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
    $change = fn (array $c): Closure => fn () => $this->postJson("$base/survey/changes", [
        'key' => bin2hex(random_bytes(8)),
        ...array_map(static fn (mixed $v): mixed => $v instanceof Closure ? $v() : $v, $c),
    ]);
    $zone = fn (): int => mt_rand(1, 7);
    $spot = fn (): int => mt_rand(1, 3);
    $place = ['photo' => $photo, 'x' => fn () => $of(0, 1), 'y' => fn () => $of(0, 1), 'ring' => 9];
    $outline = fn (): array => [[($x = $of(0, 0.7)), ($y = $of(0, 0.7))], [$x + 0.3, $y], [$x + 0.3, $y + 0.3], [$x, $y + 0.3]];
    $change(['kind' => 'proposeZones', 'most' => 6])()->assertOk();
    walked(
        $this,
        "$base/survey",
        [
            $change(['kind' => 'addSpot', 'name' => fn () => 'spot '.mt_rand(), ...$place]),
            $change(['kind' => 'placeSpot', 'spot' => $spot, ...$place]),
            $change(['kind' => 'removeSpot', 'spot' => $spot]),
            $change(['kind' => 'renameZone', 'zone' => $zone, 'name' => fn () => 'zone '.mt_rand()]),
            $change(['kind' => 'mergeZones', 'zone' => $zone, 'with' => $zone]),
            $change(['kind' => 'redrawZone', 'zone' => $zone, 'outline' => $outline]),
            $change(['kind' => 'redrawZone', 'zone' => null, 'outline' => $outline]),
            $change(['kind' => 'takeFromZone', 'zone' => $zone, 'outline' => $outline]),
            $change(['kind' => 'partZone', 'zone' => $zone, 'x' => fn () => $of(0, 1), 'y' => fn () => $of(0, 1)]),
            $change([
                'kind' => 'setBorder',
                'zone' => $zone,
                'with' => $zone,
                'meets' => fn () => ['sharp', 'grades', 'as the photo has it'][mt_rand(0, 2)],
            ]),
            $change(['kind' => 'splitZone', 'zone' => $zone, 'line' => fn () => [[0.0, $of(0, 1)], [1.0, $of(0, 1)]]]),
            $change(['kind' => 'moveShade', 'zone' => $zone, 'shade' => 'mid', 'place' => fn () => $of(0, 1)]),
            $change(['kind' => 'resetShades', 'zone' => $zone]),
            $change(['kind' => 'setTouches', 'zone' => $zone, 'touches' => [['name' => 'trim', 'x' => 0.3, 'y' => 0.6]]]),
            $change(['kind' => 'balance', ...$place]),
            $change(['kind' => 'unbalance', 'photo' => $photo]),
            $change(['kind' => 'keepWhitesFrom', 'from' => fn () => $of(50, 101)]),
            $change(['kind' => 'paintWhites', 'keep' => true, 'radius' => 0.05, 'points' => fn () => [[$of(0, 1), $of(0, 1)]]]),
            $change(['kind' => 'describeZone', 'zone' => $zone, 'surface' => 'rough']),
        ],
        function () use ($base) {
            $survey = $this->getJson("$base/survey")
                ->assertOk()
                ->json();

            return array_diff_key($survey, array_flip(['stamp', 'number', 'undoWords', 'redoWords']));
        },
        20,
    );
})->with([5, 23]);

it('walks the plan of a picture there and back', function () {
    mt_srand(11);
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $study->user
        ->pencils()
        ->whereNotIn('number', ['624', '661', '735', '745', 'F90'])
        ->update(['stock' => 'not owned']);
    $surveys = app(SurveyRepository::class);
    $grid = app(PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);
    $base = "/api/studies/$study->id/plan";
    $this->postJson("$base/run")->assertAccepted();
    $zones = array_column($this->getJson($base)->json('zones'), 'number');
    $pick = static fn (mixed ...$of): Closure => static fn (): mixed => $of[mt_rand(0, count($of) - 1)];
    $change = fn (array $c): Closure => fn () => $this->postJson("$base/changes", [
        'key' => bin2hex(random_bytes(8)),
        ...array_map(static fn (mixed $v): mixed => $v instanceof Closure ? $v() : $v, $c),
    ]);
    $zone = $pick(0, ...$zones);
    $target = ['zone' => $pick(...$zones), 'shade' => $pick('light', 'mid', 'dark', 'touch')];
    walked(
        $this,
        $base,
        [
            $change([
                'kind' => 'method',
                'zone' => $zone,
                'settings' => $pick(null, ['darks=never-black'], ['values=light-to-dark', 'joining=light-coats']),
            ]),
            $change(['kind' => 'mode', 'mode' => $pick('value-first', 'value-only', 'colour-and-value')]),
            $change(['kind' => 'pencils', 'count' => $pick(null, 3, 4)]),
            $change(['kind' => 'lock', 'pencil' => $pick('Slipway/624', 'Slipway/745'), 'how' => $pick('in', 'out', 'free')]),
            $change(['kind' => 'hue', 'zone' => $zone, 'hue' => $pick(null, 'blue', 'grey')]),
            $change(['kind' => 'preset', 'what' => $pick('exactly-three', 'one-colour', 'whole')]),
            $change([
                'kind' => 'sequence',
                'zone' => $pick(...$zones),
                'passes' => $pick(
                    null,
                    [['tool' => '624', 'pressures' => ['mid' => 'medium']]],
                    [['tool' => '661', 'pressures' => ['mid' => 'light']], ['tool' => '745', 'pressures' => ['mid' => 'whisper']]],
                    [['tool' => '999', 'pressures' => ['mid' => 'light']]],
                ),
            ]),
            $change(['kind' => 'overrule', ...$target, 'code' => $pick('bloom', 'flat'), 'note' => $pick(null, 'under glass', 'fixed')]),
        ],
        function () use ($base) {
            $picture = $this->getJson($base)->assertOk()->json();

            return array_diff_key($picture, array_flip(['run', 'undoWords', 'redoWords', 'version', 'named']));
        },
        20,
    );
});

it('takes back what was noted of a drawer, change by change', function (int $seed) {
    mt_srand($seed);
    $this->actingAs($this->artistWithDrawer());
    $state = fn (): array => [
        $this->get('/api/drawer/file/json')->assertOk()->getContent(),
        array_column($this->getJson('/api/drawer/tray?order=number&line=Slipway')->json('pencils'), 'stock'),
    ];
    $numbers = ['624', '661', '703', '745'];
    $number = static fn (): string => $numbers[mt_rand(0, 3)];
    $changes = [
        fn () => $this->patchJson('/api/drawer/pencil', [
            'id' => 'Slipway/'.$number(),
            'stock' => ['owned', 'low', 'wanted', 'not owned'][mt_rand(0, 3)],
        ]),
        fn () => $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/'.$number(), 'lengthLeft' => mt_rand(5, 170)]),
        fn () => $this->patchJson('/api/drawer/pencil', [
            'id' => 'Slipway/'.$number(),
            'notes' => 'note '.mt_rand(),
            'formerly' => [(string) mt_rand(1, 99)],
        ]),
        fn () => $this->postJson('/api/drawer/ranges', [
            'line' => 'Slipway',
            'numbers' => '600-'.mt_rand(601, 760),
            'stock' => ['owned', 'wanted', 'not owned'][mt_rand(0, 2)],
        ]),
        function () use ($number) {
            $id = $this->postJson('/api/drawer/imports', [
                'file' => uploadOf(
                    "line,number,heavy,name\nSlipway,".
                        $number().
                        ',#4060'.
                        mt_rand(10, 99).
                        ',Changed '.
                        mt_rand().
                        "\nOwn,".
                        mt_rand(1, 9).
                        ",#806040,New\n",
                    'a.csv',
                ),
            ])->json('id');

            return $this->postJson("/api/drawer/imports/$id/take");
        },
    ];
    $states = [$state()];
    for ($n = 0; $n < 16; $n++) {
        $before = end($states);
        $answer = $changes[mt_rand(0, count($changes) - 1)]();
        expect($answer->status())->toBeLessThan(300, (string) $answer->getContent());
        $after = $state();
        // What changes nothing is nothing to take back.
        if ($after !== $before) {
            $states[] = $after;
        }
    }
    for ($at = count($states) - 2; $at >= 0; $at--) {
        $this->postJson('/api/drawer/undo')->assertOk();
        expect($state())->toEqual($states[$at], "after taking back change $at");
    }
    $this->postJson('/api/drawer/undo')
        ->assertOk()
        ->assertJson(['undone' => null]);
    expect($state())->toEqual($states[0]);
})->with([2, 14]);
