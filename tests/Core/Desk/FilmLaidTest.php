<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Progress\FilmLaid;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use Tests\Core\Pencils;

$pass = static fn (string $pencil, ?Pressure ...$pressures): GradedPass => new GradedPass(Pencils::named($pencil), $pressures);

it('says that a pass leaves film by its area and its pressure, and none where it is left out', function () use ($pass) {
    $paper = Paper::whiteMedium();
    $film = static fn (GradedPass $p, array $areas): float => FilmLaid::by(new Sequence([$p]), 0, $areas, $paper);
    $light = $film($pass('red', Pressure::Light, Pressure::Light), [100.0, 300.0]);
    expect($film($pass('red', Pressure::Light, null), [100.0, 300.0]))
        ->toEqualWithDelta($light / 4, 1e-9)
        ->and($film($pass('red', Pressure::Light, Pressure::Light), [1000.0, 3000.0]))
        ->toEqualWithDelta(10 * $light, 1e-9)
        ->and($film($pass('red', Pressure::Full, Pressure::Full), [100.0, 300.0]))
        ->toBeGreaterThan(2 * $light)
        ->and($film($pass('red', null, null), [100.0, 300.0]))
        ->toBe(0.0);
});

it('adds up, pass by pass, to all the film that lies there at the end', function () use ($pass) {
    $paper = Paper::whiteMedium();
    $chain = new Sequence([
        $pass('yellow', Pressure::Medium),
        $pass('violet', Pressure::Light),
        $pass('green', Pressure::Firm),
        $pass('violet', Pressure::Full),
    ]);
    $laid = array_map(static fn (int $at): float => FilmLaid::by($chain, $at, [50.0], $paper), [0, 1, 2, 3]);
    expect(array_sum($laid))
        ->toEqualWithDelta((50.0 * array_sum($chain->stackIn(0)->on($paper)->fill)) / Tooth::STRATA, 1e-6)
        ->and(min($laid))
        ->toBeGreaterThan(0)
        // A tooth that is fuller takes less of the same.
        ->and(
            FilmLaid::by(new Sequence([...$chain->passes, ...array_fill(0, 4, $pass('violet', Pressure::Light))]), 7, [50.0], $paper),
        )
        ->toBeLessThan($laid[1]);
});

it('takes nothing of a pencil for a finish, nor for a blender', function () use ($pass) {
    $paper = Paper::whiteMedium();
    foreach ([Solvent::it(), Tissue::it(), Lift::it()] as $finish) {
        expect(
            FilmLaid::by(
                new Sequence([$pass('red', Pressure::Medium), new GradedPass($finish, [Pressure::Medium])]),
                1,
                [100.0],
                $paper,
            ),
        )->toBe(0.0);
    }
});
