<?php

declare(strict_types=1);

use App\Cache\AccountClock;
use App\Models\AccountImport;
use App\Models\BookRecipeRow;
use App\Models\DrawerImport;
use App\Models\DrawingCheckRow;
use App\Models\KeptRecipe;
use App\Models\MeasuringSheet;
use App\Models\Study;
use App\Models\User;
use Illuminate\Routing\Route as Registered;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** @return list<array{string, string}> every way to ask the application for something: method and path */
function everyWay(): array
{
    $ways = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        /** @var Registered $route */
        if (str_starts_with($route->uri(), 'api/')) {
            foreach (array_intersect($route->methods(), ['GET', 'POST', 'PATCH', 'DELETE']) as $method) {
                $ways[] = [
                    $method,
                    '/'.
                    str_replace(
                        ['{kind}', '{rest?}'],
                        [str_contains($route->uri(), 'plan/{kind}.pdf') ? 'card' : 'csv', ''],
                        $route->uri(),
                    ),
                ];
            }
        }
    }

    return $ways;
}

/** @return array<string, string> what belongs to an account, by its place in a path */
function belongings(Study $study): array
{
    $user = $study->user_id;
    $import = DrawerImport::query()->create([
        'user_id' => $user,
        'state' => 'waiting',
        'total' => 1,
        'text' => "line,number,name,hex\n,1,one,#aabbcc\n",
        'choices' => [],
    ]);
    $sheet = MeasuringSheet::query()->create([
        'user_id' => $user,
        'size' => 'a4',
        'pencils' => [['line' => '', 'number' => '1', 'name' => 'one']],
        'pages' => [],
    ]);
    $check = DrawingCheckRow::query()->create(['study_id' => $study->id, 'passes' => 1, 'said' => [], 'photo' => '', 'map' => '']);

    $accountImport = AccountImport::query()->create(['user_id' => $user, 'state' => 'done', 'path' => '']);
    $recipe = BookRecipeRow::query()->create([
        'user_id' => $user,
        'name' => 'rope',
        'paper' => 'white medium',
        'shades' => [],
        'passes' => [],
        'pencils' => [],
        'search' => 'rope',
    ]);

    return [
        '{accountImport}' => (string) $accountImport->id,
        '{recipe}' => (string) $recipe->id,
        '{study}' => (string) $study->id,
        '{when}' => 'now',
        '{photo}' => (string) $study->photo()->id,
        '{import}' => (string) $import->id,
        '{sheet}' => (string) $sheet->id,
        '{check}' => (string) $check->id,
        '{keptRecipe}' => (string) KeptRecipe::factory()->for($study)->create()->id,
        '{entry}' => (string) KeptRecipe::factory()->for($study)->create()->id,
    ];
}

/** @return array<string, int> rows by table, but for what is a cache, a session or a count of what was sent */
function allRows(): array
{
    $rows = [];
    foreach (DB::select('show tables') as $table) {
        $name = (string) array_values((array) $table)[0];
        if (! in_array($name, ['cache', 'cache_locks', 'sessions', 'computed', 'jobs', 'account_clocks'], true)) {
            $rows[$name] = DB::table($name)->count();
        }
    }

    return $rows;
}

it('gives whoever is not signed in nothing at all, whatever is asked', function () {
    $own = belongings($this->study($this->artist('owner')));
    $before = allRows();
    auth()->logout();
    foreach (everyWay() as [$method, $path]) {
        $status = $this->json($method, strtr($path, $own))->status();
        // A plan that is shown is there for whoever has its link, and nobody has this one.
        expect($status)->toBe(str_contains($path, '/shared/') ? 404 : 401, "$method $path");
    }
    expect(allRows())->toBe($before)->and(count(everyWay()))->toBeGreaterThan(70);
});

it('has nothing of one account for another, by any of its addresses, nor through a study of one\'s own', function () {
    $theirs = belongings($this->study($this->artist('owner')));
    $stranger = $this->artist('stranger');
    $study = $this->study($stranger);
    $this->withoutMiddleware(Illuminate\Routing\Middleware\ThrottleRequests::class);
    $before = allRows();
    $clock = AccountClock::read(Study::query()->findOrFail($theirs['{study}'])->user_id);
    $names = implode('|', array_map(static fn (string $n): string => preg_quote($n, '~'), array_keys($theirs)));
    foreach (everyWay() as [$method, $path]) {
        if (preg_match("~$names~", $path) !== 1) {
            continue;
        }
        $body = ['key' => 'a-key-of-one', 'name' => 'mine now', 'kind' => 'proposeZones', 'most' => 8, 'passes' => 1];
        // What is deleted already is as gone as what never was one's own: that answer alone is no refusal.
        $may = $method === 'DELETE' && $path === '/api/studies/{study}' ? [204, 404] : [404];
        expect($this->actingAs($stranger)->json($method, strtr($path, $theirs), $body)->status())->toBeIn($may, "$method $path");
        // A page opened before addresses changed is told to open itself again (425).
        $within = strtr($path, ['{study}' => (string) $study->id] + $theirs);
        if (str_contains($path, '{study}') && preg_match('~\{(photo|check|keptRecipe|entry)\}~', $path) === 1) {
            expect($this->json($method, $within, $body)->status())->toBeIn([404, 422, 425], "$method $path through an own study");
        }
    }
    expect(allRows())
        ->toBe($before)
        ->and(Study::query()->whereKey($theirs['{study}'])->value('name'))
        ->toBe('Two halves')
        ->and(User::query()->count())
        ->toBe(2)
        // What the owner's page has is not new to it through anything a stranger sends.
        ->and(AccountClock::read(Study::query()->findOrFail($theirs['{study}'])->user_id))
        ->toBe($clock);
});
