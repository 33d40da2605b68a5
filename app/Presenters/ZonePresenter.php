<?php

declare(strict_types=1);

namespace App\Presenters;

use App\Cache\Computed;
use App\Models\Photo;
use App\Photos\PhotoStore;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Neighbours;
use KnottyPrism\Core\Photo\Zones\Outlines;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** Zones as the page shows them, read from the photo that the colours follow. What a change leaves alone comes from the cache. */
final class ZonePresenter
{
    /** Raised when a zone may be read otherwise. */
    private const VERSION = 2;

    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly PhotoStore $photos)
    {
    }

    /** @return array<string, mixed> */
    public function zones(Survey $survey, Photo $photo): array
    {
        $sheet = $survey->sheet();
        $key = md5(serialize(['zones', self::VERSION, $sheet, $survey->whites, $photo->storage_key, $survey->neutrals[$photo->id] ?? null]));

        /** @var array<string, mixed> */
        return Computed::kept($key, self::KEPT_SECONDS, fn (): array => $this->read($sheet, $survey, $photo));
    }

    /** @return array<int, ZoneReading> by zone number, the largest first */
    public function readings(Survey $survey, Photo $photo): array
    {
        $sheet = $survey->sheet();
        $grid = $this->grid($sheet, $survey, $photo);
        $whites = $survey->whites->on($grid);
        $readings = [];
        foreach ($sheet->pixels() as $number => $pixels) {
            $readings[$number] = $this->reading($sheet->note($number), $pixels, $grid, $whites, $photo, $survey);
        }
        uasort($readings, static fn (ZoneReading $a, ZoneReading $b): int => $b->zone->area <=> $a->zone->area);

        return $readings;
    }

    /** @return list<array{string, Lab, Lab}> the mid of every zone on each of two photos, the zones laid over both alike */
    public function midsOnBoth(Survey $survey, Photo $one, Photo $other): array
    {
        $sheet = $survey->sheet();
        $mids = function (Photo $photo) use ($sheet, $survey): array {
            $grid = $this->grid($sheet, $survey, $photo);
            $whites = $survey->whites->on($grid);

            return array_map(fn (int $zone, array $pixels): Lab => $this->reading($sheet->note($zone), $pixels, $grid, $whites, $photo, $survey)->zone->targets['mid'], array_keys($sheet->pixels()), $sheet->pixels());
        };

        return array_map(static fn (ZoneNote $note, Lab $a, Lab $b): array => [$note->name, $a, $b], array_values($sheet->notes), $mids($one), $mids($other));
    }

    /** @return array<string, mixed> */
    private function read(ZoneSheet $sheet, Survey $survey, Photo $photo): array
    {
        $grid = $this->grid($sheet, $survey, $photo);
        $whites = $survey->whites->on($grid);
        $outlines = new Outlines($sheet->labels, $sheet->width, $sheet->height);
        $zones = [];
        foreach ($sheet->pixels() as $number => $pixels) {
            $note = $sheet->note($number);
            $zones[] = ['number' => $number, ...self::shown($this->reading($note, $pixels, $grid, $whites, $photo, $survey), $note), 'outlines' => $outlines->of($number)];
        }
        usort($zones, static fn (array $a, array $b): int => $b['area'] <=> $a['area']);

        return [
            'list' => $zones,
            'neighbours' => array_map(static fn (Neighbours $n): array => ['one' => $n->one, 'other' => $n->other, 'stepsApart' => round($n->stepsApart, 2), 'push' => $n->push, 'lighter' => $n->lighter, 'words' => $n->words, 'lines' => $n->lines], Neighbours::tooAlike($sheet, $grid, $outlines)),
            'keptWhites' => ['from' => $survey->whites->from, 'share' => round(substr_count($whites, "\1") / strlen($whites), 4), 'outlines' => (new Outlines($whites, $sheet->width, $sheet->height))->of(1)],
        ];
    }

    /** The photo at the size of the sheet; a photo of another shape is taken as if stretched to it. */
    public function grid(ZoneSheet $sheet, Survey $survey, Photo $photo): PixelGrid
    {
        $grid = $this->photos->grid($photo, $survey->balanceOf($photo->id));

        return $grid->width === $sheet->width && $grid->height === $sheet->height ? $grid : $grid->resampled($sheet->width, $sheet->height);
    }

    /** @param  list<int>  $pixels */
    private function reading(ZoneNote $note, array $pixels, PixelGrid $grid, string $whites, Photo $photo, Survey $survey): ZoneReading
    {
        $key = md5(serialize(['zone', self::VERSION, $photo->storage_key, $survey->neutrals[$photo->id] ?? null, $pixels, $note, md5($whites)]));

        /** @var ZoneReading */
        return Computed::kept($key, self::KEPT_SECONDS, static fn (): ZoneReading => ZoneReading::of($grid, $pixels, $note, $whites));
    }

    /** @return array<string, mixed> */
    private static function shown(ZoneReading $read, ZoneNote $note): array
    {
        $targets = [];
        foreach ($read->zone->targets as $role => $lab) {
            $targets[] = ['role' => $role, 'place' => round($read->placeOf($lab), 4), 'moved' => isset($note->places[$role]), 'reading' => RecipePresenter::reading($lab)];
        }

        return [
            'name' => $note->name, 'importance' => $note->importance->value, 'surface' => $note->surface->value, 'distance' => $note->distance->value,
            'area' => Figures::share($read->zone->area), 'keptWhite' => Figures::share($read->zone->keptWhite),
            'range' => array_map(static fn (float $l): float => round($l, 1), $read->range),
            'run' => array_map(static fn (Lab $lab): string => Srgb::ofXyz($lab->xyz())->hex(), $read->run),
            'targets' => $targets,
        ];
    }
}
