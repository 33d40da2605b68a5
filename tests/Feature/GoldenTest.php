<?php

declare(strict_types=1);

use App\Models\User;
use App\Plans\ShippedPlan;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;
use Tests\Golden;

it('answers about the demo as it did, by page and by command line', function () {
    $this->seed(DatabaseSeeder::class);
    $user = User::query()->where('email', config('app.demo_email'))->firstOrFail();
    $this->actingAs($user);
    $study = $user->studies()->firstOrFail();
    $base = "/api/studies/$study->id";
    // The demo opens planned, and as the planner plans it.
    getenv('GOLDEN') === 'write' || expect($this->getJson("$base/plan")->json('waiting'))->toBe(0);
    DB::table('plan_parts')->delete();
    $this->postJson("$base/plan/run")->assertAccepted();
    $shipped = app(ShippedPlan::class)->of($study);
    getenv('GOLDEN') === 'write' && file_put_contents(base_path('demo/plan.json'), $shipped);
    expect(json_decode($shipped, true))->toEqual(json_decode((string) file_get_contents(base_path('demo/plan.json')), true));
    $zone = $this->getJson("$base/survey")->json('zones.list.0.number');
    $differences = [];
    foreach (
        [
            'drawer' => '/api/drawer',
            'tray' => '/api/drawer/tray?order=gradual',
            'pencil' => '/api/drawer/pencil?id=Slipway/735',
            'reach' => '/api/drawer/reach?paper=white+medium',
            'mix' => '/api/drawer/mix?id=Foghorn/F12',
            'survey' => "$base/survey",
            'spot' => "$base/spot?x=790&y=1010&ring=9",
            'recipes' => "$base/recipes?x=790&y=1010&ring=9",
            'kept-recipes' => "$base/kept-recipes",
            'picture' => "$base/plan",
            'picture-answers' => "$base/plan/answers?zone=$zone",
            'picture-values' => "$base/plan/values",
            'picture-ramp' => "$base/plan/ramp?x1=0.1&y1=0.1&x2=0.6&y2=0.1",
            'purchases' => "$base/purchases",
        ] as $name => $path
    ) {
        $answer = $this->getJson($path);
        // Strata are drawn from in dabs: where the colour after a pass is the same, so are they.
        array_push($differences, ...Golden::differences($name, withoutStrata($answer->json())));
    }
    expect($differences)->toBe([]);

    // The same photo, pencils and zones by command line, and what the artist says of these: the same plan, stack for stack.
    $surfaces = implode(
        ',',
        array_map(static fn (array $z): string => "{$z['number']}={$z['surface']}", $this->getJson("$base/survey")->json('zones.list')),
    );
    $out = sys_get_temp_dir().'/kp-golden-'.bin2hex(random_bytes(4));
    (new Process(
        [
            base_path('prism'),
            'plan',
            '--photo',
            base_path('demo/photos/low-water-morning.jpg'),
            '--drawer',
            base_path('demo/drawer.csv'),
            '--zones',
            '14',
            '--surfaces',
            $surfaces,
            '--out',
            $out,
        ],
        timeout: null,
    ))->mustRun();
    $plan = json_decode((string) file_get_contents("$out/plan.json"), true);
    File::deleteDirectory($out);
    $stacks = static fn (array $zones): array => array_map(
        static fn (array $zone): array => collect($zone['results'] ?? $zone['sequence']['outcomes'])
            ->map(static fn (array $o, int|string $shade): string => ($o['shade'] ?? $shade).' '.$o['stack'])
            ->sort()
            ->values()
            ->all(),
        $zones,
    );
    expect(count($plan['zones']))->toBe(14)->and($stacks($this->getJson("$base/plan")->json('zones')))->toBe($stacks($plan['zones']));
});

function withoutStrata(mixed $value): mixed
{
    return is_array($value)
        ? array_map(withoutStrata(...), array_diff_key($value, ['strata' => 0, 'lightStrata' => 0, 'outlines' => 0, 'lines' => 0]))
        : $value;
}
