<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Finishes\MixFilms;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Deposit;
use KnottyPrism\Core\Medium\Laying\Drag;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Film;
use KnottyPrism\Core\Medium\Pencil\FilmTable;
use Tests\Core\Pencils;

function filmOn(Sheet $sheet): float
{
    return array_sum(array_map(static fn (Deposit $d): float => $d->total(), $sheet->deposits));
}

/** How unlike the strata of a sheet are. */
function uneven(Sheet $sheet): float
{
    $light = array_map(array_sum(...), $sheet->strata());

    return max($light) - min($light);
}

it('moves film about without losing any, and makes the strata more alike the more it evens', function () {
    $before = Pencils::sheet('red@0.35 blue@0.20');
    $last = uneven($before);
    foreach ([0.1, 0.4, 0.8, 1.0] as $evened) {
        $sheet = clone $before;
        MixFilms::within($sheet, 0.5, $evened);
        $sheet->rebuild();
        expect(filmOn($sheet))
            ->toEqualWithDelta(filmOn($before), 1e-9)
            ->and(uneven($sheet))
            ->toBeLessThan($last)
            ->and(count($sheet->deposits))
            ->toBe(3);
        $last = uneven($sheet);
    }
    // Nothing mixed and nothing evened is nothing done; on bare paper there is nothing to do.
    $sheet = clone $before;
    MixFilms::within($sheet, 0.0, 0.0);
    expect($sheet->deposits)->toEqual($before->deposits);
    $bare = new Sheet(Paper::whiteMedium());
    MixFilms::within($bare, 0.7, 0.7);
    expect($bare)->toEqual(new Sheet(Paper::whiteMedium()));
});

it('gives room back by solvent, takes none by tissue, and closes the surface by a blender', function () {
    $before = Pencils::sheet('red@0.55 blue@0.55 yellow@0.35');
    [$solved, $wiped, $blended] = [clone $before, clone $before, clone $before];
    Solvent::it()->applyTo($solved);
    Tissue::it()->applyTo($wiped);
    Blender::it()->applyTo($blended);
    expect($solved->toothUsed())
        ->toBeLessThan($before->toothUsed())
        ->and($wiped->toothUsed())
        ->toEqualWithDelta($before->toothUsed(), 1e-6)
        ->and($blended->toothUsed())
        ->toBeGreaterThan($before->toothUsed())
        ->and(max($solved->slick))
        ->toBeLessThan(max($before->slick))
        ->and(min($blended->slick))
        ->toBeGreaterThan(0.0)
        ->and($wiped->slick)
        ->toBe($before->slick);
});

it('lifts from the top down, less each time, and nothing from bare paper', function () {
    $sheet = Pencils::sheet('red@0.55 blue@0.55');
    $film = filmOn($sheet);
    [$red, $blue] = array_map(static fn (Deposit $d): float => $d->total(), $sheet->deposits);
    $last = INF;
    for ($press = 0; $press < 4; $press++) {
        Lift::it()->applyTo($sheet);
        $taken = $film - filmOn($sheet);
        expect($taken)->toBeGreaterThan(0.0)->toBeLessThan($last);
        [$film, $last] = [filmOn($sheet), $taken];
    }
    // What lies on top gives more of itself than what lies beneath.
    expect($sheet->deposits[0]->total() / $red)->toBeGreaterThan($sheet->deposits[1]->total() / $blue);
    $bare = new Sheet(Paper::whiteMedium());
    Lift::it()->applyTo($bare);
    expect($bare)->toEqual(new Sheet(Paper::whiteMedium()));
});

it('mixes two films as any number are mixed', function () {
    $chance = new Chance(7);
    $names = Pencils::names();
    for ($n = 0; $n < 30; $n++) {
        [$one, $other] = array_map(
            static function () use ($chance, $names): Deposit {
                $pencil = Pencils::named($names[(int) $chance->between(0, count($names) - 0.001)]);

                return new Deposit(
                    $pencil->a,
                    $pencil->b,
                    $pencil->scattering,
                    array_map(static fn (): float => $chance->between(0, 0.4), range(1, 6)),
                    $pencil->laydown,
                );
            },
            [0, 1],
        );
        $mixed = $one->mixedWith($other, $one->total(), $other->total(), $one->thickness);
        $mixture = Deposit::mixtureOf([$one, $other]);
        expect($mixed->a)
            ->toEqualWithDelta($mixture->a, 1e-9)
            ->and($mixed->b)
            ->toEqualWithDelta($mixture->b, 1e-9)
            ->and($mixed->scattering)
            ->toEqualWithDelta($mixture->scattering, 1e-12)
            ->and($mixed->laydown)
            ->toEqualWithDelta($mixture->laydown, 1e-12)
            ->and($mixed->thickness)
            ->toBe($one->thickness);
    }
});

it('lays a film as its reflectance and transmittance say, however thin, and as its table does', function () {
    $chance = new Chance(17);
    $pencil = Pencils::named('orange');
    $table = new FilmTable($pencil->a, $pencil->b, $pencil->scattering);
    for ($n = 0; $n < 40; $n++) {
        $below = array_map(static fn (): float => $chance->between(0.01, 0.98), range(1, 216));
        $thickness = array_map(static fn (): float => $n === 0 ? 0.0 : $chance->between(0, 2), range(1, 6));
        $laid = $below;
        foreach ($thickness as $m => $t) {
            Film::lay($laid, $m * 36, $pencil->a, $pencil->b, $pencil->scattering * $t);
            foreach ([0, 17, 35] as $band) {
                [$r, $through] = Film::reflectanceAndTransmittance($pencil->a[$band], $pencil->b[$band], $pencil->scattering * $t);
                $at = $m * 36 + $band;
                expect($laid[$at])->toEqualWithDelta($r + ($through ** 2 * $below[$at]) / (1 - $r * $below[$at]), 1e-9);
            }
        }
        expect($table->over($below, $thickness))->toEqualWithDelta($laid, 0.001);
    }
    $untouched = array_fill(0, 216, 0.42);
    Film::lay($untouched, 0, $pencil->a, $pencil->b, 0.0);
    expect($untouched)->toEqualWithDelta(array_fill(0, 216, 0.42), 1e-12);
});

it('takes up more of what lies there the firmer it is, nothing of its own kind, and keeps every bit of film', function () {
    $last = 0.0;
    foreach ([0.2, 0.55, 0.7, 0.8, 1.0] as $pressure) {
        $sheet = Pencils::sheet('red@0.55');
        $share = Drag::share($sheet, Pencils::named('white'), $pressure);
        expect($share)
            ->toBeGreaterThanOrEqual($last)
            ->toBeLessThanOrEqual(1.0)
            ->and(Drag::share($sheet, Pencils::named('red'), $pressure))
            ->toBe(0.0)
            ->and(Drag::share(new Sheet(Paper::whiteMedium()), Pencils::named('red'), $pressure))
            ->toBe(0.0);
        $before = filmOn($sheet);
        $laid = array_sum(LayPass::laidFilm($sheet, Pencils::named('white')->laydown, $pressure));
        LayPass::onto($sheet, Pencils::named('white'), $pressure);
        expect(filmOn($sheet))->toEqualWithDelta($before + $laid, 1e-9);
        $last = $share;
    }
    expect($last)->toBeGreaterThan(0.2);
});
