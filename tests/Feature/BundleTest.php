<?php

declare(strict_types=1);

use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use Illuminate\Support\Facades\Storage;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/**
 * @param  array<mixed>  $data
 * @return list<list<int|string>> the way to every value in it
 */
function waysIn(array $data, array $from = []): array
{
    $ways = [];
    foreach ($data as $key => $value) {
        $ways[] = [...$from, $key];
        if (is_array($value)) {
            array_push($ways, ...waysIn($value, [...$from, $key]));
        }
    }

    return $ways;
}

it('takes a damaged study file as far as it can be opened, or refuses it, and leaves nothing behind', function () {
    mt_srand(6);
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $base = "/api/studies/$study->id";
    $photo = $study->photo()->id;
    $surveys = app(SurveyRepository::class);
    $grid = app(PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);
    $change = fn (string $to, array $c) => $this->postJson("$base/$to/changes", [...$c, 'key' => bin2hex(random_bytes(8))])->assertOk();
    $zone = array_key_first($surveys->current($study->refresh())->sheet()->notes);
    $change('survey', ['kind' => 'addSpot', 'name' => 'hull', 'photo' => $photo, 'x' => 0.2, 'y' => 0.2, 'ring' => 9]);
    $change('survey', ['kind' => 'balance', 'photo' => $photo, 'x' => 0.9, 'y' => 0.2, 'ring' => 9]);
    $change('survey', ['kind' => 'paintWhites', 'keep' => true, 'radius' => 0.05, 'points' => [[0.5, 0.5]]]);
    $change('survey', ['kind' => 'moveShade', 'zone' => $zone, 'shade' => 'mid', 'place' => 0.3]);
    $change('survey', ['kind' => 'nameShade', 'zone' => $zone, 'shade' => 'mid', 'name' => 'the lit side']);
    $change('survey', ['kind' => 'dropShade', 'zone' => $zone, 'shade' => 'light']);
    $change('plan', ['kind' => 'sequence', 'zone' => $zone, 'passes' => [['tool' => 'Slipway/624', 'pressures' => ['mid' => 'medium']]]]);
    $change('plan', ['kind' => 'overrule', 'zone' => $zone, 'shade' => 'mid', 'code' => 'bloom', 'note' => 'under glass']);
    $change('plan', ['kind' => 'method', 'zone' => $zone, 'settings' => ['darks=never-black']]);
    $this->postJson("$base/kept-recipes", [
        'name' => 'hull',
        'x' => 20,
        'y' => 20,
        'ring' => 9,
        'label' => 'closest',
        'stack' => 'Slipway/745@0.20',
    ])->assertCreated();
    $this->patchJson("$base/desk/habits", ['workOrder' => 'darks-first', 'session' => 45])->assertOk();
    $whole = json_decode(
        (string) $this->get("$base/bundle")
            ->assertOk()
            ->getContent(),
        true,
    );
    $ways = waysIn($whole);
    $nonsense = [null, '', 'x', "\0", str_repeat('9', 300), -1, 0, 1e12, true, [], [[]], ['a' => 1]];

    $faults = [];
    $taken = 0;
    for ($n = 0; $n < 140; $n++) {
        $way = $ways[mt_rand(0, count($ways) - 1)];
        $damaged = $whole;
        $at = &$damaged;
        foreach (array_slice($way, 0, -1) as $key) {
            $at = &$at[$key];
        }
        $last = end($way);
        $how = mt_rand(0, count($nonsense));
        if ($how === count($nonsense)) {
            unset($at[$last]);
        } else {
            $at[$last] = $nonsense[$how];
        }
        unset($at);
        $what =
            implode('.', $way).
            ' = '.
            ($how === count($nonsense) ? 'left out' : mb_substr((string) json_encode($nonsense[$how]), 0, 30));
        $files = count(Storage::allFiles());
        $answer = $this->postJson('/api/studies/bundle', ['file' => uploadOf((string) json_encode($damaged), 'x.study.json')]);
        if ($answer->status() !== 201) {
            if ($answer->status() !== 422 || ! is_string($answer->json('detail')) || count(Storage::allFiles()) !== $files) {
                $faults[] =
                    "$what: {$answer->status()}, ".
                    $answer->exception?->getMessage().
                    ', files '.
                    (count(Storage::allFiles()) - $files);
            }

            continue;
        }
        $taken++;
        // What was taken can be opened, in every place.
        foreach (['survey', 'plan', 'kept-recipes', 'bundle'] as $place) {
            $opened = $this->getJson("/api/studies/{$answer->json('id')}/$place");
            if ($opened->status() !== 200) {
                $faults[] = "$what: taken, but its $place is answered {$opened->status()}, ".$opened->exception?->getMessage();
            }
        }
        $study->user->studies()->where('id', $answer->json('id'))->delete();
    }
    expect($faults)->toBe([])->and($taken)->toBeBetween(10, 130);
});

it('writes no study file that could not be brought in again', function () {
    $study = $this->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    $original = $study->photo()->storage_key.'/original';
    Storage::put($original, str_repeat('x', 111_000_000));
    $this->getJson("/api/studies/$study->id/bundle")
        ->assertUnprocessable()
        ->assertJsonPath(
            'detail',
            'The photos of this study are 111 MB together; a study file holds up to 110. Remove one that the plan doesn’t need, or add '
                .'it in a smaller size.',
        );
    Storage::put($original, str_repeat('x', 109_000_000));
    $this->getJson("/api/studies/$study->id/bundle")->assertOk();
    expect(App\Studies\StudyFile::MOST_KILOBYTES * 1024)->toBeGreaterThan((4 / 3) * 110_000_000 + 5_000_000);
});
