<?php

declare(strict_types=1);

// A page from anywhere can make its own name lead to this machine; what it asks for then comes with that name.

/** @param  array<string, string>  $headers */
function asking(Tests\TestCase $test, string $host, array $headers = [], string $path = '/api/me'): Illuminate\Testing\TestResponse
{
    return $test
        ->withServerVariables(['REMOTE_ADDR' => '127.0.0.1', 'HTTP_HOST' => $host, ...$headers])
        ->get("http://$host$path", ['Accept' => 'application/json']);
}

beforeEach(function () {
    config(['app.demo' => true]);
    $this->artist('demo')->update(['email' => config('app.demo_email')]);
});

it('answers under the names of the loopback', function (string $host) {
    asking($this, $host)->assertOk();
})->with(['localhost', 'localhost:8040', '127.0.0.1:8040', '127.8.8.8', '[::1]:8040']);

it('answers under no other name', function (string $host) {
    expect(asking($this, $host)->assertStatus(421)->json('detail'))->toContain('Open the address that ./start prints');
    asking($this, $host, path: '/')->assertStatus(421);
    asking($this, $host, path: '/health')->assertStatus(421);
})->with([
    'evil.example',
    'localhost.evil.example',
    '127.0.0.1.evil.example',
    '192.168.1.4',
    '10.0.0.1:8040',
    '[fe80::1]',
    'localhost:80@evil.example',
]);

it('signs in nobody without a password who comes from a page of another host, or through something that passes requests on', function (
    array $headers,
) {
    asking($this, '127.0.0.1:8040', $headers)->assertUnauthorized();
})->with([
    'another origin' => [['HTTP_ORIGIN' => 'http://evil.example']],
    'an origin that is none' => [['HTTP_ORIGIN' => 'null']],
    'another referrer' => [['HTTP_REFERER' => 'https://prism.example.org/photo']],
    'a proxy that says so' => [['HTTP_X_FORWARDED_FOR' => '203.0.113.5']],
    'one that adds nothing' => [['SERVER_PROTOCOL' => 'HTTP/1.0']],
]);

it('answers under the name that was set, but then signs in nobody without a password', function () {
    config(['app.host' => 'prism.example.org']);
    asking($this, 'prism.example.org')->assertUnauthorized();
    asking($this, '127.0.0.1')->assertUnauthorized();
    asking($this, 'evil.example')->assertStatus(421);
});

it('names no host in a redirect', function () {
    config(['app.demo' => false]);
    $answer = $this->get('http://localhost/photo/3');
    expect($answer->headers->get('Location'))->toBe('/sign-in');
});
