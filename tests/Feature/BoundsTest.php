<?php

declare(strict_types=1);

use App\Http\Door;
use App\Http\KeptAnswers;
use App\Models\SharedPlan;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Formats\Drawers\Csv;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Drawers\Json;

// Bounds of what may be asked, by whom, how much at once and how often: each was found by trying to get past it.

/** What the door says of a request, before the framework: the status of a refusal, or 0. */
function door(string $path, string $body, string $type = 'application/json', ?int $length = null): int
{
    return Door::refusal(
        ['REQUEST_URI' => $path, 'CONTENT_TYPE' => $type, 'CONTENT_LENGTH' => (string) ($length ?? strlen($body))],
        static fn (): string => $body,
    )[0] ?? 0;
}

/** A second connection to the tests' database, as another process would have. */
function elsewhere(): PDO
{
    $to = config('database.connections.mariadb');

    return new PDO("mysql:host={$to['host']};port={$to['port']};dbname={$to['database']}", $to['username'], $to['password']);
}

it('bounds a body before it is read into values, closer for who is not signed in', function () {
    $outline = json_encode([
        'kind' => 'redrawZone',
        'key' => 'some-key',
        'zone' => 3,
        'outline' => array_map(static fn (int $i): array => [$i / 3000, 0.12345678901234567], range(1, 3000)),
    ]);
    expect(door('/api/studies/1/survey/changes', $outline))
        ->toBe(0)
        ->and(door('/api/studies/1/survey/changes', '['.str_repeat('[],', 20_000).'1]'))
        ->toBe(422)
        ->and(door('/api/studies/1/desk/ticks', str_repeat('{"a":', 40).'1'.str_repeat('}', 40)))
        ->toBe(422)
        ->and(door('/api/studies/1/survey/changes', str_repeat('x', 300_000)))
        ->toBe(413)
        // Said to be short, or not said at all.
        ->and(door('/api/hand', str_repeat(' ', 300_000), length: 10))
        ->toBe(413)
        ->and(door('/sign-in', json_encode(['email' => 'a', 'password' => str_repeat('x', 20_000)])))
        ->toBe(413)
        ->and(door('/api/shared/abc/note', str_repeat(' ', 20_000)))
        ->toBe(413)
        ->and(door('/sign-in', '{"email":"a@example.org","password":"long enough 10"}'))
        ->toBe(0)
        // Forms other than ours carry as little; files are the web server's to bound.
        ->and(door('/sign-in', '', 'application/x-www-form-urlencoded', 200_000_000))
        ->toBe(413)
        ->and(door('/api/studies', '', 'multipart/form-data; boundary=x', 60_000_000))
        ->toBe(0);
});

it('counts a list before it looks at what is in it', function (string $path, Closure $body, string $field) {
    $study = pictureOf($this);
    $answer = $this->postJson(str_replace('{study}', (string) $study->id, $path), [
        'key' => 'a-long-list',
        ...$body(),
    ])->assertUnprocessable();
    // One thing is said of it, and not one of each.
    expect(array_keys($answer->json('errors')))->toBe([$field]);
})->with([
    'an outline' => [
        '/api/studies/{study}/survey/changes',
        fn () => ['kind' => 'redrawZone', 'zone' => 1, 'outline' => array_fill(0, 100_000, ['x', 'y'])],
        'outline',
    ],
    'strips' => ['/api/hand', fn () => ['paper' => 'white medium', 'strips' => array_fill(0, 30_000, ['stack' => 7])], 'strips'],
    'ticks at the desk' => [
        '/api/studies/{study}/desk/ticks',
        fn () => [
            'kind' => 'done',
            'zone' => 1,
            'position' => 0,
            'tool' => '711',
            'at' => 1,
            'pressures' => array_fill(0, 50_000, 'no pressure'),
        ],
        'pressures',
    ],
    'passes of a sequence' => [
        '/api/studies/{study}/plan/changes',
        fn () => ['kind' => 'sequence', 'zone' => 1, 'passes' => array_fill(0, 20_000, ['tool' => []])],
        'passes',
    ],
]);

it('limits how many changes a minute an account makes, generously, and no other account by it', function () {
    $this->actingAs($user = $this->artistWithDrawer());
    $change = fn () => $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'lengthLeft' => 52.5]);
    RateLimiter::increment(md5('edits'.'edits|'.$user->id), 60, 1198);
    $change()->assertSuccessful();
    $change()->assertSuccessful();
    expect($change()->assertTooManyRequests()->headers->get('Retry-After'))->not->toBeNull();
    $this->getJson('/api/me')->assertOk();
    $this->actingAs($this->artistWithDrawer('other'));
    $change()->assertSuccessful();
});

it('works two slow answers out for an account at a time, and others come to theirs', function () {
    $study = pictureOf($this);
    $path = "/api/studies/$study->id/photos/{$study->photo()->id}/look?tone=grey";
    $other = elsewhere();
    $of = substr(md5(DB::getDatabaseName()), 0, 12)."kp-turn-$study->user_id";
    foreach (["$of-1", "$of-2", ...array_map(static fn (int $n): string => "$of-waits-$n", range(1, 4))] as $name) {
        expect((int) $other->query("select get_lock('$name', 0)")->fetchColumn())->toBe(1);
    }
    // Two are at work and four wait.
    $this->get($path, ['Accept' => 'application/json'])
        ->assertTooManyRequests()
        ->assertHeader('Retry-After', 1);
    // What is quick does not wait for it, and nobody else does.
    $this->getJson("/api/studies/$study->id/spot?x=100&y=100&ring=9")->assertOk();
    $theirs = $this->study($stranger = $this->artist('other'));
    $this->actingAs($stranger)
        ->get("/api/studies/$theirs->id/photos/{$theirs->photo()->id}/look?tone=grey")
        ->assertOk();
    $other->query("select release_lock('$of-2')")->fetchColumn();
    $this->actingAs($study->user)->get($path)->assertOk();
});

it('gives an answer that is kept to whoever has a pass for it, and to nobody else', function () {
    config()->set('session.driver', 'database');
    $user = $this->artist();
    $key = (string) config('app.key');
    $session = str_repeat('s', 40);
    [$pass] = KeptAnswers::pass($user->id, $session, $user->password, $key);
    $there = static fn (int $account, string $of): ?array => $account === $user->id && $of === $session
        ? ['password' => $user->password, 'ticks' => 7]
        : null;
    expect(KeptAnswers::admitted($pass, $key, $there))->toBe([$user->id, 7]);
    [$id, $until, , $seal] = explode('.', $pass);
    foreach (
        [
            'of another account' => $user->id + 1 .".$until.$session.$seal",
            'for longer' => "$id.".($until + 60).".$session.$seal",
            'of another session' => "$id.$until.".str_repeat('t', 40).".$seal",
            'of no form' => 'x',
            'sealed by somebody else' => KeptAnswers::pass($user->id, $session, $user->password, 'another key')[0],
            'of an earlier password' => KeptAnswers::pass($user->id, $session, 'earlier', $key)[0],
        ] as $what => $forged
    ) {
        expect(KeptAnswers::admitted($forged, $key, $there))->toBeNull($what);
    }
    // The session ended; the time is over.
    expect(KeptAnswers::admitted($pass, $key, static fn (): ?array => null))->toBeNull();
    $over = "$user->id.".(time() - 1).".$session";
    expect(KeptAnswers::admitted("$over.".hash_hmac('sha256', "pass/$over/$user->password", $key), $key, $there))->toBeNull();
    // Set where somebody is known, gone where they leave.
    $cookie = fn ($answer) => collect($answer->headers->getCookies())->first(fn ($c): bool => $c->getName() === KeptAnswers::PASS);
    $set = $cookie($this->actingAs($user->fresh())->getJson('/api/studies'));
    expect($set->isHttpOnly())
        ->toBeTrue()
        ->and($set->getSameSite())
        ->toBe('lax')
        ->and($set->getExpiresTime() - time())
        ->toBeLessThanOrEqual(300)
        ->and($cookie($this->postJson('/sign-out')->assertNoContent())->getExpiresTime())
        ->toBeLessThan(time())
        ->and($cookie($this->getJson('/api/studies')->assertUnauthorized()))
        ->toBeNull();
    // What tells of work under way is never kept, and a change makes another name.
    expect(KeptAnswers::mayBeKept('sign-in'))->toBeFalse()->and(KeptAnswers::mayBeKept('api/studies/3/plan'))->toBeTrue();
    $tag = static fn (int $account, int $ticks, string $uri = '/api/studies'): string => KeptAnswers::tag(
        $uri,
        ltrim($uri, '/'),
        $account,
        $ticks,
        '/no/such/file',
    );
    expect(array_unique([$tag(1, 1), $tag(1, 2), $tag(2, 1), $tag(1, 1, '/api/me')]))->toHaveCount(4);
});

it('refuses a zero byte wherever it is written, and numbers longer than the database has', function () {
    foreach (
        [
            '/sign-in' => ['email' => 'a@example.org', 'password' => "long\0enough 10"],
            '/accounts' => ['name' => 'x', 'email' => 'b@example.org', 'password' => "long\0enough 10"],
        ] as $path => $body
    ) {
        expect($this->postJson($path, $body)->assertBadRequest()->json('detail'))->toContain('UTF-8');
    }
    $study = pictureOf($this);
    $long = '12345678901234567890';
    foreach (["/api/studies/$study->id/plan/checks/$long", "/api/book/recipes/$long", "/api/book/account/imports/$long"] as $path) {
        $this->deleteJson($path)->assertNotFound();
    }
    $this->getJson("/api/studies/$study->id/plan/checks/$long/photo")->assertNotFound();
});

it('limits tries at one name however it is spelled, and knows who asks behind a proxy of its own', function () {
    $this->artist('tide');
    foreach (
        [
            'tide@example.org', 'TIDE@example.org', 'tïde@example.org', 'tide@example.org ', 'Tidé@example.org', 'tidè@example.org',
        ] as $spelled
    ) {
        $this->postJson('/sign-in', ['email' => $spelled, 'password' => 'a guess'])->assertUnprocessable();
    }
    $this->postJson('/sign-in', ['email' => 'tíde@example.org', 'password' => 'a guess'])->assertTooManyRequests();
    $this->postJson('/sign-in', ['email' => 'ebb@example.org', 'password' => 'a guess'])->assertUnprocessable();
    // Of a proxy that is not named, its own address counts; of one that is, that of whoever it passes on.
    $from = fn (string $address) => $this->postJson(
        '/sign-in',
        ['email' => 'name'.bin2hex(random_bytes(4)).'@example.org', 'password' => 'a guess'],
        ['X-Forwarded-For' => $address],
    );
    $this->withServerVariables(['REMOTE_ADDR' => '10.9.8.7']);
    for ($n = 0; $n < 30; $n++) {
        $from("198.51.100.$n")->assertUnprocessable();
    }
    $from('198.51.100.77')->assertTooManyRequests();
    Illuminate\Http\Middleware\TrustProxies::at(['10.9.8.7']);
    $from('198.51.100.77')->assertUnprocessable();
    Illuminate\Http\Middleware\TrustProxies::at([]);
});

it('shows the demo to no page of anybody else\'s, and leaves no session of whoever only asks', function () {
    config(['app.demo' => true]);
    $demo = User::factory()->create(['email' => config('app.demo_email')]);
    $study = $this->study($demo);
    $here = ['REMOTE_ADDR' => '127.0.0.1'];
    $picture = fn (array $headers) => $this->withServerVariables($here)->get("/api/studies/$study->id/photo", [
        'Accept' => 'image/*',
        ...$headers,
    ]);
    $picture(['Sec-Fetch-Site' => 'cross-site', 'Sec-Fetch-Mode' => 'no-cors'])->assertUnauthorized();
    $picture(['Sec-Fetch-Site' => 'same-origin', 'Sec-Fetch-Mode' => 'no-cors'])
        ->assertOk()
        ->assertHeader('Cross-Origin-Resource-Policy', 'same-origin');
    auth()->logout();
    $this->flushSession();
    config(['app.demo' => false, 'session.driver' => 'database']);
    foreach (['/api/me', '/', '/photo', '/api/studies', '/nothing'] as $path) {
        expect($this->get($path)->headers->getCookies())->toBe([], $path);
    }
    expect($this->get('/sign-in')->headers->getCookies())->not->toBe([]);
});

it('tells links and keys apart by capitals', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/share")->assertSuccessful();
    $token = SharedPlan::query()->firstOrFail()->token;
    $this->getJson("/api/shared/$token")->assertOk();
    $this->getJson(
        '/api/shared/'.strtr($token, array_combine([...range('a', 'z'), ...range('A', 'Z')], [...range('A', 'Z'), ...range('a', 'z')])),
    )->assertNotFound();
});

it('marks what a spreadsheet would work out, and reads it back as it was', function () {
    $rows = DrawerFile::rows(
        json_encode([
            [
                'number' => '1',
                'name' => '=HYPERLINK("http://evil.example")',
                'line' => '+Slip',
                'binder' => 'wax',
                'heavy' => '#112233',
                'notes' => "'=1+1",
            ],
            ['number' => '-2', 'name' => '@3', 'line' => '', 'binder' => 'wax', 'heavy' => '#445566'],
        ]),
    );
    $csv = Csv::it()->write('', $rows);
    foreach (str_getcsv(str_replace("\r\n", ',', $csv), escape: '') as $cell) {
        expect($cell)->not->toMatch('/^[=+\-@\t\r]/');
    }
    expect(Json::it()->write('', DrawerFile::rows($csv)))->toBe(Json::it()->write('', $rows));
    expect(fn () => DrawerFile::rows(''))->toThrow(BadFile::class);
});
