<?php

declare(strict_types=1);

use KnottyPrism\Core\Formats\Drawers\DrawerFile;

/** @return array<string, mixed> the answer of a call that must succeed */
function prismAnswer(string $schema, string ...$arguments): array
{
    [$status, $answer, $text, $errors] = prism(...$arguments);
    expect($status)->toBe(0, $errors);
    if ($schema !== '') {
        expectSchema($schema, $answer);
    }

    return json_decode($text, true, flags: JSON_THROW_ON_ERROR);
}

it('prints a sheet, photographs it, and reads the drawer back', function () {
    $folder = sys_get_temp_dir().'/kp-chart-'.getmypid();
    mkdir($folder);
    $drawer = "$folder/drawer.csv";
    file_put_contents($drawer, implode('', array_slice(file(demoDrawer()) ?: [], 0, 9)));
    $sheet = prismAnswer(
        '',
        'chart',
        'sheet',
        '--drawer',
        $drawer,
        '--size',
        'A5',
        '--out',
        "$folder/sheet.pdf",
        '--layout',
        "$folder/layout.json",
    );
    expect($sheet['pages'])->toBe(1)->and((string) file_get_contents("$folder/sheet.pdf"))->toStartWith('%PDF');
    prismAnswer(
        '',
        'chart',
        'photo',
        '--drawer',
        $drawer,
        '--layout',
        "$folder/layout.json",
        '--seed',
        '6',
        '--out',
        "$folder/photo.jpg",
    );
    $read = prismAnswer(
        'chart-read',
        'chart',
        'read',
        '--photo',
        "$folder/photo.jpg",
        '--layout',
        "$folder/layout.json",
        '--out',
        "$folder/measured.csv",
    );
    expectSchema('chart-layout', json_decode((string) file_get_contents("$folder/layout.json")));
    $measured = DrawerFile::drawer((string) file_get_contents("$folder/measured.csv"));
    expect($read['measured'])->toBe(8)->and($read['boxes'])->toHaveCount(24)->and($measured->pencils)->toHaveCount(8);
    $true = DrawerFile::drawer((string) file_get_contents($drawer));
    foreach ($measured->pencils as $pencil) {
        expect(
            KnottyPrism\Core\Colour\Lab::ofHex($pencil->record->heavy)->deltaE00(
                KnottyPrism\Core\Colour\Lab::ofHex($true->pencil($pencil->id())->record->heavy),
            ),
        )->toBeLessThan(8.0);
    }
});

it('suggests strips, learns a hand from them, and predicts for it', function () {
    $strips = prismAnswer('', 'hand', '--drawer', demoDrawer(), '--suggest', '6')['strips'];
    $darker = array_map(
        static fn (array $s): array => ['stack' => $s['stack'], 'lab' => [$s['lab'][0] - 7, $s['lab'][1], $s['lab'][2]]],
        $strips,
    );
    $hand = temporaryFile('');
    $learnt = prismAnswer(
        'hand',
        'hand',
        '--drawer',
        demoDrawer(),
        '--strips',
        temporaryFile((string) json_encode($darker)),
        '--out',
        $hand,
    );
    expect($learnt['words'])
        ->toContain('more than planned')
        ->and($learnt['rmsDeltaE00']['after'])
        ->toBeLessThan($learnt['rmsDeltaE00']['before']);
    $predict = ['predict', '--drawer', demoDrawer(), '--stack', '741@0.35'];
    expect(prismAnswer('predict', ...$predict, ...['--hand', $hand])['final']['lab'][0])->toBeLessThan(
        prismAnswer('predict', ...$predict)['final']['lab'][0] - 2,
    );
    prismAnswer('match', 'match', '--drawer', demoDrawer(), '--target', '#8a8f7a', '--count', '1', '--hand', $hand);
});

it('reads a page of swatches that one already has, by a grid, and says what is wrong with the call', function () {
    $hexes = ['#a03428', '#d8b840', '#284880', '#2c7048', '#30343a', '#c8a0a8'];
    $image = imagecreatetruecolor(600, 460);
    imagefill($image, 0, 0, 0xF4F1E8);
    foreach ($hexes as $i => $hex) {
        [$x, $y] = [60 + ($i % 3) * 160, 50 + intdiv($i, 3) * 180];
        imagefilledrectangle($image, $x + 16, $y + 16, $x + 144, $y + 164, (int) hexdec(substr($hex, 1)));
    }
    $photo = temporaryFile('');
    imagepng($image, $photo);
    $out = temporaryFile('');
    $corners = implode(',', [60 / 600, 50 / 460, 540 / 600, 50 / 460, 540 / 600, 410 / 460, 60 / 600, 410 / 460]);
    $call = [
        'chart',
        'grid',
        '--photo',
        $photo,
        '--corners',
        $corners,
        '--rows',
        '2',
        '--columns',
        '3',
        '--numbers',
        temporaryFile("1 Hull red\n2 Straw\n3, 4, 5\n6 Shell"),
        '--line',
        'Mine',
        '--out',
        $out,
    ];
    $read = prismAnswer('chart-read', ...$call);
    $drawer = DrawerFile::drawer((string) file_get_contents($out));
    expect($read['measured'])
        ->toBe(6)
        ->and($read['empty'])
        ->toBe([])
        ->and($drawer->pencil('Mine/1')->record->name)
        ->toBe('Hull red');
    foreach ($hexes as $i => $hex) {
        // The white of the page is that of the paper: what lies there is read beside it.
        expect(
            KnottyPrism\Core\Colour\Lab::ofHex($drawer->pencil('Mine/'.($i + 1))->record->heavy)->deltaE00(
                KnottyPrism\Core\Colour\Lab::ofHex($hex),
            ),
        )->toBeLessThan(6.0);
    }
    foreach (
        [
            [['--corners', '0,0,1,1'], 'eight shares'],
            [['--rows', '0'], '--rows'],
            [['--columns', '2'], 'grid of 2'],
            [['--numbers', temporaryFile('')], ''],
            [['--photo', demoDrawer()], ''],
        ] as [$wrong, $says]
    ) {
        [$status, , , $errors] = prism(...$call, ...$wrong);
        expect($status)->toBe(2)->and($errors)->toContain($says)->toStartWith('prism: ');
    }
});
