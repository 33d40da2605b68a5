<?php

declare(strict_types=1);

use App\Models\SurveyVersion;
use Illuminate\Http\UploadedFile;
use KnottyPrism\Core\Colour\Lab;

/** One change of a survey, with a key of its own. */
it('reads a photo whose colours are wide as the colours that were meant, not as a screen\'s plain numbers', function () {
    $wide = (string) file_get_contents('/usr/share/color/icc/compatibleWithAdobeRGB1998.icc');
    $srgb = (string) file_get_contents('/usr/share/color/icc/sRGB.icc');
    $meant = ['#3f8f6a', '#c8703c', '#d8cfb8', '#5a6f9a'];
    $image = new Imagick();
    $image->newImage(400, 100, 'white');
    foreach ($meant as $i => $hex) {
        $field = new Imagick();
        $field->newImage(100, 100, $hex);
        $image->compositeImage($field, Imagick::COMPOSITE_OVER, 100 * $i, 0);
    }
    // The same colours in the numbers of a wide profile, which then travels with them.
    $image->profileImage('icc', $srgb);
    $image->profileImage('icc', $wide);
    $image->setImageFormat('png');
    $numbers = $image->exportImagePixels(50, 50, 1, 1, 'RGB', Imagick::PIXEL_CHAR);
    expect(Lab::ofHex(vsprintf('#%02x%02x%02x', $numbers))->deltaE00(Lab::ofHex($meant[0])))->toBeGreaterThan(3.0);
    $path = (string) tempnam(sys_get_temp_dir(), 'kp');
    $image->writeImage("png:$path");
    $user = $this->artist();
    $this->actingAs($user);
    $id = $this->postJson('/api/studies', ['photo' => new UploadedFile($path, 'wide.png', null, null, true)])
        ->assertCreated()
        ->json('id');
    foreach ($meant as $i => $hex) {
        $x = 100 * $i + 50;
        $read = $this->getJson("/api/studies/$id/spot?x=$x&y=50&ring=9")
            ->assertOk()
            ->json('lab');
        expect((new Lab(...$read))->deltaE00(Lab::ofHex($hex)))->toBeLessThan(0.8);
    }
});

it('takes a HEIC photo where the image library can, and says what to do about one that is broken', function () {
    $image = new Imagick();
    $image->newImage(300, 200, '#5a6f9a');
    $image->setImageFormat('heic');
    try {
        $blob = $image->getImageBlob();
    } catch (ImagickException) {
        $this->markTestSkipped('this machine writes no HEIC to test with');
    }
    $this->actingAs($this->artist());
    $upload = static function (string $content): UploadedFile {
        $path = (string) tempnam(sys_get_temp_dir(), 'kp');
        file_put_contents($path, $content);

        return new UploadedFile($path, 'phone.heic', null, null, true);
    };
    $id = $this->postJson('/api/studies', ['photo' => $upload($blob)])
        ->assertCreated()
        ->assertJson(['photoWidth' => 300, 'photoHeight' => 200])
        ->json('id');
    expect(
        (new Lab(...$this->getJson("/api/studies/$id/spot?x=150&y=100&ring=9")->json('lab')))->deltaE00(Lab::ofHex('#5a6f9a')),
    )->toBeLessThan(1.5);
    $this->postJson('/api/studies', ['photo' => $upload(substr($blob, 0, 60))])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'damaged'));
});

it('keeps, moves, renames and removes spots, reads them on every photo, and lists them light to dark', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $photo = $study->photo();
    change($study, 'addSpot', ['name' => 'rust', 'photo' => $photo->id, 'x' => 0.5, 'y' => 0.25, 'ring' => 9])->assertOk();
    $answer = change($study, 'addSpot', ['name' => 'white', 'photo' => $photo->id, 'x' => 0.1, 'y' => 0.25, 'ring' => 9])->assertOk();
    expect($answer->json('spots.*.name'))
        ->toBe(['white', 'rust'])
        ->and((new Lab(...$answer->json('spots.1.places.0.reading.lab')))->deltaE00(Lab::ofHex('#7a4a2e')))
        ->toBeLessThan(0.5)
        ->and($answer->json('spots.1.nearest.pencil.number'))
        ->toBeString()
        ->and($answer->json('spots.1.nearest.deltaE00'))
        ->toBeGreaterThan(0)
        ->and($answer->json('spots.1.families'))
        ->toHaveCount(2);
    // On a second photo they lie at the same share of it until they are placed there.
    $answer = $this->postJson("/api/studies/$study->id/photos", ['photo' => $this->photo()])->assertCreated();
    $second = $answer->json('photos.1.id');
    expect($answer->json('spots.1.places.1'))->toMatchArray(['photo' => $second, 'x' => 0.5, 'placed' => false]);
    $placed = change($study, 'placeSpot', ['spot' => 1, 'photo' => $second, 'x' => 0.9, 'y' => 0.5, 'ring' => 20])->assertOk();
    expect((new Lab(...$placed->json('spots.1.places.1.reading.lab')))->deltaE00(Lab::ofHex('#3a4a5a')))
        ->toBeLessThan(0.5)
        ->and($placed->json('spots.1.places.0.x'))
        ->toBe(0.5);
    expect(
        $this->getJson("/api/studies/$study->id/comparison?one=$second&other=$photo->id")
            ->assertOk()
            ->json('spots.0'),
    )->toMatchArray(['name' => 'rust']);
    expect(change($study, 'renameSpot', ['spot' => 1, 'name' => 'plank'])->json('spots.1.name'))
        ->toBe('plank')
        ->and(change($study, 'removeSpot', ['spot' => 2])->json('spots.*.name'))
        ->toBe(['plank']);
    foreach (['gpl' => 'GIMP Palette', 'csv' => 'name,hex', 'json' => '"spots"'] as $kind => $holds) {
        $file = $this->get("/api/studies/$study->id/spots.$kind")->assertOk();
        expect((string) $file->getContent())
            ->toContain($holds)
            ->toContain('plank')
            ->and($file->headers->get('Content-Disposition'))
            ->toContain("fields-spots.$kind");
    }
    $this->get("/api/studies/$study->id/spots.exe")->assertNotFound();
});

it('proposes zones that follow the fields, lets them be changed in every way, and takes every change back', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $answer = change($study, 'proposeZones', ['most' => 12])->assertOk();
    expect($answer->json('zones.list'))->toHaveCount(6)->and($answer->json('undoWords'))->toBe('propose zones');
    $numbers = $answer->json('zones.list.*.number');
    [$a, $b] = $numbers;
    $states = [$answer->json('zones')];
    $steps = [
        ['renameZone', ['zone' => $a, 'name' => 'the wall']],
        ['describeZone', ['zone' => $a, 'importance' => 'most', 'surface' => 'soft and fuzzy', 'distance' => 'far']],
        ['moveShade', ['zone' => $a, 'shade' => 'mid', 'place' => 0.9]],
        ['resetShades', ['zone' => $a]],
        ['mergeZones', ['zone' => $a, 'with' => $b]],
        ['redrawZone', ['zone' => null, 'outline' => [[0.2, 0.2], [0.8, 0.2], [0.8, 0.8], [0.2, 0.8]]]],
        ['takeFromZone', ['zone' => $a, 'outline' => [[0, 0], [0.1, 0], [0.1, 0.1], [0, 0.1]]]],
        ['keepWhitesFrom', ['from' => 85]],
        ['paintWhites', ['keep' => true, 'radius' => 0.05, 'points' => [[0.5, 0.5], [0.6, 0.5]]]],
    ];
    foreach ($steps as [$kind, $with]) {
        $states[] = change($study, $kind, $with)->assertOk()->json('zones');
    }
    expect(array_column($states[2]['list'], 'surface', 'number')[$a])
        ->toBe('soft and fuzzy')
        ->and(array_column($states[1]['list'], 'name', 'number')[$a])
        ->toBe('the wall')
        ->and($states[5]['list'])
        ->toHaveCount(5)
        ->and($states[6]['list'])
        ->toHaveCount(6)
        ->and($states[9]['keptWhites']['share'])
        ->toBeGreaterThan($states[7]['keptWhites']['share']);
    // Back to the beginning, and forward again, each state as it was.
    for ($i = count($states) - 2; $i >= 0; $i--) {
        expect(
            $this->postJson("/api/studies/$study->id/survey/undo")
                ->assertOk()
                ->json('zones'),
        )->toEqual($states[$i]);
    }
    expect($this->postJson("/api/studies/$study->id/survey/redo")->json('zones'))->toEqual($states[1]);
    // What is refused leaves what had been undone; what is done takes its place.
    change($study, 'splitZone', ['zone' => $b, 'line' => [[-0.2, 0.6], [1.2, 0.4]]])->assertUnprocessable();
    expect($this->getJson("/api/studies/$study->id/survey")->json('redoWords'))->not->toBeNull();
    $other = change($study, 'renameZone', ['zone' => $b, 'name' => 'other'])->assertOk();
    expect($other->json('redoWords'))->toBeNull()->and($other->json('undoWords'))->toStartWith('rename');
    for ($i = 0; $i < 6; $i++) {
        $this->postJson("/api/studies/$study->id/survey/undo")->assertOk();
    }
    $this->getJson("/api/studies/$study->id/survey")->assertJson(['zones' => null, 'undoWords' => null, 'number' => 0]);
});

it('makes one piece of a zone a zone of its own, and takes that back', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $zones = change($study, 'proposeZones', ['most' => 12])->json('zones.list');
    $at = static fn (float $x, float $y): int => collect($zones)
        ->sortBy(static fn (array $z): float => hypot($z['pieces'][0]['x'] - $x, $z['pieces'][0]['y'] - $y))
        ->first()['number'];
    [$one, $other] = [$at(0.17, 0.25), $at(0.83, 0.75)];
    $both = change($study, 'mergeZones', ['zone' => $one, 'with' => $other])->assertOk();
    $pieces = collect($both->json('zones.list'))->firstWhere('number', $one)['pieces'];
    expect(array_column($pieces, 'where'))->toEqualCanonicalizing(['upper left', 'lower right']);
    $parted = change($study, 'partZone', ['zone' => $one, 'x' => 0.83, 'y' => 0.75])->assertOk();
    expect($parted->json('zones.list'))->toHaveCount(6)->and($parted->json('undoWords'))->toContain('a zone of its own');
    expect(
        $this->postJson("/api/studies/$study->id/survey/undo")
            ->assertOk()
            ->json('zones'),
    )->toEqual($both->json('zones'));
    change($study, 'partZone', ['zone' => $one, 'x' => 0.5, 'y' => 0.75])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'There is no piece'));
});

it('splits a zone along a drawn line, and refuses what can not be done with the cure', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    change($study, 'renameZone', ['zone' => 1, 'name' => 'x'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'There are no zones yet; propose zones first.');
    $zones = change($study, 'proposeZones', ['most' => 12])->json('zones.list');
    // The field at the upper left, by the middle of its outline.
    $corner = collect($zones)->first(static fn (array $z): bool => max(array_map(max(...), $z['outlines'])) < 0.6)['number'];
    $answer = change($study, 'splitZone', ['zone' => $corner, 'line' => [[0.0, 0.2], [0.34, 0.3]]])->assertOk();
    expect($answer->json('zones.list'))->toHaveCount(7);
    change($study, 'splitZone', ['zone' => $corner, 'line' => [[0.9, 0.9], [0.95, 0.95]]])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'doesn’t divide'));
    change($study, 'splitZone', ['zone' => 200, 'line' => [[0, 0], [1, 1]]])->assertUnprocessable();
    change($study, 'fly', [])->assertUnprocessable();
    change($study, 'describeZone', ['zone' => $corner, 'surface' => 'wet'])->assertUnprocessable();
    change($study, 'moveShade', ['zone' => $corner, 'shade' => 'mid', 'place' => 7])->assertUnprocessable();
    change($study, 'proposeZones', ['most' => 500])->assertUnprocessable();
    expect($this->getJson("/api/studies/$study->id/survey")->json('zones.list'))->toHaveCount(7);
});

it('never shows what was undone in place of what was done instead', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $spot = ['photo' => $study->photo()->id, 'x' => 0.5, 'y' => 0.25, 'ring' => 9];
    $first = change($study, 'addSpot', [...$spot, 'name' => 'rust'])->json();
    $this->postJson("/api/studies/$study->id/survey/undo")
        ->assertOk()
        ->assertJson(['spots' => []]);
    $second = change($study, 'addSpot', [...$spot, 'name' => 'plank'])->json();
    expect($second['number'])
        ->toBe($first['number'])
        ->and($second['stamp'])
        ->not->toBe($first['stamp'])
        ->and($second['spots'][0]['name'])
        ->toBe('plank');
});

it('makes a change that is sent twice only once', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $spot = ['name' => 'rust', 'photo' => $study->photo()->id, 'x' => 0.5, 'y' => 0.25, 'ring' => 9];
    change($study, 'addSpot', $spot, 'the-same-key')->assertOk();
    expect(change($study, 'addSpot', $spot, 'the-same-key')->assertOk()->json('spots'))
        ->toHaveCount(1)
        ->and(SurveyVersion::query()->count())
        ->toBe(1);
});

it('marks zones that end alike and shows in grey what a push would do', function () {
    $study = $this->fields('#8a8a8a', '#979797', '#20242a', '#f0f0f0', '#b8442c', '#2c5f86');
    $answer = change($study, 'proposeZones', ['most' => 12])->assertOk();
    // What is so alike may well be proposed as one zone; then it is split where the two meet.
    if (count($answer->json('zones.list')) < 6) {
        $both = collect($answer->json('zones.list'))->sortByDesc('area')->first()['number'];
        $answer = change($study, 'splitZone', ['zone' => $both, 'line' => [[0.333, -0.05], [0.333, 0.55]]])->assertOk();
    }
    $pair = $answer->json('zones.neighbours.0');
    expect($answer->json('zones.neighbours'))
        ->toHaveCount(1)
        ->and($pair['words'])
        ->toContain('push')
        ->and($pair['lines'])
        ->not->toBeEmpty();
    $photo = $study->photo();
    $greyAt = function (string $query, float $x) use ($study, $photo): int {
        $image = new Imagick();
        $image->readImageBlob(
            (string) $this->get("/api/studies/$study->id/photos/$photo->id/look?tone=grey$query")
                ->assertOk()
                ->getContent(),
        );

        return (int) round($image->getImagePixelColor((int) ($x * $image->getImageWidth()), 40)->getColor()['r']);
    };
    $by = $pair['lighter'] ? 1 : -1;
    $moved = [
        $greyAt("&push={$pair['push']}&by=$by", 0.15) - $greyAt('', 0.15),
        $greyAt("&push={$pair['push']}&by=$by", 0.5) - $greyAt('', 0.5),
    ];
    // One of the two halves has moved by about a value step, the other not at all.
    expect(max(array_map(abs(...), $moved)))->toBeGreaterThan(20)->and(min(array_map(abs(...), $moved)))->toBeLessThan(4);
});

it('balances a photo on something white, reads and shows it so, and takes the balance off again', function () {
    $study = $this->fields('#f2dcb4', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $photo = $study->photo();
    $chroma = fn (): float => (float) $this->getJson("/api/studies/$study->id/spot?x=50&y=50&ring=9")->json('chroma');
    expect($chroma())->toBeGreaterThan(15.0);
    $answer = change($study, 'balance', ['photo' => $photo->id, 'x' => 0.15, 'y' => 0.25, 'ring' => 9])->assertOk();
    expect($chroma())->toBeLessThan(0.5)->and($answer->json('photos.0.neutral.family'))->toBeString();
    $shown = function (string $query) use ($study, $photo): array {
        $image = new Imagick();
        $image->readImageBlob((string) $this->get("/api/studies/$study->id/photos/$photo->id/look?$query")->getContent());
        $c = $image->getImagePixelColor(40, 40)->getColor();

        return [$c['r'], $c['b']];
    };
    [$r, $b] = $shown('balanced=1');
    [$before, $blue] = $shown('balanced=0');
    expect(abs($r - $b))
        ->toBeLessThan(5)
        ->and($before - $blue)
        ->toBeGreaterThan(40);
    change($study, 'balance', ['photo' => $photo->id, 'x' => 0.5, 'y' => 0.75, 'ring' => 9])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'point at something white or grey'));
    change($study, 'unbalance', ['photo' => $photo->id])->assertOk();
    expect($chroma())->toBeGreaterThan(15.0);
});

it('looks at a photo in every way that is offered, and refuses all others', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $base = "/api/studies/$study->id/photos/{$study->photo()->id}";
    foreach (
        [
            '',
            'tone=grey',
            'tone=steps&steps=5&lightest=1',
            'tone=steps&steps=10',
            'only=9&squint=1',
            'tone=grey&squint=3&only=1',
            'tone=colour&balanced=0',
        ] as $query
    ) {
        $look = $this->get("$base/look?$query")->assertOk();
        expect((string) $look->headers->get('Content-Type'))
            ->toStartWith('image/')
            ->and((string) $look->headers->get('Cache-Control'))
            ->toContain('private');
    }
    foreach (['tone=sepia', 'steps=7', 'squint=4', 'only=11', 'only=7&steps=5', 'push=3'] as $query) {
        $this->getJson("$base/look?$query")->assertUnprocessable();
    }
    $values = $this->getJson("$base/values?steps=9")
        ->assertOk()
        ->json();
    expect(array_sum($values['shares']))->toEqualWithDelta(1.0, 0.001)->and($values['greys'])->toHaveCount(9);
});

it('cuts to the drawing\'s shape, rules its grid, and refuses a drawing that is none', function () {
    $study = $this->fields('#e8e4d8', '#7a4a2e', '#5f8f86', '#20242a', '#b8442c', '#9a9a9a');
    $this->patchJson("/api/studies/$study->id", [
        'drawingWidthMm' => 200,
        'drawingHeightMm' => 200,
        'gridMm' => 50,
        'cutPlace' => 1,
    ])->assertOk();
    $frame = $this->getJson("/api/studies/$study->id/survey")->json('frame');
    expect($frame['left'])
        ->toEqualWithDelta(1 / 3, 1e-6)
        ->and($frame['across'])
        ->toHaveCount(3)
        ->and($frame['down'])
        ->toHaveCount(3);
    $this->patchJson("/api/studies/$study->id", ['drawingWidthMm' => 3])
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'The drawing may be 20 to 3000 mm wide.');
    $this->patchJson("/api/studies/$study->id", ['gridMm' => 900])->assertUnprocessable();
    expect($study->refresh()->grid_mm)->toBe(50.0);
});
