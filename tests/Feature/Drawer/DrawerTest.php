<?php

declare(strict_types=1);

use App\Jobs\TakeInDrawer;
use App\Models\DrawerImport;
use Illuminate\Support\Facades\Queue;

/** @return int the import's number, after its preview was looked at and it was taken in */
function broughtIn(Tests\TestCase $test, string $text, array $choices = []): int
{
    $id = $test
        ->postJson('/api/drawer/imports', ['file' => uploadOf($text, 'drawer.csv')])
        ->assertCreated()
        ->json('id');
    if ($choices !== []) {
        $test
            ->patchJson("/api/drawer/imports/$id", ['known' => 'renew', 'twice' => 'merge', 'others' => 'keep', ...$choices])
            ->assertOk();
    }
    $test->postJson("/api/drawer/imports/$id/take")->assertAccepted();

    return $id;
}

it('shows what a drawer file would do, takes it in, fits its pencils, and undoes it', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $before = $this->get('/api/drawer/file/csv')->getContent();
    $file = "line,number,heavy,name\n,1,#2456a8,Deep one\nSlipway,624,#b01020,Port light, relit\n";
    $file = str_replace('Port light, relit', '"Port light, relit"', $file);
    $preview = $this->postJson('/api/drawer/imports', ['file' => uploadOf($file, 'drawer.csv')])
        ->assertCreated()
        ->json();
    expect($preview)
        ->toFitThePage('DrawerImport')
        ->and($preview['state'])
        ->toBe('preview')
        ->and($preview['preview']['counts'])
        ->toBe(['new' => 1, 'changed' => 1, 'same' => 0, 'dropped' => 0, 'problems' => 0])
        ->and($this->get('/api/drawer/file/csv')->getContent())
        ->toBe($before);
    // Filled up only, nothing changes that is known; with the others no longer owned, 23 would go.
    $other = $this->patchJson("/api/drawer/imports/$preview[id]", ['known' => 'fill', 'twice' => 'merge', 'others' => 'not owned'])->json(
        'preview.counts',
    );
    expect($other)->toMatchArray(['new' => 1, 'changed' => 0, 'same' => 1, 'dropped' => 23]);

    $id = broughtIn($this, $file, ['others' => 'not owned']);
    $this->getJson("/api/drawer/imports/$id")->assertJson(['state' => 'done', 'done' => 25, 'total' => 25]);
    $owned = $this->getJson('/api/drawer')->json('pencils');
    expect(array_column($owned, 'name'))
        ->toBe(['Deep one', 'Port light, relit'])
        ->and($owned[0]['assumed'])
        ->toBe(['binder', 'hiding power', 'laydown'])
        ->and($user->pencils()->whereNull('fit')->count())
        ->toBe(0);
    $this->postJson('/api/drawer/undo')->assertJson(['undone' => 'import 25 pencils']);
    expect($this->get('/api/drawer/file/csv')->getContent())->toBe($before);
    $this->postJson('/api/drawer/undo')->assertJson(['undone' => null]);
});

it('names every problem by row and column, offers rows of one pencil to be merged, and takes the sound ones in', function () {
    $user = $this->artist();
    $this->actingAs($user);
    $rows = "number,heavy,name,binder\n1,#112233,,\n2,#223344,two,\n1,#112233,one,oil\n6,chestnut,,\n2,#aa3344,deux,\n";
    $answer = $this->postJson('/api/drawer/imports', ['file' => uploadOf($rows, 'drawer.csv')])
        ->assertCreated()
        ->json();
    expect($answer['preview']['problems'])
        ->toBe(['row 5, column heavy: A colour is written #rrggbb, like #7f9c8d; received "chestnut".'])
        ->and($answer['preview']['twice'])
        ->toEqual([['rows' => [2, 4], 'id' => '1', 'differs' => []], ['rows' => [3, 6], 'id' => '2', 'differs' => ['name', 'heavy']]]);
    $this->postJson("/api/drawer/imports/$answer[id]/take")->assertAccepted();
    expect(
        $user
            ->pencils()
            ->orderBy('number')
            ->get(['number', 'name', 'binder', 'heavy'])
            ->toArray(),
    )->toBe([
        ['number' => '1', 'name' => 'one', 'binder' => 'oil', 'heavy' => '#112233'],
        ['number' => '2', 'name' => 'two', 'binder' => null, 'heavy' => '#223344'],
    ]);
    // What can't be read at all is refused at once.
    $this->postJson('/api/drawer/imports', ['file' => uploadOf('price,colour', 'drawer.csv')])
        ->assertUnprocessable()
        ->assertJsonPath('problems.0', fn (string $p): bool => str_contains($p, 'Row 1 must name the columns'));
});

it('leaves the drawer as it was when an import is cancelled, does nothing twice, and shows it to nobody else', function () {
    Queue::fake();
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $file = "number,heavy\n1,#2456a8\n";
    $cancelled = broughtIn($this, $file);
    $this->postJson("/api/drawer/imports/$cancelled/take")->assertAccepted();
    Queue::assertPushed(TakeInDrawer::class, 1);
    $this->deleteJson("/api/drawer/imports/$cancelled")->assertJson(['state' => 'cancelled']);
    app()->call([new TakeInDrawer($cancelled), 'handle']);
    expect($user->pencils()->count())->toBe(24);

    $id = broughtIn($this, $file);
    // Stopped after it had begun: the work looks once more before it ends.
    DrawerImport::updated(
        static fn (DrawerImport $i) => $i->wasChanged('total')
            ? DrawerImport::query()
                ->whereKey($i->id)
                ->update(['state' => 'cancelled'])
            : null,
    );
    DrawerImport::query()
        ->whereKey($id)
        ->update(['total' => 0]);
    app()->call([new TakeInDrawer($id), 'handle']);
    expect($user->pencils()->count())
        ->toBe(24)
        ->and(DrawerImport::query()->find($id)->state)
        ->toBe(App\Work\Standing::Cancelled);
    DrawerImport::flushEventListeners();
    DrawerImport::query()
        ->whereKey($id)
        ->update(['state' => 'waiting']);
    app()->call([new TakeInDrawer($id), 'handle']);
    app()->call([new TakeInDrawer($id), 'handle']);
    expect($user->pencils()->count())
        ->toBe(25)
        ->and(DrawerImport::query()->find($id)->state)
        ->toBe(App\Work\Standing::Done);
    $this->actingAs($this->artist('stranger'))
        ->getJson("/api/drawer/imports/$id")
        ->assertNotFound();
    $this->postJson("/api/drawer/imports/$id/take")->assertNotFound();
    $this->postJson('/api/drawer/undo')->assertJson(['undone' => null]);
});

it('gives back the same drawer when its own file is brought into another account', function (string $kind) {
    $owner = $this->artistWithDrawer('owner');
    $this->actingAs($owner);
    $this->patchJson('/api/drawer/pencil', [
        'id' => 'Slipway/624',
        'lengthLeft' => 52.5,
        'formerly' => ['24', 'Old, red'],
        'notes' => "for the buoy;\nnot the hull",
    ])->assertNoContent();
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/661', 'stock' => 'wanted', 'discontinued' => true])->assertNoContent();
    $file = $this->get("/api/drawer/file/$kind")
        ->assertOk()
        ->getContent();
    $this->actingAs($this->artist('other'));
    $id = $this->postJson('/api/drawer/imports', ['file' => uploadOf($file, "drawer.$kind")])->json('id');
    $this->postJson("/api/drawer/imports/$id/take")->assertAccepted();
    expect($this->get("/api/drawer/file/$kind")->getContent())
        ->toBe($file)
        ->and($file)
        ->toContain('Old, red')
        ->toContain('wanted');
})->with(['csv', 'json']);

it('keeps what is left, what is wanted and what a pencil was called, and undoes it', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $stock = fn (): array => $this->getJson('/api/drawer/pencil?id=624')->json();
    $fingerprint = app(App\Drawers\DrawerKeeper::class)->fingerprint($user);
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'lengthLeft' => 100])->assertNoContent();
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'lengthLeft' => 40, 'formerly' => ['12']])->assertNoContent();
    // Said twice, as leaving a field after Enter does, it is noted once.
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'lengthLeft' => 40, 'formerly' => ['12']])->assertNoContent();
    expect($stock()['stock']['words'])
        ->toBe('running low, 40 mm left; used to be 12')
        ->and($stock()['usedMm'])
        ->toEqual(135)
        ->and($stock()['usedTimes'])
        ->toBe(2)
        // A note changes no recipe.
        ->and(app(App\Drawers\DrawerKeeper::class)->fingerprint($user))
        ->toBe($fingerprint);
    $this->postJson('/api/drawer/undo')->assertJson(['undone' => 'note on 624']);
    expect($stock()['stock']['lengthLeft'])->toEqual(100)->and($stock()['usedMm'])->toEqual(75);
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'lengthLeft' => 900])->assertUnprocessable();
    $this->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'stock' => 'wanted'])->assertNoContent();
    expect($this->getJson('/api/drawer')->json('pencils'))->toHaveCount(23);
    $this->actingAs($this->artist('stranger'))
        ->patchJson('/api/drawer/pencil', ['id' => 'Slipway/624', 'stock' => 'owned'])
        ->assertUnprocessable();
});

it('adds pencils of a line by their numbers, and says when there are none', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $user->pencils()->update(['stock' => 'not owned']);
    $this->postJson('/api/drawer/ranges', ['line' => 'Slipway', 'numbers' => '600–640, 661', 'stock' => 'owned'])->assertJson([
        'changed' => 7,
    ]);
    expect(array_column($this->getJson('/api/drawer')->json('pencils'), 'number'))->toBe([
        '604',
        '608',
        '617',
        '624',
        '628',
        '636',
        '661',
    ]);
    expect($this->getJson('/api/drawer/lines')->json())
        ->toFitThePage('DrawerLines')
        ->and($this->getJson('/api/drawer/lines')->json('undoWords'))
        ->toBe('make 7 of Slipway owned');
    $this->postJson('/api/drawer/undo')->assertOk();
    expect($this->getJson('/api/drawer')->json('pencils'))->toBe([]);
    $this->postJson('/api/drawer/ranges', ['line' => 'Slipway', 'numbers' => '1-9', 'stock' => 'owned'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'Slipway has no number in "1-9"'));
    $this->postJson('/api/drawer/ranges', ['line' => 'Slipway', 'numbers' => 'all of them', 'stock' => 'owned'])->assertUnprocessable();
});

it('says what the drawer reaches, what stands in for a pencil, and how two lines compare; as pages to print, too', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $user
        ->pencils()
        ->whereIn('number', ['624', '636', '628'])
        ->update(['stock' => 'not owned']);
    $reach = $this->getJson('/api/drawer/reach?paper=white%20medium')->assertOk()->json();
    expect($reach)
        ->toFitThePage('DrawerReach')
        ->and($reach['share'])
        ->toBeGreaterThan(0.4)
        ->toBeLessThan(1.0)
        ->and($reach['purchases'])
        ->toHaveCount(3)
        ->and(array_column($reach['purchases'], 'number'))
        ->toContain('636');
    $mix = $this->getJson('/api/drawer/mix?id=Slipway/696')->assertOk()->json();
    expect($mix)->toFitThePage('StandIn');
    foreach ($mix['heavy']['passes'] as $pass) {
        expect($pass['pencil']['number'])->not->toBe('696');
    }
    $table = $this->getJson('/api/drawer/equivalents?from=Foghorn&to=Slipway')->assertOk()->json();
    expect($table)->toFitThePage('LineTable')->and($table['rows'])->not->toBeEmpty();
    $ids = 'ids[]=Slipway/624&ids[]=Slipway/661&ids[]=Slipway/604';
    $chart = $this->getJson("/api/drawer/chart?$ids")
        ->assertOk()
        ->json();
    expect($chart)
        ->toFitThePage('MixingChart')
        ->and($chart['pairs'])
        ->toHaveCount(3)
        ->and($chart['pairs'][0][1]['strata'])
        ->not->toBe($chart['pairs'][1][0]['strata'])
        ->and($chart['orders'])
        ->toHaveCount(6);
    foreach (["chart.pdf?$ids", 'map.pdf?rows=2&slots=12', 'equivalents.pdf?from=Foghorn&to=Slipway&size=letter'] as $page) {
        $pdf = $this->get("/api/drawer/$page")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf');
        expect($pdf->getContent())->toStartWith('%PDF-');
    }
    $this->getJson('/api/drawer/chart?ids[]=Slipway/624')->assertUnprocessable();
    $this->getJson('/api/drawer/map.pdf?rows=0&slots=12')->assertUnprocessable();
    $stranger = $this->artist('stranger');
    $study = $this->study($user);
    $this->actingAs($stranger)
        ->getJson("/api/studies/$study->id/purchases")
        ->assertNotFound();
});

it('asks for pencils when the drawer is empty', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $this->actingAs($user)
        ->getJson("/api/studies/$study->id/recipes?x=100&y=150&ring=9")
        ->assertUnprocessable();
});

it('lays the drawer in every order, and says of a pencil what it is and what works with it', function () {
    $this->actingAs($this->artistWithDrawer());
    $steps = [];
    foreach (['gradual', 'number', 'value', 'family'] as $order) {
        $tray = $this->getJson("/api/drawer/tray?order=$order")
            ->assertOk()
            ->json();
        expect(array_unique(array_column($tray['pencils'], 'id')))
            ->toHaveCount(24)
            ->and($tray['pencils'][0]['strata'])
            ->toHaveCount(6)
            ->and($tray['pencils'][0]['lightStrata'])
            ->toHaveCount(6);
        $steps[$order] = $tray['meanStepDeltaE00'];
    }
    expect(min($steps))->toBe($steps['gradual']);
    $this->getJson('/api/drawer/tray?order=mood')->assertUnprocessable();
    $pencil = $this->getJson('/api/drawer/pencil?id=624')->assertOk()->json();
    expect($pencil['number'])
        ->toBe('624')
        ->and($pencil['ladder'])
        ->toHaveCount(5)
        ->and($pencil['ladder'][0]['coats'])
        ->toHaveCount(6)
        ->and($pencil['reading']['family'])
        ->toStartWith('red')
        ->and(array_unique(array_column(array_column($pencil['nearest'], 'pencil'), 'line')))
        ->toBe(['Foghorn'])
        ->and($pencil['neutralisers'])
        ->not->toBeEmpty()
        ->and(array_column(array_column($pencil['nearest'], 'pencil'), 'number'))
        ->not->toContain('624');
    // On another paper it is another ladder.
    expect($this->getJson('/api/drawer/pencil?id=624&paper=black')->json('ladder.0.coats.0.hex'))->not->toBe(
        $pencil['ladder'][0]['coats'][0]['hex'],
    );
    $this->getJson('/api/drawer/pencil?id=999')->assertUnprocessable();
    $this->getJson('/api/drawer/pencil?id=624&paper=cork')->assertUnprocessable();
});

it('lies empty without a pencil, and shows nobody else\'s', function () {
    $this->artistWithDrawer('owner');
    $this->actingAs($this->artist('stranger'));
    $this->getJson('/api/drawer/tray')
        ->assertOk()
        ->assertJson(['pencils' => [], 'largestStep' => null]);
    $this->getJson('/api/drawer/pencil?id=624')->assertUnprocessable();
});

it('says when something it needs is missing', function () {
    // Not that of a worker which happens to run.
    config()->set('queue.pulse', sys_get_temp_dir().'/kp-pulse-'.bin2hex(random_bytes(6)));
    $this->getJson('/health')
        ->assertStatus(503)
        ->assertJson(['database' => true, 'storage' => true, 'queueWorker' => false, 'ok' => false]);
    mkdir((string) config('queue.pulse'));
    touch(config('queue.pulse').'/worker-1');
    touch(config('queue.pulse').'/worker-short');
    $this->getJson('/health')
        ->assertOk()
        ->assertJson(['ok' => true, 'jit' => true]);
    // One of them is enough.
    touch(config('queue.pulse').'/worker-short', time() - App\Work\Pulse::HEARD_WITHIN);
    $this->getJson('/health')
        ->assertStatus(503)
        ->assertJson(['queueWorker' => false, 'database' => true]);
});
