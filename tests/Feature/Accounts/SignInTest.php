<?php

declare(strict_types=1);

use App\Models\User;

it('opens an account with a hashed password, signs out, and signs in again', function () {
    $account = ['name' => 'Tide', 'email' => 'tide@example.org', 'password' => 'long enough 10'];
    $this->postJson('/accounts', $account)->assertCreated();
    $stored = User::query()->firstOrFail();
    expect($stored->password)->not->toBe($account['password'])->and(password_verify($account['password'], $stored->password))->toBeTrue();
    $this->getJson('/api/me')
        ->assertOk()
        ->assertJson(['email' => 'tide@example.org', 'demo' => false]);

    $this->postJson('/sign-out')->assertNoContent();
    $this->getJson('/api/me')
        ->assertUnauthorized()
        ->assertJson(['status' => 401]);
    $this->postJson('/sign-in', ['email' => 'tide@example.org', 'password' => 'not this one'])
        ->assertUnprocessable()
        ->assertHeader('Content-Type', 'application/problem+json');
    $this->postJson('/sign-in', $account)->assertOk();
    $this->getJson('/api/me')->assertOk();
});

it('refuses a second account for an address, and a short password, with the cure', function () {
    $this->artist('tide');
    $this->postJson('/accounts', ['name' => 'T', 'email' => 'tide@example.org', 'password' => 'long enough 10'])->assertJsonFragment([
        'detail' => 'An account with this address already exists; sign in instead.',
    ]);
    $this->postJson('/accounts', ['name' => 'T', 'email' => 'ebb@example.org', 'password' => 'short'])->assertJsonFragment([
        'detail' => 'A password needs at least 10 characters.',
    ]);
});

it('limits how often a sign-in can be tried', function () {
    $this->artist('tide');
    for ($try = 0; $try < 6; $try++) {
        $this->postJson('/sign-in', ['email' => 'tide@example.org', 'password' => "guess $try"])->assertUnprocessable();
    }
    $this->postJson('/sign-in', ['email' => 'tide@example.org', 'password' => 'long enough 10'])
        ->assertTooManyRequests()
        ->assertJsonFragment(['detail' => 'Wait a minute and try again.']);
});

it('lets the local visitor into the demo account, but nobody else and only in demo mode', function (
    bool $demo,
    array $server,
    int $status,
) {
    config(['app.demo' => $demo]);
    User::factory()->create(['name' => 'Demo', 'email' => config('app.demo_email')]);
    $this->withServerVariables($server)->getJson('/api/me')->assertStatus($status);
})->with([
    'local in demo mode' => [true, ['REMOTE_ADDR' => '127.0.0.1'], 200],
    'local, version 6' => [true, ['REMOTE_ADDR' => '::1'], 200],
    'another machine' => [true, ['REMOTE_ADDR' => '192.0.2.7'], 401],
    'another machine behind a proxy' => [true, ['REMOTE_ADDR' => '127.0.0.1', 'HTTP_X_FORWARDED_FOR' => '192.0.2.7'], 401],
    'local, not in demo mode' => [false, ['REMOTE_ADDR' => '127.0.0.1'], 401],
]);

it('keeps out who has signed out of the demo on purpose', function () {
    config(['app.demo' => true]);
    User::factory()->create(['name' => 'Demo', 'email' => config('app.demo_email')]);
    $this->getJson('/api/me')->assertOk();
    $this->postJson('/sign-out')->assertNoContent();
    $this->getJson('/api/me')->assertUnauthorized();
});

it('does not sign in again by a request that was on its way while its session ended, nor by a page opened after that', function () {
    config(['app.demo' => true]);
    User::factory()->create(['name' => 'Demo', 'email' => config('app.demo_email')]);
    $this->withCredentials()
        ->withCookie((string) config('session.cookie'), 'of-a-session-that-has-ended')
        ->getJson('/api/me')
        ->assertUnauthorized();
    $this->withCookie(App\Http\Middleware\SignInLocalVisitor::STAYS_OUT, '1')->get('/sign-in')->assertOk();
    $this->get('/')->assertRedirect('/sign-in');
});

it('sends a strict content-security policy and only cookies that scripts can not read', function () {
    $answer = $this->get('/sign-in')->assertOk();
    $policy = (string) $answer->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'none'")->toContain("script-src 'self'")->not->toContain('unsafe')->not->toContain('http');
    expect($answer->headers->getCookies())->not->toBeEmpty();
    foreach ($answer->headers->getCookies() as $cookie) {
        expect($cookie->isHttpOnly())->toBeTrue()->and($cookie->getSameSite())->toBe('lax');
    }
});

it('protects forms with a token', function () {
    // The framework skips the check while unit tests run; what counts is that the middleware guards every page.
    foreach (app('router')->getRoutes() as $route) {
        expect($route->gatherMiddleware())->toContain('web');
    }
    expect(app(Illuminate\Contracts\Http\Kernel::class)->getMiddlewareGroups()['web'])->toContain(
        App\Http\Middleware\CsrfByHeader::class,
    );
});
