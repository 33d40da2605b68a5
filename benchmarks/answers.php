<?php

declare(strict_types=1);

// The running application over HTTP, as the page asks it: the demo study's photo, spots never asked for before.

use Benchmarks\Table;

require __DIR__.'/../vendor/autoload.php';

[, $address] = $argv;
$cookies = tempnam(sys_get_temp_dir(), 'kp') ?: exit("no temporary file can be made\n");
$ask = static function (string $path) use ($address, $cookies): string {
    $curl = curl_init($address.$path);
    curl_setopt_array($curl, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEJAR => $cookies,
        CURLOPT_COOKIEFILE => $cookies,
        CURLOPT_HTTPHEADER => ['Accept: application/json'],
    ]);
    $body = curl_exec($curl);
    if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) !== 200) {
        exit("$path was answered with an error: $body\n");
    }
    curl_close($curl);

    return (string) $body;
};
$ask('/api/me');
$studies = json_decode($ask('/api/studies'), true)['studies'];
$study = $studies[count($studies) - 1];
$seed = random_int(0, 1_000_000);
$place = static fn (int $i): string => sprintf(
    'x=%d&y=%d&ring=9',
    ($seed + $i * 7919) % $study['photoWidth'],
    ($seed + $i * 104729) % $study['photoHeight'],
);
$milliseconds = static fn (array $times): array => array_map(static fn (float $s): float => $s * 1e3, $times);

Table::head('answers over HTTP');
for ($i = 0; $i < 4; $i++) {
    $ask("/api/studies/{$study['id']}/recipes?".$place(1000 + $i));
}
Table::row(
    'a spot read',
    $milliseconds(Table::times(60, static fn (int $i) => $ask("/api/studies/{$study['id']}/spot?".$place($i)))),
    'ms',
    'under 100',
);
Table::row(
    'four recipes for a new spot',
    $milliseconds(Table::times(40, static fn (int $i) => $ask("/api/studies/{$study['id']}/recipes?".$place($i)))),
    'ms',
    'under 1000',
);
Table::row(
    'four recipes for a spot asked before',
    $milliseconds(Table::times(40, static fn (int $i) => $ask("/api/studies/{$study['id']}/recipes?".$place($i)))),
    'ms',
);
$photo = "/api/studies/{$study['id']}/photos/{$study['photoId']}";
Table::row(
    'the photo in another way of looking, worked out before',
    $milliseconds(Table::times(20, static fn (int $i) => $ask("$photo/look?tone=steps&steps=".[5, 9, 10][$i % 3]))),
    'ms',
    'under 300',
);
Table::row(
    'the survey: photos, spots, zones, neighbours',
    $milliseconds(Table::times(20, static fn () => $ask("/api/studies/{$study['id']}/survey"))),
    'ms',
);
Table::row('the plan', $milliseconds(Table::times(20, static fn () => $ask("/api/studies/{$study['id']}/plan"))), 'ms');
Table::row(
    'the palette card, A4',
    $milliseconds(Table::times(8, static fn () => $ask("/api/studies/{$study['id']}/kept-recipes/card?size=a4"))),
    'ms',
);
