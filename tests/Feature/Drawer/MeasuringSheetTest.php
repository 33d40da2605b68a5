<?php

declare(strict_types=1);

use App\Models\MeasuringSheet;
use App\Photos\Raster;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\Paper;

/** @return string a JPEG of the sheet's page, coloured in with the demo's first pencils */
function sheetPhoto(int $id, Shot $shot, int $page = 0): string
{
    $sheet = MeasuringSheet::query()->findOrFail($id)->sheet();
    $demo = DrawerFile::drawer((string) file_get_contents(base_path('demo/drawer.csv')))->pencils;
    $pencils = array_combine($sheet->pencils(), array_slice($demo, 0, count($sheet->pencils())));
    $photo = BenchCamera::photograph((new FilledSheet($sheet, $page, $pencils, Paper::whiteMedium(), 2))->flat, $shot, 1200, 2);

    return Raster::encoded($photo->width, $photo->height, 3, $photo->pixels, 'jpeg');
}

it('goes from a list of numbers to measured pencils in the drawer, and back by undo', function () {
    $user = $this->artist();
    $this->actingAs($user);
    $sheet = $this->postJson('/api/drawer/sheets', ['pencils' => "3 moss\n5\n9 brick", 'line' => 'Mine', 'size' => 'a5'])
        ->assertCreated()
        ->json();
    expect($sheet)
        ->toFitThePage('Sheet')
        ->and(array_column($sheet['pencils'], 'id'))
        ->toBe(['Mine/3', 'Mine/5', 'Mine/9'])
        ->and($sheet['measured'])
        ->toBe(0);
    expect(
        $this->get("/api/drawer/sheets/$sheet[id]/file.pdf")
            ->assertOk()
            ->getContent(),
    )->toStartWith('%PDF');
    $this->getJson("/api/drawer/sheets/$sheet[id]/drawer.csv")
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Nothing has been measured on this chart yet; photograph a page first.');

    $read = $this->postJson("/api/drawer/sheets/$sheet[id]/photo", [
        'photo' => uploadOf(sheetPhoto($sheet['id'], Shot::ordinary(4)), 'page.jpg'),
    ])
        ->assertOk()
        ->json();
    expect($read)
        ->toFitThePage('Sheet')
        ->and($read['measured'])
        ->toBe(3)
        ->and(array_map(fn (array $p): int => count($p['boxes']), $read['pencils']))
        ->toBe([3, 3, 3]);

    // Nothing is in the drawer before it is agreed to; a colour can be put right, and a box left out.
    expect($user->pencils()->count())->toBe(0);
    $this->patchJson("/api/drawer/sheets/$sheet[id]", ['pencil' => 'Mine/5', 'kind' => 'heavy', 'hex' => '#AA5522'])->assertOk();
    $this->patchJson("/api/drawer/sheets/$sheet[id]", ['pencil' => 'Mine/5', 'kind' => 'light', 'hex' => null])->assertOk();
    $csv = $this->get("/api/drawer/sheets/$sheet[id]/drawer.csv")
        ->assertOk()
        ->getContent();
    $rows = array_values(DrawerFile::drawer($csv)->pencils);
    expect($rows[1]->record->heavy)
        ->toBe('#aa5522')
        ->and($rows[1]->record->light)
        ->toBeNull()
        ->and($rows[2]->record->name)
        ->toBe('brick')
        ->and($rows[0]->record->overBlack)
        ->not->toBeNull();

    $import = $this->postJson('/api/drawer/imports', ['file' => uploadOf($csv, 'measured.csv')])
        ->assertCreated()
        ->json('id');
    $this->postJson("/api/drawer/imports/$import/take")->assertAccepted();
    expect($user->pencils()->count())
        ->toBe(3)
        ->and($this->getJson('/api/drawer')->json('pencils.1.assumed'))
        ->toContain('laydown')
        ->and($this->getJson('/api/drawer')->json('pencils.0.assumed'))
        ->not->toContain('laydown');
    $this->postJson('/api/drawer/undo')->assertOk();
    expect($user->pencils()->count())->toBe(0);
});

it('measures on the paper in use, and says on which it can not', function () {
    $this->actingAs($this->artist());
    $list = ['pencils' => "3 moss\n5\n9 brick", 'line' => 'Mine', 'size' => 'a5'];
    $grey = $this->postJson('/api/drawer/sheets', [...$list, 'paper' => 'warm grey'])
        ->assertCreated()
        ->json();
    $sheets = $this->getJson('/api/drawer/sheets')->assertOk()->json();
    expect($sheets)
        ->toFitThePage('Sheets')
        ->and($grey['paper'])
        ->toBe('warm grey')
        ->and($sheets['papers'])
        ->toContain('warm grey')
        ->not->toContain('black');
    $this->postJson("/api/drawer/sheets/$grey[id]/made-up")
        ->assertOk()
        ->assertJsonPath('measured', 3);
    // Taken in are the colours of white medium paper, as every drawer has them: lighter than what lies on the grey.
    $read = $this->getJson('/api/drawer/sheets')->json('sheets.0.pencils');
    $lightOnGrey = collect($read[0]['boxes'])->firstWhere('kind', 'light')['hex'];
    $taken = DrawerFile::drawer(
        $this->get("/api/drawer/sheets/$grey[id]/drawer.csv")
            ->assertOk()
            ->getContent(),
    )->pencils[0];
    expect(Lab::ofHex((string) $taken->record->light)->l)->toBeGreaterThan(Lab::ofHex($lightOnGrey)->l + 5);
    $this->postJson('/api/drawer/sheets', [...$list, 'paper' => 'black'])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'black print is visible'));
});

it('reads the pages of a long list one after the other, and keeps what it has', function () {
    $this->actingAs($this->artist());
    $sheet = $this->postJson('/api/drawer/sheets', ['pencils' => implode("\n", range(1, 12)), 'line' => null, 'size' => 'a5'])
        ->assertCreated()
        ->json();
    expect($sheet['pages'])->toBe(2);
    $this->postJson("/api/drawer/sheets/$sheet[id]/photo", ['photo' => uploadOf(sheetPhoto($sheet['id'], new Shot(), 1), 'page.jpg')])
        ->assertOk()
        ->assertJsonPath('pagesRead', 1);
    $both = $this->postJson("/api/drawer/sheets/$sheet[id]/made-up")
        ->assertOk()
        ->assertJsonPath('pagesRead', 2)
        ->json();
    expect($both['measured'])
        ->toBe(12)
        ->and($both['photo'])
        ->toStartWith('data:image/jpeg')
        ->and($this->getJson('/api/drawer/sheets')->json('sheets.0.measured'))
        ->toBe(12);
});

it('says what is wrong with a photo and keeps what was read before', function () {
    $this->actingAs($this->artist());
    $sheet = $this->postJson('/api/drawer/sheets', ['pencils' => "1\n2", 'line' => '', 'size' => 'a5'])->json();
    $other = $this->postJson('/api/drawer/sheets', ['pencils' => "1\n3", 'line' => '', 'size' => 'a5'])->json();
    $this->postJson("/api/drawer/sheets/$sheet[id]/made-up")->assertOk();
    $this->postJson("/api/drawer/sheets/$sheet[id]/photo", ['photo' => uploadOf(sheetPhoto($other['id'], new Shot()), 'page.jpg')])
        ->assertUnprocessable()
        ->assertJsonPath('reason', 'another sheet');
    $this->postJson("/api/drawer/sheets/$sheet[id]/photo", [
        'photo' => uploadOf((string) file_get_contents(base_path('demo/photos/low-water-evening.jpg')), 'page.jpg'),
    ])
        ->assertUnprocessable()
        ->assertJsonPath('title', 'The photo can’t be read');
    $this->postJson("/api/drawer/sheets/$sheet[id]/photo", ['photo' => uploadOf('words', 'page.jpg')])->assertUnprocessable();
    $this->postJson("/api/drawer/sheets/$sheet[id]/photo")
        ->assertUnprocessable()
        ->assertJsonPath('detail', 'Choose the photo of a page.');
    expect($this->getJson('/api/drawer/sheets')->json('sheets.1.measured'))->toBe(2);
    foreach (
        [
            ['pencils' => '', 'line' => '', 'size' => 'a4'],
            ['pencils' => "1\n1", 'line' => '', 'size' => 'a4'],
            ['pencils' => '1', 'line' => '', 'size' => 'b7'],
            ['pencils' => implode("\n", range(1, 61)), 'line' => '', 'size' => 'a4'],
        ] as $wrong
    ) {
        $this->postJson('/api/drawer/sheets', $wrong)->assertUnprocessable();
    }
    $this->patchJson("/api/drawer/sheets/$sheet[id]", ['pencil' => '1', 'kind' => 'heavy', 'hex' => 'reddish'])->assertUnprocessable();
});

it('shows a sheet to nobody else', function () {
    $this->actingAs($this->artist());
    $id = $this->postJson('/api/drawer/sheets', ['pencils' => '1', 'line' => '', 'size' => 'a5'])->json('id');
    $this->actingAs($this->artist('stranger'));
    foreach (['getJson' => ['file.pdf', 'drawer.csv'], 'postJson' => ['photo', 'made-up']] as $method => $paths) {
        foreach ($paths as $path) {
            $this->$method("/api/drawer/sheets/$id/$path")->assertNotFound();
        }
    }
    expect($this->getJson('/api/drawer/sheets')->json('sheets'))
        ->toBe([])
        ->and($this->get('/api/drawer/sample.csv')->assertOk()->getContent())
        ->toContain('711');
});

it('reads a page of swatches of one\'s own by a grid, once, and takes it in like a sheet', function () {
    $user = $this->artist();
    $this->actingAs($user);
    $image = imagecreatetruecolor(640, 360);
    imagefill($image, 0, 0, 0xF2EEE4);
    foreach ([0xA03428, 0xD8B840, 0x284880] as $i => $colour) {
        imagefilledrectangle($image, 100 + 160 * $i, 90, 220 + 160 * $i, 270, $colour);
    }
    ob_start();
    imagejpeg($image, null, 95);
    $jpeg = (string) ob_get_clean();
    $asked = static fn (array $with = []): array => [
        ...[
            'photo' => uploadOf($jpeg, 'own.jpg'),
            'corners' => '0.125,0.2,0.875,0.2,0.875,0.8,0.125,0.8',
            'rows' => '1',
            'columns' => '3',
            'pencils' => "3 moss\n5, 9",
            'line' => '',
        ],
        ...$with,
    ];
    $read = $this->postJson('/api/drawer/swatches', $asked(), ['Idempotency-Key' => 'own-page-key-1'])
        ->assertCreated()
        ->json();
    expect($read)
        ->toFitThePage('Sheet')
        ->and($read['measured'])
        ->toBe(3)
        ->and($read['size'])
        ->toBe('own page')
        ->and($read['pages'])
        ->toBe(1)
        ->and(array_map(fn (array $p): int => count($p['boxes']), $read['pencils']))
        ->toBe([1, 1, 1]);
    $rows = array_values(
        DrawerFile::drawer(
            $this->get("/api/drawer/sheets/$read[id]/drawer.csv")
                ->assertOk()
                ->getContent(),
        )->pencils,
    );
    expect($rows[0]->record->name)->toBe('moss')->and($rows[1]->record->number)->toBe('5')->and($rows[2]->record->light)->toBeNull();
    $this->patchJson("/api/drawer/sheets/$read[id]", ['pencil' => $read['pencils'][1]['id'], 'kind' => 'heavy', 'hex' => null])
        ->assertOk()
        ->assertJsonPath('measured', 2);
    // It is no sheet of ours: nothing to print, nothing to find by markers.
    $this->getJson("/api/drawer/sheets/$read[id]/file.pdf")->assertUnprocessable();
    $this->postJson("/api/drawer/sheets/$read[id]/photo", ['photo' => uploadOf($jpeg, 'own.jpg')])
        ->assertUnprocessable()
        ->assertJsonPath('detail', fn (string $d): bool => str_contains($d, 'your own page'));
    expect($this->getJson('/api/drawer/sheets')->assertOk()->json('sheets.0.measured'))->toBe(2);
    foreach (
        [
            [['corners' => '0.1,0.2'], 'four corners'],
            [['rows' => '0'], '1 to 24 rows'],
            [['columns' => '2'], 'grid of 1'],
            [['pencils' => ''], 'List the pencils'],
            [['photo' => uploadOf('no photo', 'a.jpg')], ''],
            [['corners' => '0,0,1,0,1,1,0,1'], 'bare paper'],
        ] as [$wrong, $says]
    ) {
        $this->postJson('/api/drawer/swatches', $asked($wrong))
            ->assertUnprocessable()
            ->assertJsonPath('detail', fn (string $d): bool => $says === '' || str_contains($d, $says));
    }
    expect(MeasuringSheet::query()->where('user_id', $user->id)->count())->toBe(1);
});
