<?php

declare(strict_types=1);

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\PaperJson;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Opacity;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

/** @return list<string> the problems of a file that must be refused */
function problemsOf(string $text): array
{
    try {
        DrawerFile::records($text);
    } catch (BadFile $error) {
        return $error->problems;
    }

    return ['it was taken'];
}

it('reads every column of a CSV drawer, in any order and any capitals', function () {
    [$record] = DrawerFile::records(
        "Owned,LIGHTFAST,laydown,opacity,over_black,light,heavy,binder,name,number,line\n".
            "no,good,0.9,Semi,#445566,#AABBCC,112233,OIL,\"Rust, flaked\",721,Slipway\n",
    );
    expect($record)->toEqual(
        new PencilRecord(
            'Slipway',
            '721',
            'Rust, flaked',
            '#112233',
            Binder::Oil,
            '#aabbcc',
            '#445566',
            Opacity::Semi,
            0.9,
            'good',
            false,
        ),
    );
});

it('forgives what spreadsheets do: a byte order mark, blank lines, other line ends, short rows', function () {
    $records = DrawerFile::records("\u{FEFF}number,heavy,name\r\n1,#112233,one\r\n\r\n2,#445566\r\n");
    expect($records)
        ->toHaveCount(2)
        ->and($records[1]->number)
        ->toBe('2')
        ->and($records[1]->name)
        ->toBe('')
        ->and($records[1]->owned)
        ->toBeTrue();
});

it('reads a JSON drawer, as a list or under its name, with true figures and truths', function () {
    $rows = [['number' => '1', 'heavy' => '#112233', 'laydown' => 1.2, 'owned' => false], ['number' => 2, 'heavy' => '445566']];
    $named = DrawerFile::records((string) json_encode(['pencils' => $rows]));
    expect($named)
        ->toEqual(DrawerFile::records((string) json_encode($rows)))
        ->and($named[0]->laydown)
        ->toBe(1.2)
        ->and($named[0]->owned)
        ->toBeFalse()
        ->and($named[1]->number)
        ->toBe('2');
});

it('names every problem of a file by row and column at once', function () {
    expect(
        problemsOf(
            "number,heavy,binder,opacity,laydown,owned\n,#112233,,,,\n2,red,chalk,,7,maybe\n3,,oil,milky,much,yes\n4 5,#112233,,,,\n",
        ),
    )->toBe([
        'row 2, column number: it is empty; every pencil needs one.',
        'row 3, column heavy: A colour is written #rrggbb, like #7f9c8d; received "red".',
        'row 3, column binder: The binder is one of wax, oil, blender; received "chalk".',
        'row 3, column laydown: Laydown must be between 0.1 and 3; received 7.',
        'row 3, column owned: Owned is one of yes, no; received "maybe".',
        'row 4, column heavy: it is empty; every pencil needs one.',
        'row 4, column opacity: The opacity is one of transparent, semi, opaque; received "milky".',
        'row 4, column laydown: The laydown is one of a figure from 0.1 to 3; received "much".',
        'row 5, column number: a number has no space, comma, @ or /; received "4 5".',
    ]);
});

it('reads a file in whatever letters a spreadsheet wrote it', function (string $encoding, string $mark) {
    $text = "number,heavy,name\n7,#204060,Øre – grå\n";
    $records = DrawerFile::records($mark.mb_convert_encoding($text, $encoding, 'UTF-8'));
    expect($records[0]->name)->toBe('Øre – grå')->and($records[0]->number)->toBe('7');
})->with([
    'UTF-8' => ['UTF-8', ''],
    'UTF-8 with its mark' => ['UTF-8', "\u{FEFF}"],
    'Windows-1252' => ['Windows-1252', ''],
    'UTF-16, low byte first' => ['UTF-16LE', "\xFF\xFE"],
    'UTF-16, high byte first' => ['UTF-16BE', "\xFE\xFF"],
]);

it('reads what parts cells with semicolons or tabs, and decimals with a comma', function (string $separator) {
    $rows = [['number', 'heavy', 'laydown', 'name', 'length_left', 'stock'], ['7', '#204060', '0,9', 'Buoy, lit', '62,5', 'low']];
    [$row] = DrawerFile::rows(implode("\r\n", array_map(static fn (array $cells): string => implode($separator, $cells), $rows)));
    expect([$row->record->number, $row->record->laydown, $row->record->name, $row->stock->lengthLeft])->toBe([
        '7',
        0.9,
        'Buoy, lit',
        62.5,
    ]);
    expect(problemsOf("number{$separator}heavy\n1{$separator}#112233{$separator}x\n")[0])->toContain(
        [';' => 'semicolons', "\t" => 'tabs'][$separator],
    );
})->with([';', "\t"]);

it('takes no line with a comma, as it parts the passes of a stack, but any other name that can be read back', function () {
    expect(problemsOf("line,number,heavy\n\"Soft, blue\",1,#112233\n"))->toBe([
        'row 2, column line: a line has no comma; received "Soft, blue".',
    ]);
    $drawer = DrawerFile::drawer("line,number,heavy\nA/B @ home,1,#112233\n,solvent,#445566\n");
    expect(StackText::read('A/B @ home/1@0.55, solvent@0.35, solvent', $drawer)->text())
        ->toBe('A/B @ home/1@0.55,solvent@0.35,solvent')
        ->and(StackText::identifiers('A/B @ home/1@0.55, solvent@0.35,7@1, 7@0.2, solvent'))
        ->toBe(['A/B @ home/1', 'solvent', '7']);
});

it('says what is wrong with a file as a whole', function (string $text, string $says) {
    expect(implode(' ', problemsOf($text)))->toContain($says);
})->with([
    'empty' => ['', 'empty'],
    'only space' => ["  \n ", 'empty'],
    'no header' => ["1,#112233\n", 'number and heavy is missing'],
    'an unknown column' => ["number,heavy,price\n1,#112233,2\n", 'unknown column "price"'],
    'a header alone' => ["number,heavy\n", 'no pencils below it'],
    'too many cells' => ["number,heavy\n1,#112233,red, dark\n", 'row 2: it has 4 cells but the header names 2 columns'],
    'broken JSON' => ['{"pencils": [', 'can’t be read'],
    'JSON of something else' => ['{"papers": []}', 'must be a list of pencils'],
    'a JSON list of words' => ['["red"]', 'row 1: a pencil is an object'],
    'the same number in one line' => [
        "line,number,heavy\nA,1,#112233\nB,1,#112233\na,1,#445566\n",
        'row 4, column number: "a/1" is already in row 2.',
    ],
]);

it('quotes foreign text short and harmless in its messages', function () {
    $problem = problemsOf("number,heavy\n1,\"\x07".str_repeat('long ', 40)."\"\n")[0];
    expect(mb_strlen($problem))->toBeLessThan(130)->and($problem)->not->toContain("\x07")->and($problem)->toContain('…');
});

function smallDrawer(): Drawer
{
    static $drawer = null;

    return $drawer ??= new Drawer(
        array_map(PencilFit::of(...), [
            new PencilRecord('North', '11', 'a', '#cf2b2a'),
            new PencilRecord('North', '12', 'b', '#2456a8'),
            new PencilRecord('South', '12', 'c', '#2c8a4b'),
            new PencilRecord('South', '90', 'blender', '#f6f4ee', Binder::Blender),
            new PencilRecord('South', '13', 'not owned', '#f5d21a', owned: false),
        ]),
    );
}

it('finds a pencil by line and number, or by the number alone where only one line has it', function () {
    expect(smallDrawer()->pencil('north/12')->record->name)
        ->toBe('b')
        ->and(smallDrawer()->pencil(' 11 ')->record->name)
        ->toBe('a');
    expect(fn () => smallDrawer()->pencil('12'))->toThrow(UnknownPencil::class, 'write North/12 or South/12');
    expect(fn () => smallDrawer()->pencil('14'))->toThrow(UnknownPencil::class, 'did you mean North/11');
    expect(fn () => smallDrawer()->pencil('north-one-hundred'))->toThrow(UnknownPencil::class, 'check the number');
});

it('plans only with pencils that are owned and lay colour', function () {
    expect(array_map(static fn ($p) => $p->id(), smallDrawer()->usable()->pencils))
        ->toBe(['North/11', 'North/12', 'South/12'])
        ->and(
            array_map(
                static fn ($p) => $p->id(),
                smallDrawer()
                    ->usable()
                    ->without(['North/12'])->pencils,
            ),
        )
        ->toBe(['North/11', 'South/12']);
});

it('reads a stack and writes it back the same', function () {
    $stack = StackText::read(' 11@0.35, solvent ,north/12@.8,11@1,,lift', smallDrawer());
    expect($stack->text())
        ->toBe('North/11@0.35,solvent,North/12@0.80,North/11@1.00,lift')
        ->and($stack->steps[1])
        ->toBe(Solvent::it())
        ->and(count($stack->passes()))
        ->toBe(3)
        ->and(count($stack->pencils()))
        ->toBe(2)
        ->and(StackText::read($stack->text(), smallDrawer())->text())
        ->toBe($stack->text());
});

it('lays a colourless blender as the finish that it is, without any colour of its own', function () {
    $paper = Paper::whiteMedium();
    $byPencil = StackText::read('11@0.35,90@0.80', smallDrawer())->on($paper);
    $byName = StackText::read('11@0.35,blender', smallDrawer())->on($paper);
    expect($byPencil->reflectance)
        ->toBe($byName->reflectance)
        ->and(StackText::read('90@0.80', smallDrawer())->on($paper)->reflectance)
        ->toBe(array_merge(...array_fill(0, Tooth::STRATA, $paper->reflectance)));
});

it('refuses a stack that is none', function (string $text) {
    expect(fn () => StackText::read($text, smallDrawer()))->toBeRefused();
})->with(['', ',,', '11', '11@', '11@-0.2', '11@0.01', '11@1.01', '@0.5', 'melt', implode(',', array_fill(0, 61, '11@0.35'))]);

it('reads a paper, with the usual tooth where none is given, and refuses an impossible one', function () {
    expect(PaperJson::read('{"name": "sand", "colour": "#d8c7a4"}')->tooth)
        ->toEqual(Tooth::medium())
        ->and(PaperJson::read('{"name": "sand", "colour": "#d8c7a4", "tooth": {"roughness": 2, "capacity": 4}}')->tooth->depths[5])
        ->toBeGreaterThan(Tooth::medium()->depths[5]);
    foreach (
        [
            'nothing',
            '[]',
            '{"name": "x"}',
            '{"name": "x", "colour": "sand"}',
            '{"name": "x", "colour": "#ffffff", "tooth": {"capacity": 0}}',
        ] as $text
    ) {
        expect(fn () => PaperJson::read($text))->toBeRefused();
    }
});
