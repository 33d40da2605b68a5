<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\Breadth;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\Beam;
use KnottyPrism\Core\Recipe\SequenceSearch\Craft;
use KnottyPrism\Core\Recipe\SequenceSearch\Ground;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;
use KnottyPrism\Core\Recipe\SequenceSearch\Patterns;
use KnottyPrism\Core\Recipe\SequenceSearch\Polish;
use KnottyPrism\Core\Recipe\SequenceSearch\Prices;
use KnottyPrism\Core\Recipe\SequenceSearch\Run;
use KnottyPrism\Core\Recipe\SequenceSearch\ShadeAim;
use Tests\Core\Pencils;

function kitOf(string ...$names): Kit
{
    $moves = new Moves(new Drawer(array_map(Pencils::named(...), array_values($names))), Paper::whiteMedium());

    return new Kit($moves, Atlas::of($moves));
}

/** @param  list<Shade>  $shades  lightest first */
function groundOf(Kit $kit, array $shades, int $mostPasses, string ...$settings): Ground
{
    $method = Method::ofSettings(array_values($settings));
    $rules = array_map(static fn (Shade $s): Rules => new Rules($method, $kit->moves, $s->target, []), $shades);
    $craft = new Craft($method, $kit->moves, $shades, $rules, intdiv(count($shades), 2));
    $aims = array_map(
        static fn (Shade $s, Rules $r): ShadeAim => new ShadeAim($s, $kit->atlas, $kit->book, Mode::ColourAndValue, $r),
        $shades,
        $rules,
    );

    return new Ground(
        $kit->book,
        $kit->outlook,
        $craft,
        new Prices(array_fill(0, count($kit->moves->pencils), 0.0)),
        $aims,
        $mostPasses,
        array_sum(array_map(static fn (Shade $s): float => $s->weight, $shades)),
    );
}

it('finds what trying every sequence finds', function () {
    mt_srand(21);
    $kit = kitOf('red', 'blue', 'yellow', 'dark warm grey');
    $worse = [];
    for ($n = 0; $n < 16; $n++) {
        $hue = deg2rad(mt_rand(0, 359));
        [$light, $dark, $chroma] = [mt_rand(60, 85), mt_rand(25, 55), mt_rand(5, 40)];
        $shades = [
            new Shade('light', new Lab($light, ($chroma * cos($hue)) / 2, ($chroma * sin($hue)) / 2), 0.4),
            new Shade('dark', new Lab($dark, $chroma * cos($hue), $chroma * sin($hue)), 0.6),
        ];
        $ground = groundOf($kit, $shades, 2);
        $passes = [];
        foreach (array_keys($kit->moves->pencils) as $pencil) {
            foreach (Patterns::over(2, [0, 1]) as $pressures) {
                $passes[] = [$pencil, $pressures];
            }
        }
        $least = INF;
        foreach ($passes as [$first, $under]) {
            $one = (new Run())->with($first, $under);
            foreach ([null, ...$passes] as $second) {
                $run = $second === null ? $one : $one->with(...$second);
                if ($ground->craft->keeps($run)) {
                    $least = min($least, $ground->cost($run, $least));
                }
            }
        }
        $found = (new Polish($ground, Breadth::over(3)))->all(array_slice((new Beam($ground, 16))->run(), 0, 12))[0]->cost;
        expect($found)->toBeGreaterThanOrEqual($least - 1e-9);
        $worse[] = $found / $least;
    }
    // Within 3 % of the best of all, on every one of them.
    expect(count(array_filter($worse, static fn (float $w): bool => $w > 1.03)))->toBe(
        0,
        implode(' ', array_map(static fn (float $w): string => sprintf('%.3f', $w), $worse)),
    );
});

it('allows and forbids by the craft what a hand would', function (array $passes, bool $allowed, array $settings = []) {
    $kit = kitOf('red', 'black', 'white', 'blue');
    $shades = [
        new Shade('light', new Lab(70, 10, 10), 0.3),
        new Shade('mid', new Lab(50, 20, 15), 0.5),
        new Shade('dark', new Lab(25, 10, 5), 0.2),
    ];
    $run = new Run();
    foreach ($passes as [$pencil, $pressures]) {
        $run = $run->with($pencil, array_map(intval(...), str_split($pressures)));
    }
    expect(groundOf($kit, $shades, 6, ...$settings)->craft->keeps($run))->toBe($allowed);
})->with([
    'a base, then darker from the middle down' => [[[0, '122'], [3, '023']], true],
    'full pressure first' => [[[0, '555']], false],
    'a base that leaves the light out' => [[[0, '012']], false],
    'a lone dark accent at the end' => [[[0, '122'], [3, '003']], true],
    'a dark beneath what goes over all of it' => [[[0, '122'], [3, '002'], [0, '222']], true],
    'a lone accent of the light before the end' => [[[0, '122'], [3, '200'], [0, '222']], false],
    'a lone accent of the light at the end' => [[[0, '122'], [3, '200']], true],
    'light in the darks, firm in the middle' => [[[0, '121']], false],
    'firm twice in the end' => [[[0, '223'], [3, '234'], [0, '235']], true],
    'firm before the last two' => [[[0, '333'], [3, '444'], [0, '444'], [3, '444']], false],
    'much lighter than what lies there' => [[[0, '333'], [3, '444'], [0, '222']], false],
    'a whisper to finish' => [[[0, '333'], [3, '444'], [0, '111']], true],
    'white on bare paper' => [[[2, '111'], [0, '222']], false],
    'pale first where the method reserves so' => [[[2, '111'], [0, '222']], true, ['lights=pale-first']],
    'black where there is never black' => [[[0, '122'], [1, '001']], false, ['darks=never-black']],
    'black last, in the dark alone' => [[[0, '122'], [1, '001']], true, ['darks=black-last']],
    'black last, but not last' => [[[0, '122'], [1, '001'], [3, '001']], false, ['darks=black-last']],
    'above medium in light coats only' => [[[0, '223'], [3, '234']], false, ['joining=light-coats']],
    'a lighter pencil over a darker one, light to dark' => [[[3, '122'], [0, '122']], false, ['values=light-to-dark']],
    'back to an earlier one, light to dark' => [[[0, '122'], [3, '122'], [0, '122']], true, ['values=light-to-dark']],
    'burnished twice with white' => [[[0, '233'], [2, '344'], [2, '455']], false],
]);

it('grades passes only up or only down, over whatever is worked', function (int $shades, array $worked) {
    $patterns = Patterns::over($shades, $worked);
    expect($patterns)->toBe(array_values(array_unique($patterns, SORT_REGULAR)));
    foreach ($patterns as $pressures) {
        $own = array_map(static fn (int $i): int => $pressures[$i], $worked);
        $sorted = $own;
        sort($sorted);
        expect(array_sum($pressures))
            ->toBe(array_sum($own))
            ->toBeGreaterThan(0)
            ->and($own === $sorted || $own === array_reverse($sorted))
            ->toBeTrue();
    }
})->with([[1, [0]], [2, [0, 1]], [3, [0, 1, 2]], [3, [1, 2]], [3, [2]]]);

it('estimates what a hand sways within a third for most stacks', function () {
    mt_srand(4);
    $kit = kitOf('red', 'blue', 'yellow', 'green', 'violet', 'white');
    $off = [];
    for ($n = 0; $n < 60; $n++) {
        $moves = array_map(
            static fn (int $i): int => mt_rand(0, 5) * Moves::PRESSURES + mt_rand(0, $i > 1 ? 4 : 2),
            range(0, mt_rand(0, 4)),
        );
        $off[] =
            sqrt($kit->book->sway($kit->book->lay($moves))) /
            Steadiness::of(new Stack(array_map(static fn (int $m): Pass => $kit->moves->passes[$m], $moves)), Paper::whiteMedium());
    }
    expect(count(array_filter($off, static fn (float $r): bool => $r > 0.67 && $r < 1.5)))->toBeGreaterThan(45);
});

it('forecasts the error that one more pass leaves', function () {
    mt_srand(9);
    $kit = kitOf('red', 'blue', 'yellow', 'green', 'dark warm grey');
    $aim = new ShadeAim(
        new Shade('mid', new Lab(45, 20, 10)),
        $kit->atlas,
        $kit->book,
        Mode::ColourAndValue,
        new Rules(Method::free(), $kit->moves, new Lab(45, 20, 10), []),
    );
    foreach ([[], [7], [7, 12]] as $beneath) {
        $laid = $kit->book->lay($beneath);
        [$errors] = $aim->forecast($laid, $kit->outlook->from($laid), 0);
        $apart = array_map(
            static fn (int $move): float => abs($errors[$move] - $aim->judge($kit->book->onto($laid, $move))->error()),
            array_keys($errors),
        );
        sort($apart);
        expect($apart[intdiv(count($apart), 2)])->toBeLessThan(1.0);
    }
});

it('keeps a zone\'s sequence by the roles of its colours, whatever becomes of them', function () {
    $drawer = new Drawer([Pencils::named('red'), Pencils::named('blue')]);
    [$whisper, $light, $medium] = Pressure::cases();
    $sequence = new Sequence([
        new GradedPass(Pencils::named('red'), [$whisper, $light, $medium]),
        new GradedPass(Tissue::it(), [null, $medium, $medium]),
    ]);
    $shades = static fn (string ...$names): array => array_map(static fn (string $n): Shade => new Shade($n, new Lab(50, 0, 0)), $names);
    $note = SequenceNote::of($sequence, $shades('light', 'mid', 'dark'));
    $back = SequenceNote::ofArray(json_decode((string) json_encode($note->toArray()), true));
    expect($back)->toEqual($note)->and($back->read($drawer, $shades('light', 'mid', 'dark')))->toEqual($sequence);
    // The light is gone and an accent has come: it is left out there.
    expect($back->read($drawer, $shades('mid', 'touch'))->passes[0]->pressures)->toBe([$light, null]);
    $sheet = (new PlanSheet())->overruling(3, 'dark', 'bloom', 'under glass')->withSequence(3, $note);
    expect($sheet->overruled(3, 'dark'))
        ->toBe(['bloom' => 'under glass'])
        ->and(PlanSheet::ofArray(json_decode((string) json_encode($sheet->toArray()), true)))
        ->toEqual($sheet)
        ->and($sheet->withSequence(3, null)->sequences)
        ->toBe([]);
});
