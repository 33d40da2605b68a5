<?php

declare(strict_types=1);

namespace App\Drawers;

use App\Models\MeasuringSheet;
use App\Models\PencilRow;
use App\Models\User;
use App\Photos\Raster;
use App\Photos\SheetPhotos;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\MeasuredPencils;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Reading\BoxReading;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\ReadSwatches;
use KnottyPrism\Core\Chart\Sheet\BoxKind;
use KnottyPrism\Core\Chart\Sheet\SheetPencil;
use KnottyPrism\Core\Chart\Sheet\SwatchGrid;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Formats\Drawers\Csv;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * Pencils on their way into a drawer by camera: written down, printed, photographed, looked over; nothing enters the drawer from here.
 *
 * @phpstan-import-type ReadBox from MeasuringSheet
 */
final class MeasuringSheets
{
    /** Sheets that an account keeps. */
    private const KEPT = 12;

    /** Longer side of a made-up photo, pixels. */
    private const SIDE = 1400;

    /** @param  non-empty-list<SheetPencil>  $pencils */
    public function begin(User $user, array $pencils, string $size, string $paper): MeasuringSheet
    {
        $sheet = MeasuringSheet::query()->create([
            'user_id' => $user->id,
            'size' => $size,
            'paper' => $paper,
            'pages' => [],
            'pencils' => array_map(
                static fn (SheetPencil $p): array => ['line' => $p->line, 'number' => $p->number, 'name' => $p->name],
                $pencils,
            ),
        ]);
        $older = MeasuringSheet::query()->where('user_id', $user->id)->latest('id')->skip(self::KEPT)->take(100)->pluck('id');
        MeasuringSheet::query()->whereKey($older)->delete();

        return $sheet;
    }

    /**
     * A page of swatches that somebody has, read by a grid.
     *
     * @param  non-empty-list<SheetPencil>  $pencils  row after row
     * @param  list<array{float, float}>  $corners  of the grid, shares of the photo
     *
     * @throws BadPhoto|BadFile|OutOfRange
     */
    public function ownPage(
        User $user,
        array $pencils,
        string $path,
        array $corners,
        int $rows,
        int $columns,
        string $paper,
    ): MeasuringSheet {
        $photo = SheetPhotos::read($path);
        $grid = new SwatchGrid(
            array_map(static fn (array $c): array => [$c[0] * $photo->width, $c[1] * $photo->height], $corners),
            $rows,
            $columns,
            array_map(static fn (SheetPencil $p): string => $p->id(), $pencils),
        );

        // Read before anything is kept: what can't be read leaves no row.
        $reading = ReadSwatches::page($photo, $grid, PaperShelf::named($paper));

        return $this->noted($this->begin($user, $pencils, MeasuringSheet::OWN_PAGE, $paper), $reading);
    }

    /** @throws ModelNotFoundException when it is not this artist's */
    public function sheet(User $user, int $id): MeasuringSheet
    {
        return MeasuringSheet::query()->where('user_id', $user->id)->findOrFail($id);
    }

    /** @return list<MeasuringSheet> the newest first */
    public function of(User $user): array
    {
        return array_values(MeasuringSheet::query()->where('user_id', $user->id)->latest('id')->get()->all());
    }

    /**
     * Reads the photo of a page; what was read of that page before is replaced.
     *
     * @throws BadPhoto|BadFile
     */
    public function read(MeasuringSheet $row, string $path): MeasuringSheet
    {
        $sheet = $row->sheet();

        return $this->noted($row, ReadChart::page(SheetPhotos::read($path), $sheet, $row->sheetPaper()));
    }

    /**
     * The same with a photo that the bench camera makes up, of the page after the last that was read.
     *
     * @return array{MeasuringSheet, string} and the photo as JPEG
     */
    public function madeUp(MeasuringSheet $row, int $seed): array
    {
        $sheet = $row->sheet();
        $page = array_key_first(array_diff_key($sheet->pages, $row->pages)) ?? 0;
        $photo = BenchCamera::photograph(
            (new FilledSheet($sheet, $page, $this->standIns($row), $row->sheetPaper(), $seed))->flat,
            Shot::ordinary($seed),
            self::SIDE,
            $seed,
        );

        return [
            $this->noted($row, ReadChart::page($photo, $sheet, $row->sheetPaper())),
            Raster::encoded($photo->width, $photo->height, 3, $photo->pixels, 'jpeg'),
        ];
    }

    /** Puts a colour right by hand; nothing leaves the box out. */
    public function correct(MeasuringSheet $row, string $pencil, BoxKind $kind, ?string $hex): MeasuringSheet
    {
        return self::changed($row, static function (array $pages) use ($pencil, $kind, $hex): array {
            foreach ($pages as $p => $boxes) {
                foreach ($boxes as $b => $box) {
                    if ($box['pencil'] === $pencil && $box['kind'] === $kind->value) {
                        $pages[$p][$b] = [
                            ...$box,
                            'filled' => $hex !== null,
                            'hex' => strtolower($hex ?? $box['hex']),
                            'corrected' => true,
                        ];
                    }
                }
            }

            return $pages;
        });
    }

    /** What was measured, as a drawer file; pencils without a heavy swatch are left out. */
    public function csv(MeasuringSheet $row): string
    {
        $hexes = [];
        foreach ($row->pages as $boxes) {
            foreach ($boxes as $box) {
                if ($box['filled']) {
                    $hexes[$box['pencil']][$box['kind']] = $box['hex'];
                }
            }
        }
        $rows = MeasuredPencils::rows($row->listed(), $hexes, $row->sheetPaper());

        return $rows === []
            ? throw BadFile::because('Nothing has been measured on this chart yet; photograph a page first.')
            : Csv::it()->write('', $rows);
    }

    private function noted(MeasuringSheet $row, ChartReading $reading): MeasuringSheet
    {
        $boxes = array_map(
            static fn (BoxReading $b): array => [
                'pencil' => $b->box->pencil,
                'kind' => $b->box->kind->value,
                'hex' => $b->hex(),
                'filled' => $b->filled,
                'doubt' => round($b->doubt, 1),
                'note' => $b->note,
                'corrected' => false,
            ],
            $reading->boxes,
        );

        return self::changed($row, static fn (array $pages): array => array_replace($pages, [$reading->page => $boxes]));
    }

    /**
     * Two changes at a time each find what the other has done.
     *
     * @param  \Closure(array<int, list<ReadBox>>): array<int, mixed>  $change
     */
    private static function changed(MeasuringSheet $row, \Closure $change): MeasuringSheet
    {
        return DB::transaction(static function () use ($row, $change): MeasuringSheet {
            $locked = MeasuringSheet::query()->lockForUpdate()->findOrFail($row->id);
            $locked->update(['pages' => $change($locked->pages)]);

            return $locked;
        });
    }

    /**
     * @return array<string, Pencil> pencils for a made-up photo: the artist's own where they are known, the demo's in turn for the others
     */
    private function standIns(MeasuringSheet $row): array
    {
        $own = PencilRow::query()->where('user_id', $row->user_id)->get()->keyBy(static fn (PencilRow $p): string => $p->identifier());
        $demo = DrawerFile::drawer((string) file_get_contents(base_path('demo/drawer.csv')))->pencils;
        $found = [];
        foreach (array_keys($row->byId()) as $i => $id) {
            $found[(string) $id] = $own->get((string) $id)?->toPencil() ?? $demo[$i % count($demo)];
        }

        return $found;
    }
}
