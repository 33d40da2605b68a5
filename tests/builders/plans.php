<?php

declare(strict_types=1);

use App\Models\Study;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;
use Tests\TestCase;

function pictureOf(TestCase $test): Study
{
    $study = $test->fields('#b04030', '#3a5a8a', '#c9bda0', '#3c6a4a', '#e0c040', '#2c2c30');
    // Few pencils make quick plans.
    $study->user
        ->pencils()
        ->whereNotIn('number', ['624', '661', '711', '735', '688', '608', '745', 'F90'])
        ->update(['stock' => 'not owned']);
    $surveys = app(SurveyRepository::class);
    $grid = app(App\Photos\PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);

    return $study;
}

/** @return array<string, mixed> */
function zoneOfPlan(array $plan, int $zone): array
{
    return array_values(array_filter($plan['zones'], static fn (array $z): bool => $z['number'] === $zone))[0];
}

/** @return array<string, mixed> what a zone asks for */
function shadeOf(array $plan, int $zone, string $shade = 'mid'): array
{
    return array_values(array_filter(zoneOfPlan($plan, $zone)['shades'], static fn (array $s): bool => $s['shade'] === $shade))[0];
}

/** @return array<string, mixed> what comes of a shade of a zone */
function outcomeOf(array $plan, int $zone, string $shade = 'mid'): array
{
    return zoneOfPlan($plan, $zone)['sequence']['outcomes'][$shade];
}

/** @return array<string, mixed>|null the sequence of a zone */
function sequenceOf(array $plan, int $zone): ?array
{
    return zoneOfPlan($plan, $zone)['sequence'];
}

/** @return array<string, mixed> the plan with a zone's sequence laid over its mid alone: "624 medium", … */
function laidIn(TestCase $test, Study $study, int $zone, string ...$passes): array
{
    $notes = array_map(
        static fn (string $p): array => ['tool' => explode(' ', $p)[0], 'pressures' => ['mid' => explode(' ', $p)[1]]],
        $passes,
    );

    return changedBy($test, $study, ['kind' => 'sequence', 'zone' => $zone, 'passes' => $notes])
        ->assertOk()
        ->json();
}

function changedBy(TestCase $test, Study $study, array $change): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/studies/$study->id/plan/changes", [...$change, 'key' => bin2hex(random_bytes(8))]);
}
