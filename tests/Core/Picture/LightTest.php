<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Observer;
use KnottyPrism\Core\Colour\SmoothestReflectance;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\Preview\PartedByLight;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use Tests\Core\Pencils;

it('looks at a drawing under another light, white staying white', function () {
    // CIE's daylight components give back the D65 of the observer's own table.
    $ratio = array_map(static fn (float $a, float $b): float => $a / $b, Illuminant::ofDaylight(0.3127, 0.329), Observer::daylight());
    expect(max($ratio) / min($ratio))->toBeLessThan(1.01);
    $white = array_fill(0, Observer::BANDS, 1.0);
    $under = PartedByLight::under(...);
    foreach (Illuminant::cases() as $light) {
        expect($under($light, $white)->deltaE00(new Lab(100, 0, 0)))->toBeLessThan(0.01);
    }
    $red = Pencils::stack('red@0.8')->on(Paper::whiteMedium())->meanReflectance();
    expect($under(Illuminant::A, $red)->l)
        ->toBeGreaterThan($under(Illuminant::D65, $red)->l + 1.5)
        ->and($under(Illuminant::D50, $red)->deltaE00($under(Illuminant::D65, $red)))
        ->toBeLessThan($under(Illuminant::A, $red)->deltaE00($under(Illuminant::D65, $red)));
});

it('says what was matched by daylight and parts under a lamp, the farthest first, and nothing by daylight', function () {
    $names = Pencils::names();
    $answers = array_map(static fn (string $name): SequenceAnswer => Pencils::answer(str_replace(' ', '-', $name).'@0.80'), $names);
    expect(PartedByLight::in($answers, Illuminant::D65))->toBe([]);
    foreach ([Illuminant::A, Illuminant::Led] as $light) {
        $parted = array_map(static fn (PartedByLight $p): float => $p->farther, PartedByLight::in($answers, $light));
        $sorted = $parted;
        rsort($sorted);
        expect($parted)
            ->toBe($sorted)
            ->and($parted === [] || min($parted) >= 2.0)
            ->toBeTrue();
        foreach (PartedByLight::in($answers, $light) as $one) {
            // As a lamp shows the pencil, beside as it shows the smoothest thing of the same colour by day.
            $drawn = PartedByLight::under(
                $light,
                $answers[$one->zone]->sequence->stackIn(0)->on(Paper::whiteMedium())->meanReflectance(),
            );
            expect(
                $drawn->deltaE00(PartedByLight::under($light, SmoothestReflectance::ofLab($one->shade->target))),
            )->toBeGreaterThanOrEqual(2.0);
        }
    }
    // Two things of one colour by day, of which one reflects in two peaks: a lamp parts them.
    $peaks = array_map(
        static fn (int $i): float => 0.15 + 0.5 * exp(-((($i - 9) / 3) ** 2)) + 0.5 * exp(-((($i - 22) / 3) ** 2)),
        range(0, 35),
    );
    $smooth = SmoothestReflectance::ofLab(PartedByLight::under(Illuminant::D65, $peaks));
    expect(PartedByLight::under(Illuminant::D65, $peaks)->deltaE00(PartedByLight::under(Illuminant::D65, $smooth)))
        ->toBeLessThan(0.1)
        ->and(PartedByLight::under(Illuminant::Led, $peaks)->deltaE00(PartedByLight::under(Illuminant::Led, $smooth)))
        ->toBeGreaterThan(2.0);
});
