<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Formats\HandJson;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\LearntHand;
use KnottyPrism\Core\Medium\Strips\Strip;
use KnottyPrism\Core\Medium\Strips\SuggestedStrips;
use Tests\Core\Pencils;

/** @return list<Strip> the suggested strips as a hand that wanders lays them */
function stripsBy(Hand $hand, int $count): array
{
    $pencils = array_map(Pencils::named(...), ['red', 'blue', 'green', 'dark warm grey', 'violet', 'orange']);
    $normal = static fn (): float => (2 * (mt_rand() + mt_rand() + mt_rand())) / mt_getrandmax() - 3.0;

    return array_map(static function (Stack $stack) use ($hand, $normal): Strip {
        $sheet = new Sheet(Paper::whiteMedium()->under($hand));
        foreach ($stack->passes() as $pass) {
            LayPass::onto(
                $sheet,
                $pass->pencil,
                max(0.05, min(1.0, $pass->pressure + $hand->spread * Steadiness::PRESSURE_DEVIATION * $normal())),
                1 + $hand->spread * Steadiness::LAYDOWN_DEVIATION * $normal(),
            );
        }
        $lab = Lab::ofXyz($sheet->xyz());

        return new Strip($stack, new Lab($lab->l + 0.5 * $normal(), $lab->a + 0.5 * $normal(), $lab->b + 0.5 * $normal()));
    }, SuggestedStrips::of($pencils, $count));
}

it('finds a heavier and a lighter hand, and predicts better for it', function (float $pressure) {
    mt_srand(8);
    $paper = Paper::whiteMedium();
    $off = $ratios = [];
    for ($n = 0; $n < 9; $n++) {
        $learnt = LearnHand::from(stripsBy(new Hand(pressure: $pressure), 6), $paper);
        $off[] = abs(($learnt->hand->pressure * $learnt->hand->laydown) / $pressure - 1);
        $unseen = Pencils::stack('orange@0.35 violet@0.55');
        $true = Lab::ofXyz($unseen->on($paper->under(new Hand(pressure: $pressure)))->xyz());
        $ratios[] =
            $true->deltaE00(Lab::ofXyz($unseen->on($paper->under($learnt->hand))->xyz())) /
            $true->deltaE00(Lab::ofXyz($unseen->on($paper)->xyz()));
    }
    sort($off);
    sort($ratios);
    expect($off[4])->toBeLessThan(0.08)->and($ratios[4])->toBeLessThan(0.5);
})->with([1.25, 1.4, 0.7]);

it('learns from the heaviest and the lightest hand that can be', function (float $pressure) {
    mt_srand(4);
    $pressures = array_map(
        static fn (): float => LearnHand::from(stripsBy(new Hand(pressure: $pressure), 12), Paper::whiteMedium())->hand->pressure,
        range(1, 8),
    );
    expect(min($pressures))->toBeGreaterThanOrEqual(0.5)->and(max($pressures))->toBeLessThanOrEqual(2.0);
})->with([0.5, 2.0]);

it('invents nothing where a hand is even, and says so', function () {
    mt_srand(3);
    $paper = Paper::whiteMedium();
    $learnt = array_map(static fn (): LearntHand => LearnHand::from(stripsBy(new Hand(), 12), $paper), range(1, 15));
    $off = array_map(static fn (LearntHand $l): float => abs($l->film($paper) - 1), $learnt);
    sort($off);
    expect($off[7])
        ->toBeLessThan(0.01)
        ->and(count(array_filter($learnt, static fn (LearntHand $l): bool => str_contains($l->words($paper), 'about as much as planned'))))
        ->toBeGreaterThanOrEqual(10);
    $exact = array_map(
        static fn (Strip $s): Strip => new Strip($s->stack, Lab::ofXyz($s->stack->on($paper)->xyz())),
        stripsBy(new Hand(), 12),
    );
    $learnt = LearnHand::from($exact, $paper);
    expect($learnt->hand->pressure)
        ->toBe(1.0)
        ->and($learnt->hand->drag)
        ->toBe(1.0)
        ->and($learnt->hand->spread)
        ->toBeLessThan(0.8)
        ->and($learnt->after)
        ->toBeLessThan(0.01);
});

it('learns how far passes wander', function () {
    mt_srand(12);
    $paper = Paper::whiteMedium();
    $steady = LearnHand::from(stripsBy(new Hand(spread: 0.5), 12), $paper)->hand->spread;
    expect(LearnHand::from(stripsBy(new Hand(spread: 2.0), 12), $paper)->hand->spread)
        ->toBeGreaterThan(1.3)
        ->and($steady)
        ->toBeLessThan(0.9);
});

it('says in words what it is', function (float $pressure, float $spread, string $words) {
    expect((new LearntHand(new Hand(pressure: $pressure, spread: $spread), 6, 4.0, 1.0, 0.05))->words(Paper::whiteMedium()))->toContain(
        $words,
    );
})->with([
    [1.13, 1.0, 'a fifth more than planned'],
    [0.9, 1.0, 'less than planned'],
    [1.0, 2.0, 'differ more from each other'],
    [1.0, 0.5, 'more alike'],
]);

it('takes hands and strips in from files, and refuses what is none', function () {
    $drawer = new Drawer([Pencils::named('red')]);
    $id = Pencils::named('red')->id();
    expect(HandJson::hand('{"hand": {"pressure": 1.2, "pencils": {"'.$id.'": 1.1}}}'))
        ->toEqual(new Hand(pressure: 1.2, pencils: [$id => 1.1]))
        ->and(HandJson::strips('[{"stack": "'.$id.'@0.35", "lab": [50, 1, 2]}]', $drawer)[0]->found)
        ->toEqual(new Lab(50, 1, 2));
    foreach (['{}', '{"hand": {"pressure": "much"}}', '{"hand": 3}'] as $wrong) {
        expect(fn () => HandJson::hand($wrong))->toThrow(BadFile::class);
    }
    foreach (['[]', '{"stack": 1}', '[{"stack": "x", "lab": [1, 2]}]', '[{"lab": [1, 2, 3]}]'] as $wrong) {
        expect(fn () => HandJson::strips($wrong, $drawer))->toThrow(BadFile::class);
    }
    expect(fn () => HandJson::hand('{"hand": {"pressure": 9}}'))->toThrow(OutOfRange::class);
});
