<?php

declare(strict_types=1);

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
    ->not->toUse(['KnottyPrism\Core\Planning\StackSearch', 'KnottyPrism\Core\Medium\LayPass', 'KnottyPrism\Core\Medium\Film']);

arch('colour knows nothing of pencils, and the medium nothing of planning')
    ->expect('KnottyPrism\Core\Colour')
    ->not->toUse(['KnottyPrism\Core\Medium', 'KnottyPrism\Core\Planning', 'KnottyPrism\Core\Drawer', 'KnottyPrism\Core\Formats']);

arch('the medium does not plan')
    ->expect('KnottyPrism\Core\Medium')
    ->not->toUse(['KnottyPrism\Core\Planning', 'KnottyPrism\Core\Formats', 'KnottyPrism\Core\Drawer']);
