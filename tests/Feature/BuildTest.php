<?php

declare(strict_types=1);

use App\Cache\Build;
use App\Cache\Computed;
use App\Cache\KeptAtlases;
use Illuminate\Support\Facades\Cache;

it('names code by what is in it, wherever it lies', function () {
    $folder = static function (array $files): string {
        $root = sys_get_temp_dir().'/kp-build-'.bin2hex(random_bytes(6));
        foreach ($files as $name => $content) {
            is_dir(dirname("$root/$name")) || mkdir(dirname("$root/$name"), recursive: true);
            file_put_contents("$root/$name", $content);
        }

        return $root;
    };
    $name = static fn (array $files): string => Build::of([$folder($files)]);
    $one = ['Medium/Lay.php' => '<?php // lays', 'Plan.php' => '<?php // plans'];
    expect($name($one))->toBe($name(array_reverse($one)))->and($name([...$one, 'notes.md' => 'not code']))->toBe($name($one))
        ->and($name([...$one, 'Plan.php' => '<?php // plans otherwise']))->not->toBe($name($one))
        ->and($name(['Medium/Lay.php' => $one['Medium/Lay.php'], 'Other.php' => $one['Plan.php']]))->not->toBe($name($one))
        ->and(Build::whole())->toMatch('/^[0-9a-f]{16}$/')->not->toBe(Build::core());
});

it('works out again what other code has worked out, and once what its own has', function () {
    $worked = 0;
    $ask = function () use (&$worked): int {
        return Computed::kept('what-build-test-asks', 60, function () use (&$worked): int {
            return ++$worked;
        });
    };
    $atlases = new KeptAtlases(Cache::store('array'));
    $atlases->keep('atlas', 'packed');
    expect([$ask(), $ask(), $atlases->fetch('atlas')])->toBe([1, 1, 'packed']);
    $own = config('build');
    config(['build' => ['core' => 'fedcba9876543210', 'whole' => '0123456789abcdef']]);
    expect([$ask(), $ask(), $atlases->fetch('atlas')])->toBe([2, 2, null]);
    config(['build' => $own]);
    expect([$ask(), $atlases->fetch('atlas')])->toBe([1, 'packed']);
});

it('leaves a plan as it was planned when the application is brought up to date, and judges it again', function () {
    $base = '/api/studies/'.pictureOf($this)->id.'/plan';
    $this->postJson("$base/run")->assertAccepted();
    $before = $this->getJson($base)->json();
    config(['build' => ['core' => 'fedcba9876543210', 'whole' => '0123456789abcdef']]);
    $after = $this->getJson($base)->json();
    expect($before['waiting'])->toBe(0)->and($after['waiting'])->toBe(0)->and($after['zones'])->toEqual($before['zones']);
});
