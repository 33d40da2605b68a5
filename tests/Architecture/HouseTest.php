<?php

declare(strict_types=1);

use Composer\InstalledVersions;
use Tests\Architecture\House;

function base(string $path): string
{
    return dirname(__DIR__, 2)."/$path";
}

/**
 * A house in a folder of its own.
 *
 * @param  array<string, string>  $files  what comes after "<?php", by path; of other files all of it
 */
function aHouseOf(array $files): House
{
    $root = sys_get_temp_dir().'/kp-house-'.bin2hex(random_bytes(6));
    foreach ($files as $path => $content) {
        is_dir(dirname("$root/$path")) || mkdir(dirname("$root/$path"), recursive: true);
        file_put_contents("$root/$path", str_ends_with($path, '.php') ? "<?php\n$content" : $content);
    }
    register_shutdown_function(static fn () => exec('rm -rf '.escapeshellarg($root)));

    return new House($root);
}

/** @return list<string> */
function guards(): array
{
    return array_values(array_diff(get_class_methods(House::class), ['__construct']));
}

it('holds', function (string $guard) {
    expect((new House(rtrim(base(''), '/')))->$guard())->toBe([]);
})->with(guards());

/** @return array<string, list<array<string, string>>> files that the guard must refuse, each on its own */
function counterExamples(): array
{
    $class = static fn (
        string $namespace,
        string $body,
        string $uses = '',
    ): string => "namespace $namespace;\n$uses\nfinal class Made\n{\n    $body\n}\n";
    $core = 'KnottyPrism\Core';
    $lines = static fn (int $n): string => str_repeat("        \$a = 1;\n", $n);

    return [
        'foreignInCore' => [
            ['core/Medium/Made.php' => $class("$core\\Medium", 'public ?Collection $a = null;', 'use Illuminate\Support\Collection;')],
            [
                'core/Medium/Made.php' => $class(
                    "$core\\Medium",
                    'public function a(): \App\Models\Study { return new \App\Models\Study; }',
                ),
            ],
            ['core/Medium/Made.php' => $class("$core\\Medium", 'public function a(): int { return count(collect([1])); }')],
        ],
        'inputAndOutputInCore' => [
            ['core/Medium/Made.php' => $class("$core\\Medium", 'public function a(): int { return time(); }')],
            ['core/Medium/Made.php' => $class("$core\\Medium", 'public function a(): void { echo 1; }')],
            ['core/Medium/Made.php' => $class("$core\\Medium", 'public function a(): mixed { return scandir("/etc"); }')],
            ['core/Formats/Made.php' => $class("$core\\Formats", 'public function a(): mixed { return fopen("/etc/hostname", "r"); }')],
        ],
        'debugging' => [
            ['app/Plans/Made.php' => $class('App\Plans', 'public function a(): void { dd(1); }')],
            ['core/Made.php' => $class($core, 'public function a(): void { \var_dump(1); }')],
        ],
        'looseTypes' => [['app/Made.php' => $class('App', '')]],
        'openClasses' => [['core/Error/Made.php' => "namespace $core\\Error;\nclass Made\n{\n}\n"]],
        'upwardInCore' => [
            [
                'core/Colour/Made.php' => $class("$core\\Colour", 'public ?Sheet $a = null;', "use $core\\Medium\\Sheet;"),
                'core/Medium/Sheet.php' => "namespace $core\\Medium;\nfinal class Sheet {}",
            ],
            [
                'core/Photo/Zones/Made.php' => $class("$core\\Photo\\Zones", "public ?\\$core\\Drawer\\Stock\\Tray \$a = null;"),
                'core/Drawer/Stock/Tray.php' => "namespace $core\\Drawer\\Stock;\nfinal class Tray {}",
            ],
        ],
        'cycles' => [
            // Of single folders, by a detour.
            [
                'app/Plans/A.php' => $class('App\Plans', 'public ?B $b = null;', 'use App\Desk\B;'),
                'app/Desk/B.php' => $class('App\Desk', 'public ?C $c = null;', 'use App\Book\C;'),
                'app/Book/C.php' => $class('App\Book', 'public ?A $a = null;', 'use App\Plans\A;'),
            ],
            // Of two rooms, though no two of their folders need each other.
            [
                'core/Medium/Laying/A.php' => $class("$core\\Medium\\Laying", 'public ?B $b = null;', "use $core\\Recipe\\Search\\B;"),
                'core/Recipe/Search/B.php' => $class("$core\\Recipe\\Search", ''),
                'core/Recipe/Method/C.php' => $class("$core\\Recipe\\Method", 'public ?D $d = null;', "use $core\\Medium\\Paper\\{D};"),
                'core/Medium/Paper/D.php' => $class("$core\\Medium\\Paper", 'public ?C $c = null;', "use $core\\Recipe\\Method\\C;"),
            ],
            [
                'app/Answers/Book/A.php' => $class('App\Answers\Book', 'public ?B $b = null;', 'use App\Book\B;'),
                'app/Book/B.php' => $class('App\Book', 'public ?C $c = null;', 'use App\Answers\C;'),
                'app/Answers/C.php' => $class('App\Answers', ''),
            ],
        ],
        'thickControllers' => [
            [
                'app/Http/Controllers/Book/Deep/Made.php' => $class(
                    'App\Http\Controllers\Book\Deep',
                    'public function a(): void { DB::table("a"); }',
                    'use Illuminate\Support\Facades\DB;',
                ),
            ],
            [
                'app/Http/Controllers/Made.php' => $class(
                    'App\Http\Controllers',
                    'public function a(): void { new StackSearch; }',
                    "use $core\\Recipe\\Search\\StackSearch;",
                ),
            ],
            [
                'app/Http/Controllers/Desk/Made.php' => $class(
                    'App\Http\Controllers\Desk',
                    'public function a($request): void { $request->validate([]); }',
                ),
            ],
        ],
        'askingResources' => [
            [
                'app/Resources/Made.php' => $class(
                    'App\Resources',
                    'public function a(): void { Study::query(); }',
                    'use App\Models\Study;',
                ),
            ],
        ],
        'jobsCalled' => [
            [
                'app/Plans/Made.php' => $class(
                    'App\Plans',
                    'public function a(): void { TakePlanTurn::dispatch(); }',
                    'use App\Jobs\TakePlanTurn;',
                ),
            ],
        ],
        'fullFolders' => [array_fill_keys(array_map(static fn (int $n): string => "core/Colour/A$n.php", range(1, 21)), '')],
        'longLines' => [['app/Long.php' => "<?php\n\n// ".str_repeat('a', 138)."\n"]],
        'longFiles' => [['resources/ts/long.tsx' => str_repeat("a();\n", 301)]],
        'longFunctions' => [
            ['app/Made.php' => $class('App', "public function a(): void\n    {\n{$lines(75)}    }")],
            [
                'core/Made.php' => $class(
                    $core,
                    "public function a(): \\Closure\n    {\n        return static function () {\n{$lines(75)}        };\n    }",
                ),
            ],
        ],
        'wordsOfOld' => [
            ['resources/ts/words.tsx' => '// Asked a'.'new.'],
            ['core/Made.php' => $class($core, '/** @return ?int null '.'where there is none */')],
        ],
        'wordsOnScreens' => [
            ['resources/ts/words.tsx' => "<p>\n    Taking in pencil 3.</p>"],
            ['app/Made.php' => $class('App', "public const A = 'About 4 mm are wanting.';")],
        ],
        'wordsInDocs' => [
            ['docs/made.md' => "Errors are 3\nin the\nmean."],
        ],
        'keyedArraysInCore' => [
            [
                'core/Desk/Made.php' => $class(
                    "$core\\Desk",
                    "/** @return array{minutes: int} */\n    public function a(): array { return ['minutes' => 1]; }",
                ),
            ],
        ],
    ];
}

it('is refused by', function (string $guard, array $files) {
    expect(aHouseOf($files)->$guard())->not->toBe([]);
})->with(static function (): iterable {
    foreach (counterExamples() as $guard => $houses) {
        foreach ($houses as $number => $files) {
            yield "$guard, counter-example ".($number + 1) => [$guard, $files];
        }
    }
});

it('has a counter-example for each guard', function () {
    expect(array_keys(counterExamples()))->toEqualCanonicalizing(guards());
});

it('does not take a house for wrong that is not', function () {
    $house = aHouseOf([
        'core/Medium/Sheet.php' => "declare(strict_types=1);\nnamespace KnottyPrism\\Core\\Medium;\nuse "
            ."KnottyPrism\\Core\\Colour\\Lab;\nfinal class Sheet implements \\JsonSerializable\n{\n    public ?Lab \$lab = null;\n    "
            ."public function jsonSerialize(): int { return (int) round(1.2); }\n}\n",
        'core/Colour/Lab.php' => "declare(strict_types=1);\nnamespace KnottyPrism\\Core\\Colour;\nfinal class Lab\n{\n    // time() is "
            ."read nowhere: Sheet, App\\Models\\Study\n    public string \$words = 'dd(1)';\n}\n",
        'app/Http/Controllers/LabController.php' => "declare(strict_types=1);\nnamespace App\\Http\\Controllers;\nuse "
            ."App\\Jobs\\Mix;\nuse KnottyPrism\\Core\\Colour\\Lab;\nfinal class LabController { public function a(): void { "
            ."Mix::dispatch(new Lab); } }\n",
        'app/Jobs/Mix.php' => "declare(strict_types=1);\nnamespace App\\Jobs;\nfinal class Mix {}\n",
    ]);
    expect(array_merge(...array_map(static fn (string $guard): array => $house->$guard(), guards())))->toBe([]);
});

it('names a version for everything that is installed (composer.versions)', function () {
    $installed = array_filter(
        array_unique(InstalledVersions::getInstalledPackages()),
        static fn (string $name): bool => $name !== 'knotty-prism/knotty-prism' && InstalledVersions::getInstallPath($name) !== null,
    );
    $lines = file(base('composer.versions'), FILE_IGNORE_NEW_LINES) ?: [];
    expect(array_map(static fn (string $line): string => explode(':', $line)[0], $lines))
        ->toEqualCanonicalizing(array_values($installed))
        ->and(preg_grep('~^[a-z0-9/_.-]+:[0-9]+(\.[0-9]+)+$~', $lines, PREG_GREP_INVERT))
        ->toBe([]);
});
