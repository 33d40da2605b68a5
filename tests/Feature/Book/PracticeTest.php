<?php

declare(strict_types=1);

use App\Models\PracticeAttempt;
use App\Models\Study;

it('asks of every skill, judges right and wrong, keeps it, and brings a mistake back', function () {
    $study = pictureOf($this);
    $base = "/api/studies/$study->id/practice";
    $wrong = null;
    foreach (['value', 'value in its surroundings', 'lean', 'warm or cool', 'complement', 'order of two passes', 'next move'] as $skill) {
        $asked = $this->getJson("$base?skill=".urlencode($skill))->assertOk();
        expect(json_decode((string) $asked->getContent()))->toFitThePage('Practice');
        $drill = $asked->json('drill');
        if ($drill === null) {
            continue;
        }
        expect($drill['skill'])
            ->toBe($skill)
            ->and($drill['difficulty'])
            ->toBe(1)
            ->and($asked->json())
            ->not->toHaveKey('answer')
            ->and(json_encode($drill))
            ->not->toContain('because');
        $choice = static fn (int $i): array => ['skill' => $skill, 'difficulty' => 1, 'seed' => $drill['seed'], 'choice' => $i];
        $first = $this->postJson($base, $choice(0))->assertOk();
        expect(json_decode((string) $first->getContent()))
            ->toFitThePage('DrillAnswer')
            ->and($first->json('right'))
            ->toBe($first->json('answer') === 0)
            ->and($first->json('because'))
            ->not->toBe('');
        expect($this->postJson($base, $choice($first->json('answer')))->assertOk()->json('right'))
            ->toBeTrue()
            ->and($this->postJson($base, $choice(1 - min(1, $first->json('answer'))))->json('right'))
            ->toBe(1 - min(1, $first->json('answer')) === $first->json('answer'));
        $wrong = $choice(count($drill['choices']) - 1 === $first->json('answer') ? 0 : count($drill['choices']) - 1);
    }
    PracticeAttempt::query()->delete();
    expect($this->postJson($base, $wrong)->assertOk()->json('right'))
        ->toBeFalse()
        ->and($this->getJson($base)->json('drill.again'))
        ->toBeFalse();
    PracticeAttempt::query()->update(['made_at' => time() - 700]);
    $again = $this->getJson($base)->assertOk()->json('drill');
    expect($again['again'])->toBeTrue()->and($again['seed'])->toBe($wrong['seed'])->and($again['skill'])->toBe($wrong['skill']);
    $this->postJson($base, [...$wrong, 'choice' => -1])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Choose one of the answers.');
    $this->postJson($base, [...$wrong, 'skill' => 'singing'])->assertUnprocessable();
    $this->actingAs($this->artistWithDrawer('other'));
    expect($this->getJson($base)->status())->toBe(404);
});

it('brings a mistake back on the photo that it was made on, and grows harder with what is right', function () {
    $study = pictureOf($this);
    $other = $this->study($study->user);
    $answer = function (Study $of, bool $right, string $skill = 'order of two passes'): array {
        $base = "/api/studies/$of->id/practice";
        $drill = $this->getJson("$base?skill=".urlencode($skill))
            ->assertOk()
            ->json('drill');
        $asked = app(App\Book\PracticeRoom::class)->asked(
            $of->user,
            $of,
            KnottyPrism\Core\Book\Practice\Drills\Skill::from($skill),
            $drill['difficulty'],
            $drill['seed'],
        );
        $choice = $right ? $asked->answer : ($asked->answer + 1) % count($asked->choices);

        return [
            $drill,
            $this->postJson($base, [
                'skill' => $skill,
                'difficulty' => $drill['difficulty'],
                'seed' => $drill['seed'],
                'choice' => $choice,
            ])
                ->assertOk()
                ->json(),
        ];
    };
    $levels = [];
    foreach ([true, true, true, true, false] as $right) {
        [$drill, $answered] = $answer($study, $right);
        expect($answered['right'])->toBe($right);
        $levels[] = array_column($answered['skills'], 'difficulty', 'skill')['order of two passes'];
    }
    expect($levels)->toBe([1, 2, 2, 3, 2]);
    // Ten minutes on it comes back, here and not on another photo, however hard the next would be.
    PracticeAttempt::query()->update(['made_at' => time() - 700]);
    expect($this->getJson("/api/studies/$other->id/practice")->json('drill.again'))->toBeFalse();
    $again = $this->getJson("/api/studies/$study->id/practice")->json('drill');
    expect($again)->toMatchArray(['again' => true, 'seed' => $drill['seed'], 'difficulty' => $drill['difficulty']]);
    // A mistake on another photo that has waited longer keeps it from nothing.
    PracticeAttempt::query()->create([
        'user_id' => $study->user_id,
        'study_id' => $other->id,
        'skill' => 'value',
        'difficulty' => 1,
        'seed' => 3,
        'right' => false,
        'made_at' => time() - 9000,
    ]);
    expect($this->getJson("/api/studies/$study->id/practice")->json('drill'))->toMatchArray(['again' => true, 'seed' => $drill['seed']]);
    PracticeAttempt::query()->where('study_id', $other->id)->delete();
    // Of another skill that is wanted it does not come between.
    expect($this->getJson("/api/studies/$study->id/practice?skill=value")->json('drill.again'))->toBeFalse();
    [$back, $answered] = $answer($study, true);
    expect($back['seed'])
        ->toBe($drill['seed'])
        ->and(array_column($answered['skills'], 'difficulty', 'skill')['order of two passes'])
        ->toBe(2);
    expect($this->getJson("/api/studies/$study->id/practice")->json('drill.again'))->toBeFalse();
    // The study gone, what was practised on it stays in the curves, and nothing of it comes back.
    $this->deleteJson("/api/studies/$study->id")->assertSuccessful();
    PracticeAttempt::query()->update(['made_at' => time() - 90 * 86400]);
    $left = $this->getJson("/api/studies/$other->id/practice")
        ->assertOk()
        ->json();
    expect($left['drill']['again'] ?? false)
        ->toBeFalse()
        ->and(array_column($left['skills'], 'tries', 'skill')['order of two passes'])
        ->toBe(6)
        ->and($left['next']['skill'])
        ->toBe('order of two passes');
});

it('asks of the photo alone where the drawer is empty', function () {
    $study = pictureOf($this);
    $study->user->pencils()->delete();
    expect(
        $this->getJson("/api/studies/$study->id/practice?skill=complement")
            ->assertOk()
            ->json('drill'),
    )
        ->toBeNull()
        ->and(
            $this->getJson("/api/studies/$study->id/practice")
                ->assertOk()
                ->json('drill'),
        )
        ->not->toBeNull();
});
