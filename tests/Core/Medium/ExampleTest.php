<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\Paper;

it('lays the example of empty screens as the page shows it, and near its colour', function () {
    $root = dirname(__DIR__, 3);
    $drawer = DrawerFile::drawer((string) file_get_contents("$root/demo/drawer.csv"));
    $example = json_decode((string) file_get_contents("$root/resources/ts/app/exampleRecipe.json"), true);
    foreach ($example['passes'] as $pass) {
        $sheet = StackText::read($pass['stack'], $drawer)->on(Paper::whiteMedium());
        expect($sheet->dab())->toBe($pass['strata'], $pass['stack']);
    }
    expect(count($example['passes']))
        ->toBe(3)
        ->and(Lab::ofReflectance($sheet->meanReflectance())->deltaE00(Lab::ofHex($example['colour'])))
        ->toBeLessThan(1.0);
});
