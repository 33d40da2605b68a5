<?php

declare(strict_types=1);

use App\Jobs\FitDrawer;
use App\Models\DrawerImport;
use Illuminate\Support\Facades\Queue;

it('brings a drawer file in, fits its pencils, and keeps those it does not name as not owned', function () {
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $file = uploadOf("number,heavy,name\n1,#2456a8,Deep one\n2,#cf2b2a,Loud one\n", 'drawer.csv');
    $id = $this->postJson('/api/drawer/imports', ['file' => $file])->assertAccepted()->json('id');
    $this->getJson("/api/drawer/imports/$id")->assertJson(['state' => 'done', 'done' => 2, 'total' => 2]);
    expect(array_column($this->getJson('/api/drawer')->json('pencils'), 'number'))->toBe(['1', '2'])
        ->and($this->getJson('/api/drawer')->json('pencils.0.assumed'))->toBe(['binder', 'hiding power', 'laydown'])
        ->and($user->pencils()->count())->toBe(26);
});

it('names a bad colour in row 7 by row and column, and the drawer stays as it was', function () {
    $this->actingAs($this->artistWithDrawer());
    $rows = "number,heavy\n1,#112233\n2,#112233\n3,#112233\n4,#112233\n5,#112233\n6,chestnut\n";
    $answer = $this->postJson('/api/drawer/imports', ['file' => uploadOf($rows, 'drawer.csv')])->assertUnprocessable();
    expect($answer->json('problems'))->toBe(['row 7, column heavy: A colour is written #rrggbb, like #7f9c8d; received "chestnut".']);
    expect($this->getJson('/api/drawer')->json('pencils'))->toHaveCount(24);
});

it('leaves the drawer as it was when the fitting is cancelled, and does nothing twice', function () {
    Queue::fake();
    $user = $this->artistWithDrawer();
    $this->actingAs($user);
    $id = $this->postJson('/api/drawer/imports', ['file' => uploadOf("number,heavy\n1,#2456a8\n", 'drawer.csv')])->json('id');
    Queue::assertPushed(FitDrawer::class);
    $this->deleteJson("/api/drawer/imports/$id")->assertJson(['state' => 'cancelled']);
    app()->call([new FitDrawer($id), 'handle']);
    expect($this->getJson('/api/drawer')->json('pencils'))->toHaveCount(24);

    $again = DrawerImport::query()->create(['user_id' => $user->id, 'state' => DrawerImport::WORKING, 'done' => 1, 'total' => 1, 'text' => "number,heavy\n1,#2456a8\n"]);
    app()->call([new FitDrawer($again->id), 'handle']);
    app()->call([new FitDrawer($again->id), 'handle']);
    expect($this->getJson('/api/drawer')->json('pencils'))->toHaveCount(1)->and($again->refresh()->state)->toBe('done');
    $this->actingAs($this->artist('stranger'))->getJson("/api/drawer/imports/$id")->assertNotFound();
});

it('asks for pencils when the drawer is empty', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $this->actingAs($user)->getJson("/api/studies/$study->id/recipes?x=100&y=150&ring=9")->assertUnprocessable();
});

it('lays the drawer in every order, and says of a pencil what it is and what works with it', function () {
    $this->actingAs($this->artistWithDrawer());
    $steps = [];
    foreach (['gradual', 'number', 'value', 'family'] as $order) {
        $tray = $this->getJson("/api/drawer/tray?order=$order")->assertOk()->json();
        expect(array_unique(array_column($tray['pencils'], 'id')))->toHaveCount(24)->and($tray['pencils'][0]['strata'])->toHaveCount(6)->and($tray['pencils'][0]['lightStrata'])->toHaveCount(6);
        $steps[$order] = $tray['meanStepDeltaE00'];
    }
    expect(min($steps))->toBe($steps['gradual']);
    $this->getJson('/api/drawer/tray?order=mood')->assertUnprocessable();
    $pencil = $this->getJson('/api/drawer/pencil?id=624')->assertOk()->json();
    expect($pencil['number'])->toBe('624')->and($pencil['ladder'])->toHaveCount(5)->and($pencil['ladder'][0]['coats'])->toHaveCount(6)->and($pencil['reading']['family'])->toStartWith('red')
        ->and($pencil['nearest'])->toHaveCount(3)->and($pencil['neutralisers'])->not->toBeEmpty()->and(array_column(array_column($pencil['nearest'], 'pencil'), 'number'))->not->toContain('624');
    // On another paper it is another ladder.
    expect($this->getJson('/api/drawer/pencil?id=624&paper=black')->json('ladder.0.coats.0.hex'))->not->toBe($pencil['ladder'][0]['coats'][0]['hex']);
    $this->getJson('/api/drawer/pencil?id=999')->assertUnprocessable();
    $this->getJson('/api/drawer/pencil?id=624&paper=cork')->assertUnprocessable();
});

it('lies empty without a pencil, and shows nobody else\'s', function () {
    $this->artistWithDrawer('owner');
    $this->actingAs($this->artist('stranger'));
    $this->getJson('/api/drawer/tray')->assertOk()->assertJson(['pencils' => [], 'largestStep' => null]);
    $this->getJson('/api/drawer/pencil?id=624')->assertUnprocessable();
});

it('says when something it needs is missing', function () {
    $this->getJson('/health')->assertStatus(503)->assertJson(['database' => true, 'storage' => true, 'queueWorker' => false, 'ok' => false]);
    cache()->put(App\Providers\AppServiceProvider::WORKER_SEEN, time(), 60);
    $this->getJson('/health')->assertOk()->assertJson(['ok' => true, 'jit' => true]);
});
