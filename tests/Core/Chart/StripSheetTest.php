<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Sheet\ChartBox;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\SuggestedStrips;

/** @return array<string, Stack> eight strips of the demo's pencils, by their text */
function eightStrips(): array
{
    $strips = SuggestedStrips::of(array_values(chartPencils()), 8);

    return array_combine(array_map(static fn (Stack $s): string => $s->text(), $strips), $strips);
}

/** @param  array<string, Stack>|null  $laid */
function stripsLaid(Hand $hand, int $seed, ?array $laid = null): FilledSheet
{
    return new FilledSheet(
        ChartSheet::ofStrips(array_keys(eightStrips()), 'a5'),
        0,
        $laid ?? eightStrips(),
        Paper::whiteMedium()->under($hand),
        $seed,
    );
}

it('reads strips off a photo, each try by itself, and leaves out what was not laid', function () {
    $some = array_slice(eightStrips(), 0, 5, true);
    $filled = stripsLaid(Hand::even(), 6, $some);
    $reading = chartRead($filled, Shot::ordinary(6));
    $strips = $reading->strips(eightStrips());
    expect($strips)->toHaveCount(10)->and($reading->boxes)->toHaveCount(16)->and($reading->swatches())->toBe([]);
    foreach ($filled->truth as $i => [$box, $lab]) {
        expect($strips[$i]->stack->text())
            ->toBe($box->pencil)
            ->and($strips[$i]->found->deltaE00($lab))
            ->toBeLessThan(4.0);
    }
});

it('learns a hand from one photo of strips, which way and about how far', function (float $pressure) {
    $found = [];
    foreach ([1, 2, 3] as $seed) {
        $reading = chartRead(stripsLaid(new Hand(pressure: $pressure), $seed), Shot::ordinary($seed), 700);
        $found[] = LearnHand::from($reading->strips(eightStrips()), Paper::whiteMedium())->hand->pressure;
    }
    sort($found);
    expect(abs($found[1] / $pressure - 1))->toBeLessThan(0.12);
})->with(['lighter' => [0.8], 'heavier' => [1.3]]);

it('lays a strip sheet within its page, and does not take it for a sheet of pencils', function () {
    $sheet = ChartSheet::ofStrips(array_keys(eightStrips()), 'a5');
    foreach ($sheet->pages[0] as $box) {
        expect($box->x)
            ->toBeGreaterThan(12.0)
            ->and($box->x + $box->width)
            ->toBeLessThan(148.0 - 12.0)
            ->and($box->y + $box->height)
            ->toBeLessThan(210.0 - 12.0);
    }
    expect(
        array_map(
            static fn (ChartBox $b): array => $b->toArray(),
            ChartSheet::read(json_encode($sheet->toArray(), JSON_THROW_ON_ERROR))->pages[0],
        ),
    )
        ->toBe(array_map(static fn (ChartBox $b): array => $b->toArray(), $sheet->pages[0]))
        ->and(fn () => ChartSheet::ofStrips(array_map(strval(...), range(1, 13)), 'a5'))
        ->toThrow(OutOfRange::class)
        ->and(
            fn () => ReadChart::page(
                BenchCamera::photograph(stripsLaid(Hand::even(), 2)->flat, new Shot(), 1100, 2),
                ChartSheet::of(['1', '2'], 'a5'),
                Paper::whiteMedium(),
            ),
        )
        ->toThrow(BadPhoto::class);
});
