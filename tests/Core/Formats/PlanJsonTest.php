<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Formats\Drawers\Palette;
use KnottyPrism\Core\Formats\PlanJson;
use KnottyPrism\Core\Formats\Text\BoundedJson;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use Tests\Core\Pencils;

/** @return array<string, mixed> a plan of two zones as the command line writes it, as far as a check reads it */
function planOfTwo(): array
{
    $shade = static fn (string $shade, array $lab): array => [
        'name' => $shade,
        'called' => $shade,
        'lab' => $lab,
        'fittedLab' => $lab,
        'share' => 0.5,
    ];

    return [
        'zones' => [
            [
                'name' => 'rope',
                'shades' => [
                    $shade('light', [70, 5, 20]),
                    $shade('dark', [35, 5, 12]),
                    ['called' => 'tar'] + $shade('touch', [20, 0, 0]),
                ],
                'sequence' => [
                    ['pencil' => 'yellow', 'pressures' => ['light' => 'light', 'dark' => 'medium', 'touch' => null]],
                    ['pencil' => 'blue', 'pressures' => ['light' => null, 'dark' => 'medium', 'touch' => 'firm']],
                ],
            ],
            [
                'name' => 'sky',
                'shades' => [$shade('mid', [80, -2, -8])],
                'sequence' => [['pencil' => 'blue', 'pressures' => ['mid' => 'whisper']]],
            ],
        ],
    ];
}

function drawingOf(array $plan, int $zones = 2): KnottyPrism\Core\Chart\Check\DrawingPlan
{
    $labels = LabelGrid::ofNumbers(4, 2, array_map(static fn (int $at): int => 3 + ($at % $zones), range(0, 7)));

    return PlanJson::drawing(
        (string) json_encode($plan),
        $labels,
        PixelGrid::ofSrgb(4, 2, str_repeat("\x80\x70\x60", 8)),
        new Drawer([Pencils::named('yellow'), Pencils::named('blue')]),
        Paper::whiteMedium(),
    );
}

it('reads a plan again as far as a drawing is held against it', function () {
    $drawing = drawingOf(planOfTwo());
    [$rope, $sky] = $drawing->zones;
    // Zones stand for the labels in the order of their numbers; touches are too small to be read in a photo.
    expect([$rope->name, $rope->number, $sky->name, $sky->number])
        ->toBe(['rope', 3, 'sky', 4])
        ->and(array_map(static fn ($s): ShadeName => $s->of, $rope->shades))
        ->toBe([ShadeName::Light, ShadeName::Dark])
        ->and($rope->shades[1]->stack->text())
        ->toContain('blue')
        ->and(count($rope->shades[0]->done(1)->steps))
        ->toBe(1)
        ->and(count($rope->shades[0]->done(2)->steps))
        ->toBe(1)
        ->and(count($rope->shades[1]->done(2)->steps))
        ->toBe(2)
        ->and($rope->shades[0]->seen->l)
        ->toBe(70.0)
        ->and($drawing->shape())
        ->toBe(2.0);
});

it('says what is wrong with a plan that is none, or not of these labels', function (Closure $broken, string $says, int $zones = 2) {
    expect(fn () => drawingOf($broken(planOfTwo()), $zones))->toBeRefused($says);
})->with([
    'another number of zones' => [fn (array $p): array => $p, 'layers.png has 3 zones, plan.json 2', 3],
    'no zones' => [fn (array $p): array => ['zones' => 'none'], 'plan.json is not as prism plan writes it'],
    'no sequence' => [
        function (array $p): array {
            unset($p['zones'][0]['sequence']);

            return $p;
        },
        'plan.json is not as prism plan writes it',
    ],
    'a colour that is none' => [
        function (array $p): array {
            $p['zones'][1]['shades'][0]['lab'] = [1, 2];

            return $p;
        },
        'plan.json is not as prism plan writes it',
    ],
    'a pencil that is not in the drawer' => [
        function (array $p): array {
            $p['zones'][1]['sequence'][0]['pencil'] = 'green';

            return $p;
        },
        'green',
    ],
]);

it('reads a damaged plan in what is sound, or refuses it, and never fails otherwise', function () {
    $text = (string) json_encode(planOfTwo());
    $chance = new Chance(4);
    $labels = LabelGrid::ofNumbers(2, 1, [1, 2]);
    $photo = PixelGrid::ofSrgb(2, 1, str_repeat("\x80", 6));
    $drawer = new Drawer([Pencils::named('yellow'), Pencils::named('blue')]);
    for ($n = 0; $n < 150; $n++) {
        $at = (int) $chance->between(0, strlen($text) - 1);
        $damaged =
            $n % 2 === 0
                ? substr($text, 0, $at)
                : substr_replace($text, ['null', '{}', '"x"', '[]', '-1e9'][$n % 5], $at, (int) $chance->between(0, 12));
        try {
            expect(count(PlanJson::drawing($damaged, $labels, $photo, $drawer, Paper::whiteMedium())->zones))->toBe(2);
        } catch (CoreError $error) {
            expect($error->getMessage())->not->toBe('');
        }
    }
});

it('reads what is laid, for all zones or by their names', function () {
    $zones = drawingOf(planOfTwo())->zones;
    $laid = PlanJson::progress('{"passes": 2, "zones": {"sky": 0}}', $zones);
    expect($laid->of(3))
        ->toBe(2)
        ->and($laid->of(4))
        ->toBe(0)
        ->and(PlanJson::progress('{"zones": {"rope": 1}}', $zones)->of(4))
        ->toBe(0);
    foreach (
        [
            '{"passes": "two"}' => 'What is laid is JSON',
            '[1, 2' => 'What is laid is JSON',
            '{"zones": {"hill": 1}}' => 'no zone called "hill"',
            '{"zones": {"rope": "all"}}' => 'What is laid is JSON',
        ] as $text => $says
    ) {
        expect(fn () => PlanJson::progress($text, $zones))->toBeRefused($says);
    }
});

it('counts the values of JSON before any of them is made', function () {
    BoundedJson::check('[1, 2, 3]', 5, 'The list');
    expect(BoundedJson::decoded('{"a": [1, 2]}', 10, 'It'))
        ->toBe(['a' => [1, 2]])
        ->and(BoundedJson::decoded('{"a": ', 10, 'It'))
        ->toBeNull();
    expect(fn () => BoundedJson::check(str_repeat('{},', 200000), 100000, 'The file'))->toThrow(
        BadFile::class,
        'The file holds about 400,001 values; up to 100,000 can be read.',
    );
});

it('writes a palette that it reads back, whatever is in a name, and names the lines that are no colours', function () {
    $text = Palette::ofColours("Low\nwater", [['#c8b490', '711 Dry reed'], ['#101820', "728\tWet\x07slate"], ['#ffffff', 'chalk']]);
    expect(Palette::it()->isOne($text))
        ->toBeTrue()
        ->and(substr_count($text, "\n"))
        ->toBe(7);
    $read = Palette::it()->read($text);
    expect($read->problems)
        ->toBe([])
        ->and(
            array_map(
                static fn ($row): array => [$row->record->number, $row->record->name, $row->record->heavy],
                array_values($read->rows),
            ),
        )
        ->toBe([['711', 'Dry reed', '#c8b490'], ['728', 'Wet slate', '#101820'], ['7', 'chalk', '#ffffff']]);
    $poor = Palette::it()->read("GIMP Palette\n# by hand\n 12 13\n300 0 0 Too much\n 1 2 3 711 One\n 4 5 6 711 Twice\n");
    expect($poor->problems)
        ->toHaveCount(2)
        ->and($poor->problems[0])
        ->toStartWith('line 3:')
        ->and($poor->problems[1])
        ->toStartWith('line 4:')
        ->and(array_map(static fn ($row): string => $row->record->number, array_values($poor->rows)))
        ->toBe(['711', '6']);
    expect(fn () => Palette::it()->read("GIMP Palette\nName: nothing\n"))->toBeRefused('holds no colours');
});
