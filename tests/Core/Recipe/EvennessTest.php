<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Solvent;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\GoingOn\FindRest;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Remedies\Remedies;
use KnottyPrism\Core\Recipe\Search\GrainForecast;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\PassReasons;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\Prices;
use KnottyPrism\Core\Recipe\SequenceSearch\Run;
use KnottyPrism\Core\Recipe\Warnings\Grainy;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;
use Tests\Core\Pencils;

/** Greys and browns that a whisper of near black comes near, and lays as pepper. */
const EASILY_PEPPERED = [[63, 7, 6], [60, 0, 0], [70, 5, 20], [55, 2, 8], [65, -2, -12]];

/** The surest answer for a grey or brown whose grain counts so much. */
function answerFor(array $lab, float $grainCounts): SequenceAnswer
{
    return (new FindSequences(theDemoDrawer(), Paper::whiteMedium(), Method::free(), Pencils::shelf()))->for(
        [new Shade('', new Lab(...$lab), grainCounts: $grainCounts)],
        5,
    )[0];
}

it('says how evenly film lies as one would say it of a swatch', function (string $stack, string $words) {
    expect(Evenness::of(Pencils::sheet($stack))->words())->toMatch($words);
})->with([
    'a whisper of black over white paper' => ['black@0.20', '/^paper shows through: (3|4|5|6)\d %$/'],
    'a light pencil, twice' => ['pale-blue@0.55 pale-blue@0.80', '/^even$/'],
    'a pencil at medium pressure' => ['green@0.55', '/^(grainy|paper shows through: \d+ %)$/'],
    'a full one' => ['black@1.00', '/^even$/'],
]);

it('calls bare paper even', function () {
    expect(Evenness::of(new Sheet(Paper::whiteMedium()))->words())->toBe('even');
});

it('evens what lies there with a tissue, a blender and solvent, in that order of strength', function () {
    foreach (['black@0.20', 'blue@0.35', 'red@0.55', 'black@0.20 black@0.20', 'pale-blue@0.55 green@0.35'] as $stack) {
        $grain = static function (?Finish $finish) use ($stack): float {
            $sheet = Pencils::sheet($stack);
            $finish?->applyTo($sheet);

            return $sheet->grain();
        };
        expect($grain(Tissue::it()))
            ->toBeLessThan($grain(null))
            ->and($grain(Blender::it()))
            ->toBeLessThan($grain(Tissue::it()))
            ->and($grain(Solvent::it()))
            ->toBeLessThan(0.6 * $grain(Blender::it()));
    }
});

it('foresees the grain that one more pass leaves on random stacks', function () {
    mt_srand(7);
    $moves = new Moves(theDemoDrawer()->usable(), Paper::whiteMedium());
    $ofMoves = GrainForecast::ofMoves($moves);
    $off = $still = [];
    for ($n = 0; $n < 300; $n++) {
        $sheet = new Sheet(Paper::whiteMedium());
        for ($laid = mt_rand(1, 4); $laid > 0; $laid--) {
            $pass = $moves->passes[mt_rand(0, count($moves->passes) - 1)];
            LayPass::onto($sheet, $pass->pencil, $pass->pressure);
        }
        $move = mt_rand(0, count($moves->passes) - 1);
        $before = $sheet->grain();
        $share = $moves->shares($sheet)[$move % Moves::PRESSURES];
        $foreseen = max(
            0.0,
            GrainForecast::STAYS * $before +
                $share * (GrainForecast::OF_PASS * $ofMoves[$move] - GrainForecast::COVERED * $before) -
                GrainForecast::LESS,
        );
        LayPass::onto($sheet, $moves->passes[$move]->pencil, $moves->passes[$move]->pressure);
        $off[] = ($foreseen - $sheet->grain()) ** 2;
        $still[] = ($before - $sheet->grain()) ** 2;
    }
    $rms = static fn (array $squares): float => sqrt(array_sum($squares) / count($squares));
    expect($rms($off))
        ->toBeLessThan(4.0)
        ->and($rms($off))
        ->toBeLessThan(0.7 * $rms($still));
});

it('lays a smooth colour much more evenly than a rough one, and hardly farther off', function () {
    $grain = $colour = [];
    foreach (EASILY_PEPPERED as $lab) {
        foreach ([Surface::Rough, Surface::Smooth] as $surface) {
            $answer = answerFor($lab, $surface->grainCounts());
            $grain[$surface->value][] = $answer->grain();
            $colour[$surface->value][] = $answer->colourError();
        }
    }
    expect(array_sum($grain['smooth']))
        ->toBeLessThan(0.7 * array_sum($grain['rough']))
        ->and(array_sum($colour['smooth']))
        ->toBeLessThan(1.15 * array_sum($colour['rough']));
});

it('counts grain the more the smoother a thing is, and little where an artist works in light coats alone', function () {
    $counts = array_map(static fn (Surface $s): float => $s->grainCounts(), Surface::cases());
    $sorted = $counts;
    rsort($sorted);
    $tried = static function (Surface $s): array {
        $answer = Pencils::answer('black@0.20', grainCounts: $s->grainCounts());

        return array_keys(iterator_to_array(Grainy::it()->changes(new Warning(Grainy::it(), 0, [0], '', ''), $answer, [])));
    };
    expect($counts)
        ->toBe($sorted)
        ->and(min($counts))
        ->toBeGreaterThan(0.0)
        // Where nobody knows what a thing is, a spot without zones, it is smooth; and what is hard and shiny alone is burnished.
        ->and(Shade::SMOOTH)
        ->toBe((new Survey())->surfaceAt(0.5, 0.5)->grainCounts())
        ->and($tried(Surface::HardAndShiny))
        ->toContain('Burnish it with a colourless blender at the end')
        ->and($tried(Surface::Smooth))
        ->not->toContain('Burnish it with a colourless blender at the end');
    expect(Method::ofSettings(['joining=light-coats'])->grainCounts() * Surface::Smooth->grainCounts())->toBeLessThanOrEqual(
        Surface::Rough->grainCounts(),
    );
});

it('warns of paper that shows where the thing is smooth, with a change that was tried, and says nothing where it is rough', function () {
    $grainy =
        array_values(
            array_filter(
                Pencils::warnings(Pencils::answer('black@0.20 black@0.20')),
                static fn (Warning $w): bool => $w->kind instanceof Grainy,
            ),
        )[0] ?? null;
    expect($grainy?->text)
        ->toContain('paper shows through')
        ->and(Warnings::codesIn(Pencils::answer('black@0.20 black@0.20', grainCounts: Surface::Rough->grainCounts())))
        ->not->toContain('grainy');

    // Over a value run: what removes it is laid and looked at again in every shade.
    $paper = Paper::whiteMedium();
    $peppered = new Sequence([new GradedPass(theDemoDrawer()->pencil('688'), [Pressure::Whisper, Pressure::Light])]);
    $own = static fn (int $shade): Lab => Lab::ofReflectance($peppered->stackIn($shade)->on($paper)->meanReflectance());
    $shades = [new Shade('light', $own(0), 0.5), new Shade('dark', $own(1), 0.5)];
    $find = new FindSequences(theDemoDrawer(), $paper, Method::free(), Pencils::shelf());
    $answer = SequenceAnswer::of(RecipeLabel::Surest, $peppered, $shades, $paper, Mode::ColourAndValue);
    $warning = array_values(array_filter(Warnings::in($answer), static fn (Warning $w): bool => $w->kind instanceof Grainy))[0];
    $remedy = (new Remedies($paper, Mode::ColourAndValue, theDemoDrawer()->pencils, $find->allowing($shades)))->for($warning, $answer);
    expect($warning->shades)
        ->toBe([0, 1])
        ->and($remedy?->words)
        ->toContain('under')
        ->and(Warnings::codesIn($remedy->answer))
        ->not->toContain('grainy');
});

it('offers the evenest among the answers where it shows clearly less of the paper', function () {
    $offered = 0;
    foreach (EASILY_PEPPERED as $lab) {
        $find = new FindSequences(theDemoDrawer(), Paper::whiteMedium(), Method::free(), Pencils::shelf());
        $answers = $find->for([new Shade('', new Lab(...$lab), grainCounts: Surface::Rough->grainCounts())], 5, 4);
        foreach ($answers as $answer) {
            if ($answer->label === RecipeLabel::Evenest) {
                $offered++;
                expect($answer->grain())->toBeLessThan(0.75 * $answers[0]->grain());
            }
        }
    }
    expect($offered)->toBeGreaterThan(0);
});

it('takes another coat of the same pencil for less than another pass, and one pressed otherwise for as much', function () {
    $prices = new Prices([0.0, 0.0]);
    $of = static fn (array $pencils, array $pressures): float => $prices->ofRun(new Run($pencils, $pressures));
    $once = $of([0], [[2, 3]]);
    $coat = $of([0, 0], [[2, 3], [2, 3]]) - $once;
    $otherwise = $of([0, 0], [[2, 3], [1, 2]]) - $once;
    expect($coat)
        ->toBeLessThan(0.6 * ($of([1, 0], [[2, 3], [2, 3]]) - $of([0], [[2, 3]])))
        ->and($otherwise)
        ->toBeGreaterThan($coat)
        ->and($prices->ofPasses([0, 0]))
        ->toBeLessThanOrEqual($of([0, 0], [[2, 3], [2, 3]]));
});

it('goes on from pepper with what fills the tooth where the thing is smooth', function () {
    $laid = new Sequence([new GradedPass(Pencils::named('black'), [Pressure::Whisper])]);
    $aim = Pencils::colour('pale-blue@0.55 black@0.20');
    $rest = static fn (Surface $s): SequenceAnswer => SequenceAnswer::of(
        RecipeLabel::Surest,
        new Sequence([
            ...$laid->passes,
            ...(new FindRest(
                [new Shade('', $aim, grainCounts: $s->grainCounts())],
                array_map(Pencils::named(...), ['black', 'pale blue', 'white', 'blue']),
                Paper::whiteMedium(),
            ))->after($laid, new Sequence([]))->passes,
        ]),
        [new Shade('', $aim)],
        Paper::whiteMedium(),
        Mode::ColourAndValue,
    );
    expect($rest(Surface::Smooth)->grain())->toBeLessThanOrEqual($rest(Surface::Rough)->grain());
});

it(
    'gives what a tissue, a burnisher or solvent evens as the reason for it, and of a pencil only where it changes no colour',
    function () {
        $black = new GradedPass(Pencils::named('black'), [Pressure::Light]);
        foreach ([Tissue::it(), Blender::it(), Solvent::it()] as $finish) {
            $sequence = new Sequence([$black, new GradedPass($finish, [Pressure::Medium])]);
            $shade = new Shade('mid', Lab::ofXyz($sequence->stackIn(0)->on(Paper::whiteMedium())->xyz()));
            $reasons = PassReasons::of(
                SequenceAnswer::of(RecipeLabel::Surest, $sequence, [$shade], Paper::whiteMedium(), Mode::ColourAndValue),
                Paper::whiteMedium(),
            );
            expect($reasons[1])
                ->toMatch(
                    '/^It evens the mid: paper shows through: \d+ % without it, (even|grainy|paper shows through: \d+ %) with it\.$/',
                )
                ->and($reasons[0])
                ->toContain('Without this pass');
        }
    },
);
