<?php

declare(strict_types=1);

use App\Answers\KeptRecipeAnswers;
use App\Answers\RecipeAnswers;
use App\Cache\Build;
use App\Models\KeptRecipe;
use App\Models\PencilRow;
use App\Models\Photo;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoIntake;
use App\Photos\PhotoStore;
use App\Print\DabPicture;
use App\Print\PaletteCard;
use App\Resources\SequenceResource;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Cache\Events\KeyWritten;
use Illuminate\Support\Facades\Event;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Paper\Grain;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

it('keeps a fitted pencil in the database so that it lays exactly the same colour afterwards', function () {
    $user = $this->artist();
    $pencil = PencilFit::of(new PencilRecord('Slipway', '721', 'Rust flake', '#a0522d', light: '#e0b090', overBlack: '#6a4030'));
    PencilRow::factory()->for($user)->fitted($pencil)->create();
    $again = PencilRow::query()->firstOrFail()->toPencil();
    expect($again->record)
        ->toEqual($pencil->record)
        ->and($again->assumed)
        ->toBe($pencil->assumed)
        ->and($again->absorption)
        ->toBe($pencil->absorption)
        ->and($again->scattering)
        ->toBe($pencil->scattering);
});

it('answers the same question from the cache, and asks again when the drawer or the paper has changed', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $desk = app(RecipeAnswers::class);
    $lab = Lab::ofHex('#6e8f7c');
    $written = 0;
    Event::listen(KeyWritten::class, static function (KeyWritten $event) use (&$written): void {
        $written += (int) str_starts_with($event->key, Build::whole().'/recipes/');
    });
    $counts = [];
    foreach (
        [
            fn () => null,
            fn () => null,
            fn () => ($study->paper = 'black'),
            fn () => $user
                ->pencils()
                ->where('number', '735')
                ->update(['stock' => 'not owned']),
        ] as $change
    ) {
        $change();
        $answers[] = $desk->recipes($user, $study, $lab, Surface::Smooth);
        $counts[] = $written;
    }
    expect($counts)
        ->toBe([1, 1, 2, 3])
        ->and($answers[1])
        ->toBe($answers[0])
        ->and($answers[0]['recipes'])
        ->toHaveCount(4);
});

it('uses only pencils that are owned', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $user
        ->pencils()
        ->whereNotIn('number', ['735', '668', '711'])
        ->update(['stock' => 'not owned']);
    $answer = app(RecipeAnswers::class)->recipes($user, $study, Lab::ofHex('#c9bda0'), Surface::Smooth);
    foreach ($answer['recipes'] as $recipe) {
        foreach ($recipe['passes'] as $pass) {
            expect(['735', '668', '711'])->toContain($pass['pencil']['number']);
        }
    }
});

it('reads the same window from the stored pixels as is in the picture', function () {
    $user = $this->artist();
    $study = $this->study($user);
    $store = app(PhotoStore::class);
    $window = $store->window($study->photo(), 198, 10, 4, 2);
    expect(bin2hex($window->bytes))->toBe(str_repeat('b7b4a4b7b4a43a4a5a3a4a5a', 2));
    expect(fn () => $store->jpeg(new Photo(['storage_key' => 'photos/none', 'name' => 'gone'])))->toBeRefused('add the photo again');
});

it('flattens transparency on white, greys to three channels and sixteen bits to eight', function (Closure $make, string $expected) {
    $path = (string) tempnam(sys_get_temp_dir(), 'kp');
    $make()->writeImage('png:'.$path);
    $copy = app(PhotoIntake::class)->take($path);
    $hex = '#'.bin2hex(substr($copy->pixels, 3 * (50 * $copy->width + 50), 3));
    expect(Lab::ofHex($hex)->deltaE00(Lab::ofHex($expected)))
        ->toBeLessThan(1.0)
        ->and(strlen($copy->pixels))
        ->toBe(3 * $copy->width * $copy->height);
})->with([
    'half transparent black' => [
        function (): Imagick {
            $i = new Imagick();
            $i->newImage(100, 100, 'rgba(0,0,0,0.5)');
            $i->setImageFormat('png');

            return $i;
        },
        '#808080',
    ],
    'grey' => [
        function (): Imagick {
            $i = new Imagick();
            $i->newImage(100, 100, '#606060');
            $i->setImageFormat('png');
            $i->setImageType(Imagick::IMGTYPE_GRAYSCALE);

            return $i;
        },
        '#606060',
    ],
    'sixteen bits' => [
        function (): Imagick {
            $i = new Imagick();
            $i->newImage(100, 100, '#4a6178');
            $i->setImageFormat('png');
            $i->setImageDepth(16);

            return $i;
        },
        '#4a6178',
    ],
]);

it('draws a dab for print from the strata, every stratum on its area', function () {
    $hexes = ['#112233', '#223344', '#334455', '#445566', '#556677', '#667788'];
    $data = DabPicture::ofStrata($hexes, Grain::SIDE, Grain::SIDE);
    $image = imagecreatefromstring((string) base64_decode(substr($data, strlen('data:image/png;base64,'))));
    $counts = [];
    for ($y = 0; $y < Grain::SIDE; $y++) {
        for ($x = 0; $x < Grain::SIDE; $x++) {
            $key = sprintf('#%06x', (int) imagecolorat($image, $x, $y) & 0xFFFFFF);
            $counts[$key] = ($counts[$key] ?? 0) + 1;
        }
    }
    ksort($counts);
    expect(array_keys($counts))
        ->toBe($hexes)
        ->and(array_unique(array_values($counts)))
        ->toBe([intdiv(Grain::SIDE ** 2, Tooth::STRATA)]);
});

it('says in words what the figures mean', function () {
    $drawer = DrawerFile::drawer("number,heavy,lightfast\n1,#cf2b2a,poor\n2,#2456a8,good\n");
    $stack = StackText::read('1@0.20,solvent,2@1', $drawer);
    $shown = SequenceResource::answer(
        SequenceAnswer::of(
            RecipeLabel::Closest,
            Sequence::ofStack($stack),
            [Shade::ofSpot(Lab::ofHex('#cf2b2a'))],
            Paper::whiteMedium(),
            Mode::ColourAndValue,
        ),
        Paper::whiteMedium(),
    );
    $ends = ((array) $shown['outcomes'])['spot'];
    expect((array) $shown['passes'][0]['pressures'])
        ->toBe(['spot' => 'whisper'])
        ->and($shown['passes'][0]['pencil']['assumed'])
        ->toBe(['binder', 'hiding power', 'laydown'])
        ->and($shown['passes'][1])
        ->toMatchArray(['finish' => 'solvent', 'pencil' => null])
        ->and($shown['passes'][1]['care'])
        ->toContain('no flame')
        ->and($ends['closenessWords'])
        ->toContain('Far off')
        ->and($ends['stack'])
        ->toBe($stack->text())
        ->and(array_column($shown['warnings'], 'code'))
        ->toContain('out of reach')
        ->toContain('not lightfast')
        ->and($ends['steadinessWords'])
        ->toBeIn(['very steady', 'steady', 'needs an even hand', 'unsteady'])
        ->and($ends['toothWords'])
        ->toContain('tooth');
    // One laid by itself, step by step, is told in the same words.
    $steps = SequenceResource::steps(LaidStack::of($stack, Paper::whiteMedium()));
    expect($steps[0])
        ->toMatchArray(['pressureWord' => 'whisper', 'pressureStrokes' => 1, 'finish' => null])
        ->and($steps[2]['hex'])
        ->toBe($ends['hex'])
        ->and($steps[1]['pressureWord'])
        ->toBeNull();
});

it('still fits a card of sixteen recipes on one page, with the safety line where solvent is used', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    for ($n = 1; $n <= 16; $n++) {
        KeptRecipe::factory()
            ->for($study)
            ->create(['name' => "spot $n", 'target_l' => 5 * $n, 'stack' => '735@0.35,solvent,668@0.20,711@0.35']);
    }
    $recipes = app(KeptRecipeAnswers::class)->outcomes($user, $study);
    $path = (string) tempnam(sys_get_temp_dir(), 'kp');
    file_put_contents($path, app(PaletteCard::class)->pdf($study->name, $study->paper, $recipes, 'a4'));
    $run = static fn (string ...$command): string => (new Symfony\Component\Process\Process($command))->mustRun()->getOutput();
    expect($run('pdfinfo', $path))
        ->toMatch('/Pages:\s+1\n/')
        ->and($run('pdftotext', '-layout', $path, '-'))
        ->toContain('spot 16')
        ->toContain('no flame');
});

it('plants the demo once, whole, and leaves it alone when run again', function () {
    $this->seed(DatabaseSeeder::class);
    $demo = User::query()->where('email', config('app.demo_email'))->firstOrFail();
    expect($demo->pencils()->count())
        ->toBe(120)
        ->and($demo->pencils()->where('owned', true)->count())
        ->toBe(24)
        ->and(Study::query()->pluck('name')->all())
        ->toBe(['Low water'])
        ->and(KeptRecipe::query()->count())
        ->toBe(6);
    KeptRecipe::query()->where('name', 'post, tar')->firstOrFail()->delete();
    $this->seed(DatabaseSeeder::class);
    expect(User::query()->count())
        ->toBe(1)
        ->and(Study::query()->count())
        ->toBe(1)
        ->and(KeptRecipe::query()->count())
        ->toBe(5);
});
