<?php

declare(strict_types=1);

use App\Jobs\TakePlanTurn;
use App\Models\PlanRun;
use App\Plans\PlanRunner;
use App\Plans\PlanTurns;
use App\Work\NotWanted;
use App\Work\Standing;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;

it('goes on where a killed worker was, repeats nothing, and stops when it is cancelled', function () {
    Queue::fake();
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/plan";
    $turn = static fn (bool $short = false): mixed => app()->call([new TakePlanTurn($short), 'handle']);
    $this->postJson("$base/run")->assertAccepted();
    $this->postJson("$base/run")->assertAccepted();
    expect(PlanRun::query()->count())->toBe(1);
    $turn();
    $parts = DB::table('plan_parts')->orderBy('id')->get();
    // As if the worker had been killed after half of them.
    DB::table('plan_parts')
        ->whereIn('id', $parts->slice(4)->pluck('id'))
        ->delete();
    $kept = DB::table('plan_parts')->pluck('created_at', 'id');
    PlanRun::query()->update([
        'state' => Standing::Working,
        'holder' => 'a machine/a worker',
        'held_until' => time() + 60,
        'zones_open' => $parts->count() - 4,
    ]);
    expect($this->getJson($base)->json('waiting'))->toBe($parts->count() - 4);
    // Another worker does not take it meanwhile, whatever the queue hands out twice.
    $turn();
    expect(DB::table('plan_parts')->count())
        ->toBe(4)
        ->and(app(PlanTurns::class)->somethingWaits())
        ->toBeFalse();
    // Nothing was heard of it for long: it is anybody's.
    PlanRun::query()->update(['held_until' => time() - 1]);
    expect(app(PlanTurns::class)->somethingWaits())->toBeTrue();
    // However often it was asked for, one turn waits.
    TakePlanTurn::forWhatWaits();
    Queue::assertPushed(TakePlanTurn::class, 1);
    $turn();
    expect(DB::table('plan_parts')->count())
        ->toBe($parts->count())
        ->and(DB::table('plan_parts')->whereIn('id', $kept->keys())->count())
        ->toBe(4)
        ->and($this->getJson($base)->json('run.state'))
        ->toBe('done')
        ->and(DB::table('plan_parts')->orderBy('part_key')->pluck('part_key')->all())
        ->toBe($parts->sortBy('part_key')->pluck('part_key')->values()->all());

    changedBy($this, $study, ['kind' => 'pencils', 'count' => 4]);
    $this->postJson("$base/run");
    $this->deleteJson("$base/run")->assertOk();
    $turn();
    expect($this->getJson($base)->json('run.state'))
        ->toBe('cancelled')
        ->and($this->getJson($base)->json('waiting'))
        ->toBeGreaterThan(0);
});

it('works for whom it worked for least, on what is soonest done, and makes way for another account', function () {
    Queue::fake();
    $first = $this->artist('one');
    $studies = [$this->study($first), $this->study($first), $this->study($first), $this->study($this->artist('another'))];
    $turns = app(PlanTurns::class);
    $runs = array_map(static fn ($study): PlanRun => app(PlanRunner::class)->begin($study, 6), $studies);
    // First come, first taken: and then the other's, though the first one has two more that came before it.
    expect($turns->take()?->id)
        ->toBe($runs[0]->id)
        ->and($turns->take()?->id)
        ->toBe($runs[3]->id)
        ->and($turns->take()?->id)
        ->toBe($runs[1]->id);
    $turns->giveBack($runs[3], 4.0);
    expect($turns->othersAreFirst($runs[0], 8.0))->toBeFalse()->and($turns->othersAreFirst($runs[0], 9.5))->toBeTrue();
    $turns->giveBack($runs[0], 20.0);
    $turns->giveBack($runs[1], 0.0);
    // The last zone of what began long is no short work.
    expect(PlanTurns::left($runs[0], 1))->toBeGreaterThan(PlanTurns::SHORT)->and(PlanTurns::left($runs[0], 4))->toBe(4);
    // What is short goes before what is long of the same account, and has a queue of its own.
    $runs[2]->update(['zones_open' => 1]);
    expect($turns->take(PlanTurns::SHORT)?->id)
        ->toBe($runs[2]->id)
        ->and($turns->take(PlanTurns::SHORT))
        ->toBeNull()
        ->and(PlanTurns::left($runs[2], 0))
        ->toBe(0);
    // Worked for 20 seconds, one waits until the other was as well; once a third comes, all begin alike.
    expect($turns->take()?->id)->toBe($runs[3]->id);
    $turns->giveBack($runs[3], 30.0);
    $turns->giveBack($runs[2], 0.0);
    expect($turns->take()?->id)->toBe($runs[2]->id);
    $turns->giveBack($runs[2], 0.0);
    expect($turns->othersAreFirst($runs[2], 10.0))->toBeFalse();
    app(PlanRunner::class)->begin($this->study($this->artist('third')), 6)->delete();
    expect($turns->othersAreFirst($runs[2], 10.0))->toBeTrue();
    // A worker that comes in a dead one's place begins with what that one held.
    expect($turns->take()?->id)->toBe($runs[2]->id);
    $turns->letGo();
    expect($turns->take()?->id)->toBe($runs[2]->id);
    $turns->letGo();
    // What kills whoever takes it is given up, and told so.
    PlanRun::query()
        ->whereKey($runs[2]->id)
        ->update(['tries' => 5]);
    expect($turns->take()?->id)
        ->not->toBe($runs[2]->id)
        ->and(PlanRun::query()->findOrFail($runs[2]->id)->state)
        ->toBe(Standing::Failed);
    // Cancelled, or held by somebody else by now: whoever works on it hears so with the next word.
    $held = PlanRun::query()->whereNotNull('holder')->firstOrFail();
    $held->update(['holder' => 'a machine/a worker']);
    expect(static fn () => $turns->hold($held, ['done' => 3]))->toThrow(NotWanted::class);
});

it('keeps a zone and tells of it, or neither, whenever its worker dies', function () {
    Queue::fake();
    $base = '/api/studies/'.pictureOf($this)->id.'/plan';
    $this->postJson("$base/run")->assertAccepted();
    $dies = true;
    PlanRun::updating(static function (PlanRun $run) use (&$dies): void {
        if ($dies && $run->isDirty('changes')) {
            $dies = false;
            throw new RuntimeException('The worker died.');
        }
    });
    $turn = static fn (): mixed => app()->call([new TakePlanTurn(), 'handle']);
    $turn();
    expect($dies)
        ->toBeFalse()
        ->and(DB::table('plan_parts')->whereNotNull('value->zone')->count())
        ->toBe(0);
    $turn();
    $plan = $this->getJson($base);
    expect($plan->json('run.state'))->toBe('done')->and($plan->json('run.changes'))->toHaveCount(count($plan->json('zones')));
});
