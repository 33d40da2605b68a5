<?php

declare(strict_types=1);

use App\Cli\PrismApplication;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Output\BufferedOutput;

// Every option of every command in turn is left out or holds something else: the answer is JSON with status 0, or one sentence with
// status 2, never anything else.

/**
 * @param  array<string, string>  $call
 * @return list<string> what is wrong with the answer
 */
function callFaults(array $call, string $what): array
{
    set_error_handler(
        static fn (int $level, string $message): bool => (error_reporting() & $level) !== 0 &&
            throw new ErrorException($message, severity: $level),
    );
    try {
        $output = new BufferedOutput();
        $status = (new PrismApplication())->answer(new ArrayInput($call), $output);
    } finally {
        restore_error_handler();
    }
    $text = trim($output->fetch());
    $isSentence =
        str_starts_with($text, 'prism: ') &&
        ! str_contains($text, "\n") &&
        ! str_contains($text, '.php') &&
        mb_strlen($text) < 500 &&
        mb_check_encoding($text, 'UTF-8');

    return ($status === 0 && ! str_starts_with($text, 'prism:')) || ($status === PrismApplication::WRONG_CALL && $isSentence)
        ? []
        : ["$what: status $status, ".mb_substr($text, 0, 160)];
}

it('answers any call with a result or with one plain sentence', function (array $call) {
    $folder = sys_get_temp_dir().'/kp-nonsense-'.bin2hex(random_bytes(4));
    mkdir($folder);
    $nonsense = [
        '',
        ' ',
        'x',
        '-1',
        '0',
        '1e9',
        '7.5',
        '#12',
        ',',
        '@,@',
        "\0",
        "\xC3\x28",
        str_repeat('9', 400),
        $folder,
        temporaryFile(''),
        temporaryFile("\0\1\2"),
        temporaryFile('{"name": 3}'),
        temporaryFile('[[1]]'),
    ];
    // What a call writes under a nonsensical name lands here.
    $back = (string) getcwd();
    chdir($folder);
    $faults = [];
    foreach (array_keys($call) as $option) {
        if ($option === 'command') {
            continue;
        }
        array_push($faults, ...callFaults(array_diff_key($call, [$option => true]), "without $option"));
        foreach ($nonsense as $value) {
            array_push(
                $faults,
                ...callFaults(
                    [...$call, $option => $value],
                    "$option = ".json_encode(mb_convert_encoding(mb_substr($value, 0, 40), 'UTF-8', 'UTF-8')),
                ),
            );
        }
    }
    chdir($back);
    array_map(unlink(...), glob("$folder/{,.}*[!.]*", GLOB_BRACE) ?: []);
    rmdir($folder);
    expect($faults)->toBe([]);
})->with([
    'predict' => fn () => ['command' => 'predict', '--drawer' => threePencils(), '--paper' => 'black', '--stack' => '1@0.55,solvent'],
    'match' => fn () => [
        'command' => 'match',
        '--drawer' => threePencils(),
        '--paper' => 'white medium',
        '--target' => '#806050',
        '--method' => 'darks=never-black',
        '--mode' => 'value-only',
        '--max-passes' => '2',
        '--count' => '1',
    ],
    'complements' => fn () => ['command' => 'complements', '--drawer' => threePencils(), '--paper' => 'black'],
    'ramp' => fn () => [
        'command' => 'ramp',
        '--drawer' => threePencils(),
        '--paper' => 'black',
        '--pencils' => '1,2',
        '--pressure' => 'light',
        '--steps' => '3',
    ],
    'substitute' => fn () => [
        'command' => 'substitute',
        '--drawer' => threePencils(),
        '--line' => threePencils(),
        '--pencil' => '3',
        '--paper' => 'black',
    ],
    'drawer' => fn () => ['command' => 'drawer', '--drawer' => threePencils(), '--order' => 'value'],
    'convert' => fn () => ['command' => 'convert', '--from' => threePencils(), '--to' => 'cgats'],
    'colour, pairs' => fn () => ['command' => 'colour', '--file' => temporaryFile("50,0,0,51,1,1\n")],
    'colour, sRGB' => fn () => ['command' => 'colour', '--srgb' => temporaryFile("#808080\n")],
    'chart read' => fn () => [
        'command' => 'chart',
        'what' => 'read',
        '--photo' => temporaryFile('no photo'),
        '--layout' => temporaryFile(
            '{"sheet": {"width": 148, "height": 210}, "pages": [{"boxes": [{"pencil": "1", "kind": "heavy", "x": 1, "y": 1, "w": 9, "h": '
                .'9}]}]}',
        ),
        '--drawer' => threePencils(),
        '--paper' => 'black',
        '--out' => '/nowhere/at/all',
    ],
    'hand' => fn () => [
        'command' => 'hand',
        '--drawer' => threePencils(),
        '--paper' => 'black',
        '--strips' => temporaryFile('[{"stack": "1@0.35", "lab": [40, 1, 2]}]'),
        '--out' => '/nowhere/at/all',
    ],
    'plan' => fn () => [
        'command' => 'plan',
        '--photo' => temporaryFile('no photo'),
        '--drawer' => threePencils(),
        '--paper' => 'black',
        '--pencils' => '2',
        '--keep' => '1',
        '--without' => '2',
        '--mode' => 'value-only',
        '--method' => '',
        '--zones' => '2',
        '--out' => '/nowhere/at/all',
    ],
]);

function threePencils(): string
{
    return temporaryFile("number,heavy,owned\n1,#c03028,yes\n2,#2850a0,yes\n3,#204020,no\n");
}
