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
    $study->user->pencils()->whereNotIn('number', ['624', '661', '711', '735', '688', '608', '745', 'F90'])->update(['stock' => 'not owned']);
    $surveys = app(SurveyRepository::class);
    $grid = app(App\Photos\PhotoStore::class)->grid($study->photo(), null);
    $surveys->change($study, static fn (Survey $s): array => [$s->withZones(ZoneSheet::proposed($grid, 6)), 'propose']);

    return $study;
}

/** @return array<string, mixed> the target of a zone */
function targetOf(array $picture, int $zone, string $role = 'mid'): array
{
    $targets = array_values(array_filter($picture['zones'], static fn (array $z): bool => $z['number'] === $zone))[0]['targets'];

    return array_values(array_filter($targets, static fn (array $t): bool => $t['role'] === $role))[0];
}

/** @return array<string, mixed> the sequence of a zone */
function sequenceOf(array $plan, int $zone): array
{
    return array_values(array_filter($plan['zones'], static fn (array $z): bool => $z['number'] === $zone))[0]['sequence'];
}

function changedBy(TestCase $test, Study $study, array $change): Illuminate\Testing\TestResponse
{
    return $test->postJson("/api/studies/$study->id/plan/changes", [...$change, 'key' => bin2hex(random_bytes(8))]);
}
