<?php

declare(strict_types=1);

use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Equations\LinearSystem;
use KnottyPrism\Core\Colour\Equations\Matrix3;
use KnottyPrism\Core\Colour\Equations\Tridiagonal;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\Xyz;

it('solves equations that have one solution, in whatever order they stand, and stays finite where they have none', function () {
    $chance = new Chance(2);
    for ($n = 0; $n < 30; $n++) {
        $size = 2 + ($n % 6);
        $x = array_map(static fn (): float => $chance->between(-5, 5), range(1, $size));
        $rows = array_map(
            static fn (): array => array_map(static fn (): float => $chance->between(-3, 3), range(1, $size)),
            range(1, $size),
        );
        // A pivot of nothing is gone round.
        $rows[0][0] = 0.0;
        $right = array_map(
            static fn (array $row): float => array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $row, $x)),
            $rows,
        );
        expect(LinearSystem::solved($rows, $right))
            ->toEqualWithDelta($x, 1e-5)
            ->and(LinearSystem::solved(array_reverse($rows), array_reverse($right)))
            ->toEqualWithDelta($x, 1e-5);
    }
    foreach (LinearSystem::solved([[1.0, 2.0], [2.0, 4.0]], [3.0, 7.0]) as $value) {
        expect(is_finite($value))->toBeTrue();
    }
});

it('undoes a matrix by its inverse', function () {
    $chance = new Chance(12);
    for ($n = 0; $n < 30; $n++) {
        $m = array_map(
            static fn (int $row): array => array_map(
                static fn (int $column): float => ($row === $column ? 2.5 : 0.0) + $chance->between(-1, 1),
                [0, 1, 2],
            ),
            [0, 1, 2],
        );
        $v = [$chance->between(-9, 9), $chance->between(-9, 9), $chance->between(-9, 9)];
        expect(Matrix3::times(Matrix3::inverse($m), ...Matrix3::times($m, ...$v)))->toEqualWithDelta($v, 1e-8);
    }
});

it('solves a band of three as the whole system does', function () {
    $chance = new Chance(22);
    for ($n = 2; $n < 14; $n++) {
        $diagonal = array_map(static fn (): float => $chance->between(2.2, 6), range(1, $n));
        $right = array_map(static fn (): float => $chance->between(-4, 4), range(1, $n));
        $rows = array_map(
            static fn (int $i): array => array_map(
                static fn (int $j): float => $i === $j ? $diagonal[$i] : (abs($i - $j) === 1 ? -1.0 : 0.0),
                range(0, $n - 1),
            ),
            range(0, $n - 1),
        );
        expect(Tridiagonal::solve($diagonal, -1.0, $right))->toEqualWithDelta(LinearSystem::solved($rows, $right), 1e-9);
    }
});

it('goes from light to a screen and back without loss, and adds light as light adds', function () {
    $chance = new Chance(32);
    for ($n = 0; $n < 30; $n++) {
        $linear = [$chance->between(0, 1), $chance->between(0, 1), $chance->between(0, 1)];
        expect(SrgbMatrix::linearOfXyz(...SrgbMatrix::xyzOfLinear(...$linear)))->toEqualWithDelta($linear, 1e-6);
        [$one, $other] = [
            array_map(static fn (): float => $chance->between(0, 0.5), range(1, 36)),
            array_map(static fn (): float => $chance->between(0, 0.5), range(1, 36)),
        ];
        $sum = Xyz::ofReflectance(array_map(static fn (float $a, float $b): float => $a + $b, $one, $other));
        expect($sum->y)
            ->toEqualWithDelta(Xyz::ofReflectance($one)->y + Xyz::ofReflectance($other)->y, 1e-9)
            ->and($sum->x)
            ->toEqualWithDelta(Xyz::ofReflectance($one)->x + Xyz::ofReflectance($other)->x, 1e-9);
    }
});

it('is a difference: none of a colour from itself, the same both ways, and greater the farther one goes', function () {
    $chance = new Chance(42);
    for ($n = 0; $n < 40; $n++) {
        $from = new Lab($chance->between(5, 95), $chance->between(-50, 50), $chance->between(-50, 50));
        $step = [$chance->between(-4, 4), $chance->between(-4, 4), $chance->between(-4, 4)];
        $at = static fn (float $far): Lab => new Lab($from->l + $far * $step[0], $from->a + $far * $step[1], $from->b + $far * $step[2]);
        expect($from->deltaE00($from))
            ->toBe(0.0)
            ->and($from->deltaE00($at(1)))
            ->toEqualWithDelta($at(1)->deltaE00($from), 1e-9)
            ->and($from->deltaE00($at(2)))
            ->toBeGreaterThan($from->deltaE00($at(1)))
            ->and($from->deltaE00($at(1)))
            ->toBeGreaterThan(0.0);
    }
});

it('looks through an observer whose every band counts, and most of what it sees by in the green', function () {
    $light = array_map(
        static fn (int $band): float => Xyz::ofReflectance(array_replace(array_fill(0, 36, 0.0), [$band => 1.0]))->y,
        range(0, 35),
    );
    expect(min($light))
        ->toBeGreaterThanOrEqual(0.0)
        ->and(array_sum($light))
        ->toEqualWithDelta(1.0, 1e-6)
        // 380 to 730 nm in steps of ten: the eye is most sensitive about 555 nm.
        ->and(array_search(max($light), $light, true))
        ->toBeGreaterThan(14)
        ->toBeLessThan(20);
});
