<?php

declare(strict_types=1);

use App\Models\Study;
use Illuminate\Testing\TestResponse;

function change(Study $study, string $kind, array $with = [], ?string $key = null): TestResponse
{
    return test()->postJson("/api/studies/$study->id/survey/changes", ['kind' => $kind, 'key' => $key ?? uniqid('change-'), ...$with]);
}

/** @return array<string, int> zones' numbers by name */
function zonesByName(TestResponse $response): array
{
    return collect($response->json('zones.list'))->pluck('number', 'name')->all();
}
