<?php

declare(strict_types=1);

use KnottyPrism\Core\Book\Log\LoggedPass;
use KnottyPrism\Core\Book\Log\LogSession;
use KnottyPrism\Core\Book\Log\Supply;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;

it('parts any order of ticks into sessions that lose and double none, and adds them up', function () {
    mt_srand(7);
    for ($try = 0; $try < 50; $try++) {
        $passes = [];
        $at = 1_600_000_000;
        $gaps = 0;
        for ($i = 0, $count = mt_rand(1, 80), $study = 1; $i < $count; $i++) {
            $gap = mt_rand(0, 3) > 0 ? mt_rand(30, 1800) : mt_rand(5401, 90_000);
            $study = mt_rand(0, 9) > 0 ? $study : 3 - $study;
            $at += $gap;
            $gaps += $i > 0 && $gap <= WorkLog::PAUSE && $passes[$i - 1]->study === $study ? $gap : 0;
            $passes[] = new LoggedPass($i, $study, $at, 'zone', 'Line/'.mt_rand(1, 5), mt_rand(0, 5) === 0, 4.0, mt_rand(0, 900));
        }
        $mixed = $passes;
        shuffle($mixed);
        $log = new WorkLog($mixed);
        $firsts = array_filter($log->sessions, static fn (LogSession $s): bool => ! $s->passes[0]->skipped);
        expect(array_merge(...array_map(static fn (LogSession $s): array => $s->passes, $log->sessions)))
            ->toEqual($passes)
            ->and($log->total()->minutes)
            ->toEqualWithDelta($gaps / 60 + 4 * count($firsts), 1e-6)
            ->and(array_sum($log->film()))
            ->toEqualWithDelta(array_sum(array_map(static fn (LoggedPass $p): float => $p->skipped ? 0 : $p->film, $passes)), 1e-6)
            ->and(array_sum(array_map(static fn ($t): int => $t->passes, $log->totals(static fn (LogSession $s): int => $s->study()))))
            ->toBe($log->total()->passes);
    }
    expect((new WorkLog([]))->total()->sessions)->toBe(0);
});

it('counts week by week from Monday to Sunday, idle weeks among them', function () {
    $at = static fn (string $when): int => (int) strtotime("$when UTC");
    $pass = static fn (int $i, string $when): LoggedPass => new LoggedPass($i, 1, $at($when), 'zone', 'Line/1', false, 4.0, 1);
    $log = new WorkLog([
        $pass(1, '2026-11-09 00:05:00'),
        $pass(2, '2026-11-15 23:59:59'),
        $pass(3, '2026-11-16 00:00:00'),
        $pass(4, '2026-12-02 09:00:00'),
    ]);
    $passes = static fn (string $now, int $most): array => array_combine(
        array_map(static fn (int $monday): string => gmdate('D j M H:i', $monday), array_keys($log->weeks($at($now), $most))),
        array_map(static fn ($t): int => $t->passes, $log->weeks($at($now), $most)),
    );
    // A session begins as its first pass did. Two passes a second apart are one session, and it counts to the week in which it began.
    expect($passes('2026-12-06 23:00', 12))
        ->toBe(['Mon 9 Nov 00:00' => 3, 'Mon 16 Nov 00:00' => 0, 'Mon 23 Nov 00:00' => 0, 'Mon 30 Nov 00:00' => 1])
        ->and($passes('2026-12-07 00:00', 2))
        ->toBe(['Mon 30 Nov 00:00' => 1, 'Mon 7 Dec 00:00' => 0])
        ->and((new WorkLog([]))->weeks($at('2026-12-07'), 12))
        ->toBe([]);
});

it('learns from measured pencils how fast they wear, little from a little', function () {
    $film = 10_000.0;
    $reckoned = Wear::ordinary()->millimetres($film);
    expect(Wear::learnt([])->millimetres($film))
        ->toBe($reckoned)
        ->and(Wear::learnt([[5.0, 10.0]])->millimetres($film) / $reckoned)
        ->toBeBetween(1.05, 1.3)
        ->and(Wear::learnt([[500.0, 1000.0]])->millimetres($film) / $reckoned)
        ->toBeBetween(1.85, 2.0)
        // A heavily covered sheet of A4 takes about half a pencil.
        ->and(Wear::ordinary()->millimetres(210 * 297 * 1.3))
        ->toBeBetween(60, 110);
});

it('says of a pencil in good time that it will not last, and nothing of one that will', function () {
    expect((new Supply(10, 120, 20))->words('741 Slate step'))
        ->toBe('')
        ->and((new Supply(10, 45, 20))->words('741 Slate step'))
        ->toBe('741 Slate step may run out: this plan needs about 5 mm more than you have left. Get another before the last passes.')
        ->and((new Supply(10, 55, 20))->words('741'))
        ->toBe('741 is running low: about 55 mm left.')
        ->and((new Supply(10, null, 150))->short())
        ->toEqual(15.0)
        ->and((new Supply(10, null, 100))->runsLow())
        ->toBeFalse();
});
