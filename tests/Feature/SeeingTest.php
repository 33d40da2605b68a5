<?php

declare(strict_types=1);

use App\Models\Study;
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

it('shows the picture under another light and a piece of it from near, each kept by what it follows from', function () {
    [$study, $base] = plannedPicture($this);
    $of = fn (string $query): string => (string) $this->get("$base/$query")->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
    $day = $of('image?step=9');
    expect($of('image?step=9&light=D65'))->toBe($day)->and($of('image?step=9&light=A'))->not->toBe($day)->and($of('image?step=9&light=A&grey=1'))->not->toBe($of('image?step=9&light=A'));
    $near = $of('loupe?step=9&x=0.4&y=0.5');
    expect(pngSize($near))->toBe([720, 540])->and($of('loupe?step=9&x=0.4&y=0.5'))->toBe($near)->and($of('loupe?step=0&x=0.4&y=0.5'))->not->toBe($near)->and($of('loupe?step=9&x=1&y=1&light=LED'))->not->toBe($near);
    // As large as the drawing: on a larger one a piece shows less of the photo.
    $this->patchJson("/api/studies/$study->id", ['drawingWidthMm' => 594, 'drawingHeightMm' => 420])->assertSuccessful();
    expect($of('loupe?step=9&x=0.4&y=0.5'))->not->toBe($near)->and($this->getJson("/api/studies/$study->id")->json('pictureWidthMm'))->toBeGreaterThanOrEqual(594);

    $lamp = $this->getJson("$base/light?light=A")->assertOk()->json();
    expect($lamp)->toFitThePage('PlanLight')->and($lamp['words'])->toBe('a warm lamp');
    expect($this->getJson("$base/light?light=D65")->json('parted'))->toBe([]);
});

it('refuses a light that is none and a place outside, and says that nothing is planned yet', function () {
    [$study, $base] = plannedPicture($this);
    foreach (['image?step=1&light=candle', 'loupe?step=1&x=2&y=0.5', 'loupe?step=1&x=0.5', 'loupe?step=one&x=0.5&y=0.5', 'light?light=moon'] as $wrong) {
        $this->getJson("$base/$wrong")->assertUnprocessable();
    }
    $this->actingAs($this->artistWithDrawer('other'));
    $this->getJson("$base/loupe?step=1&x=0.5&y=0.5")->assertNotFound();
    $this->actingAs(Study::query()->findOrFail($study->id)->user);
    $this->postJson("$base/changes", ['kind' => 'school', 'zone' => 0, 'settings' => ['darks=never-black'], 'key' => 'another-school'])->assertOk();
    expect($this->getJson("$base/loupe?step=1&x=0.5&y=0.5")->json('detail'))->toContain('plan it first');
});
