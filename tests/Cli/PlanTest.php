<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use Tests\Golden;

const DRAWER = __DIR__.'/../../demo/drawer.csv';

const PHOTO = __DIR__.'/../../demo/photos/low-water-morning.jpg';

const OUT = '/tmp/kp-plan-refused';

function planFolder(): string
{
    return sys_get_temp_dir().'/kp-plan-'.bin2hex(random_bytes(4));
}

function demoPhoto(): string
{
    return dirname(__DIR__, 2).'/demo/photos/low-water-morning.jpg';
}

/** A drawing of a plan, made up and photographed at two passes, is held against it; what can't be is said in a sentence. */
function holdsDrawingsAgainst(string $plan): void
{
    $zone = json_decode((string) file_get_contents("$plan/plan.json"))->zones[0]->name;
    $call = ['check', '--plan', $plan, '--drawer', demoDrawer(), '--photo', "$plan/drawing.jpg"];
    file_put_contents("$plan/done.json", json_encode(['passes' => 2, 'zones' => [$zone => 1]], JSON_THROW_ON_ERROR));
    [$status, $check, , $errors] = prism(...[...$call, '--done', "$plan/done.json", '--made-up', '4', '--out', "$plan/differences.png"]);
    expect($status)
        ->toBe(0, $errors)
        ->and($check->alike)
        ->toBeGreaterThan(0.7)
        ->and(count($check->findings))
        ->toBeGreaterThan(8)
        ->and(getimagesize("$plan/differences.png")[0])
        ->toBe(240);
    expectSchema('check', $check);
    foreach (
        [
            [['--done', demoDrawer()], 'What is laid is JSON'],
            [['--corners', '0,0,1'], 'eight shares'],
            [['--photo', demoPhoto()], 'another drawing|doesn’t look like'],
            [['--plan', "$plan-gone"], 'no readable file'],
            [['--paper', 'vellum'], 'vellum'],
        ] as [$wrong, $says]
    ) {
        [$status, , , $errors] = prism(...[...$call, ...$wrong]);
        expect($status)
            ->toBe(2)
            ->and($errors)
            ->toMatch("/$says/");
    }
    file_put_contents("$plan/done.json", '{"zones": {"a zone that is none": 1}}');
    expect(prism(...[...$call, '--done', "$plan/done.json"])[3])->toContain('no zone called "a zone that is none"');
}

/** What to lay when: every pass once, in its zone's own order, by either hand; what can't be is said in a sentence. */
function ordersWork(string $plan): void
{
    $passes = array_sum(
        array_map(static fn (stdClass $z): int => count($z->sequence), json_decode((string) file_get_contents("$plan/plan.json"))->zones),
    );
    foreach ([[], ['--hand', 'left', '--work-order', 'pencil-by-pencil', '--session', '30']] as $wishes) {
        [$status, $order, , $errors] = prism('order', '--plan', $plan, ...$wishes);
        expect($status)
            ->toBe(0, $errors)
            ->and(count($order->steps))
            ->toBe($passes)
            ->and(array_sum(array_column($order->sessions, 'steps')))
            ->toBe($passes);
        expectSchema('order', $order);
    }
    foreach (
        [
            [['--work-order', 'backwards'], 'zone-by-zone'],
            [['--hand', 'both'], 'right'],
            [['--session', '3'], 'session'],
            [['--plan', "$plan-gone"], 'no readable file'],
        ] as [$wrong, $says]
    ) {
        [$status, , , $errors] = prism('order', '--plan', $plan, ...$wrong);
        expect($status)->toBe(2)->and($errors)->toContain($says);
    }
}

it('plans the demo picture into a folder: plan, previews, card, all in the documented form', function () {
    $out = planFolder();
    $process = new Process(
        [
            dirname(__DIR__, 2).'/prism',
            'plan',
            '--photo',
            demoPhoto(),
            '--drawer',
            demoDrawer(),
            '--pencils',
            '7',
            '--zones',
            '8',
            '--method',
            'darks=never-black',
            '--light',
            'A',
            '--wide',
            '210',
            '--loupe',
            '0.4,0.6',
            '--out',
            $out,
        ],
        timeout: null,
    );
    expect($process->run())
        ->toBe(0)
        ->and($process->getErrorOutput())
        ->toContain('sequences 3 of ')
        ->toContain('preview 1 of ')
        ->and(json_decode($process->getOutput())->out)
        ->toBe($out);
    $plan = json_decode((string) file_get_contents("$out/plan.json"));
    expectSchema('plan', $plan);
    expect(
        Golden::differences('plan', array_diff_key(json_decode((string) file_get_contents("$out/plan.json"), true), ['seconds' => 0])),
    )->toBe([]);
    expect(count($plan->zones))
        ->toBeLessThanOrEqual(8)
        ->and(count($plan->palette))
        ->toBeLessThanOrEqual(7)
        ->and($plan->errorOnPaper)
        ->toBeLessThan(7.0)
        ->and($plan->errorInHand)
        ->toBeLessThan($plan->errorOnPaper);
    $used = [];
    $steps = 0;
    foreach ($plan->zones as $zone) {
        $steps = max($steps, count($zone->sequence));
        array_push($used, ...array_filter(array_column($zone->sequence, 'pencil')));
    }
    expect(array_values(array_unique($used)))
        ->toEqualCanonicalizing(array_column($plan->palette, 'pencil'))
        ->and($used)
        ->not->toContain('Slipway/745');
    [, $predicted] = prism('predict', '--drawer', demoDrawer(), '--stack', $plan->zones[0]->results[0]->stack);
    expect($predicted->final->hex)->toBe($plan->zones[0]->results[0]->hex);

    expect(glob("$out/preview-[0-9]*.png"))
        ->toHaveCount($steps + 1)
        ->and(file_get_contents(sprintf('%s/preview-%02d.png', $out, $steps)))
        ->toBe(file_get_contents("$out/preview-final.png"));
    expect(getimagesize("$out/loupe.png"))->toMatchArray([0 => 720, 1 => 540, 'mime' => 'image/png']);
    // As large as the drawing, by pixels of 0.2 mm: 210 by 157.5 mm.
    foreach (['preview-final.png', 'preview-final-grey.png', 'reference.png', 'session-01.png'] as $picture) {
        $image = new Imagick("$out/$picture");
        expect([$image->getImageWidth(), $image->getImageHeight(), $image->getImageFormat()])
            ->toBe([1050, 787, 'PNG'])
            ->and($image->getImageResolution()['x'])
            ->toEqualWithDelta($image->getImageUnits() === Imagick::RESOLUTION_PIXELSPERINCH ? 127.0 : 50.0, 0.1);
    }
    // After the last session lies what lies after the last pass; after the first one neither that nor nothing.
    $sessions = glob("$out/session-*.png");
    [$bare, $first, $last, $final] = array_map(static fn (string $file): string => (new Imagick($file))->getImageSignature(), [
        "$out/preview-00.png",
        $sessions[0],
        $sessions[count($sessions) - 1],
        "$out/preview-final.png",
    ]);
    expect($last)->toBe($final)->and($first)->not->toBe($bare)->not->toBe($final);
    expect(substr((string) file_get_contents("$out/palette-card.pdf"), 0, 5))->toBe('%PDF-')->and(glob("$out*.partial"))->toBe([]);
    holdsDrawingsAgainst($out);
    ordersWork($out);
});

it('leaves nothing behind when it is interrupted, and what was there before as it was', function () {
    $out = planFolder();
    mkdir($out);
    file_put_contents("$out/plan.json", 'an earlier plan');
    $process = new Process(
        [dirname(__DIR__, 2).'/prism', 'plan', '--photo', demoPhoto(), '--drawer', demoDrawer(), '--out', $out],
        timeout: 60,
    );
    $process->start();
    $process->waitUntil(static fn (string $type, string $text): bool => str_contains($text, 'sequences 2 of'));
    $process->signal(SIGINT);
    $process->wait();
    expect($process->getExitCode())
        ->toBe(130)
        ->and($process->getErrorOutput())
        ->toContain('Interrupted')
        ->and(scandir($out))
        ->toBe(['.', '..', 'plan.json'])
        ->and(file_get_contents("$out/plan.json"))
        ->toBe('an earlier plan')
        ->and(glob("$out*.partial"))
        ->toBe([]);
});

it('refuses in one sentence what it can not plan', function (array $arguments, string $says) {
    [$status, , $output, $error] = prism('plan', ...$arguments);
    expect($status)->toBe(2)->and($output)->toBe('')->and($error)->toContain($says)->and(substr_count(trim($error), "\n"))->toBe(0);
})->with([
    'no folder' => [['--photo', PHOTO, '--drawer', DRAWER], '--out'],
    'no photo' => [['--photo', '/nowhere.jpg', '--drawer', DRAWER, '--out', OUT], 'nowhere.jpg'],
    'words for a photo' => [['--photo', DRAWER, '--drawer', DRAWER, '--out', OUT], 'not a picture'],
    'too many zones' => [['--photo', PHOTO, '--drawer', DRAWER, '--zones', '21', '--out', OUT], 'between 1 and 20'],
    'an unknown method' => [['--photo', PHOTO, '--drawer', DRAWER, '--method', 'mood=good', '--out', OUT], 'values=…'],
]);

it('tells what works on what, fades, and stands in, in JSON', function () {
    [$status, $table] = prism('complements', '--drawer', demoDrawer());
    expect($status)->toBe(0)->and($table->pencils)->toHaveCount(24)->and($table->pencils[0]->standsOutBy)->toBeString();
    expectSchema('complements', $table);
    [$status, $ramp] = prism('ramp', '--drawer', demoDrawer(), '--pencils', '604,617,624', '--pressure', 'light', '--steps', '11');
    expect($status)
        ->toBe(0)
        ->and($ramp->steps)
        ->toHaveCount(11)
        ->and($ramp->overlaps)
        ->toHaveCount(2)
        ->and($ramp->unevenness)
        ->toBeLessThan(1.5);
    expectSchema('ramp', $ramp);
    [$status, $found] = prism(
        'substitute',
        '--drawer',
        demoDrawer(),
        '--line',
        dirname(__DIR__, 2).'/demo/lines/slipway.csv',
        '--pencil',
        '618',
    );
    expect($status)->toBe(0)->and($found->heavy->deltaE00)->toBeLessThan($found->nearest->deltaE00Heavy);
    expectSchema('substitute', $found);
    [$status, $match] = prism(
        'match',
        '--drawer',
        demoDrawer(),
        '--target',
        '#4a6a8a',
        '--mode',
        'value-only',
        '--count',
        '1',
        '--max-passes',
        '3',
    );
    expect($status)->toBe(0)->and(abs($match->recipes[0]->outcomes->spot->valueError))->toBeLessThan(0.1);
    [$status, , , $error] = prism('ramp', '--drawer', demoDrawer(), '--pencils', '604');
    expect($status)->toBe(2)->and($error)->toContain('pencils in a ramp');
});

it('says what a light, a place for the loupe and a width are, before anything is planned', function (array $wrong, string $says) {
    [$status, , , $error] = prism('plan', '--photo', demoPhoto(), '--drawer', demoDrawer(), '--out', planFolder(), ...$wrong) + [3 => ''];
    expect($status)->not->toBe(0)->and($error)->toContain($says);
})->with([
    'a light that is none' => [['--light', 'candle'], 'D65, D50, A, LED'],
    'a place outside' => [['--loupe', '1.2,0.5'], 'two shares from 0 to 1'],
    'half a place' => [['--loupe', '0.5'], 'two shares from 0 to 1'],
    'no place' => [['--loupe', 'left,top'], 'two shares from 0 to 1'],
    'a width of nothing' => [['--wide', '0'], '--wide'],
    'a wall' => [['--wide', '99999'], '--wide'],
]);
