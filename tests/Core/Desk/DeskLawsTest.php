<?php

declare(strict_types=1);

use Benchmarks\Desk\RandomPlans;
use KnottyPrism\Core\Desk\Order\DeskZone;
use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Desk\Progress\Tick;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Desk\Progress\ZoneProgress;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Picture\Decisions\PassNote;

// What holds at the desk whatever is planned and whatever is ticked.

test('whatever is ticked, what lies is what was laid, and what was ticked as planned never comes again', function (int $seed): void {
    mt_srand($seed);
    $pass = static fn (int $tool): PassNote => new PassNote("L/$tool", [
        'mid' => Pressure::cases()[$tool % 5],
        'dark' => Pressure::cases()[($tool + 2) % 5],
    ]);
    $plan = array_map($pass, range(1, mt_rand(2, 7)));
    $ticks = $laid = [];
    for ($i = mt_rand(0, 9); $i > 0; $i--) {
        $so = ZoneProgress::of($plan, $ticks);
        $kind = TickKind::cases()[mt_rand(0, 2)];
        // Mostly what is next, now and then any pass at all.
        $one = $kind === TickKind::Other || $so->rest === [] || mt_rand(0, 4) === 0 ? $pass(mt_rand(1, 9)) : $so->rest[0];
        $before = count($so->rest);
        $ticks[] = new Tick($kind, 1, $one, 1000 + 60 * count($ticks));
        if ($kind !== TickKind::Skipped) {
            $laid[] = $one;
        }
        $now = ZoneProgress::of($plan, $ticks);
        expect($now->laid)
            ->toBe($laid)
            ->and($now->ticks)
            ->toBe(count($ticks))
            ->and(count($now->rest))
            ->toBeLessThanOrEqual($before)
            ->and($before - count($now->rest))
            ->toBeLessThanOrEqual(1);
        // Once astray, it is astray until what is to come is found and kept.
        expect($so->astray && ! $now->astray)->toBeFalse();
    }
    $so = ZoneProgress::of($plan, $ticks);
    foreach ($so->rest as $yet) {
        expect(in_array($yet, $plan, true))->toBeTrue();
    }
    // The same ticks lead to the same place.
    expect(ZoneProgress::of($plan, $ticks))->toEqual($so);
})->with(range(1, 25));

test('a large plan is ordered and divided like a small one', function (WorkOrder $way): void {
    $plan = RandomPlans::of(31, 20, 6, new WorkingHabits($way, leftHanded: true, session: 45));
    $order = FindOrder::for($plan);
    $seen = [];
    foreach ($order->steps as $placed) {
        expect($placed->step->pass)->toBe($plan->steps[$placed->step->zone][$seen[$placed->step->zone] ?? 0]->pass);
        $seen[$placed->step->zone] = ($seen[$placed->step->zone] ?? 0) + 1;
    }
    expect(array_sum($seen))
        ->toBe($plan->count())
        ->and($order->idle)
        ->toBeLessThan(0.2 * $order->minutes);
    $sessions = Sessions::of($order->steps, 45);
    expect(array_merge(...$sessions))->toBe($order->steps)->and(count($sessions))->toBeGreaterThan(2);
    // The same plan has the same order.
    expect(array_map(static fn (PlacedStep $p): array => [$p->step->zone, $p->step->pass, $p->turn], FindOrder::for($plan)->steps))->toBe(
        array_map(static fn (PlacedStep $p): array => [$p->step->zone, $p->step->pass, $p->turn], $order->steps),
    );
})->with(WorkOrder::cases());

test('zones cover the drawing but for their whites, and a pass takes as long as what it goes over is large', function (): void {
    $labels = LabelGrid::ofNumbers(6, 4, [1, 1, 1, 2, 2, 2, 1, 1, 1, 2, 2, 2, 1, 1, 1, 2, 2, 2, 3, 3, 3, 3, 3, 3]);
    $zones = DeskZones::of($labels, 300, 200, [1 => 'a', 2 => 'b', 3 => 'c'], [1 => 60, 2 => 40], [2 => 0.5]);
    $areas = array_map(static fn (DeskZone $z): float => round($z->area, 6), $zones);
    expect($areas)
        ->toEqual([1 => 22500.0, 2 => 11250.0, 3 => 15000.0])
        ->and(array_sum($areas) + 11250.0)
        ->toEqual(300.0 * 200.0)
        ->and([$zones[1]->x, $zones[1]->y, $zones[3]->y, $zones[3]->lightness])
        ->toEqual([75.0, 75.0, 175.0, 50.0]);
    $minutes = static fn (?Pressure ...$pressures): float => ZoneSteps::of(
        $zones[1],
        [new WorkPass('L/1', array_values($pressures))],
        [0.5, 0.3, 0.2],
        [false, false, true],
        new WorkingHabits(),
    )[0]->minutes;
    [$light, $full] = [Pressure::Light, Pressure::Full];
    expect($minutes($light, $light, null))
        ->toBeLessThan($minutes($light, $light, $light))
        ->and($minutes($light, null, null))
        ->toBeGreaterThan($minutes(null, $light, null))
        ->and($minutes(null, null, $full))
        ->toBeGreaterThan($minutes(null, null, $light))
        // Twice the pace, half the time.
        ->and(ZoneSteps::of($zones[1], [new WorkPass('L/1', [$light])], [1.0], [false], new WorkingHabits(pace: 0.5))[0]->minutes)
        ->toEqualWithDelta(
            0.5 * ZoneSteps::of($zones[1], [new WorkPass('L/1', [$light])], [1.0], [false], new WorkingHabits())[0]->minutes,
            1e-9,
        );
});

test('a wet wash dries longer than a thin one, and as long as somebody says', function (): void {
    $drying = static fn (string $tool, Pressure $pressure, int $thin = 5, int $wet = 15): float => ZoneSteps::drying(
        new WorkPass($tool, [null, $pressure]),
        new WorkingHabits(thin: $thin, wet: $wet),
    );
    expect([
        $drying('solvent', Pressure::Medium),
        $drying('solvent', Pressure::Firm),
        $drying('solvent', Pressure::Full, wet: 40),
        $drying('solvent', Pressure::Light, thin: 0),
        $drying('blender', Pressure::Full),
        $drying('L/1', Pressure::Full),
    ])->toBe([5.0, 15.0, 40.0, 0.0, 0.0, 0.0]);
});
