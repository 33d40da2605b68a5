<?php

declare(strict_types=1);

use App\Jobs\TakeInAccount;
use App\Models\AccountImport;
use App\Models\BookRecipeRow;
use App\Models\PracticeAttempt;
use App\Models\Study;
use App\Models\TickRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

it('takes all of an account along, into another, and there it is as it was', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    ticked($this, "/api/studies/$study->id/desk", $this->getJson("/api/studies/$study->id/desk")->json('steps.0'))->assertOk();
    $this->patchJson('/api/book/log', ['session' => TickRow::query()->sole()->id, 'note' => 'first evening'])->assertOk();
    $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => 1, 'words' => 'to keep'])->assertCreated();
    PracticeAttempt::query()->create([
        'user_id' => $study->user_id,
        'study_id' => $study->id,
        'skill' => 'lean',
        'difficulty' => 2,
        'seed' => 7,
        'right' => false,
        'made_at' => time(),
    ]);
    learnt(5);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $this->postJson("/api/studies/$study->id/plan/checks/made-up", ['passes' => 1, 'seed' => 4])->assertCreated();
    $checked = function (): array {
        $base = '/api/studies/'.$this->getJson('/api/studies')->json('studies.0.id').'/plan/checks';
        $check = $this->getJson($base)->assertOk()->json('checks.0');

        return [
            collect($check)->except('id')->all(),
            md5(
                (string) $this->get("$base/{$check['id']}/photo")
                    ->assertOk()
                    ->getContent(),
            ),
            md5(
                (string) $this->get("$base/{$check['id']}/map")
                    ->assertOk()
                    ->getContent(),
            ),
        ];
    };
    $shown = fn (): array => [
        collect($this->getJson('/api/book/recipes')->json('recipes'))
            ->map(fn ($r) => collect($r)->except('id'))
            ->all(),
        collect($this->getJson('/api/book/log')->json('sessions'))
            ->map(
                fn ($s) => [
                    ...collect($s)
                        ->except(['id', 'study', 'checks'])
                        ->all(),
                    count($s['checks']),
                ],
            )
            ->all(),
        $this->getJson('/api/book/log')->json('total'),
        collect($this->getJson('/api/drawer/tray?order=number')->json('pencils'))
            ->pluck('id')
            ->all(),
        collect($this->getJson('/api/hand')->json('hand'))->all(),
        $checked(),
    ];
    $here = $shown();
    $saved = $this->get('/api/book/account.zip')->assertOk()->baseResponse->getFile()->getContent();

    $this->actingAs(User::factory()->create(['name' => 'elsewhere']));
    $taken = $this->post(
        '/api/book/account',
        ['file' => uploadOf($saved, 'all.zip')],
        ['Accept' => 'application/json', 'Idempotency-Key' => 'taken-in-once'],
    )->assertAccepted();
    expect($taken->json())
        ->toFitThePage('AccountImport')
        ->and($taken->json('state'))
        ->toBe('done')
        ->and($taken->json('total'))
        ->toBe(1)
        ->and($taken->json('taken'))
        ->toMatchArray(['studies' => 1, 'known' => 0, 'recipes' => 1, 'practice' => 1, 'problems' => []])
        ->and($taken->json('taken.pencils'))
        ->toBeGreaterThan(6);
    expect($shown())
        ->toEqual($here)
        ->and($this->getJson('/api/book/recipes?words=keep')->json('found'))
        ->toBe(1)
        ->and($this->getJson('/api/book/recipes?like='.urlencode($here[0][0]['shades'][0]['hex']))->json('found'))
        ->toBe(1);
    // Sent again it is not taken in again.
    $this->post(
        '/api/book/account',
        ['file' => uploadOf($saved, 'all.zip')],
        ['Accept' => 'application/json', 'Idempotency-Key' => 'taken-in-once'],
    )
        ->assertAccepted()
        ->assertJsonPath('id', $taken->json('id'));
    $again = $this->post(
        '/api/book/account',
        ['file' => uploadOf($saved, 'all.zip')],
        ['Accept' => 'application/json'],
    )->assertAccepted();
    expect($again->json('taken'))
        ->toBe(['pencils' => 0, 'studies' => 0, 'known' => 1, 'recipes' => 0, 'practice' => 0, 'problems' => []])
        ->and(Storage::files('account-files'))
        ->toBe([]);
    expect(Study::query()->count())
        ->toBe(2)
        ->and(BookRecipeRow::query()->count())
        ->toBe(2);
});

it('refuses what is no account file, and names a study that is damaged while it takes in the rest', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => 1])->assertCreated();
    $saved = $this->get('/api/book/account.zip')->assertOk()->baseResponse->getFile()->getContent();
    $send = fn (string $bytes) => $this->post(
        '/api/book/account',
        ['file' => uploadOf($bytes, 'all.zip')],
        ['Accept' => 'application/json'],
    );
    $with = static function (string $name, string $text) use ($saved): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'kp');
        file_put_contents($path, $saved);
        $zip = new ZipArchive();
        $zip->open($path);
        $zip->addFromString($name, $text);
        $zip->close();

        return (string) file_get_contents($path);
    };
    expect($send('not a zip')->assertUnprocessable()->json('detail'))
        ->toContain('not an account file')
        ->and($send($with('account.json', '{"format":"x"}'))->assertAccepted()->json())
        ->toMatchArray([
            'state' => 'failed',
            'taken' => null,
            'problem' => 'This account file was made by another version; save it again with this version of Knotty Prism.',
        ])
        ->and($send($with('account.json', '{"format":"knotty-prism-account","version":1}'))->json('problem'))
        ->toContain('damaged');
    $zip = new ZipArchive();
    file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'kp'), $saved);
    $zip->open($path);
    $name = (string) $zip->getNameIndex(0);
    $zip->close();
    $this->actingAs(User::factory()->create(['name' => 'elsewhere']));
    $taken = $send($with($name, '{"format":"knotty-prism-study","version":1}'))->assertAccepted()->json('taken');
    expect($taken['studies'])
        ->toBe(0)
        ->and($taken['recipes'])
        ->toBe(1)
        ->and($taken['problems'][0])
        ->toContain($name)
        ->and($this->getJson('/api/book/recipes')->json('recipes.0.study'))
        ->toBe('');
    // A recipe that can't be laid is named as well, and what was taken in before it stays.
    $index = json_decode(
        (string) (function () use ($saved): string {
            file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'kp'), $saved);
            $zip = new ZipArchive();
            $zip->open($path);

            return (string) $zip->getFromName('account.json');
        })(),
        true,
    );
    $index['recipes'][] = [
        ...$index['recipes'][0],
        'name' => 'broken',
        'passes' => [['tool' => 'Nobody/1', 'pressures' => ['mid' => 'light']]],
    ];
    $this->actingAs(User::factory()->create(['name' => 'a third']));
    $taken = $send($with('account.json', (string) json_encode($index)))->assertAccepted()->json('taken');
    expect($taken['studies'])
        ->toBe(1)
        ->and($taken['recipes'])
        ->toBe(1)
        ->and($taken['problems'])
        ->toHaveCount(1)
        ->and($taken['problems'][0])
        ->toContain('broken');
    $this->post('/api/book/account', [], ['Accept' => 'application/json'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Choose an account file.');
});

it('saves two studies that are planned, and takes them in whole or not at all, whenever it is cut off', function () {
    $first = pictureOf($this);
    $this->postJson("/api/studies/$first->id/plan/run")->assertAccepted();
    // A second one, by its own file: brought in by hand it is another, and not the same again.
    $file = $this->get("/api/studies/$first->id/bundle")
        ->assertOk()
        ->getContent();
    $this->post(
        '/api/studies/bundle',
        ['file' => uploadOf((string) $file, 'one.study.json')],
        ['Accept' => 'application/json'],
    )->assertCreated();
    $saved = $this->get('/api/book/account.zip')->assertOk()->baseResponse->getFile()->getContent();
    $elsewhere = User::factory()->create(['name' => 'elsewhere']);
    $this->actingAs($elsewhere);
    $there = fn (): array => [
        $elsewhere->studies()->count(),
        $elsewhere->pencils()->count(),
        BookRecipeRow::query()->where('user_id', $elsewhere->id)->count(),
        count(Storage::directories('photos')),
    ];
    $before = $there();
    // Called off while the second is read; then a fault of the machine's in the same place.
    $what = fn () => DB::table('account_imports')
        ->where('state', 'working')
        ->update(['state' => 'cancelled']);
    $studies = 0;
    DB::listen(static function ($query) use (&$studies, &$what, $elsewhere): void {
        if (
            str_starts_with($query->sql, 'insert into `studies`') &&
            in_array($elsewhere->id, $query->bindings, true) &&
            ++$studies % 2 === 0
        ) {
            $what();
        }
    });
    $ends = fn (): ?string => AccountImport::query()->latest('id')->value('state')?->value;
    $send = fn (string $key) => $this->post(
        '/api/book/account',
        ['file' => uploadOf($saved, 'all.zip')],
        ['Accept' => 'application/json', 'Idempotency-Key' => $key],
    )->assertAccepted();
    // (Here one connection serves both who calls it off and who works: that it was called off is rolled back with the rest.)
    expect($send('called-off-1')->json('state'))->not->toBe('done')->and($there())->toBe($before);
    $what = fn () => throw new RuntimeException('the machine stops here');
    $this->travel(1)->minutes();
    TakeInAccount::whatWasLeft();
    expect($ends())->toBe('working')->and($there())->toBe($before);
    // Another file waits until that one is done or called off; what nobody works at any more is begun again by itself.
    $this->post('/api/book/account', ['file' => uploadOf($saved, 'all.zip')], ['Accept' => 'application/json'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'Another account file'));
    // What wants the whole account for itself would hold a process until that is done; it is told to come again, and nobody else is.
    $this->postJson('/api/drawer/undo', ['of' => 0])->assertStatus(503);
    $this->patchJson('/api/account/password', ['password' => 'x', 'new' => 'long enough 11'])
        ->assertStatus(503)
        ->assertHeader('Retry-After', 5)
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'being restored'));
    $what = static fn () => null;
    $this->travel(1)->minutes();
    TakeInAccount::whatWasLeft();
    expect($ends())
        ->toBe('done')
        ->and($there())
        ->toBe([2, ...array_slice($there(), 1)])
        ->and($there()[3])
        ->toBe($before[3] + 2)
        ->and(Storage::files('account-files'))
        ->toBe([]);
    $import = AccountImport::query()->latest('id')->firstOrFail();
    $this->getJson("/api/book/account/imports/$import->id")
        ->assertOk()
        ->assertJsonPath('taken.studies', 2)
        ->assertJsonPath('done', 2);
    $this->deleteJson("/api/book/account/imports/$import->id")
        ->assertOk()
        ->assertJsonPath('state', 'done');
});

it('refuses numbers that no column holds, a hand with one number twice, and more answers than it takes', function (
    Closure $spoil,
    string $says,
) {
    $this->actingAs($this->artistWithDrawer());
    $saved = $this->get('/api/book/account.zip')->assertOk()->baseResponse->getFile()->getContent();
    file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'kp'), $saved);
    $zip = new ZipArchive();
    $zip->open($path);
    $index = json_decode((string) $zip->getFromName('account.json'), true);
    $zip->addFromString('account.json', str_replace('"2^64"', '18446744073709551616', (string) json_encode($spoil($index))));
    $zip->close();
    $taken = $this->post(
        '/api/book/account',
        ['file' => uploadOf((string) file_get_contents($path), 'all.zip')],
        ['Accept' => 'application/json'],
    )
        ->assertAccepted()
        ->json();
    expect($taken['state'])->toBe('failed')->and($taken['problem'])->toContain($says);
})->with([
    'kept after 2038' => [
        fn (array $i): array => [
            ...$i,
            'recipes' => [
                [
                    'name' => 'a',
                    'words' => '',
                    'paper' => 'white medium',
                    'shades' => [['shade' => 'mid', 'name' => '', 'lab' => [50, 0, 0], 'weight' => 1, 'strata' => []]],
                    'pencils' => [],
                    'passes' => [],
                    'outcome' => '',
                    'cutout' => null,
                    'study' => null,
                    'kept' => 2 ** 31,
                ],
            ],
        ],
        'damaged',
    ],
    'answered beyond all numbers' => [
        fn (array $i): array => [
            ...$i,
            'practice' => [['study' => null, 'skill' => 'lean', 'difficulty' => 1, 'seed' => 1, 'right' => true, 'made_at' => '2^64']],
        ],
        'damaged',
    ],
    'one number of a hand twice' => [
        fn (array $i): array => [
            ...$i,
            'hands' => array_fill(0, 2, [
                'paper' => 'white medium',
                'number' => 3,
                'in_use' => true,
                'strips' => [],
                'hand' => ['pressure' => 1],
                'words' => '',
                'rms_before' => 1,
                'rms_after' => 1,
            ]),
        ],
        'damaged',
    ],
    'too many answers' => [
        fn (array $i): array => [
            ...$i,
            'practice' => array_fill(0, 60_000, [
                'study' => null,
                'skill' => 'lean',
                'difficulty' => 1,
                'seed' => 1,
                'right' => true,
                'made_at' => 1,
            ]),
        ],
        'damaged',
    ],
]);
