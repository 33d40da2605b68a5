<?php

declare(strict_types=1);

use App\Models\PencilRow;
use App\Models\Study;
use App\Models\TickRow;
use Illuminate\Support\Facades\DB;
use Sabre\VObject\Reader;

/** Ticks of a study, each so many minutes after the one before. */
function worked(Study $study, int $from, array $minutes, array $otherwise = []): void
{
    foreach ($minutes as $i => $after) {
        $from += 60 * $after;
        TickRow::query()->create([
            'study_id' => $study->id,
            'kind' => 'done',
            'zone' => 1,
            'zone_name' => 'sea',
            'pass' => ['tool' => 'Slipway/741', 'pressures' => ['mid' => 'medium']],
            'plan' => 'x',
            'minutes' => 5,
            'film' => 400.0,
            'made_at' => $from,
            ...$otherwise,
        ]);
    }
}

it('tells sessions, totals by year and study, and what was used, as an independent sum has it', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    [$one, $other] = [$this->study($user), $this->study($user)];
    $evening = strtotime('2025-12-31 20:00 UTC');
    worked($one, $evening, [0, 10, 20, 100]);
    worked($one, $evening + 86400, [0, 7], ['kind' => 'skipped', 'film' => 0]);
    worked($other, $evening + 86400 + 1200, [0, 30]);
    worked($other, $evening, [5], ['taken_back' => true]);
    $log = $this->getJson('/api/book/log')->assertOk()->json();
    expect($log)
        ->toFitThePage('Log')
        ->and(array_column($log['sessions'], 'passes'))
        ->toBe([2, 0, 1, 3])
        ->and(array_column($log['sessions'], 'minutes'))
        ->toEqual([35, 7, 5, 35])
        ->and($log['sessions'][1]['leftOut'])
        ->toBe(2)
        ->and($log['sessions'][3]['began'])
        ->toBe($evening - 300);
    // Added up once more, from the table, by other means.
    $rows = DB::select("select made_at, study_id, film, minutes from ticks where not taken_back and kind <> 'skipped'");
    expect($log['total']['passes'])
        ->toBe(count($rows))
        ->and($log['total']['usedMm'])
        ->toEqualWithDelta(((array_sum(array_column($rows, 'film')) * 0.006) / 10.8) * 2, 0.1)
        ->and($log['total']['minutes'])
        ->toEqual(35 + 5 + 7 + 35)
        ->and(array_sum(array_column($log['years'], 'minutes')))
        ->toEqual($log['total']['minutes'])
        ->and(array_column($log['years'], 'passes', 'name'))
        ->toBe(['2026' => 2, '2025' => 4])
        ->and(array_column($log['studies'], 'sessions', 'of'))
        ->toBe([$other->id => 1, $one->id => 3]);
    expect(
        array_sum(array_map(static fn (array $s): float => array_sum(array_column($s['tools'], 'usedMm')), $log['sessions'])),
    )->toEqualWithDelta($log['total']['usedMm'], 0.3);
});

it('keeps a note of a session, of one\'s own alone', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    worked($study, 1_700_000_000, [0, 5]);
    $this->actingAs($user);
    $session = $this->getJson('/api/book/log')->json('sessions.0.id');
    expect(
        $this->patchJson('/api/book/log', ['session' => $session, 'note' => ' Rain; the light went. '])
            ->assertOk()
            ->json('sessions.0.note'),
    )->toBe('Rain; the light went.');
    expect(
        $this->patchJson('/api/book/log', ['session' => $session, 'note' => ''])
            ->assertOk()
            ->json('sessions.0.note'),
    )->toBe('');
    $this->patchJson('/api/book/log', ['session' => $session, 'note' => str_repeat('x', 2001)])->assertUnprocessable();
    $this->actingAs($this->artistWithDrawer('other'));
    expect(
        $this->patchJson('/api/book/log', ['session' => $session, 'note' => 'mine'])
            ->assertUnprocessable()
            ->json('detail'),
    )
        ->toContain('no longer in the log')
        ->and($this->getJson('/api/book/log')->json('sessions'))
        ->toBe([]);
});

it('is read by calendars and spreadsheets, and nothing in it is taken for a formula', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $study->update(['name' => '=HYPERLINK("x"), "low"']);
    worked($study, 1_700_000_000, [0, 12], ['zone_name' => '+sea; wide, grey']);
    worked($study, 1_700_100_000, [0]);
    $this->actingAs($user);
    $events = Reader::read((string) $this->get('/api/book/log/log.ics')->assertOk()->getContent());
    expect($events->validate())
        ->toBe([])
        ->and($events->VEVENT)
        ->toHaveCount(2)
        ->and((string) $events->VEVENT[0]->SUMMARY)
        ->toBe('Drawing: =HYPERLINK("x"), "low"')
        ->and($events->VEVENT[0]->DTEND->getDateTime()->getTimestamp() - $events->VEVENT[0]->DTSTART->getDateTime()->getTimestamp())
        ->toBe(17 * 60);
    $file = fopen('data://text/csv,'.rawurlencode((string) $this->get('/api/book/log/log.csv')->assertOk()->getContent()), 'r');
    $rows = [];
    while (is_array($row = fgetcsv($file, escape: ''))) {
        $rows[] = $row;
    }
    expect($rows)
        ->toHaveCount(4)
        ->and(array_unique(array_map(count(...), $rows)))
        ->toBe([8])
        ->and($rows[1][1])
        ->toBe('\'=HYPERLINK("x"), "low"')
        ->and($rows[1][3])
        ->toBe('\'+sea; wide, grey')
        ->and(array_column($rows, 0))
        ->toBe(['session', '1', '1', '2']);
});

it('reckons a tick of the desk, tells what the plan still takes, and says in good time which pencil will not last', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $supply = $this->getJson("/api/studies/$study->id/supply")
        ->assertOk()
        ->json();
    expect($supply)
        ->toFitThePage('PencilSupply')
        ->and(array_filter(array_column($supply['pencils'], 'neededMm')))
        ->not->toBe([])
        ->and(array_sum(array_column($supply['pencils'], 'usedMm')))
        ->toEqual(0);
    // Cautions decided against stand there with their reason.
    changedBy($this, $study, [
        'kind' => 'overrule',
        'zone' => 1,
        'shade' => 'mid',
        'code' => 'bloom',
        'note' => 'under glass',
    ])->assertOk();
    $named = array_column($this->getJson("/api/studies/$study->id/plan")->json('zones'), 'name', 'number')[1];
    expect($supply['overruled'])
        ->toBe([])
        ->and($this->getJson("/api/studies/$study->id/supply")->json('overruled'))
        ->toBe([['zone' => $named, 'shade' => 'mid', 'code' => 'bloom', 'reason' => 'under glass']]);
    $step = $this->getJson("/api/studies/$study->id/desk")->json('steps.0');
    ticked($this, "/api/studies/$study->id/desk", $step)->assertOk();
    $tick = TickRow::query()->sole();
    expect($tick->film)->toBeGreaterThan(0)->and($tick->zone_name)->toBe($step['zoneName']);
    $of = fn (array $supply): array => array_values(
        array_filter($supply['pencils'], static fn (array $p): bool => $p['id'] === $step['pencil']['id']),
    )[0];
    $after = $of($this->getJson("/api/studies/$study->id/supply")->json());
    // What was needed is what is used and what is still needed.
    expect($after['usedMm'] + $after['neededMm'])
        ->toEqualWithDelta($of($supply)['neededMm'], 0.2)
        ->and($after['leftMm'])
        ->toBeNull();
    // Measured, what is laid from then on makes it shorter; a stub does not last.
    $this->patchJson('/api/drawer/pencil?id='.urlencode($step['pencil']['id']), ['lengthLeft' => 31])->assertSuccessful();
    $short = $of($this->getJson("/api/studies/$study->id/supply")->json());
    expect($short['leftMm'])->toEqual(31);
    PencilRow::query()
        ->where('number', $step['pencil']['number'])
        ->update(['length_left' => 30, 'length_noted_at' => 0]);
    $short = $of($this->getJson("/api/studies/$study->id/supply")->json());
    // The drawer says so too.
    $worn = $this->getJson('/api/drawer/pencil?id='.urlencode($step['pencil']['id']))
        ->assertOk()
        ->json();
    expect($worn)
        ->toFitThePage('PencilPortrait')
        ->and($worn['worn']['leftMm'])
        ->toBe($short['leftMm'])
        ->and($worn['worn']['laidMm'])
        ->toBe($short['usedMm'])
        ->and($worn['worn']['words'])
        ->toContain('running low');
    expect($short['leftMm'])
        ->toEqualWithDelta(30 - $short['usedMm'], 0.1)
        ->and($short['runsLow'])
        ->toBeTrue()
        ->and($short['words'])
        ->toContain($short['neededMm'] > 0 ? 'may run out' : 'running low');
});
