<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\ArtistWheel;
use KnottyPrism\Core\Colour\Cones;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Picture\Palette\SetForecast;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\HandSway;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;
use Tests\Core\Pencils;

it('gives the white three equal cones, any colour three positive ones, and adds light as light adds', function () {
    expect(Cones::ofXyz(...Xyz::WHITE))->each->toEqualWithDelta(1.0, 1e-12);
    foreach (['#ff0000', '#00ff00', '#0000ff', '#ffff00', '#010101', '#8a2be2'] as $hex) {
        $xyz = Lab::ofHex($hex)->xyz();
        expect(min(Cones::ofXyz($xyz->x, $xyz->y, $xyz->z)))->toBeGreaterThan(0.0);
    }
    [$a, $b, $sum] = [Cones::ofXyz(0.2, 0.3, 0.1), Cones::ofXyz(0.1, 0.1, 0.4), Cones::ofXyz(0.3, 0.4, 0.5)];
    foreach ([0, 1, 2] as $i) {
        expect($a[$i] + $b[$i])->toEqualWithDelta($sum[$i], 1e-12);
    }
});

it('turns round the wheel once and in order, whatever the hue', function () {
    $last = ArtistWheel::placeOf(25.0);
    $turned = 0.0;
    for ($hue = 26; $hue <= 385; $hue++) {
        $place = ArtistWheel::placeOf(fmod($hue, 360));
        $step = fmod($place - $last + 360, 360);
        expect($step)->toBeGreaterThan(0.0)->toBeLessThan(3.0);
        $turned += $step;
        $last = $place;
    }
    expect($turned)
        ->toEqualWithDelta(360.0, 1e-6)
        ->and(ArtistWheel::apart(10, 10))
        ->toBe(0.0)
        ->and(ArtistWheel::apart(350, 10))
        ->toBeLessThan(40.0)
        ->and(ArtistWheel::apart(25, 150))
        ->toEqualWithDelta(180.0, 1e-9);
});

it('has a measure for every target, even next to black and where no pigment comes', function (Lab $target) {
    $metric = new LocalMetric($target);
    foreach ([[0.1, 0.0, 0.0], [0.0, 0.1, 0.0], [0.0, 0.0, 0.1], [-0.1, -0.1, -0.1]] as $difference) {
        $length = squaredLength($metric->stretch($difference));
        expect(is_finite($length))->toBeTrue()->and($length)->toBeGreaterThan(0.0);
    }
})->with([
    [new Lab(0, 0, 0)],
    [new Lab(100, 0, 0)],
    [new Lab(50, 0, 140)],
    [new Lab(30, 120, -120)],
    [new Lab(1, 30, -40)],
    [new Lab(90, -120, 120)],
]);

it('counts value alone where only value counts', function () {
    $metric = new LocalMetric(new Lab(60, 10, 10), Mode::ValueOnly);
    [$at, $lighter, $redder] = array_map(static fn (Lab $lab): array => Look::of($lab)->logs, [
        new Lab(60, 10, 10),
        new Lab(62, 10, 10),
        new Lab(60, 16, 10),
    ]);
    $length = static fn (array $to): float => sqrt(squaredLength($metric->stretch([$to[0] - $at[0], $to[1] - $at[1], $to[2] - $at[2]])));
    expect($length($lighter))
        ->toEqualWithDelta(2.0, 0.2)
        ->and($length($redder))
        ->toBeLessThan(0.4)
        ->and(Mode::ValueOnly->apart(new Lab(62, 40, 0), new Lab(60, 10, 10)))
        ->toBeLessThan(2.5)
        ->and(Mode::ValueFirst->apart(new Lab(62, 10, 10), new Lab(60, 10, 10)))
        ->toBeGreaterThan((new Lab(62, 10, 10))->deltaE00(new Lab(60, 10, 10)) + 1);
});

it('keeps in its atlas exactly what laying two passes gives', function () {
    [$moves, $atlas] = fivePencils();
    foreach ([[0, 7], [12, 12], [24, 3], [16, 20]] as [$a, $b]) {
        $sheet = new Sheet(Paper::whiteMedium());
        foreach ([$a, $b] as $move) {
            LayPass::onto($sheet, $moves->passes[$move]->pencil, $moves->passes[$move]->pressure);
        }
        $look = Look::at($sheet)->logs;
        foreach ([0, 1, 2] as $cone) {
            expect($atlas->pairs[$cone][$a * 25 + $b])->toBe($look[$cone]);
        }
        expect(array_map(static fn (array $shares): float => $shares[$a * 25 + $b], $atlas->pairShares))->toBe($moves->shares($sheet));
    }
});

it('knows how far off every set of pencils is likely to be on paper, as trying all predictions of its members does', function () {
    [$moves, $atlas] = fivePencils();
    $target = Lab::ofHex('#8a5a48');
    $metric = new LocalMetric($target);
    // A third pass lays what the tooth still takes of it, and what lies beneath makes the more of it the nearer it is.
    $ended = static function (int $a, int $b, int $c) use ($atlas, $metric, $target): array {
        $at = $a * $atlas->size + $b;
        $logs = array_map(
            static fn (int $cone): float => $atlas->pairs[$cone][$at] +
                $atlas->pairShares[$c % 5][$at] *
                    ($atlas->densities[$cone][$c] +
                        $atlas->interplay[$cone][$b * $atlas->size + $c] +
                        0.5 * $atlas->interplay[$cone][$a * $atlas->size + $c]) -
                Look::of($target)->logs[$cone],
            [0, 1, 2],
        );

        return $metric->stretch([$logs[0], $logs[1], $logs[2]]);
    };
    // What is missed, what a hand sways by each pass as far as it still takes, and three passes' doubt.
    $sways = HandSway::ofMoves($moves, $atlas, $metric);
    $doubt = Doubt::of(Pencils::stack('red@0.35'));
    $nearest = (new SetForecast($moves, $atlas, $target))->nearestOfEverySet();
    foreach ([[0, 1, 2], [1, 3, 4], [0, 2, 4]] as $set) {
        $least = INF;
        foreach ($set as $p) {
            foreach ([0, 2, 4] as $markP) {
                foreach ($set as $q) {
                    foreach ($set as $r) {
                        if (count(array_unique([$p, $q, $r])) < 3) {
                            continue;
                        }
                        for ($m = 0; $m < 15; $m++) {
                            [$a, $b, $c] = [$p * 5 + $markP, $q * 5 + 2 * intdiv($m, 5), $r * 5 + ($m % 5)];
                            $share = $atlas->pairShares[$c % 5][$a * $atlas->size + $b];
                            $least = min(
                                $least,
                                squaredLength($ended($a, $b, $c)) +
                                    $sways[$a] +
                                    $sways[$b] +
                                    $share ** 2 * $sways[$c] +
                                    ($doubt + 1.0) ** 2,
                            );
                        }
                    }
                }
            }
        }
        expect($nearest[(1 << $set[0]) | (1 << $set[1]) | (1 << $set[2])])->toEqualWithDelta(sqrt($least), 1e-6);
    }
    expect($nearest)->toHaveKey(1)->toHaveKey(16)->toHaveKey(17);
});

it('foresees what the heaviest and the lightest hand sway by', function (float $pressure) {
    $moves = new Moves(
        new Drawer([Pencils::named('red'), Pencils::named('blue')]),
        Paper::whiteMedium()->under(new Hand(pressure: $pressure)),
    );
    foreach (HandSway::pressures($moves) as $n => $erring) {
        expect(is_finite($erring))->toBeTrue()->and(abs($erring - $moves->pressures[$n]))->toBeGreaterThan(0.01)->toBeLessThan(0.6);
    }
})->with([0.5, 1.0, 1.5, 2.0]);
