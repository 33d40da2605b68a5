<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Formats\PlanSteps;
use KnottyPrism\Core\Photo\Grid\LabelGrid;

$labels = LabelGrid::ofNumbers(4, 2, [1, 1, 3, 3, 1, 1, 3, 3]);

/** @return array<string, mixed> a zone of a plan.json, as far as the order asks for it */
function zoneOfJson(string $name, array $sequence, float $white = 0.0): array
{
    $shade = static fn (string $name, string $shade, float $l, float $share): array => [
        'name' => $name,
        'shade' => $shade,
        'share' => $share,
        'lab' => [$l, 0, 0],
    ];

    return [
        'name' => $name,
        'keptWhite' => $white,
        'shades' => [$shade('mid', 'mid', 60, 0.6), $shade('dark', 'dark', 30, 0.3), $shade('touch', 'touch', 50, 0.1)],
        'sequence' => $sequence,
    ];
}

$pass = static fn (string $tool, ?string $mid, ?string $dark, ?string $touch): array => [
    ...$tool === 'solvent' ? ['finish' => $tool] : ['pencil' => $tool],
    'pressures' => ['mid' => $mid, 'dark' => $dark, 'touch' => $touch],
];

test('a plan.json becomes steps at the size of the drawing, touches after values', function () use ($labels, $pass): void {
    $json = json_encode([
        'zones' => [
            zoneOfJson('sea', [
                $pass('L/1', 'light', 'medium', 'light'),
                $pass('L/2', null, null, 'firm'),
                $pass('L/3', 'medium', 'full', null),
                $pass('solvent', 'medium', 'medium', null),
            ]),
            zoneOfJson('rope', [$pass('L/1', 'light', 'light', null)], white: 0.5),
        ],
    ]);
    [$plan, $shades] = PlanSteps::of((string) $json, $labels, 200.0, new WorkingHabits());
    expect($shades)
        ->toBe([1 => ['mid', 'dark', 'touch'], 3 => ['mid', 'dark', 'touch']])
        ->and(array_map(static fn ($s): string => "$s->pass $s->tool", $plan->steps[1]))
        ->toBe(['0 L/1', '2 L/3', '3 solvent', '1 L/2'])
        ->and($plan->steps[1][2]->drying)
        ->toBe(5.0)
        ->and($plan->steps[1][3]->touches)
        ->toBeTrue()
        ->and($plan->zones[1]->area)
        ->toEqualWithDelta(100.0 * 100.0, 1e-6)
        ->and($plan->zones[3]->area)
        ->toEqualWithDelta(0.5 * 100.0 * 100.0, 1e-6)
        ->and([$plan->zones[1]->x, $plan->zones[3]->x])
        ->toEqual([50.0, 150.0])
        ->and($plan->steps[1][0]->minutes)
        ->toBeGreaterThan($plan->steps[3][0]->minutes);
});

test('what is no plan, or not the plan of these layers, is refused with a sentence', function (string $json, string $says) use (
    $labels,
): void {
    expect(static fn (): array => PlanSteps::of($json, $labels, 200.0, new WorkingHabits()))->toThrow(BadFile::class, $says);
})->with([
    'no JSON' => ['{', 'not as prism plan writes it'],
    'no zones' => ['{"zones": {}}', 'not of the same plan'],
    'one zone' => [(string) json_encode(['zones' => [zoneOfJson('sea', [])]]), '2 zones, plan.json 1'],
    'no shades' => ['{"zones": [{"name": "a"}, {"name": "b"}]}', 'want a name, shades and a sequence'],
    'no tool' => [(string) json_encode(['zones' => [zoneOfJson('sea', [['pressures' => []]]), zoneOfJson('rope', [])]]), 'want a name'],
    'no pressure' => [
        (string) json_encode([
            'zones' => [zoneOfJson('sea', [['pencil' => 'L/1', 'pressures' => ['mid' => 'hard']]]), zoneOfJson('rope', [])],
        ]),
        'want a name',
    ],
    'a share that is none' => [
        str_replace('"share":0.6', '"share":"much"', (string) json_encode(['zones' => [zoneOfJson('sea', []), zoneOfJson('rope', [])]])),
        'want a name',
    ],
]);
