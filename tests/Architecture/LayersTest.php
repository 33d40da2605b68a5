<?php

declare(strict_types=1);

use Composer\InstalledVersions;
use Tests\Architecture\Imports;

arch('the core knows no framework, no database and no interface')
    ->expect('KnottyPrism\Core')
    ->toUseNothing()
    ->ignoring('KnottyPrism\Core');

arch('the core declares strict types')
    ->expect('KnottyPrism\Core')
    ->toUseStrictTypes();

arch('nothing leaves a debugging aid behind')
    ->expect(['dd', 'dump', 'ray', 'var_dump', 'print_r', 'die'])
    ->not->toBeUsed();

arch('the core does no input or output beyond its arguments')
    ->expect('KnottyPrism\Core')
    ->not->toUse(['file_get_contents', 'file_put_contents', 'echo', 'time', 'microtime', 'rand', 'mt_rand', 'random_int', 'getenv']);

arch('values of the core are final')
    ->expect('KnottyPrism\Core')
    ->classes()
    ->toBeFinal();

arch('controllers stay thin: the search and the medium are reached through a desk of the application')
    ->expect('App\Http\Controllers')
    ->not->toUse(['KnottyPrism\Core\Recipe\Search\StackSearch', 'KnottyPrism\Core\Medium\Laying\LayPass', 'KnottyPrism\Core\Medium\Pencil\Film']);

it('keeps the rules of a request in the request', function () {
    expect(array_filter((array) glob(base('app/Http/Controllers/*.php')), static fn (string $file): bool => str_contains((string) file_get_contents($file), '$request->validate(')))->toBe([]);
});

arch('resources ask no model, cache or action: values in, JSON out')
    ->expect('App\Resources')
    ->toOnlyUse(['KnottyPrism\Core', 'App\Resources']);

arch('jobs call actions, never the other way round')
    ->expect('App\Jobs')
    ->toOnlyBeUsedIn(['App\Jobs', 'App\Http\Controllers', 'App\Providers']);

// The house: what a folder may know. A room above may use those below it, never the other way round.
it('builds the core from the bottom up', function () {
    $floor = ['Error' => 0, 'Colour' => 1, 'Medium' => 2, 'Drawer' => 3, 'Photo' => 3, 'Recipe' => 4, 'Picture' => 5, 'Desk' => 6, 'Chart' => 6, 'Book' => 7, 'Formats' => 8];
    $room = static fn (string $folder): string => explode('\\', $folder)[2];
    $wrong = [];
    foreach ((new Imports(base('core'), 'KnottyPrism\\Core\\'))->edges as $from => $needs) {
        foreach ($needs as $to => $classes) {
            if ($room($from) !== $room($to) && $floor[$room($from)] <= $floor[$room($to)]) {
                array_push($wrong, ...$classes);
            }
        }
    }
    expect($wrong)->toBe([]);
});

it('has no two folders that need each other, by whatever detour', function (string $folder, string $prefix) {
    expect((new Imports(base($folder), $prefix))->cycles())->toBe([]);
})->with(['the core' => ['core', 'KnottyPrism\\Core\\'], 'the application' => ['app', 'App\\']]);

it('keeps folders small enough to be looked through', function () {
    $full = array_filter(array_count_values(array_map(dirname(...), sourceFiles())), static fn (int $files): bool => $files > 20);
    expect($full)->toBe([]);
});

it('keeps files short enough to be read, but for what is generated', function () {
    $long = [];
    foreach (sourceFiles() as $file) {
        $lines = count((array) file($file));
        if ($lines > 250 && ! str_ends_with($file, '.gen.ts')) {
            $long[] = substr($file, strlen(base('')))." has $lines lines";
        }
    }
    expect($long)->toBe([]);
});

it('keeps functions short enough to be read', function () {
    $long = [];
    $parser = (new PhpParser\ParserFactory)->createForNewestSupportedVersion();
    foreach (array_filter(sourceFiles(), static fn (string $file): bool => str_ends_with($file, '.php') && ! str_contains($file, '/tests/')) as $file) {
        foreach ((new PhpParser\NodeFinder)->findInstanceOf((array) $parser->parse((string) file_get_contents($file)), PhpParser\Node\FunctionLike::class) as $function) {
            if ($function->getEndLine() - $function->getStartLine() >= 60) {
                $long[] = substr($file, strlen(base(''))).':'.$function->getStartLine();
            }
        }
    }
    expect($long)->toBe([]);
});

it('lets public functions of the core speak in types, not in arrays with keys', function () {
    $shapes = [];
    $parser = (new PhpParser\ParserFactory)->createForNewestSupportedVersion();
    foreach (array_filter(sourceFiles(), static fn (string $file): bool => str_starts_with($file, base('core/')) && ! str_contains($file, '/Formats/')) as $file) {
        foreach ((new PhpParser\NodeFinder)->findInstanceOf((array) $parser->parse((string) file_get_contents($file)), PhpParser\Node\Stmt\ClassMethod::class) as $method) {
            // What is kept as JSON is read and written as such.
            $isOfJson = in_array($method->name->toString(), ['ofArray', 'toArray'], true);
            if ($method->isPublic() && ! $isOfJson && preg_match('/array\{[^}]*\w+\??:/', (string) $method->getDocComment()?->getText()) === 1) {
                $shapes[] = substr($file, strlen(base(''))).' '.$method->name->toString();
            }
        }
    }
    expect($shapes)->toBe([]);
});

/** @return list<string> */
function sourceFiles(): array
{
    $files = [];
    foreach (['core', 'app', 'resources/ts', 'tests', 'benchmarks', 'database', 'routes', 'config'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(base($folder), FilesystemIterator::SKIP_DOTS)) as $file) {
            if (in_array($file->getExtension(), ['php', 'ts', 'tsx', 'mjs', 'sh'], true)) {
                $files[] = $file->getPathname();
            }
        }
    }
    sort($files);

    return $files;
}

function base(string $folder): string
{
    return dirname(__DIR__, 2)."/$folder";
}

it('names a version for everything that is installed (composer.versions)', function () {
    $installed = array_filter(array_unique(InstalledVersions::getInstalledPackages()), static fn (string $name): bool => $name !== 'knotty-prism/knotty-prism' && InstalledVersions::getInstallPath($name) !== null);
    $lines = file(dirname(__DIR__, 2).'/composer.versions', FILE_IGNORE_NEW_LINES) ?: [];
    expect(array_map(static fn (string $line): string => explode(':', $line)[0], $lines))->toEqualCanonicalizing(array_values($installed))
        ->and(preg_grep('~^[a-z0-9/_.-]+:[0-9]+(\.[0-9]+)+$~', $lines, PREG_GREP_INVERT))->toBe([]);
});
