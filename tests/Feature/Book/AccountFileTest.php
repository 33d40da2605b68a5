<?php

declare(strict_types=1);

use App\Models\BookRecipeRow;
use App\Models\DeskMarkRow;
use App\Models\PracticeAttempt;
use App\Models\Study;
use App\Models\User;

it('takes all of an account along, into another, and there it is as it was', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    marked($this, "/api/studies/$study->id/desk", $this->getJson("/api/studies/$study->id/desk")->json('steps.0'))->assertOk();
    $this->patchJson('/api/book/log', ['session' => DeskMarkRow::query()->sole()->id, 'note' => 'first evening'])->assertOk();
    $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => 1, 'words' => 'to keep'])->assertCreated();
    PracticeAttempt::query()->create(['user_id' => $study->user_id, 'study_id' => $study->id, 'skill' => 'lean', 'difficulty' => 2, 'seed' => 7, 'right' => false, 'made_at' => time()]);
    learnt(5);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $this->postJson("/api/studies/$study->id/plan/checks/made-up", ['passes' => 1, 'seed' => 4])->assertCreated();
    $checked = function (): array {
        $base = '/api/studies/'.$this->getJson('/api/studies')->json('studies.0.id').'/plan/checks';
        $check = $this->getJson($base)->assertOk()->json('checks.0');

        return [collect($check)->except('id')->all(), md5((string) $this->get("$base/{$check['id']}/photo")->assertOk()->getContent()), md5((string) $this->get("$base/{$check['id']}/map")->assertOk()->getContent())];
    };
    $shown = fn (): array => [
        collect($this->getJson('/api/book/recipes')->json('recipes'))->map(fn ($r) => collect($r)->except('id'))->all(), collect($this->getJson('/api/book/log')->json('sessions'))->map(fn ($s) => [...collect($s)->except(['id', 'study', 'checks'])->all(), count($s['checks'])])->all(),
        $this->getJson('/api/book/log')->json('total'), collect($this->getJson('/api/drawer/tray?order=number')->json('pencils'))->pluck('id')->all(),
        collect($this->getJson('/api/hand')->json('hand'))->all(), $checked(),
    ];
    $here = $shown();
    $saved = $this->get('/api/book/account.zip')->assertOk()->baseResponse->getFile()->getContent();

    $this->actingAs(User::factory()->create(['name' => 'elsewhere']));
    $taken = $this->post('/api/book/account', ['file' => uploadOf($saved, 'all.zip')], ['Accept' => 'application/json', 'Idempotency-Key' => 'taken-in-once'])->assertCreated();
    expect($taken->json())->toFitThePage('TakenIn')->and($taken->json('studies'))->toBe(1)->and($taken->json('recipes'))->toBe(1)->and($taken->json('practice'))->toBe(1)->and($taken->json('problems'))->toBe([])->and($taken->json('pencils'))->toBeGreaterThan(6);
    expect($shown())->toEqual($here)->and($this->getJson('/api/book/recipes?words=keep')->json('found'))->toBe(1)->and($this->getJson('/api/book/recipes?like='.urlencode($here[0][0]['shades'][0]['hex']))->json('found'))->toBe(1);
    // Sent again it is not taken in again.
    $this->post('/api/book/account', ['file' => uploadOf($saved, 'all.zip')], ['Accept' => 'application/json', 'Idempotency-Key' => 'taken-in-once'])->assertCreated();
    $again = $this->post('/api/book/account', ['file' => uploadOf($saved, 'all.zip')], ['Accept' => 'application/json'])->assertCreated();
    expect($again->json('recipes'))->toBe(0)->and($again->json('practice'))->toBe(0)->and($again->json('pencils'))->toBe(0);
    expect(Study::query()->count())->toBe(3)->and(BookRecipeRow::query()->count())->toBe(2);
});

it('refuses what is no account file, and names a study that is damaged while it takes in the rest', function () {
    $study = pictureOf($this);
    $this->postJson("/api/studies/$study->id/plan/run")->assertAccepted();
    $this->postJson("/api/studies/$study->id/book-recipes", ['zone' => 1])->assertCreated();
    $saved = $this->get('/api/book/account.zip')->assertOk()->baseResponse->getFile()->getContent();
    $send = fn (string $bytes) => $this->post('/api/book/account', ['file' => uploadOf($bytes, 'all.zip')], ['Accept' => 'application/json']);
    $with = static function (string $name, string $text) use ($saved): string {
        $path = (string) tempnam(sys_get_temp_dir(), 'kp');
        file_put_contents($path, $saved);
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString($name, $text);
        $zip->close();

        return (string) file_get_contents($path);
    };
    expect($send('not a zip')->assertUnprocessable()->json('detail'))->toContain('no account file')->and($send($with('account.json', '{"format":"x"}'))->assertUnprocessable()->json('detail'))->toContain('another version')
        ->and($send($with('account.json', '{"format":"knotty-prism-account","version":1}'))->assertUnprocessable()->json('detail'))->toContain('damaged');
    $zip = new ZipArchive;
    file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'kp'), $saved);
    $zip->open($path);
    $name = (string) $zip->getNameIndex(0);
    $zip->close();
    $this->actingAs(User::factory()->create(['name' => 'elsewhere']));
    $taken = $send($with($name, '{"format":"knotty-prism-study","version":1}'))->assertCreated()->json();
    expect($taken['studies'])->toBe(0)->and($taken['recipes'])->toBe(1)->and($taken['problems'][0])->toContain($name)->and($this->getJson('/api/book/recipes')->json('recipes.0.study'))->toBe('');
    // A recipe that can't be laid is named as well, and what was taken in before it stays.
    $index = json_decode((string) (function () use ($saved): string {
        file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'kp'), $saved);
        $zip = new ZipArchive;
        $zip->open($path);

        return (string) $zip->getFromName('account.json');
    })(), true);
    $index['recipes'][] = [...$index['recipes'][0], 'name' => 'broken', 'passes' => [['tool' => 'Nobody/1', 'marks' => ['mid' => 'light']]]];
    $this->actingAs(User::factory()->create(['name' => 'a third']));
    $taken = $send($with('account.json', (string) json_encode($index)))->assertCreated()->json();
    expect($taken['studies'])->toBe(1)->and($taken['recipes'])->toBe(1)->and($taken['problems'])->toHaveCount(1)->and($taken['problems'][0])->toContain('broken');
    $this->post('/api/book/account', [], ['Accept' => 'application/json'])->assertUnprocessable()->assertJsonPath('detail', 'Choose an account file.');
});
