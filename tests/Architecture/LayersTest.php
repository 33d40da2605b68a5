<?php

declare(strict_types=1);

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

arch('what the application does knows nothing of how it is shown')
    ->expect('App\Services')
    ->not->toUse('App\Presenters');

// The house: what a folder may know. A room above may use those below it, never the other way round.
it('builds the core from the bottom up', function () {
    $floor = ['Error' => 0, 'Colour' => 1, 'Medium' => 2, 'Drawer' => 3, 'Photo' => 3, 'Recipe' => 4, 'Picture' => 5, 'Formats' => 6];
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

it('has no two folders of the core that need each other, by whatever detour', function () {
    expect((new Imports(base('core'), 'KnottyPrism\\Core\\'))->cycles())->toBe([]);
});

it('keeps folders small enough to be looked through', function () {
    $large = array_filter((new Imports(base('core'), 'KnottyPrism\\Core\\'))->files, static fn (int $files): bool => $files > 20);
    expect($large)->toBe([]);
});

function base(string $folder): string
{
    return dirname(__DIR__, 2)."/$folder";
}
