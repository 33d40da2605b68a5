<?php

declare(strict_types=1);

use App\Models\Study;
use App\Photos\Raster;
use Illuminate\Testing\TestResponse;
use KnottyPrism\Core\Colour\Lab;
use Tests\TestCase;

/** @return array{Study, string} a study that is planned, and where its plan is asked for */
function plannedPicture(TestCase $test): array
{
    $study = pictureOf($test);
    $base = "/api/studies/$study->id/plan";
    $test->postJson("$base/run")->assertAccepted();

    return [$study, $base];
}

/** @return array{int, int} */
function pngSize(string $png): array
{
    $size = getimagesizefromstring($png);

    return [$size[0], $size[1]];
}

/** @return array<int, int> every colour of a picture once */
function colours(string $png): array
{
    $image = imagecreatefromstring($png);
    $found = [];
    for ($y = 0; $y < imagesy($image); $y += 3) {
        for ($x = 0; $x < imagesx($image); $x += 3) {
            $rgb = imagecolorsforindex($image, (int) imagecolorat($image, $x, $y));
            $found[($rgb['red'] << 16) + ($rgb['green'] << 8) + $rgb['blue']] = 1;
        }
    }

    return $found;
}

it('shows the picture on its way as the desk lays it, session by session', function () {
    [$study, $base] = plannedPicture($this);
    $of = fn (string $query): string => (string) $this->get("$base/$query")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png')
        ->getContent();
    $work = $this->getJson("$base/work")
        ->assertOk()
        ->json();
    $desk = $this->getJson("/api/studies/$study->id/desk")->json();
    $ends = array_column($work['sessions'], 'ends');
    $sorted = array_unique($ends);
    sort($sorted);
    expect($work)
        ->toFitThePage('PlanWork')
        ->and($ends)
        ->toBe($sorted)
        ->and(end($ends))
        ->toBe(count($work['steps']))
        ->and(count($work['steps']))
        ->toBe(count($desk['steps']))
        ->and($work['steps'][0])
        ->toBe(ucfirst($desk['steps'][0]['zoneName']).' with '.$desk['steps'][0]['pencil']['number'])
        ->and($work['sessions'][0]['words'])
        ->toMatch('/^About \d+ minutes: ./');
    // From the bare paper to the plan's end, each of its steps another picture; one in the middle is neither.
    $all = count($work['steps']);
    $some = $of('image?work='.intdiv($all, 2));
    expect($of('image?work=0'))
        ->toBe($of('image?step=0'))
        ->and($of("image?work=$all"))
        ->toBe($of('image?step=99'))
        ->and($some)
        ->not->toBe($of('image?step=0'))
        ->not->toBe($of('image?step=99'))
        ->not->toBe($of('image?work='.intdiv($all, 2) + 1))
        ->and($of("loupe?x=0.4&y=0.5&work=$all"))
        ->toBe($of('loupe?x=0.4&y=0.5&step=9'));
    // What lies at the desk changes nothing of it; another method does.
    ticked($this, "/api/studies/$study->id/desk", $desk['steps'][0])->assertOk();
    expect($this->getJson("$base/work")->json('steps'))->toBe($work['steps']);
    $this->getJson("$base/image")->assertUnprocessable();
    $this->getJson("$base/image?work=-1")->assertUnprocessable();
});

it('shows the picture under another light and a piece of it from near, each kept by what it follows from', function () {
    [$study, $base] = plannedPicture($this);
    $of = fn (string $query): string => (string) $this->get("$base/$query")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png')
        ->getContent();
    $day = $of('image?step=9');
    expect($of('image?step=9&light=D65'))
        ->toBe($day)
        ->and($of('image?step=9&light=A'))
        ->not->toBe($day)
        ->and($of('image?step=9&light=A&tone=grey'))
        ->not->toBe($of('image?step=9&light=A'));
    // As the photo beside it: in grey, in value steps, with the eyes half closed.
    $greys = array_map(fn (string $look): int => count(colours($of("image?step=9&$look"))), [
        'tone=grey',
        'tone=steps',
        'tone=steps&squint=3',
    ]);
    expect($greys[0])
        ->toBeGreaterThan($greys[1])
        ->and($greys[1])
        ->toBeLessThanOrEqual(9)
        ->and($greys[2])
        ->toBeLessThanOrEqual(9)
        ->not->toBe($greys[1]);
    $near = $of('loupe?step=9&x=0.4&y=0.5');
    expect(pngSize($near))
        ->toBe([720, 540])
        ->and($of('loupe?step=9&x=0.4&y=0.5'))
        ->toBe($near)
        ->and($of('loupe?step=0&x=0.4&y=0.5'))
        ->not->toBe($near)
        ->and($of('loupe?step=9&x=1&y=1&light=LED'))
        ->not->toBe($near);
    // As large as the drawing: on a larger one a piece shows less of the photo.
    $this->patchJson("/api/studies/$study->id", ['drawingWidthMm' => 594, 'drawingHeightMm' => 420])->assertSuccessful();
    expect($of('loupe?step=9&x=0.4&y=0.5'))
        ->not->toBe($near)
        ->and($this->getJson("/api/studies/$study->id")->json('pictureWidthMm'))
        ->toBeGreaterThanOrEqual(594);

    $lamp = $this->getJson("$base/light?light=A")
        ->assertOk()
        ->json();
    expect($lamp)->toFitThePage('PlanLight')->and($lamp['words'])->toBe('a warm lamp');
    expect($this->getJson("$base/light?light=D65")->json('parted'))->toBe([]);
});

it('draws a zone in strokes as they were dragged, and takes it back', function () {
    [$study, $base] = plannedPicture($this);
    $image = fn (): string => (string) $this->get("$base/image?step=9")
        ->assertOk()
        ->getContent();
    $form = $image();
    $change = fn (string $how, array $line): TestResponse => $this->postJson("$base/changes", [
        'kind' => 'strokes',
        'how' => $how,
        ...array_combine(['x1', 'y1', 'x2', 'y2'], $line),
        'key' => "strokes-$how-$line[2]",
    ]);
    $plan = $change('drawn', [0.05, 0.05, 0.15, 0.05])
        ->assertOk()
        ->json();
    $drawn = $image();
    $own = array_values(array_filter($plan['zones'], static fn (array $z): bool => $z['strokes'] !== null));
    expect(json_decode((string) $this->getJson($base)->getContent()))
        ->toFitThePage('Plan')
        ->and($own)
        ->toHaveCount(1)
        ->and($own[0]['strokes'])
        ->toBe(0)
        ->and($drawn)
        ->not->toBe($form)
        ->and($plan['waiting'])
        ->toBe(0)
        ->and($plan['undoWords'])
        ->toBe('strokes as drawn, "'.$own[0]['name'].'"');
    $circles = $change('circles', [0.05, 0.05, 0.05, 0.05])
        ->assertOk()
        ->json('zones.*.strokes');
    expect(array_filter($circles, is_int(...)))->toContain(12)->and($image())->not->toBe($drawn);
    $change('form', [0.05, 0.05, 0.05, 0.05])->assertOk();
    expect($image())->toBe($form);
    $this->postJson("$base/undo", ['key' => 'undo-strokes'])->assertOk();
    expect($image())->not->toBe($form);
    $change('spirals', [0.05, 0.05, 0.15, 0.05])->assertUnprocessable();
    $change('drawn', [0.05, 0.05, 1.5, 0.05])->assertUnprocessable();
});

it('refuses a light that is none and a place outside, and says that nothing is planned yet', function () {
    [$study, $base] = plannedPicture($this);
    foreach (
        [
            'image?step=1&light=candle',
            'image?step=1&tone=sepia',
            'image?step=1&squint=9',
            'loupe?step=1&x=2&y=0.5',
            'loupe?step=1&x=0.5',
            'loupe?step=one&x=0.5&y=0.5',
            'light?light=moon',
        ] as $wrong
    ) {
        $this->getJson("$base/$wrong")->assertUnprocessable();
    }
    $this->actingAs($this->artistWithDrawer('other'));
    $this->getJson("$base/loupe?step=1&x=0.5&y=0.5")->assertNotFound();
    $this->actingAs(Study::query()->findOrFail($study->id)->user);
    $this->postJson("$base/changes", [
        'kind' => 'method',
        'zone' => 0,
        'settings' => ['darks=never-black'],
        'key' => 'another-method',
    ])->assertOk();
    expect($this->getJson("$base/loupe?step=1&x=0.5&y=0.5")->json('detail'))->toContain('plan the picture first');
});

it('shows a piece of a photo at a size, whether it is larger than that or smaller', function () {
    // A slope of grey from left to right.
    $slope = static fn (int $width, int $height): string => implode(
        '',
        array_map(
            static fn (int $at): string => str_repeat(chr((int) round((255 * (($at % $width) + 0.5)) / $width)), 3),
            range(0, $width * $height - 1),
        ),
    );
    foreach ([[40, 30], [400, 300], [1600, 1200], [1500, 400], [1, 1]] as [$width, $height]) {
        $piece = Raster::resized($width, $height, $slope($width, $height), 200, 150);
        expect([$piece->width, $piece->height])->toBe([200, 150]);
        $middle = $piece->l[75 * 200 + 100];
        expect($middle)->toEqualWithDelta(Lab::ofHex('#808080')->l, 1.5);
        for ($x = 1; $x < 200; $x++) {
            expect($piece->l[75 * 200 + $x])->toBeGreaterThanOrEqual($piece->l[75 * 200 + $x - 1] - 1e-6);
        }
    }
});
