<?php

declare(strict_types=1);

use App\Cache\AccountClock;
use App\Jobs\TakePlanTurn;
use App\Models\SharedPlan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

it('says of what a page has already that nothing is new, until anything of the account changes', function () {
    $study = pictureOf($this);
    $paths = [
        '/api/studies',
        "/api/studies/$study->id/survey",
        "/api/studies/$study->id/plan",
        '/api/drawer/tray?order=number',
        '/api/book/recipes',
        "/api/studies/$study->id/desk",
    ];
    $tags = fn (): array => array_map(
        fn (string $path): string => (string) $this->getJson($path)->assertOk()->headers->get('ETag'),
        $paths,
    );
    $again = fn (array $tags): array => array_map(
        fn (string $path, string $tag): int => $this->getJson($path, ['If-None-Match' => $tag])->getStatusCode(),
        $paths,
        $tags,
    );
    $this->travelTo(now()->startOfMinute());
    $first = $tags();
    expect(array_unique($first))->toHaveCount(count($paths))->and($again($first))->each->toBe(304);
    // As a web server that packs answers hands it on.
    $this->getJson($paths[0], ['If-None-Match' => 'W/'.$first[0]])
        ->assertStatus(304)
        ->assertContent('');
    // Whatever is sent, and whatever is found in the background, makes all of it worth asking for.
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'lengthLeft' => 52.5])->assertSuccessful();
    expect($again($first))->each->toBe(200);
    $second = $tags();
    Queue::fake();
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $begun = $tags();
    app()->call([new TakePlanTurn(), 'handle']);
    expect($again($second))->each->toBe(200)->and($again($begun))->each->toBe(200);
    // A note that somebody else leaves, too.
    $this->postJson("/api/studies/$study->id/share")->assertSuccessful();
    $shared = $tags();
    $this->postJson('/api/shared/'.SharedPlan::query()->firstOrFail()->token.'/note', [
        'photo' => null,
        'note' => 'the morning one',
    ])->assertSuccessful();
    expect($again($shared))->each->toBe(200);
});

it('keeps the answers of one account from another, and refuses whoever may not ask', function () {
    $study = pictureOf($this);
    $path = "/api/studies/$study->id/plan";
    $tag = (string) $this->getJson($path)->headers->get('ETag');
    expect($this->getJson($path)->headers->get('Cache-Control'))
        ->toContain('private')
        ->toContain('no-cache');
    $this->actingAs($this->artist('stranger'));
    $this->getJson($path, ['If-None-Match' => $tag])->assertNotFound();
    expect((string) $this->getJson('/api/studies')->headers->get('ETag'))->not->toBe($tag);
    app('auth')->forgetGuards();
    $this->getJson($path, ['If-None-Match' => $tag])->assertUnauthorized();
    $this->assertGuest();
});

it('writes a session where something in it is new, and none for whoever only asks whether all is well', function () {
    config()->set('session.driver', 'database');
    $this->getJson('/health');
    expect(DB::table('sessions')->count())->toBe(0);
    $session = app('session')->driver('database');
    $session->start();
    $session->put('made', 'here');
    $session->save();
    $writes = 0;
    DB::listen(static function ($query) use (&$writes): void {
        $writes += preg_match('/^(update|insert)/', $query->sql);
    });
    $visit = static function (?Closure $does = null) use ($session): void {
        $session->setExists(true);
        $session->start();
        $does === null || $does($session);
        $session->save();
    };
    $visit();
    $writes = 0;
    $visit();
    $visit();
    expect($writes)->toBe(0);
    $visit(static fn ($s) => $s->put('made', 'again'));
    expect($writes)->toBe(1);
    $this->travel(10)->minutes();
    DB::table('sessions')->update(['last_activity' => time() - 600]);
    $writes = 0;
    $visit();
    expect($writes)->toBe(1)->and(AccountClock::read(0))->toBe(0);
});
