<?php

declare(strict_types=1);

use App\Drawers\DrawerImports;
use App\Models\DrawerImport;
use App\Models\Study;
use App\Models\SurveyVersion;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use App\Work\Standing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

// What is accepted can be opened; what can't be opened any more can still be saved, taken back and deleted; nothing is unpacked or read
// beyond what it may be.

function withZones(Tests\TestCase $test): Study
{
    $study = $test->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $grid = app(PhotoStore::class)->grid($study->photo(), null);
    app(SurveyRepository::class)->change(
        $study,
        static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose'],
    );

    return $study;
}

/** A chunk of a PNG. */
function chunk(string $type, string $body): string
{
    return pack('N', strlen($body)).$type.$body.pack('N', crc32($type.$body));
}

/** So many zeros, packed small. */
function packedZeros(int $bytes): string
{
    $deflate = deflate_init(ZLIB_ENCODING_DEFLATE);
    $packed = '';
    for ($n = 0; $n < $bytes; $n += 1_000_000) {
        $packed .= deflate_add($deflate, str_repeat("\0", 1_000_000), ZLIB_NO_FLUSH);
    }

    return $packed.deflate_add($deflate, '', ZLIB_FINISH);
}

/** @param  Closure(): TestResponse  $asking */
function megabytesFor(Closure $asking): float
{
    gc_collect_cycles();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $asking();

    return (memory_get_peak_usage() - $before) / 1e6;
}

it('refuses a study file that could be taken in but not be opened, and leaves nothing of it', function (Closure $spoilt) {
    $study = withZones($this);
    $base = "/api/studies/$study->id";
    $this->postJson("$base/kept-recipes", [
        'name' => 'hull',
        'x' => 20,
        'y' => 20,
        'ring' => 9,
        'label' => 'closest',
        'stack' => 'Slipway/745@0.20',
    ])->assertCreated();
    $whole = json_decode(
        (string) $this->get("$base/bundle")
            ->assertOk()
            ->getContent(),
        true,
    );
    $files = Storage::allFiles();
    $answer = $this->postJson('/api/studies/bundle', ['file' => uploadOf(json_encode($spoilt($whole)), 'a.study.json')]);
    expect($answer->status())
        ->toBe(422)
        ->and($answer->json('detail'))
        ->not->toBeEmpty()
        ->and(Study::query()->count())
        ->toBe(1)
        ->and(Storage::allFiles())
        ->toEqual($files);
})->with([
    'a label that is none' => [fn (array $d): array => array_replace_recursive($d, ['spots' => [['label' => 'prettiest']]])],
    'a paper of a recipe that is none' => [fn (array $d): array => array_replace_recursive($d, ['spots' => [['paper' => 'velvet']]])],
    'zones of another size' => [fn (array $d): array => array_replace_recursive($d, ['survey' => ['zones' => ['width' => 10]]])],
    'pixels that are packed to fill the memory' => [
        fn (array $d): array => array_replace_recursive($d, [
            'survey' => ['zones' => ['labels' => base64_encode(packedZeros(100_000_000))]],
        ]),
    ],
    'more strokes than are painted' => [
        fn (array $d): array => array_replace_recursive($d, [
            'survey' => ['whites' => ['strokes' => array_fill(0, 401, ['keep' => true, 'radius' => 0.1, 'points' => [[0.5, 0.5]]])]],
        ]),
    ],
]);

it('takes a study file in whose notes say more than its zones have, and opens it', function (Closure $overfull) {
    $whole = json_decode(
        (string) $this->get('/api/studies/'.withZones($this)->id.'/bundle')
            ->assertOk()
            ->getContent(),
        true,
    );
    $id = $this->postJson('/api/studies/bundle', ['file' => uploadOf(json_encode($overfull($whole)), 'a.study.json')])
        ->assertCreated()
        ->json('id');
    foreach (['survey', 'kept-recipes', 'plan', 'bundle'] as $place) {
        $this->getJson("/api/studies/$id/$place")->assertOk();
    }
})->with([
    'a zone without pixels' => [
        fn (array $d): array => array_replace_recursive($d, [
            'survey' => [
                'zones' => [
                    'notes' => [
                        99 => [
                            'name' => 'ghost',
                            'importance' => 'ordinary',
                            'surface' => 'smooth',
                            'distance' => 'near',
                            'places' => [],
                        ],
                    ],
                ],
            ],
        ]),
    ],
    'a zone with a number that is none' => [
        fn (array $d): array => array_replace_recursive($d, [
            'survey' => [
                'zones' => [
                    'notes' => [
                        999 => [
                            'name' => 'ghost',
                            'importance' => 'ordinary',
                            'surface' => 'smooth',
                            'distance' => 'near',
                            'places' => [],
                        ],
                    ],
                ],
            ],
        ]),
    ],
]);

it('saves, takes back and deletes what it can not show', function () {
    $study = withZones($this);
    $base = "/api/studies/$study->id";
    $this->postJson("$base/survey/changes", ['key' => 'describe-a-zone', 'kind' => 'keepWhitesFrom', 'from' => 90])->assertOk();
    $document = json_decode(SurveyVersion::query()->where('number', 2)->value('document'), true);
    SurveyVersion::query()
        ->where('number', 2)
        ->update(['document' => json_encode([...$document, 'spots' => [['number' => 1, 'name' => '', 'places' => []]]])]);
    foreach (['survey', 'plan'] as $place) {
        $answer = $this->getJson("$base/$place")->assertUnprocessable();
        expect($answer->json('type'))->toBe('cannot-be-shown')->and($answer->json('detail'))->toContain('Undo the last change');
    }
    $this->getJson('/api/studies')->assertOk()->assertJsonCount(1, 'studies');
    expect(
        json_decode(
            (string) $this->get("$base/bundle")
                ->assertOk()
                ->getContent(),
            true,
        )['survey']['whites']['from'],
    )->toBe(90);
    // The undo is made though what it answers with might not be shown either.
    $this->postJson("$base/survey/undo")->assertOk();
    $this->getJson("$base/survey")->assertOk();
    SurveyVersion::query()->update(['document' => '{}']);
    $this->getJson("$base/survey")->assertUnprocessable();
    $this->deleteJson($base)->assertNoContent();
});

it('paints three thousand points of a wide brush, and says when it is enough', function () {
    $study = withZones($this);
    mt_srand(4);
    $points = array_map(static fn (): array => [mt_rand() / mt_getrandmax(), mt_rand() / mt_getrandmax()], range(1, 3000));
    for ($n = 0, $status = 200; $status === 200 && $n < 20; $n++) {
        $answer = $this->postJson("/api/studies/$study->id/survey/changes", [
            'key' => "stroke-number-$n",
            'kind' => 'paintWhites',
            'keep' => true,
            'radius' => 0.2,
            'points' => $points,
        ]);
        $status = $answer->status();
    }
    expect($n)->toBe(7)->and($answer->json('detail'))->toContain('Undo some');
    $this->getJson("/api/studies/$study->id/survey")->assertOk();
});

it('reads a picture without unpacking what is packed into it to fill the memory', function (Closure $chunks, int $status) {
    $this->actingAs($this->artist());
    $png = (string) file_get_contents($this->photo()->getRealPath());
    // After the signature and the head.
    $file = substr($png, 0, 33).$chunks().substr($png, 33);
    $used = megabytesFor(fn () => $this->postJson('/api/studies', ['photo' => uploadOf($file, 'a.png')])->assertStatus($status));
    expect($used)->toBeLessThan(60);
})->with([
    'texts' => [fn () => str_repeat(chunk('zTXt', "Comment\0\0".packedZeros(60_000_000)), 20), 201],
    'international texts' => [fn () => chunk('iTXt', "Comment\0\1\0\0\0".packedZeros(100_000_000)), 201],
    'a profile' => [fn () => chunk('iCCP', "p\0\0".packedZeros(100_000_000)), 422],
    'a chunk longer than the file' => [fn () => pack('N', 0x7FFFFFFF).'tEXtabc', 422],
]);

it('takes the first picture of a file that holds many', function () {
    $many = new Imagick();
    foreach (range(1, 40) as $n) {
        $one = new Imagick();
        $one->newImage(400, 300, $n === 1 ? '#b7b4a4' : '#000000');
        $one->setImageFormat('tiff');
        $many->addImage($one);
    }
    $many->setFormat('tiff');
    $study = $this->actingAs($this->artist())
        ->postJson('/api/studies', ['photo' => uploadOf($many->getImagesBlob(), 'a.tiff')])
        ->assertCreated()
        ->json();
    expect($study['photoWidth'])
        ->toBe(400)
        ->and($this->getJson("/api/studies/$study[id]/spot?x=9&y=9&ring=4")->json('hex'))
        ->toBe('#b7b4a4');
});

it('refuses a drawer file before it fills the memory', function (Closure $text, string $says) {
    $this->actingAs($this->artistWithDrawer());
    $file = uploadOf($text(), 'a.csv');
    $used = megabytesFor(function () use ($file, $says) {
        $answer = $this->postJson('/api/drawer/imports', ['file' => $file])->assertUnprocessable();
        expect($answer->json('detail'))->toContain($says);
    });
    expect($used)->toBeLessThan(90);
})->with([
    'empty objects by the million' => [fn () => '['.implode(',', array_fill(0, 1_300_000, '{}')).']', 'values; up to'],
    'lists in lists' => [fn () => str_repeat('[', 4_000_000), 'values; up to'],
    'rows with nothing in them' => [fn () => "number,heavy\n".str_repeat(",\n", 2_000_000), 'no pencils below'],
    'rows by the million' => [fn () => "number,heavy\n".str_repeat("x,\n", 1_300_000), 'more than 20,000 pencils'],
    'columns by the million' => [fn () => str_repeat('a,', 2_000_000), 'more than 100 columns'],
    'one endless line' => [fn () => "BEGIN_DATA_FORMAT\n".str_repeat('a ', 2_000_000)."\nEND_DATA_FORMAT", 'lines of more than'],
    'lines by the million' => [fn () => "GIMP Palette\n".str_repeat("#\n", 2_000_000), 'more than 60,000 lines'],
]);

it('forgets files that were looked at and not taken in', function () {
    $this->actingAs($this->artistWithDrawer());
    $ids = array_map(
        fn (int $n): int => $this->postJson('/api/drawer/imports', ['file' => uploadOf("number,heavy\n$n,#2456a8\n", 'a.csv')])
            ->assertCreated()
            ->json('id'),
        [1, 2],
    );
    expect(DrawerImport::query()->pluck('text', 'id')->map(strlen(...))->all())
        ->toBe([$ids[0] => 0, $ids[1] => 23])
        ->and(DrawerImport::query()->find($ids[0])->state)
        ->toBe(App\Work\Standing::Cancelled);
    app(DrawerImports::class)->forgetUntaken();
    expect(DrawerImport::query()->find($ids[1])->state)->toBe(App\Work\Standing::Preview);
    DrawerImport::query()->update(['updated_at' => now()->subDays(2)]);
    app(DrawerImports::class)->forgetUntaken();
    expect(
        DrawerImport::query()
            ->find($ids[1])
            ->only(['state', 'text']),
    )->toBe(['state' => Standing::Cancelled, 'text' => '']);
});

it('takes one file of an account in at a time, and some of all', function () {
    $user = $this->artist();
    $this->actingAs($user);
    $other = new PDO(
        sprintf('mysql:host=%s;port=%s', config('database.connections.mariadb.host'), config('database.connections.mariadb.port')),
        config('database.connections.mariadb.username'),
        config('database.connections.mariadb.password'),
    );
    $name = static fn (string $what): string => substr(md5(DB::getDatabaseName()), 0, 12).$what;
    $held = static fn (string $what) => $other->query("select get_lock('{$name($what)}', 0)")->fetchColumn();
    $send = fn () => $this->postJson('/api/studies', ['photo' => $this->photo()]);
    $held("kp-files-of-$user->id");
    expect($send()->assertStatus(429)->assertHeader('Retry-After', 2)->json('detail'))->toContain('this one follows automatically');
    $other->query('do release_all_locks()');
    $send()->assertCreated();
    array_map($held, ['kp-files-1', 'kp-files-2', 'kp-files-3']);
    $send()->assertStatus(429);
    $other->query('do release_all_locks()');
    $send()->assertCreated();
});

it('answers what is no text, and a head that promises no picture, in a sentence', function () {
    $this->postJson('/sign-in', ['email' => [], 'password' => 'x'])->assertUnprocessable();
    $this->postJson('/sign-in', ['email' => ['a' => ['b']], 'password' => []])->assertUnprocessable();
    $this->actingAs($this->artistWithDrawer());
    expect(
        $this->get('/api/drawer/equivalents?from=%ff&to=Slipway', ['Accept' => 'application/json'])
            ->assertBadRequest()
            ->json('detail'),
    )->toContain('UTF-8');
    $this->get('/api/drawer/pencil?id=%c3%28', ['Accept' => 'application/json'])->assertBadRequest();
    $jpeg = new Imagick();
    $jpeg->newImage(200, 200, '#808080');
    $jpeg->setImageFormat('jpeg');
    $bytes = $jpeg->getImageBlob();
    // Height and width in the frame's head (ITU-T T.81, B.2.2) say nothing.
    $frame = (int) strpos($bytes, "\xFF\xC0");
    $this->postJson('/api/studies', [
        'photo' => uploadOf(substr_replace($bytes, "\0\0\0\0", $frame + 5, 4), 'a.jpg'),
    ])->assertUnprocessable();
    expect(User::query()->count())
        ->toBe(1)
        ->and(Study::query()->count())
        ->toBe(0);
});
