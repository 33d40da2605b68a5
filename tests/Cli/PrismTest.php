<?php

declare(strict_types=1);

use Opis\JsonSchema\Validator;
use Symfony\Component\Process\Process;

/** @return array{int, mixed, string, string} exit status, answer, standard output, standard error */
function prism(string ...$arguments): array
{
    $process = new Process([dirname(__DIR__, 2).'/prism', ...$arguments], timeout: 60);
    $process->run();

    return [(int) $process->getExitCode(), json_decode($process->getOutput()), $process->getOutput(), $process->getErrorOutput()];
}

function demoDrawer(): string
{
    return dirname(__DIR__, 2).'/demo/drawer.csv';
}

function expectSchema(string $schema, mixed $data): void
{
    $result = (new Validator())->validate($data, (string) file_get_contents(dirname(__DIR__, 2)."/docs/schemas/$schema.schema.json"));
    expect($result->isValid())->toBeTrue((string) json_encode($result->error()?->args()));
}

function temporaryFile(string $content): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'kp');
    file_put_contents($path, $content);

    return $path;
}

it('predicts a stack with solvent in it, in the documented form', function () {
    [$status, $answer] = prism(
        'predict',
        '--drawer',
        demoDrawer(),
        '--paper',
        'white medium',
        '--stack',
        '735@0.35,Slipway/608@0.55,solvent,F90@0.2',
    );
    expect($status)
        ->toBe(0)
        ->and($answer->passes)
        ->toHaveCount(4)
        ->and($answer->passes[2]->finish)
        ->toBe('solvent')
        ->and($answer->passes[2]->pencil)
        ->toBeNull()
        ->and($answer->final->hex)
        ->toBe($answer->passes[3]->hex);
    expectSchema('predict', $answer);
});

it('matches a colour with four different answers, and predict repeats each colour to the last digit', function () {
    [$status, $answer] = prism('match', '--drawer', demoDrawer(), '--target', '#8c9a86');
    expect($status)->toBe(0)->and($answer->recipes)->toHaveCount(4);
    expectSchema('match', $answer);
    $pencils = static fn (stdClass $r): array => array_unique(
        array_map(static fn (stdClass $p): string => $p->pencil->id ?? $p->finish, $r->passes),
    );
    expect(
        array_unique(
            array_map(static function (stdClass $r) use ($pencils): string {
                $ids = $pencils($r);
                sort($ids);

                return implode('+', $ids);
            }, $answer->recipes),
        ),
    )->toHaveCount(4);
    foreach ($answer->recipes as $recipe) {
        $ends = $recipe->outcomes->spot;
        [, $predicted] = prism('predict', '--drawer', demoDrawer(), '--stack', $ends->stack);
        expect($predicted->final->hex)
            ->toBe($ends->hex)
            ->and($predicted->final->steadiness)
            ->toBe($ends->sway)
            ->and($predicted->final->toothUsed)
            ->toBe($ends->toothUsed);
    }
});

it('obeys the method and the limits asked for', function () {
    [, $answer] = prism(
        'match',
        '--drawer',
        demoDrawer(),
        '--target',
        '#2b2a2e',
        '--method',
        'beneath=nothing,darks=never-black',
        '--max-passes',
        '3',
        '--count',
        '2',
    );
    expect(count($answer->recipes))->toBeLessThanOrEqual(2);
    foreach ($answer->recipes as $recipe) {
        expect(count($recipe->passes))->toBeLessThanOrEqual(3)->and($recipe->outcomes->spot->stack)->not->toContain('Slipway/745');
    }
});

it('does colour arithmetic on lists, in order, with and without a header', function () {
    [, $pairs] = prism('colour', '--file', dirname(__DIR__).'/Core/cases/ciede2000-pairs.csv');
    expect($pairs)->toHaveCount(34)->and($pairs[0]->deltaE00)->toEqualWithDelta(2.0425, 1e-4);
    [, $spaces] = prism('colour', '--srgb', temporaryFile("#ff0000\n#808080\n"));
    expect($spaces)->toHaveCount(2)->and($spaces[0]->lab[0])->toEqualWithDelta(53.24, 0.01)->and($spaces[1]->hex)->toBe('#808080');
    expectSchema('colour', $pairs);
    expectSchema('colour', $spaces);
});

it('takes a drawer and a paper as JSON too', function () {
    $drawer = temporaryFile(
        (string) json_encode([
            'pencils' => [['number' => '1', 'heavy' => '#2456a8'], ['number' => '2', 'heavy' => '#cf2b2a', 'binder' => 'oil']],
        ]),
    );
    $paper = temporaryFile(
        (string) json_encode(['name' => 'sand', 'colour' => '#d8c7a4', 'tooth' => ['roughness' => 1.4, 'capacity' => 3.5]]),
    );
    [$status, $answer] = prism('predict', '--drawer', $drawer, '--paper', $paper, '--stack', '1@0.55');
    expect($status)->toBe(0)->and($answer->paper)->toBe('sand');
});

it('refuses a wrong call with one plain sentence and status 2', function (array $arguments, string $says) {
    [$status, , $output, $errors] = prism(...$arguments);
    expect($status)
        ->toBe(2)
        ->and($output)
        ->toBe('')
        ->and(trim($errors))
        ->toContain($says)
        ->and(substr_count(trim($errors), "\n"))
        ->toBe(0);
})->with([
    'an unknown pencil' => fn () => [
        ['predict', '--drawer', demoDrawer(), '--stack', '734@0.35'],
        'There is no pencil "734" in this drawer; did you mean',
    ],
    'a pressure of 1.4' => fn () => [
        ['predict', '--drawer', demoDrawer(), '--stack', '735@1.4'],
        'Pressure must be between 0.05 and 1; received 1.4.',
    ],
    'a stack that is none' => fn () => [['predict', '--drawer', demoDrawer(), '--stack', '735'], 'A step is a pencil and its pressure'],
    'an unknown paper' => fn () => [
        ['match', '--drawer', demoDrawer(), '--target', '#777777', '--paper', 'velvet'],
        'The paper is one of white medium',
    ],
    'a target that is no colour' => fn () => [['match', '--drawer', demoDrawer(), '--target', 'teal'], '#rrggbb'],
    'an unknown method' => fn () => [
        ['match', '--drawer', demoDrawer(), '--target', '#777777', '--method', 'darks=purple'],
        'Darks is one of black-allowed, black-last, never-black',
    ],
    'no such file' => fn () => [['match', '--drawer', '/nowhere.csv', '--target', '#777777'], 'no readable file'],
    'a command that is none' => fn () => [['paint'], '"paint" is not defined'],
    'a bad colour in row 7' => fn () => [
        [
            'predict',
            '--stack',
            '1@0.5',
            '--drawer',
            temporaryFile("number,heavy\n1,#112233\n2,#112233\n3,#112233\n4,#112233\n5,#112233\n6,#11223\n8,oops\n"),
        ],
        'row 7, column heavy: A colour is written #rrggbb, like #7f9c8d; received "#11223". (and 1 more)',
    ],
    'an empty drawer file' => fn () => [['predict', '--stack', '1@0.5', '--drawer', temporaryFile('')], 'empty'],
    'a drawer file that is a picture' => fn () => [
        ['predict', '--stack', '1@0.5', '--drawer', dirname(__DIR__, 2).'/demo/photos/low-water-morning.jpg'],
        'Row 1 must name the columns',
    ],
    'the same pencil twice' => fn () => [
        ['predict', '--stack', '1@0.5', '--drawer', temporaryFile("number,heavy\n1,#112233\n1,#445566\n")],
        'row 3, column number: "1" is already in row 2.',
    ],
]);

it('says what lies in a drawer, in which order to lay it, and what it lacks', function () {
    [$status, $answer] = prism('drawer', '--drawer', demoDrawer());
    expect($status)
        ->toBe(0)
        ->and($answer->order)
        ->toHaveCount(24)
        ->and(array_unique($answer->order))
        ->toHaveCount(24)
        ->and($answer->gaps)
        ->not->toBeEmpty()
        ->and($answer->balance->words)
        ->toContain('24 pencils');
    expectSchema('drawer-answer', $answer);
    [, $byNumber] = prism('drawer', '--drawer', demoDrawer(), '--order', 'number');
    expect($byNumber->meanStepDeltaE00)->toBeGreaterThan($answer->meanStepDeltaE00);
    [$wrong, , , $says] = prism('drawer', '--drawer', demoDrawer(), '--order', 'mood');
    expect($wrong)->toBe(2)->and($says)->toContain('gradual, number, value, family');
});

it('converts a drawer to every format and back', function () {
    foreach (['csv', 'json', 'gpl', 'cgats'] as $kind) {
        [$status, , $text] = prism('convert', '--from', demoDrawer(), '--to', $kind);
        expect($status)->toBe(0);
        $file = temporaryFile($text);
        [, $back] = prism('drawer', '--drawer', $file, '--order', 'number');
        expect(count($back->order))->toBeGreaterThanOrEqual(24);
    }
    [$status, , , $says] = prism('convert', '--from', demoDrawer(), '--to', 'doc');
    expect($status)->toBe(2)->and($says)->toContain('csv, json, gpl, cgats, spectral');
});
