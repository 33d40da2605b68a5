<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Progress\Tick;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Desk\Progress\ZoneProgress;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

$pass = static fn (string $tool, Pressure $dark = Pressure::Medium): PassNote => new PassNote($tool, [
    'mid' => Pressure::Light,
    'dark' => $dark,
]);
$plan = [$pass('A'), $pass('B'), $pass('C')];
$tick = static fn (TickKind $kind, PassNote $p, ?array $rest = null, array $of = []): Tick => new Tick(
    $kind,
    1,
    $p,
    100,
    $rest === null ? null : new SequenceNote($rest),
    $of === [] ? '' : ZoneProgress::planKey($of),
);
$tools = static fn (array $passes): string => implode('', array_map(static fn (PassNote $p): string => $p->tool, $passes));

test('what is laid and left out goes from what is to come, in its order', function () use ($pass, $plan, $tick, $tools): void {
    $so = ZoneProgress::of($plan, []);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['', 'ABC', false]);
    // Written in another order of roles it is the same pass.
    $so = ZoneProgress::of($plan, [
        $tick(TickKind::Done, new PassNote('A', ['dark' => Pressure::Medium, 'mid' => Pressure::Light])),
        $tick(TickKind::Skipped, $pass('B')),
    ]);
    expect([$tools($so->laid), $tools($so->rest), $so->astray, $so->ticks])->toBe(['A', 'C', false, 2]);
});

test('something else, or a plan that changed since, leads astray, and what is left of the plan is where to begin', function () use (
    $pass,
    $plan,
    $tick,
    $tools,
): void {
    $so = ZoneProgress::of($plan, [$tick(TickKind::Done, $pass('A')), $tick(TickKind::Other, $pass('X'))]);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['AX', 'C', true]);
    // The plan was A B C when A was laid; now it is D B.
    $so = ZoneProgress::of([$pass('D'), $pass('B')], [$tick(TickKind::Done, $pass('A'))]);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['A', 'DB', true]);
    // The same pencil otherwise pressed is not the same pass; the right one out of its turn is.
    expect(ZoneProgress::of($plan, [$tick(TickKind::Done, $pass('A', Pressure::Full))])->astray)->toBeTrue();
    $so = ZoneProgress::of($plan, [$tick(TickKind::Done, $pass('B'))]);
    expect([$tools($so->rest), $so->astray])->toBe(['AC', true]);
});

test('a rest that was found once is kept as long as the plan is the same', function () use ($pass, $plan, $tick, $tools): void {
    $ticks = [$tick(TickKind::Other, $pass('X'), [$pass('Y'), $pass('Z')], $plan), $tick(TickKind::Done, $pass('Y'))];
    $so = ZoneProgress::of($plan, $ticks);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['XY', 'Z', false]);
    $so = ZoneProgress::of([$pass('N')], $ticks);
    expect([$tools($so->laid), $so->astray])->toBe(['XY', true]);
});
