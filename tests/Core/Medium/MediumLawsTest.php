<?php

declare(strict_types=1);

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Film;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use Tests\Core\Pencils;

/** @return iterable<array{Paper, list<Pass|Finish>}> random stacks on every paper, the same every run */
function randomStacks(int $count): iterable
{
    mt_srand(7);
    $names = Pencils::names();
    $papers = PaperShelf::names();
    for ($n = 0; $n < $count; $n++) {
        $steps = [];
        for ($i = mt_rand(1, 14); $i > 0; $i--) {
            $steps[] =
                mt_rand(0, 7) === 0
                    ? Finish::cases()[mt_rand(0, 3)]
                    : new Pass(Pencils::named($names[mt_rand(0, count($names) - 1)]), mt_rand(5, 100) / 100);
        }
        yield [PaperShelf::named($papers[$n % count($papers)]), $steps];
    }
}

it('keeps every reflectance within 0–1, the tooth within its capacity and the film from vanishing, whatever is laid', function () {
    foreach (randomStacks(150) as [$paper, $steps]) {
        $sheet = new Sheet($paper);
        foreach ($steps as $step) {
            $before = array_sum($sheet->fill);
            $used = $sheet->toothUsed();
            Stack::apply($step, $sheet);
            expect(min($sheet->reflectance))->toBeGreaterThan(0.0)->and(max($sheet->reflectance))->toBeLessThan(1.0);
            foreach ($sheet->fill as $m => $fill) {
                expect($fill)->toBeLessThanOrEqual($sheet->capacity[$m] + 1e-9);
            }
            if ($step instanceof Pass) {
                expect(array_sum($sheet->fill))
                    ->toBeGreaterThanOrEqual($before)
                    ->and($sheet->toothUsed())
                    ->toBeGreaterThanOrEqual($used - 1e-9);
            }
            expect($sheet->toothUsed())
                ->toBeGreaterThanOrEqual(0.0)
                ->toBeLessThanOrEqual(1.0 + 1e-9);
        }
    }
});

it('lays more film with every firmer hand, and never more than the tooth still holds', function (string $paper) {
    $sheet = new Sheet(PaperShelf::named($paper));
    $free = static fn (): float => array_sum(array_map(static fn (float $c, float $f): float => $c - $f, $sheet->capacity, $sheet->fill));
    for ($coat = 1; $coat <= 8; $coat++) {
        $laid = array_map(static fn (float $p): float => array_sum(LayPass::laidFilm($sheet, 0.9, $p)), [0.1, 0.2, 0.35, 0.55, 0.8, 1.0]);
        foreach (array_slice($laid, 1) as $i => $film) {
            // A tooth that is full takes no more from any hand.
            expect($film)
                ->toBeGreaterThanOrEqual($laid[$i])
                ->and($coat > 1 || $film > $laid[$i])
                ->toBeTrue();
        }
        $before = array_sum($sheet->fill);
        $room = $free();
        LayPass::onto($sheet, Pencils::named('red'), 0.35);
        expect(array_sum($sheet->fill) - $before)
            ->toBeGreaterThanOrEqual(0.0)
            ->toBeLessThanOrEqual($room + 1e-9);
    }
    expect($sheet->toothUsed())->toBeGreaterThan(0.3);
})->with(PaperShelf::names());

it('never gives back crushed tooth', function () {
    $sheet = Pencils::sheet('red@1.00');
    $capacity = $sheet->capacity;
    foreach (['tissue', 'solvent', 'lift'] as $finish) {
        Finish::from($finish)->applyTo($sheet);
        expect($sheet->capacity)->toBe($capacity);
    }
});

it('conserves film under solvent, blender and tissue, and loses some to the eraser, less where it is burnished', function () {
    $film = static fn (Sheet $s): float => array_sum(array_map(static fn ($d) => $d->total(), $s->deposits));
    foreach (['solvent', 'blender', 'tissue'] as $finish) {
        expect($film(Pencils::sheet("blue@0.55 red@0.35 $finish")))->toEqualWithDelta($film(Pencils::sheet('blue@0.55 red@0.35')), 1e-9);
    }
    $lost = static fn (string $stack): float => 1 - $film(Pencils::sheet("$stack lift")) / $film(Pencils::sheet($stack));
    expect($lost('blue@0.35'))->toBeGreaterThan(0.1)->and($lost('blue@1.00'))->toBeLessThan($lost('blue@0.35'));
});

it('solvent gives back some tooth', function () {
    expect(Pencils::sheet('blue@0.55 blue@0.55 solvent')->toothUsed())->toBeLessThan(Pencils::sheet('blue@0.55 blue@0.55')->toothUsed());
});

it('lays by table what the closed form gives', function () {
    foreach (['yellow', 'black', 'opaque white'] as $name) {
        $pencil = Pencils::named($name);
        foreach ([0.004, 0.11, 0.537, 1.3] as $t) {
            $start = array_fill(0, 216, 0.42);
            $exact = $start;
            for ($m = 0; $m < 6; $m++) {
                Film::lay($exact, $m * 36, $pencil->a, $pencil->b, $pencil->scattering * $t);
            }
            foreach ($pencil->film->over($start, array_fill(0, 6, $t)) as $i => $r) {
                expect($r)->toEqualWithDelta($exact[$i], 1e-3);
            }
        }
    }
});

it('composes: two films of one pencil are one film of the sum', function () {
    $p = Pencils::named('green');
    [$two, $one] = [array_fill(0, 36, 0.8), array_fill(0, 36, 0.8)];
    Film::lay($two, 0, $p->a, $p->b, 0.1);
    Film::lay($two, 0, $p->a, $p->b, 0.25);
    Film::lay($one, 0, $p->a, $p->b, 0.35);
    foreach ($one as $i => $r) {
        expect($two[$i])->toEqualWithDelta($r, 1e-12);
    }
});

it('shows the recorded heavy swatch after the fit', function (string $hex) {
    foreach (Binder::cases() as $binder) {
        if ($binder !== Binder::Blender) {
            $pencil = PencilFit::of(new PencilRecord('', '1', '', $hex, $binder));
            expect(Swatch::Heavy->colourOf($pencil)->deltaE00(Lab::ofHex($hex)))->toBeLessThan(0.3);
        }
    }
})->with(['#efee71', '#c32530', '#18224e', '#2f1c2a', '#8f867b', '#a9c7e6', '#0f1112', '#3d8f66']);

it('finds scattering and laydown again from the three swatches', function (float $s, float $q) {
    $true = PencilFit::withFigures(new PencilRecord('', '1', '', '#b5532f', Binder::Oil), $s, $q);
    $hex = static fn (Swatch $w): string => \KnottyPrism\Core\Colour\Srgb::ofXyz($w->colourOf($true)->xyz())->hex();
    $found = PencilFit::of(new PencilRecord('', '1', '', '#b5532f', Binder::Oil, $hex(Swatch::Light), $hex(Swatch::OverBlack)));
    expect($found->scattering)
        ->toEqualWithDelta($s, 0.12 * $s)
        ->and($found->laydown)
        ->toEqualWithDelta($q, 0.12 * $q)
        ->and($found->assumed)
        ->toBe([]);
})->with([[0.15, 0.75], [0.3, 0.8], [0.6, 0.95], [1.2, 1.0]]);

it('names what was assumed of a pencil known by its heavy colour alone', function () {
    expect(PencilFit::of(new PencilRecord('', '1', '', '#b5532f'))->assumed)->toBe(['binder', 'hiding power', 'laydown']);
});

it('agrees with a trial of five hundred wandering hands', function (string $text) {
    mt_srand(11);
    $normal = static fn (): float => sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) *
        cos((2 * M_PI * mt_rand()) / mt_getrandmax());
    $stack = Pencils::stack($text);
    $paper = Paper::whiteMedium();
    $intended = Pencils::colour($text);
    $sum = 0.0;
    for ($hand = 0; $hand < 500; $hand++) {
        $sheet = new Sheet($paper);
        foreach ($stack->passes() as $pass) {
            LayPass::onto($sheet, $pass->pencil, max(0.05, min(1.0, $pass->pressure + 0.08 * $normal())), 1 + 0.1 * $normal());
        }
        $sum += $intended->deltaE00(Lab::ofReflectance($sheet->meanReflectance())) ** 2;
    }
    $sampled = sqrt($sum / 500);
    expect(Steadiness::of($stack, $paper))->toEqualWithDelta($sampled, 0.15 * $sampled);
})->with(['red@0.55', 'yellow@0.55 green@0.35', 'violet@0.35 green@0.55 yellow@0.55', 'blue@0.35 blue@0.35 red@0.80']);

it('refuses a pressure that no hand has', function (float $p) {
    expect(fn () => new Pass(Pencils::named('red'), $p))->toThrow(OutOfRange::class, 'Pressure must be between 0.05 and 1');
})->with([1.4, 0.0, -0.2, NAN]);
