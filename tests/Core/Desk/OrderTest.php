<?php

declare(strict_types=1);

use Benchmarks\Desk\EveryOrder;
use Benchmarks\Desk\RandomPlans;
use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\HandRest;
use KnottyPrism\Core\Desk\Order\PassMinutes;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\Way;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Photo\Grid\LabelGrid;

$habits = static fn (int $seed): WorkingHabits => new WorkingHabits(Way::cases()[$seed % count(Way::cases())], $seed % 2 === 0, thin: $seed % 7, wet: 15 + $seed % 9);

test('every order lays every step once, keeps each zone\'s own order and waits for what dries', function (int $seed) use ($habits): void {
    $plan = RandomPlans::of($seed, 3 + $seed % 9, 6, $habits($seed));
    $order = FindOrder::for($plan);
    expect(count($order->steps))->toBe($plan->count());
    $byZone = $dryAt = [];
    $time = 0.0;
    foreach ($order->steps as $placed) {
        $step = $placed->step;
        $byZone[$step->zone][] = $step;
        expect($placed->start)->toBeGreaterThanOrEqual(max($time, $dryAt[$step->zone] ?? 0.0) - 1e-9);
        $time = $placed->start + $step->minutes;
        $dryAt[$step->zone] = $time + $step->drying;
    }
    ksort($byZone);
    expect($byZone)->toBe($plan->steps)->and($order->minutes)->toBe($time)
        ->and($order->idle)->toEqualWithDelta($order->minutes - array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $order->steps)), 1e-6);
})->with(range(1, 30));

test('no order of few steps is a tenth dearer than the best of all', function () use ($habits): void {
    $over = array_map(static function (int $seed) use ($habits): float {
        $plan = RandomPlans::small($seed, 7, $habits($seed));

        return FindOrder::for($plan)->cost / EveryOrder::best($plan);
    }, range(1, 25));
    expect(count(array_filter($over, static fn (float $r): bool => $r <= 1.1)))->toBeGreaterThanOrEqual(24);
});

test('pencils are picked up less often than zone after zone, and least pencil by pencil', function (): void {
    $pickUps = static fn (Way $way, int $seed): int => FindOrder::for(RandomPlans::of($seed, 10, 6, new WorkingHabits($way)))->pickUps;
    foreach ([3, 4, 5] as $seed) {
        $naive = WorkOrder::naive(RandomPlans::of($seed, 10, 6, new WorkingHabits))->pickUps;
        expect($pickUps(Way::AreaByArea, $seed))->toBeLessThan(0.6 * $naive)->and($pickUps(Way::PencilByPencil, $seed))->toBeLessThanOrEqual($pickUps(Way::AreaByArea, $seed) + 1);
    }
});

test('darks first, lights first and centre outwards begin where they say', function (): void {
    $begun = static function (Way $way): array {
        $plan = RandomPlans::of(8, 9, 4, new WorkingHabits($way));
        $zones = array_values(array_unique(array_map(static fn (PlacedStep $p): int => $p->step->zone, FindOrder::for($plan)->steps)));

        return array_map(static fn (int $z) => $plan->zones[$z], $zones);
    };
    $half = static fn (array $zones, Closure $of): float => array_sum(array_map($of, array_slice($zones, 0, 4))) / 4 - array_sum(array_map($of, array_slice($zones, -4))) / 4;
    $lightness = static fn ($z): float => $z->lightness;
    $off = static fn ($z): float => hypot($z->x - 148, $z->y - 111);
    expect($half($begun(Way::DarksFirst), $lightness))->toBeLessThan(-10)->and($half($begun(Way::LightsFirst), $lightness))->toBeGreaterThan(10)->and($half($begun(Way::CentreOutwards), $off))->toBeLessThan(-10);
});

test('a right hand rests right below its pencil, a left one left below, and a turned sheet moves it', function (): void {
    // Four quarters: 1 2 / 3 4.
    $labels = LabelGrid::ofNumbers(2, 2, [1, 2, 3, 4]);
    $right = HandRest::on($labels, 300, 300, false);
    $left = HandRest::on($labels, 300, 300, true);
    expect(array_keys($right->while(1, 0)))->toContain(2, 3, 4)->and($right->while(4, 0))->toBe([])->and($left->while(3, 0))->toBe([])
        ->and($left->while(2, 0)[1])->toEqualWithDelta($right->while(1, 0)[2], 0.03)
        ->and($right->while(1, 2))->toBe([])->and($right->while(3, 1))->toBe([]) // turned to the left, a right hand lies below on the left of the sheet
        ->and(array_sum($right->while(1, 0)))->toBeLessThanOrEqual(1.0);
});

test('touches come after a zone\'s values, but never past what lies over or under them', function (): void {
    $pass = static fn (string $tool, string $marks): WorkPass => new WorkPass($tool, array_map(static fn (string $m): ?PressureMark => $m === '-' ? null : PressureMark::Light, str_split($marks)));
    $touches = [false, false, true, true];
    // A touch of its own between values waits; one that a later pass goes over does not.
    expect(ZoneSteps::order([$pass('A', 'xx--'), $pass('B', '--x-'), $pass('C', 'xx--')], $touches))->toBe([0, 2, 1])
        ->and(ZoneSteps::order([$pass('A', 'xx--'), $pass('B', '--x-'), $pass('C', 'xxx-')], $touches))->toBe([0, 1, 2])
        ->and(ZoneSteps::order([$pass('A', '---x'), $pass('B', '--x-'), $pass('C', 'x-x-'), $pass('D', '---x')], $touches))->toBe([0, 1, 2, 3]);
    mt_srand(4);
    for ($i = 0; $i < 200; $i++) {
        $passes = array_map(static fn (int $at): WorkPass => $pass("P$at", implode('', array_map(static fn (): string => mt_rand(0, 1) === 1 ? 'x' : '-', range(1, 4)))), range(0, 5));
        $order = ZoneSteps::order($passes, $touches);
        foreach (range(0, 3) as $shade) {
            $in = static fn (array $places): array => array_values(array_filter($places, static fn (int $at): bool => $passes[$at]->marks[$shade] !== null));
            expect($in($order))->toBe($in(range(0, 5)));
        }
    }
});

test('sessions hold all steps in their order, are about as long as wished and rather end where something is done', function (): void {
    $order = FindOrder::for(RandomPlans::of(5, 12, 6, new WorkingHabits));
    foreach ([30, 60, 120] as $minutes) {
        $sessions = Sessions::of($order->steps, $minutes);
        expect(array_merge(...$sessions))->toBe($order->steps);
        foreach (array_slice($sessions, 0, -1) as $session) {
            $worked = array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $session));
            expect(count($session) === 1 || $worked < 1.6 * $minutes)->toBeTrue();
        }
    }
    $changes = 0;
    $sessions = Sessions::of($order->steps, 60);
    foreach (array_slice($sessions, 0, -1) as $i => $session) {
        $changes += end($session)->step->tool !== $sessions[$i + 1][0]->step->tool ? 1 : 0;
    }
    expect($changes)->toBeGreaterThanOrEqual((int) ceil(0.5 * (count($sessions) - 1)));
});

test('firmer takes longer, a wash less; what was really taken corrects it, once there is enough of it', function (): void {
    $minutes = static fn (string $tool, PressureMark $mark): float => PassMinutes::of(new WorkPass($tool, [$mark]), [1.0], 4000.0);
    $by = array_map(static fn (PressureMark $m): float => $minutes('Line/1', $m), PressureMark::cases());
    $sorted = $by;
    sort($sorted);
    expect($by)->toBe($sorted)->and($minutes('solvent', PressureMark::Medium))->toBeLessThan($by[2]);
    expect(PassMinutes::pace(array_fill(0, 3, [10.0, 20.0])))->toBe(1.0)->and(PassMinutes::pace(array_fill(0, 12, [10.0, 20.0])))->toEqualWithDelta(2.0, 1e-9)
        ->and(PassMinutes::pace(array_fill(0, 6, [10.0, 20.0])))->toEqualWithDelta(sqrt(2), 1e-9)->and(PassMinutes::pace([...array_fill(0, 12, [10.0, 10.0]), [1.0, 300.0]]))->toBe(1.0);
});

test('habits beyond reason are refused by name', function (): void {
    expect(static fn (): WorkingHabits => new WorkingHabits(session: 5))->toThrow(OutOfRange::class, 'session')
        ->and(static fn (): WorkingHabits => new WorkingHabits(wet: 999))->toThrow(OutOfRange::class, 'wet')
        ->and(new DeskStep(1, 0, 'solvent', 2.0, 5.0))->toHaveProperty('drying', 5.0);
});
