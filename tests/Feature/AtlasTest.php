<?php

declare(strict_types=1);

use App\Answers\RecipeAnswers;
use App\Cache\KeptAtlases;
use App\Photos\PhotoIntake;
use App\Photos\Raster;
use App\Resources\PlannedPictureResource;
use Illuminate\Support\Facades\Cache;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Surface;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\PlanPicture;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;

/** A store for atlases that counts what is asked of it. */
function countedShelf(): AtlasShelf
{
    return new class implements AtlasShelf
    {
        /** @var array<string, string> */
        public array $kept = [];

        public int $fetched = 0;

        public function fetch(string $key): ?string
        {
            $this->fetched++;

            return $this->kept[$key] ?? null;
        }

        public function keep(string $key, string $packed): void
        {
            $this->kept[$key] = $packed;
        }
    };
}

it('makes an atlas once for a drawer and a paper, and again when either changes', function () {
    $user = $this->artistWithDrawer();
    $study = $this->study($user);
    $shelf = countedShelf();
    $this->app->instance(AtlasShelf::class, $shelf);
    $desk = app(RecipeAnswers::class);
    $first = $desk->recipes($user, $study, Lab::ofHex('#6e8f7c'), Surface::Smooth);
    $desk->recipes($user, $study, Lab::ofHex('#6e8f7d'), Surface::Smooth);
    expect($shelf->kept)->toHaveCount(1)->and($shelf->fetched)->toBe(2);
    $study->paper = 'warm grey';
    $desk->recipes($user, $study, Lab::ofHex('#6e8f7c'), Surface::Smooth);
    $user
        ->pencils()
        ->where('number', '735')
        ->update(['stock' => 'not owned']);
    $desk->recipes($user, $study, Lab::ofHex('#6e8f7c'), Surface::Smooth);
    expect($shelf->kept)->toHaveCount(3);

    // What was kept gives the same answer as what was made; and what is damaged is made again.
    $study->paper = 'white medium';
    $user
        ->pencils()
        ->where('number', '735')
        ->update(['stock' => 'owned']);
    Cache::flush();
    expect($desk->recipes($user, $study, Lab::ofHex('#6e8f7c'), Surface::Smooth))->toEqual($first);
    $shelf->kept = array_map(static fn (string $packed): string => substr($packed, 0, 1000), $shelf->kept);
    Cache::flush();
    expect($desk->recipes($user, $study, Lab::ofHex('#6e8f7c'), Surface::Smooth))->toEqual($first);
});

it('keeps bytes as they are in a store of their own', function () {
    $kept = new KeptAtlases(Cache::store('atlases'));
    $bytes = random_bytes(5000);
    $kept->keep('atlas/test/'.bin2hex(random_bytes(4)), 'other');
    $kept->keep('atlas/test', $bytes);
    expect($kept->fetch('atlas/test'))->toBe($bytes)->and($kept->fetch('atlas/none'))->toBeNull();
});

it('scales a photo by means, and writes pixels that read back the same', function () {
    $pixels = str_repeat("\x10\x20\x30", 8).str_repeat("\xf0\xe0\xd0", 8);
    $raster = new Raster(4, 4, $pixels);
    $read = new Imagick();
    $read->readImageBlob($raster->png());
    expect($read->getImageFormat())
        ->toBe('PNG')
        ->and($read->exportImagePixels(0, 0, 4, 4, 'RGB', Imagick::PIXEL_CHAR))
        ->toBe(array_values(array_map(ord(...), str_split($pixels))));
    $copy = (new PhotoIntake())->take(base_path('demo/photos/low-water-evening.jpg'));
    $small = Raster::scaled($copy, 240);
    expect([$small->width, $small->height])
        ->toBe([240, 180])
        ->and(strlen($small->pixels))
        ->toBe(3 * 240 * 180);
    $mean = static fn (string $bytes): float => array_sum(array_map(ord(...), str_split($bytes))) / strlen($bytes);
    expect($mean($small->pixels))->toEqualWithDelta($mean(substr($copy->pixels, 0)), 1.0);
    expect(fn () => new Raster(2, 2, 'abc'))->toThrow(KnottyPrism\Core\Error\OutOfRange::class);
});

it('writes a plan with every figure in its range and nothing left out', function () {
    mt_srand(3);
    $bytes = '';
    for ($i = 0; $i < 60 * 40; $i++) {
        $bytes .= $i % 60 < 30 ? chr(200 + mt_rand(0, 5)).chr(60).chr(50) : chr(240).chr(238).chr(230 + mt_rand(0, 5));
    }
    $grid = PixelGrid::ofSrgb(60, 40, $bytes);
    $drawer = DrawerFile::drawer("number,heavy,owned\n1,#c03028,yes\n2,#f0d020,yes\n3,#202024,yes\n4,#3060b0,no\n");
    $plan = PlannedPictureResource::plan(
        (new PlanPicture($drawer, Paper::whiteMedium(), mostPasses: 2))->whole($grid, ZoneMap::proposed($grid, 4)),
    );
    expect(array_sum(array_column($plan['zones'], 'area')))
        ->toEqualWithDelta(1.0, 0.001)
        ->and($plan['palette'][0]['assumed'])
        ->toContain('binder')
        ->and(array_column($plan['paletteCurve'], 'pencils'))
        ->toBe([3]);
    foreach ($plan['zones'] as $zone) {
        expect($zone['shades'])->not->toBe([])->and($zone['box'][0])->toBeLessThan($zone['box'][2]);
        foreach ($zone['results'] as $i => $result) {
            // What is as good as the paper is left bare.
            expect($result['stack'] === '')->toBe($zone['shades'][$i]['fittedLab'][0] > 90.0);
        }
    }
});
