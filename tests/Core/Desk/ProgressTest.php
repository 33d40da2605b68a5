<?php

declare(strict_types=1);

use KnottyPrism\Core\Desk\Progress\DeskMark;
use KnottyPrism\Core\Desk\Progress\MarkKind;
use KnottyPrism\Core\Desk\Progress\ZoneProgress;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;

$pass = static fn (string $tool, PressureMark $dark = PressureMark::Medium): PassNote => new PassNote($tool, [
    'mid' => PressureMark::Light,
    'dark' => $dark,
]);
$plan = [$pass('A'), $pass('B'), $pass('C')];
$mark = static fn (MarkKind $kind, PassNote $p, ?array $rest = null, array $of = []): DeskMark => new DeskMark(
    $kind,
    1,
    $p,
    100,
    $rest === null ? null : new SequenceNote($rest),
    $of === [] ? '' : ZoneProgress::planKey($of),
);
$tools = static fn (array $passes): string => implode('', array_map(static fn (PassNote $p): string => $p->tool, $passes));

test('what is laid and left out goes from what is to come, in its order', function () use ($pass, $plan, $mark, $tools): void {
    $so = ZoneProgress::of($plan, []);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['', 'ABC', false]);
    // Written in another order of roles it is the same pass.
    $so = ZoneProgress::of($plan, [
        $mark(MarkKind::Done, new PassNote('A', ['dark' => PressureMark::Medium, 'mid' => PressureMark::Light])),
        $mark(MarkKind::Skipped, $pass('B')),
    ]);
    expect([$tools($so->laid), $tools($so->rest), $so->astray, $so->marks])->toBe(['A', 'C', false, 2]);
});

test('something else, or a plan that changed since, leads astray, and what is left of the plan is where to begin', function () use (
    $pass,
    $plan,
    $mark,
    $tools,
): void {
    $so = ZoneProgress::of($plan, [$mark(MarkKind::Done, $pass('A')), $mark(MarkKind::Other, $pass('X'))]);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['AX', 'C', true]);
    // The plan was A B C when A was laid; now it is D B.
    $so = ZoneProgress::of([$pass('D'), $pass('B')], [$mark(MarkKind::Done, $pass('A'))]);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['A', 'DB', true]);
    // The same pencil otherwise pressed is not the same pass; the right one out of its turn is.
    expect(ZoneProgress::of($plan, [$mark(MarkKind::Done, $pass('A', PressureMark::Full))])->astray)->toBeTrue();
    $so = ZoneProgress::of($plan, [$mark(MarkKind::Done, $pass('B'))]);
    expect([$tools($so->rest), $so->astray])->toBe(['AC', true]);
});

test('a rest that was found once is kept as long as the plan is the same', function () use ($pass, $plan, $mark, $tools): void {
    $marks = [$mark(MarkKind::Other, $pass('X'), [$pass('Y'), $pass('Z')], $plan), $mark(MarkKind::Done, $pass('Y'))];
    $so = ZoneProgress::of($plan, $marks);
    expect([$tools($so->laid), $tools($so->rest), $so->astray])->toBe(['XY', 'Z', false]);
    $so = ZoneProgress::of([$pass('N')], $marks);
    expect([$tools($so->laid), $so->astray])->toBe(['XY', true]);
});
