<?php

declare(strict_types=1);

// Ways of looking, zones and what is asked of them, at the size of a screen. ./bench --looking runs it; it takes seconds.

use Benchmarks\Table;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Photo\Borders\FindGradedBorders;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;
use KnottyPrism\Core\Photo\Reading\NeutralBalance;
use KnottyPrism\Core\Photo\Reading\PhotoComparison;
use KnottyPrism\Core\Photo\Viewing\Push;
use KnottyPrism\Core\Photo\Viewing\Squint;
use KnottyPrism\Core\Photo\Viewing\Tone;
use KnottyPrism\Core\Photo\Viewing\WayOfLooking;
use KnottyPrism\Core\Photo\Zones\KeptWhites;
use KnottyPrism\Core\Photo\Zones\Neighbours;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

require __DIR__.'/../vendor/autoload.php';

function bytesOf(string $light, int $width): string
{
    $image = new Imagick(__DIR__."/../demo/photos/low-water-$light.jpg");
    $image->resizeImage($width, intdiv($width * 3, 4), Imagick::FILTER_BOX, 1);
    $image->setImageDepth(8);
    $image->setImageFormat('rgb');

    return $image->getImageBlob();
}

$milliseconds = static fn (array $seconds): array => array_map(static fn (float $s): float => $s * 1e3, $seconds);
$photo = new PixelWindow(720, 540, bytesOf('morning', 720));
$grid = PixelGrid::ofSrgb(240, 180, bytesOf('morning', 240));
$sheet = ZoneSheet::proposed($grid, 14);

Table::head('ways of looking, 720 × 540, worked out again');
$ways = [
    'grey' => new WayOfLooking(Tone::Grey),
    'nine steps' => new WayOfLooking(Tone::Steps),
    'one value alone, in colour' => new WayOfLooking(only: 5),
    'squint, hard' => new WayOfLooking(squint: Squint::Hard),
    'ten steps, 1 the lightest, half squint' => new WayOfLooking(Tone::Steps, new ValueScale(10, true), squint: Squint::Half),
    'balanced' => new WayOfLooking(balance: new NeutralBalance(Lab::ofHex('#e8dfc8'))),
];
foreach ($ways as $name => $way) {
    Table::row($name, $milliseconds(Table::times(9, static fn () => $way->at($photo))), 'ms', 'under 300');
}
Table::row(
    'a zone tried darker, in grey',
    $milliseconds(Table::times(9, static fn () => (new WayOfLooking())->at($photo, new Push($sheet, 1, -11)))),
    'ms',
    'under 300',
);
Table::row('shares of nine values', $milliseconds(Table::times(9, static fn () => (new WayOfLooking())->shares($photo))), 'ms');

Table::head("\nzones, 240 × 180");
Table::row('proposed', $milliseconds(Table::times(5, static fn () => ZoneSheet::proposed($grid, 14))), 'ms', 'under 5000');
$whites = (new KeptWhites())->on($grid);
Table::row(
    'all read: shades, ranges, kept whites',
    $milliseconds(
        Table::times(
            5,
            static fn () => array_map(
                static fn (int $n, array $pixels) => ZoneReading::of($grid, $pixels, $sheet->note($n), $whites),
                array_keys($sheet->pixels()),
                $sheet->pixels(),
            ),
        ),
    ),
    'ms',
);
Table::row(
    'outlines, neighbours, and borders that grade',
    $milliseconds(
        Table::times(
            5,
            static fn () => [
                Neighbours::tooAlike($sheet, $grid, new Outlines($sheet->labels)),
                FindGradedBorders::in($sheet->labels, $grid),
            ],
        ),
    ),
    'ms',
);
Table::row(
    'one zone split',
    $milliseconds(Table::times(9, static fn () => $sheet->split($sheet->labels->at(50 / 240, 80 / 180), [[-0.1, 0.45], [0.5, 0.4]]))),
    'ms',
);
$evening = PixelGrid::ofSrgb(240, 180, bytesOf('evening', 240));
Table::row('two photos compared', $milliseconds(Table::times(5, static fn () => new PhotoComparison($grid, $evening))), 'ms');
printf("%-58s %12s\n", 'peak memory', round(memory_get_peak_usage(true) / 1e6).' MB');
