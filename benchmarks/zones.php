<?php

declare(strict_types=1);

// How well proposed zones keep to a picture's edges: on the demo's two photos, scenes made here, and whatever photographs lie in a folder.
// ./bench --zones [FOLDER] runs it.

use Benchmarks\Scenes;
use Benchmarks\Table;
use Benchmarks\ZoneBorders;
use KnottyPrism\Core\Photo\Zones\ZoneMap;

require __DIR__.'/../vendor/autoload.php';

Table::head('zones proposed, at most 12: share of their borders that lies on an edge of the photo, and gradients cut');
$shares = $cuts = $times = [];
foreach (Scenes::all($argv[1] ?? null) as $name => $grid) {
    $start = hrtime(true);
    $map = ZoneMap::proposed($grid, 12);
    $times[] = (hrtime(true) - $start) / 1e9;
    $borders = new ZoneBorders($grid, $map->labels);
    $shares[] = $borders->onEdges();
    $cuts[] = count($borders->cutGradients());
    printf("%-28s %3d zones %8.1f %% on edges   %d gradients cut%s\n", $name, count($map->zones), 100 * $borders->onEdges(), count($borders->cutGradients()), $borders->cutGradients() === [] ? '' : ': '.implode('; ', array_map(static fn (array $pair): string => implode(' | ', array_map(static fn (int $z): string => $map->zones[$z]->name, $pair)), $borders->cutGradients())));
}
printf("%-58s %9.1f %%\n", 'share of borders on edges, mean', 100 * array_sum($shares) / count($shares));
printf("%-58s %9d     none\n", 'gradients cut', array_sum($cuts));
Table::row('zones proposed', $times, 's', '', 2);
