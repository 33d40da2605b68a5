<?php

declare(strict_types=1);

use App\Models\Study;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** @return array{Study, string} a study that is planned, and where its desk is */
function deskOf(TestCase $test): array
{
    $study = pictureOf($test);
    $test->postJson("/api/studies/$study->id/plan/run")->assertAccepted();

    return [$study, "/api/studies/$study->id/desk"];
}

/** @return list<list<array{float, float, float, float}>> by page, the lines of a PDF in mm from its lower left */
function linesOf(string $pdf): array
{
    $pages = [];
    preg_match_all('~stream\r?\n(.*?)\r?\nendstream~s', $pdf, $streams);
    foreach ($streams[1] as $stream) {
        $text = (string) @gzuncompress($stream);
        preg_match_all('~([\d.-]+) ([\d.-]+) m\s+([\d.-]+) ([\d.-]+) l\s+S~', $text, $found, PREG_SET_ORDER);
        if ($found !== []) {
            $pages[] = array_map(
                fn (array $l): array => array_map(fn (string $v): float => ((float) $v * 25.4) / 72, array_slice($l, 1, 4)),
                $found,
            );
        }
    }

    return $pages;
}

/**
 * @param  array<string, mixed>  $step  as the desk shows it
 * @param  array<string, mixed>  $otherwise
 */
function ticked(TestCase $test, string $base, array $step, array $otherwise = [], ?string $key = null): TestResponse
{
    $tick = [
        'kind' => 'done',
        'zone' => $step['zone'],
        'position' => $step['position'],
        'tool' => $step['pencil']['id'] ?? $step['finish'],
        'pressures' => array_filter($step['pressures']),
        'coats' => $step['coats'],
        'at' => time(),
        ...$otherwise,
    ];

    return $test->postJson("$base/ticks", $tick, ['Idempotency-Key' => $key ?? 'desk-'.bin2hex(random_bytes(6))]);
}

/** @return array<string, mixed> the hand as it was learned from six strips that all came out at one rung of their ladders */
function learnt(int $rung, string $paper = 'white medium'): array
{
    $asked = test()
        ->getJson('/api/hand?paper='.urlencode($paper))
        ->assertOk()
        ->json('strips');
    $said = array_map(static fn (array $s): array => ['stack' => $s['stack'], 'rung' => $rung], array_slice($asked, 0, 6));

    return test()
        ->postJson('/api/hand?paper='.urlencode($paper), ['strips' => $said])
        ->assertCreated()
        ->json();
}
