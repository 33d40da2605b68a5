<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\Preview\DrawnZone;
use KnottyPrism\Core\Picture\Preview\LaidTones;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use Tests\Core\Pencils;

it('grades by the eye: values run evenly where one pencil fades out and another comes in', function () {
    $laid = new LaidTones(Paper::whiteMedium(), Illuminant::D65);
    $run = [drawnShade(new Lab(30, 0, 0), ['black@0.35', 'red@1.00', '']), drawnShade(new Lab(70, 0, 0), ['', '', 'blue@0.55'])];
    $tones = $laid->over(pressedRun($run), 3);
    [$dark, $light] = [$tones[30]->lightness(), $tones[70]->lightness()];
    foreach (range(30, 70) as $l) {
        expect($tones[$l]->lightness())->toEqualWithDelta($dark + (($l - 30) / 40) * ($light - $dark), 1.0);
    }
    // A pass that is not the last is pressed as it will be when all is laid, and both ends are as planned.
    expect($tones[30]->mean)
        ->toBe($laid->laid($run[0]->steps, 3)->mean)
        ->and($laid->over(pressedRun($run), 2)[30]->mean)
        ->toBe($laid->laid($run[0]->steps, 2)->mean);
});

it('lays the same under every lamp: it is graded by daylight', function () {
    $run = [drawnShade(new Lab(30, 0, 0), ['red@1.00', 'blue@0.20']), drawnShade(new Lab(70, 0, 0), ['red@0.20', 'blue@0.55'])];
    [$day, $lamp] = array_map(static fn (Illuminant $light): LaidTones => new LaidTones(Paper::whiteMedium(), $light), [
        Illuminant::D65,
        Illuminant::A,
    ]);
    $graded = static fn (LaidTones $laid): array => $laid->over(pressedRun($run), 2)[50]->mean;
    $apart = static fn (LaidTones $laid, array $mean, int $share): float => max(
        array_map(
            static fn (float $a, float $b): float => abs($a - $b),
            $mean,
            $laid->laid(Pencils::stack(sprintf('red@%.4f blue@%.4f', 1 - (0.008 * $share) / 10, 0.2 + (0.0035 * $share) / 10))->steps, 2)
                ->mean,
        ),
    );
    // Pressed as far along as by day, looked for in thousandths of the way.
    $seen = $graded($day);
    $byDay = array_map(static fn (int $share): float => $apart($day, $seen, $share), range(0, 1000));
    $at = (int) array_search(min($byDay), $byDay, true);
    expect($at)
        ->toBeGreaterThan(100)
        ->toBeLessThan(900)
        ->and($byDay[$at])
        ->toBeLessThan(0.001)
        ->and($apart($lamp, $graded($lamp), $at))
        ->toBeLessThan(0.001);
});

it('lays a zone pass by pass, and blends where passes are not the same', function () {
    $paper = Paper::whiteMedium();
    [$red, $blue] = [Pencils::named('red'), Pencils::named('blue')];
    $sequence = new Sequence([
        new GradedPass($red, [Pressure::Light, Pressure::Medium]),
        new GradedPass($blue, [null, Pressure::Light]),
    ]);
    $zone = DrawnZone::of(1, [new Shade('light', new Lab(70, 0, 0)), new Shade('dark', new Lab(30, 0, 0))], $sequence);
    expect($zone->run[0]->seen->l)
        ->toBe(30.0)
        ->and($zone->run[1]->steps[1])
        ->toBeNull()
        ->and($zone->run[0]->goesWith($zone->run[1]))
        ->toBeTrue();
    // Half way the pass that is left out in the light is there at half its pressure, as a few strokes.
    $tones = new LaidTones($paper, Illuminant::D65);
    $ys = array_map(static fn (int $l): float => $tones->over(pressedRun($zone->run), 2)[$l]->mean[1], [30, 50, 70]);
    expect($ys[0])->toBeLessThan($ys[1])->and($ys[1])->toBeLessThan($ys[2]);
    $own = [drawnShade(new Lab(30, 0, 0), ['red@0.55', 'blue@0.35']), drawnShade(new Lab(70, 0, 0), ['blue@0.20'])];
    expect($own[0]->goesWith($own[1]))->toBeFalse();
    $mixed = $tones->over(pressedRun($own), 9);
    expect($mixed[50]->mean[0])
        ->toEqualWithDelta(($mixed[30]->mean[0] + $mixed[70]->mean[0]) / 2, 1e-9)
        ->and($mixed[10]->mean)
        ->toBe($mixed[30]->mean);
    $finish = drawnShade(new Lab(30, 0, 0), ['red@0.55', 'solvent']);
    expect($finish->goesWith(drawnShade(new Lab(60, 0, 0), ['red@0.35', ''])))
        ->toBeTrue()
        ->and($finish->goesWith(drawnShade(new Lab(60, 0, 0), ['red@0.35', 'tissue'])))
        ->toBeFalse()
        ->and(count($tones->over(pressedRun([$finish, drawnShade(new Lab(60, 0, 0), ['red@0.35', ''])]), 9)))
        ->toBe(LaidTones::LEVELS);
});
