<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

it('takes a new finish in by one file', function () {
    $project = projectWith([
        'core/Medium/Finishes/Steam.php' => <<<'PHP'
        <?php

        declare(strict_types=1);

        namespace KnottyPrism\Core\Medium\Finishes;

        use KnottyPrism\Core\Medium\Laying\Sheet;

        /** Steam softens what was laid. */
        final class Steam extends Finish
        {
            public function __construct()
            {
                parent::__construct(
                    'steam', 5, 'a kettle, at arm’s length', 900.0, coats: 2, layOut: 'and a kettle',
                    care: 'Steam scalds: keep your hands out of it.', careInShort: 'it scalds',
                );
            }

            protected function onto(Sheet $sheet): void
            {
                MixFilms::within($sheet, 0.5, 0.5);
            }
        }
        PHP
        ,
    ]);
    $run = static function (string ...$call) use ($project): Process {
        $process = new Process($call, $project, timeout: 60);
        $process->run();

        return $process;
    };
    // On the command line, in the form of its schema, and in the sentence that says what there is.
    $laid = $run("$project/prism", 'predict', '--drawer', demoDrawer(), '--stack', '711@0.55,steam,741@0.35');
    expect($laid->getErrorOutput())->toBe('')->and($laid->getExitCode())->toBe(0);
    expectSchema('predict', json_decode($laid->getOutput()));
    $plain = $run("$project/prism", 'predict', '--drawer', demoDrawer(), '--stack', '711@0.55,741@0.35');
    expect(json_decode($laid->getOutput())->final->hex)
        ->not->toBe(json_decode($plain->getOutput())->final->hex)
        ->and($run("$project/prism", 'predict', '--drawer', demoDrawer(), '--stack', '711@0.55,fog')->getErrorOutput())
        ->toContain('solvent, blender, tissue, lift, steam')
        ->and($run(dirname(__DIR__, 2).'/prism', 'predict', '--drawer', demoDrawer(), '--stack', '711@0.55,steam')->getExitCode())
        ->toBe(2);
    // In what the page is told of, at the desk and on sheets.
    $told = json_decode(
        $run(
            'php',
            '-r',
            <<<'PHP'
            require 'vendor/autoload.php';
            use KnottyPrism\Core\Desk\{Order\PassMinutes, Order\WorkPass, Words\BodyCautions, Words\HowToLay};
            use KnottyPrism\Core\Medium\{Finishes\Finish, Laying\Pressure};
            $pass = new WorkPass('steam', [Pressure::Medium]);
            echo json_encode([
                'finishes' => Finish::values(), 'tool' => App\Resources\SequenceResource::tool(Finish::from('steam')),
                'point' => HowToLay::point($pass, [false], 4000.0, true),
                'body' => BodyCautions::at('steam'),
                'minutes' => PassMinutes::of($pass, [1.0], 4500.0),
            ]);
            PHP
            ,
        )->getOutput(),
        true,
    );
    expect($told)->toEqual([
        'finishes' => ['solvent', 'blender', 'tissue', 'lift', 'steam'],
        'tool' => ['finish' => 'steam', 'pencil' => null, 'care' => 'it scalds'],
        'point' => 'a kettle, at arm’s length',
        'body' => ['Steam scalds: keep your hands out of it.'],
        'minutes' => 5.5,
    ]);
});

it('takes a new drill in by one file', function () {
    $project = projectWith([
        'core/Book/Practice/Drills/GreyDrill.php' => <<<'PHP'
        <?php

        declare(strict_types=1);

        namespace KnottyPrism\Core\Book\Practice\Drills;

        use KnottyPrism\Core\Book\Practice\Question\Choice;
        use KnottyPrism\Core\Book\Practice\Question\Drill;
        use KnottyPrism\Core\Book\Practice\Question\DrillGround;
        use KnottyPrism\Core\Book\Practice\Question\Shown;
        use KnottyPrism\Core\Chart\BenchCamera\Chance;
        use KnottyPrism\Core\Colour\Lab;

        /** Is it grey? */
        final class GreyDrill extends Skill
        {
            public function __construct()
            {
                parent::__construct('grey or not', 8, 'Hold it beside a stone.');
            }

            public function make(DrillGround $ground, int $difficulty, Chance $chance): ?Drill
            {
                $found = $ground->place($chance, static fn (Lab $lab): bool => true);

                if ($found === null) {
                    return null;
                }
                $shown = [new Shown('the colour', [DrillGround::hex($found[1])])];

                return new Drill('Is this grey?', $shown, null, [new Choice('yes'), new Choice('no')], 0, 'It is.', []);
            }
        }
        PHP
        ,
    ]);
    $process = new Process(
        [
            'php',
            '-r',
            <<<'PHP'
            require 'vendor/autoload.php';
            use KnottyPrism\Core\Book\Practice\{AskDrill, Drills\Skill, Question\DrillGround, Training};
            use KnottyPrism\Core\Photo\Pixels\PixelGrid;
            $photo = PixelGrid::ofSrgb(40, 40, str_repeat("\x80\x90\xa0", 1600));
            $ground = new DrillGround($photo, [], KnottyPrism\Core\Medium\Paper\Paper::whiteMedium());
            echo json_encode([
                'question' => AskDrill::of(Skill::from('grey or not'), 3, 7, $ground)?->question,
                'told' => array_column(App\Resources\PracticeResource::training(new Training([]))['skills'], 'skill'),
                'door' => in_array('grey or not', Skill::values(), true),
            ]);
            PHP
            ,
        ],
        $project,
    );
    $process->run();
    $told = json_decode($process->getOutput(), true);
    expect($process->getErrorOutput())
        ->toBe('')
        ->and($told['question'])
        ->toBe('Is this grey?')
        ->and($told['door'])
        ->toBeTrue()
        ->and(array_slice($told['told'], -2))
        ->toBe(['next move', 'grey or not']);
});

it('takes a new setting of the method in by one file', function () {
    $project = projectWith([
        'core/Recipe/Method/Strokes.php' => <<<'PHP'
        <?php

        declare(strict_types=1);

        namespace KnottyPrism\Core\Recipe\Method;

        /** Which way strokes run. */
        enum Strokes: string implements Setting
        {
            case Free = 'free';
            case Circles = 'circles';

            public static function name(): string
            {
                return 'strokes';
            }

            public static function place(): int
            {
                return 9;
            }

            public static function title(): string
            {
                return 'Strokes';
            }

            public function why(): string
            {
                return 'Small circles leave no lines.';
            }
        }
        PHP
        ,
    ]);
    $match = static function (string $method) use ($project): Process {
        $process = new Process(
            [
                "$project/prism",
                'match',
                '--drawer',
                demoDrawer(),
                '--target',
                '#7a6a58',
                '--count',
                '1',
                '--max-passes',
                '2',
                '--method',
                $method,
            ],
            $project,
            timeout: 60,
        );
        $process->run();

        return $process;
    };
    expect($match('strokes=circles')->getErrorOutput())
        ->toBe('')
        ->and($match('strokes=zigzag')->getErrorOutput())
        ->toContain('free, circles')
        ->and($match('mood=good')->getErrorOutput())
        ->toContain('palette=…, strokes=…');
    $process = new Process(
        [
            'php',
            '-r',
            <<<'PHP'
            require 'vendor/autoload.php';
            use KnottyPrism\Core\Recipe\Method\{Method, Strokes};
            $settings = (new ReflectionMethod(App\Answers\PlanAnswers::class, 'methodSettings'))->invoke(null);
            echo json_encode([
                'told' => json_encode($settings),
                'chosen' => Method::ofSettings(['strokes=circles'])->of(Strokes::class)->why(),
                'written' => Method::ofSettings(['strokes=circles', 'darks=never-black'])->settings(),
            ]);
            PHP
            ,
        ],
        $project,
    );
    $process->run();
    $told = json_decode($process->getOutput(), true);
    expect($process->getErrorOutput())
        ->toBe('')
        ->and($told['told'])
        ->toContain('Small circles leave no lines.')
        ->and($told['chosen'])
        ->toBe('Small circles leave no lines.')
        ->and($told['written'])
        ->toBe(['darks=never-black', 'strokes=circles']);
});
