<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\GoingOn\FindRest;
use KnottyPrism\Core\Recipe\GoingOn\RestChanges;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

$names = ['yellow', 'orange', 'red', 'violet', 'blue', 'green', 'black', 'dark warm grey'];
$pencils = static fn (): array => array_map(Pencils::named(...), $names);
$shades = static fn (): array => [
    new Shade('light', new Lab(72, 4, 22), 0.3),
    new Shade('mid', new Lab(56, 5, 20), 0.5),
    new Shade('dark', new Lab(36, 4, 12), 0.2),
];
$even = static fn (string $name, Pressure $pressure): GradedPass => new GradedPass(Pencils::named($name), [
    $pressure,
    $pressure,
    $pressure,
]);

test('where another pencil lies than was planned the rest comes nearer than the plan would, and repeats', function (string $laid) use (
    $pencils,
    $shades,
    $even,
): void {
    $find = new FindSequences(new Drawer($pencils()), Paper::whiteMedium(), StartingPoint::LightToDark->method());
    $planned = $find->for($shades())[0]->sequence;
    $lies = new Sequence([$even($laid, Pressure::Medium)]);
    $yet = new Sequence(array_slice($planned->passes, 1));
    $find = new FindRest($shades(), $pencils(), Paper::whiteMedium());
    $rest = $find->after($lies, $yet);
    $error = static fn (Sequence $then): float => SequenceAnswer::of(
        RecipeLabel::Surest,
        new Sequence([...$lies->passes, ...$then->passes]),
        $shades(),
        Paper::whiteMedium(),
        Mode::ColourAndValue,
    )->errorOnPaper();
    expect($error($rest))
        ->toBeLessThan($error($yet) - 0.5)
        ->and($find->after($lies, $yet))
        ->toEqual($rest)
        ->and(count($rest->passes))
        ->toBeLessThanOrEqual(6);
})->with(['red', 'blue', 'green']);

test('a zone that is as it should be is left alone', function () use ($pencils, $even): void {
    $lies = new Sequence([$even('yellow', Pressure::Light)]);
    $look = Lab::ofXyz($lies->stackIn(0)->on(Paper::whiteMedium())->xyz());
    $shades = [new Shade('light', $look, 0.5), new Shade('mid', $look, 0.3), new Shade('dark', $look, 0.2)];
    expect(
        (new FindRest($shades, $pencils(), Paper::whiteMedium()))->after($lies, new Sequence([$even('black', Pressure::Firm)]))->passes,
    )->toBe([]);
});

test('every change keeps the craft of laying on what lies there', function () use ($pencils, $shades, $even): void {
    $laid = new Sequence([$even('yellow', Pressure::Firm)]);
    $rest = new Sequence([
        $even('red', Pressure::Firm),
        new GradedPass(Tissue::it(), [Pressure::Medium, Pressure::Medium, Pressure::Medium]),
    ]);
    $count = 0;
    foreach ((new RestChanges($shades(), $pencils(), $laid))->of($rest) as $changed) {
        $count++;
        foreach (range(0, 2) as $shade) {
            $strokes = [
                4,
                ...array_values(
                    array_filter(
                        array_map(
                            static fn (GradedPass $p): int => $p->tool instanceof Finish ? 0 : $p->pressures[$shade]?->strokes() ?? 0,
                            $changed->passes,
                        ),
                    ),
                ),
            ];
            foreach (array_slice($strokes, 1) as $at => $now) {
                $isLast = $at === count($strokes) - 2;
                expect($now >= $strokes[$at] - 1 || ($isLast && $now === 1))->toBeTrue();
            }
        }
    }
    expect($count)->toBeGreaterThan(30);
});

test('whatever lies, the rest is never farther off than the plan\'s or than none, prices counted', function (int $seed) use (
    $pencils,
    $shades,
): void {
    mt_srand($seed);
    $pressure = static fn (int $from, int $to): Pressure => Pressure::cases()[mt_rand($from, $to)];
    $pass = static fn (): GradedPass => new GradedPass($pencils()[mt_rand(0, 7)], [$pressure(0, 2), $pressure(1, 3), $pressure(2, 4)]);
    $laid = new Sequence(array_map($pass, range(1, mt_rand(1, 3))));
    $planned = new Sequence(array_map($pass, range(1, mt_rand(1, 2))));
    $rest = (new FindRest($shades(), $pencils(), Paper::whiteMedium()))->after($laid, $planned);
    $cost = static fn (Sequence $then): float => SequenceAnswer::of(
        RecipeLabel::Surest,
        new Sequence([...$laid->passes, ...$then->passes]),
        $shades(),
        Paper::whiteMedium(),
        Mode::ColourAndValue,
    )->errorOnPaper() +
        0.12 * count($then->passes);
    // A pencil that is new to the area, and lifting, cost a little more than a pass alone.
    expect($cost($rest))->toBeLessThanOrEqual(min($cost($planned), $cost(new Sequence([]))) + 0.5);
    foreach ($rest->passes as $one) {
        expect($one->tool instanceof Finish || in_array($one->tool, $pencils(), true))->toBeTrue();
    }
})->with(range(1, 5));
