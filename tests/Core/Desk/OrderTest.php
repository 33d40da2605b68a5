<?php

declare(strict_types=1);

use Benchmarks\Desk\EveryOrder;
use Benchmarks\Desk\RandomPlans;
use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\DeskZone;
use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\HandRest;
use KnottyPrism\Core\Desk\Order\OrderedSteps;
use KnottyPrism\Core\Desk\Order\PassMinutes;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Precedence;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\Stages;
use KnottyPrism\Core\Desk\Order\Working;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\WorkPlan;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Zones\Distance;
use KnottyPrism\Core\Picture\PassesLaid;

$habits = static fn (int $seed): WorkingHabits => new WorkingHabits(
    WorkOrder::cases()[$seed % count(WorkOrder::cases())],
    $seed % 2 === 0,
    thin: $seed % 7,
    wet: 15 + ($seed % 9),
);

test('every order lays every step once, keeps each zone\'s own order and waits for what dries', function (int $seed) use ($habits): void {
    $plan = RandomPlans::of($seed, 3 + ($seed % 9), 6, $habits($seed));
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
    expect($byZone)
        ->toBe($plan->steps)
        ->and($order->minutes)
        ->toBe($time)
        ->and($order->idle)
        ->toEqualWithDelta(
            $order->minutes - array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $order->steps)),
            1e-6,
        );
})->with(range(1, 30));

test('no order of few steps is a tenth dearer than the best of all', function () use ($habits): void {
    $over = array_map(static function (int $seed) use ($habits): float {
        $plan = RandomPlans::small($seed, 7, $habits($seed));

        return FindOrder::for($plan)->cost / EveryOrder::best($plan);
    }, range(1, 25));
    expect(count(array_filter($over, static fn (float $r): bool => $r <= 1.1)))->toBeGreaterThanOrEqual(24);
});

test('pencils are picked up less often than zone after zone, and least pencil by pencil', function (): void {
    $pickUps = static fn (WorkOrder $way, int $seed): int => FindOrder::for(RandomPlans::of($seed, 10, 6, new WorkingHabits($way)))
        ->pickUps;
    foreach ([3, 4, 5] as $seed) {
        $naive = OrderedSteps::naive(RandomPlans::of($seed, 10, 6, new WorkingHabits()))->pickUps;
        expect($pickUps(WorkOrder::ZoneByZone, $seed))
            ->toBeLessThan(0.6 * $naive)
            ->and($pickUps(WorkOrder::PencilByPencil, $seed))
            ->toBeLessThanOrEqual($pickUps(WorkOrder::ZoneByZone, $seed));
    }
});

test('darks first, lights first and centre outwards begin where they say', function (): void {
    $begun = static function (WorkOrder $way): array {
        $plan = RandomPlans::of(8, 9, 4, new WorkingHabits($way));
        $zones = array_values(array_unique(array_map(static fn (PlacedStep $p): int => $p->step->zone, FindOrder::for($plan)->steps)));

        return array_map(static fn (int $z) => $plan->zones[$z], $zones);
    };
    $half = static fn (array $zones, Closure $of): float => array_sum(array_map($of, array_slice($zones, 0, 4))) / 4 -
        array_sum(array_map($of, array_slice($zones, -4))) / 4;
    $lightness = static fn ($z): float => $z->lightness;
    $off = static fn ($z): float => hypot($z->x - 148, $z->y - 111);
    expect($half($begun(WorkOrder::DarksFirst), $lightness))
        ->toBeLessThan(-10)
        ->and($half($begun(WorkOrder::LightsFirst), $lightness))
        ->toBeGreaterThan(10)
        ->and($half($begun(WorkOrder::CentreOutwards), $off))
        ->toBeLessThan(-10);
});

test('what lies after each step is what was laid until then', function (): void {
    $order = FindOrder::for(RandomPlans::of(5, 6, 4, new WorkingHabits()))->steps;
    $zones = array_unique(array_map(static fn (PlacedStep $p): int => $p->step->zone, $order));
    foreach ($zones as $zone) {
        $own = array_keys(array_filter($order, static fn (PlacedStep $p): bool => $p->step->zone === $zone));
        expect(Stages::after($order, 0)->of($zone))
            ->toBe(0)
            ->and(Stages::after($order, count($order))->of($zone))
            ->toBe(PassesLaid::MOST);
        // Until its last step each counts; then it is whole, however many passes single shades hold.
        foreach ($own as $laid => $at) {
            expect(Stages::after($order, $at)->of($zone))->toBe($laid);
        }
        expect(Stages::after($order, max($own) + 1)->of($zone))->toBe(PassesLaid::MOST);
    }
});

test('pick-ups and fresh work under the hand are what a recount says', function (int $seed) use ($habits): void {
    $plan = RandomPlans::of($seed, 9, 5, $habits($seed));
    foreach ([FindOrder::for($plan), OrderedSteps::naive($plan)] as $order) {
        $tools = array_map(static fn (PlacedStep $p): string => $p->step->tool, $order->steps);
        $pickUps = count(
            array_filter($tools, static fn (string $tool, int $i): bool => $i === 0 || $tools[$i - 1] !== $tool, ARRAY_FILTER_USE_BOTH),
        );
        expect($order->pickUps)->toBe($pickUps);
        $minutes = $under = 0.0;
        foreach ($order->steps as $i => $placed) {
            $minutes += $placed->step->minutes;
            $touched = [];
            foreach (array_slice($order->steps, 0, $i) as $before) {
                $end = $before->start + $before->step->minutes;
                $touched[$before->step->zone] = [
                    $end + Working::FRESH,
                    max($touched[$before->step->zone][1] ?? 0.0, $before->step->drying > 0 ? $end + $before->step->drying : 0.0),
                ];
            }
            foreach ($plan->rest->while($placed->step->zone, $placed->turn) as $zone => $share) {
                $until = max($touched[$zone] ?? [0.0]);
                $under += $share * max(0.0, min($placed->step->minutes, $until - $placed->start));
            }
        }
        expect($order->freshUnderHand)
            ->toEqualWithDelta($under / $minutes, 1e-6)
            ->and($order->freshUnderHand)
            ->toBeLessThan(0.2);
    }
})->with(range(1, 6));

test('what is far, large and on the lighter side comes first where nothing else decides', function (): void {
    $zone = static fn (int $number, float $area, float $x, float $lightness, Distance $distance): DeskZone => new DeskZone(
        $number,
        "zone $number",
        $area,
        $x,
        50,
        $lightness,
        $distance,
    );
    $labels = LabelGrid::ofNumbers(30, 10, array_map(static fn (int $at): int => [1, 4, 2, 4, 3][intdiv($at % 30, 6)], range(0, 299)));
    // So large that no hand reaches from one zone to another.
    $first = static function (DeskZone ...$zones) use ($labels): int {
        $byNumber = array_column(array_map(static fn (DeskZone $z): array => [$z->number, $z], $zones), 1, 0);
        $steps = array_map(static fn (DeskZone $z): array => [new DeskStep($z->number, 0, 'Line/1', 5.0)], $byNumber);

        return FindOrder::for(WorkPlan::on($labels, 3000, 1000, $byNumber, $steps, new WorkingHabits()))->steps[0]->step->zone;
    };
    [$far, $mid] = [Distance::Far, Distance::Middle];
    expect($first($zone(1, 900, 50, 50, $mid), $zone(2, 900, 150, 50, $mid), $zone(3, 900, 250, 50, $far)))
        ->toBe(3)
        ->and($first($zone(1, 900, 50, 50, $mid), $zone(2, 5000, 150, 50, $mid), $zone(3, 900, 250, 50, $mid)))
        ->toBe(2);
});

test('the lighter side of a border comes first', function (): void {
    $zone = static fn (int $number, float $lightness): DeskZone => new DeskZone($number, "zone $number", 900, 50, 50, $lightness);
    expect(Precedence::cost($zone(1, 20), $zone(2, 80), true, WorkOrder::ZoneByZone, [0, 0]))
        ->toBeGreaterThan(Precedence::cost($zone(2, 80), $zone(1, 20), true, WorkOrder::ZoneByZone, [0, 0]))
        ->and(Precedence::cost($zone(1, 20), $zone(2, 80), false, WorkOrder::ZoneByZone, [0, 0]))
        ->toBe(0.0)
        ->and(Precedence::cost($zone(1, 20), $zone(1, 20), true, WorkOrder::LightsFirst, [0, 0]))
        ->toBe(0.0);
});

test('a pencil that is alike to none is fetched once, and one in the hand stays there', function (): void {
    $labels = LabelGrid::ofNumbers(20, 10, array_map(static fn (int $at): int => 1 + intdiv($at % 20, 10), range(0, 199)));
    $zones = [1 => new DeskZone(1, 'left', 800, 40, 50, 60), 2 => new DeskZone(2, 'right', 800, 120, 50, 60)];
    $steps = [
        1 => [new DeskStep(1, 0, 'A', 5.0), new DeskStep(1, 1, 'B', 5.0), new DeskStep(1, 2, 'C', 5.0)],
        2 => [new DeskStep(2, 0, 'A', 5.0), new DeskStep(2, 1, 'B', 5.0)],
    ];
    $order = FindOrder::for(WorkPlan::on($labels, 160, 100, $zones, $steps, new WorkingHabits()));
    expect(implode('', array_map(static fn (PlacedStep $p): string => $p->step->tool, $order->steps)))
        ->toBe('AABBC')
        ->and($order->pickUps)
        ->toBe(3)
        ->and($order->minutes)
        ->toBe(25.0)
        ->and($order->idle)
        ->toBe(0.0);
});

test('what dries is waited for only where nothing else is to do', function (): void {
    $labels = LabelGrid::ofNumbers(20, 10, array_map(static fn (int $at): int => 1 + intdiv($at % 20, 10), range(0, 199)));
    $zones = [1 => new DeskZone(1, 'left', 800, 40, 50, 60), 2 => new DeskZone(2, 'right', 800, 120, 50, 60)];
    $wash = [new DeskStep(1, 0, 'A', 5.0), new DeskStep(1, 1, 'solvent', 2.0, 15.0), new DeskStep(1, 2, 'A', 5.0)];
    $on = static fn (array $steps): OrderedSteps => FindOrder::for(
        WorkPlan::on($labels, 160, 100, array_intersect_key($zones, $steps), $steps, new WorkingHabits()),
    );
    expect($on([1 => $wash])->idle)
        ->toBe(15.0)
        ->and($on([1 => $wash, 2 => [new DeskStep(2, 0, 'A', 20.0)]])->idle)
        ->toBeLessThan(0.01);
});

test('a right hand rests right below its pencil, a left one left below, and a turned sheet moves it', function (): void {
    // Four quarters: 1 2 / 3 4.
    $labels = LabelGrid::ofNumbers(2, 2, [1, 2, 3, 4]);
    $right = HandRest::on($labels, 300, 300, false);
    $left = HandRest::on($labels, 300, 300, true);
    expect(array_keys($right->while(1, 0)))
        ->toContain(2, 3, 4)
        ->and($right->while(4, 0))
        ->toBe([])
        ->and($left->while(3, 0))
        ->toBe([])
        ->and($left->while(2, 0)[1])
        ->toEqualWithDelta($right->while(1, 0)[2], 0.03)
        ->and($right->while(1, 2))
        ->toBe([])
        ->and($right->while(3, 1))
        ->toBe([]) // turned to the left, a right hand lies below on the left of the sheet
        ->and(array_sum($right->while(1, 0)))
        ->toBeLessThanOrEqual(1.0);
});

test('touches come after a zone\'s values, but never past what lies over or under them', function (): void {
    $pass = static fn (string $tool, string $pressures): WorkPass => new WorkPass(
        $tool,
        array_map(static fn (string $m): ?Pressure => $m === '-' ? null : Pressure::Light, str_split($pressures)),
    );
    $touches = [false, false, true, true];
    // A touch of its own between values waits; one that a later pass goes over does not.
    expect(ZoneSteps::order([$pass('A', 'xx--'), $pass('B', '--x-'), $pass('C', 'xx--')], $touches))
        ->toBe([0, 2, 1])
        ->and(ZoneSteps::order([$pass('A', 'xx--'), $pass('B', '--x-'), $pass('C', 'xxx-')], $touches))
        ->toBe([0, 1, 2])
        ->and(ZoneSteps::order([$pass('A', '---x'), $pass('B', '--x-'), $pass('C', 'x-x-'), $pass('D', '---x')], $touches))
        ->toBe([0, 1, 2, 3]);
    mt_srand(4);
    for ($i = 0; $i < 200; $i++) {
        $passes = array_map(
            static fn (int $at): WorkPass => $pass(
                "P$at",
                implode('', array_map(static fn (): string => mt_rand(0, 1) === 1 ? 'x' : '-', range(1, 4))),
            ),
            range(0, 5),
        );
        $order = ZoneSteps::order($passes, $touches);
        foreach (range(0, 3) as $shade) {
            $in = static fn (array $places): array => array_values(
                array_filter($places, static fn (int $at): bool => $passes[$at]->pressures[$shade] !== null),
            );
            expect($in($order))->toBe($in(range(0, 5)));
        }
    }
});

test('sessions hold all steps in their order, are about as long as wished and rather end where something is done', function (): void {
    $order = FindOrder::for(RandomPlans::of(5, 12, 6, new WorkingHabits()));
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

test('a session that somebody sits at grows shorter as she works, and ends where it was to end', function (): void {
    $order = FindOrder::for(RandomPlans::of(5, 12, 6, new WorkingHabits()))->steps;
    $sessions = Sessions::of($order, 60);
    $length = count($sessions[0]);
    foreach (range(0, $length) as $laid) {
        [$left, $ends] = Sessions::after(array_slice($order, 0, $laid), array_slice($order, $laid), 60);
        expect(array_merge(...$left))
            ->toBe(array_slice($order, $laid))
            ->and($ends)
            ->toBe($laid === $length)
            ->and(count($left[0]))
            ->toBe($laid === $length ? count($sessions[1]) : $length - $laid);
    }
    expect(Sessions::after($order, [], 60))
        ->toBe([[], true])
        ->and(Sessions::after([], [], 60))
        ->toBe([[], false]);
});

test('firmer takes longer, a wash less; what was really taken corrects it, once there is enough of it', function (): void {
    $minutes = static fn (string $tool, Pressure $pressure): float => PassMinutes::of(new WorkPass($tool, [$pressure]), [1.0], 4000.0);
    $by = array_map(static fn (Pressure $m): float => $minutes('Line/1', $m), Pressure::cases());
    $sorted = $by;
    sort($sorted);
    expect($by)->toBe($sorted)->and($minutes('solvent', Pressure::Medium))->toBeLessThan($by[2]);
    // The same area in many pieces takes a little longer.
    $pass = new WorkPass('Line/1', [Pressure::Light]);
    expect(PassMinutes::of($pass, [1.0], 4000.0, 11) - PassMinutes::of($pass, [1.0], 4000.0))
        ->toBeGreaterThan(1.0)
        ->toBeLessThan(3.0);
    $labels = new LabelGrid(6, 2, "\1\2\1\2\1\1\1\2\1\2\1\1");
    expect(array_map(static fn (DeskZone $z): int => $z->pieces, DeskZones::of($labels, 60, 20, [1 => 'wall', 2 => 'columns'], [])))->toBe(
        [1 => 3, 2 => 2],
    );
    expect(PassMinutes::pace(array_fill(0, 3, [10.0, 20.0])))
        ->toBe(1.0)
        ->and(PassMinutes::pace(array_fill(0, 12, [10.0, 20.0])))
        ->toEqualWithDelta(2.0, 1e-9)
        ->and(PassMinutes::pace(array_fill(0, 6, [10.0, 20.0])))
        ->toEqualWithDelta(sqrt(2), 1e-9)
        ->and(PassMinutes::pace([...array_fill(0, 12, [10.0, 10.0]), [1.0, 300.0]]))
        ->toBe(1.0);
    expect(array_map(PassMinutes::words(...), [0.0, 3.0, 44.0, 94.0, 100.0, 270.0, 290.0]))->toBe([
        '',
        'about 10 minutes',
        'about 40 minutes',
        'about 90 minutes',
        'about 1½ hours',
        'about 4½ hours',
        'about 5 hours',
    ]);
});

test('habits beyond reason are refused by name', function (): void {
    expect(static fn (): WorkingHabits => new WorkingHabits(session: 5))
        ->toThrow(OutOfRange::class, 'session')
        ->and(static fn (): WorkingHabits => new WorkingHabits(wet: 999))
        ->toThrow(OutOfRange::class, 'wet')
        ->and(new DeskStep(1, 0, 'solvent', 2.0, 5.0))
        ->toHaveProperty('drying', 5.0);
});
