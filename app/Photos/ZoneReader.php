<?php

declare(strict_types=1);

namespace App\Photos;

use App\Cache\Computed;
use App\Models\Photo;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** Zones of a survey as they are read from a photo; each is read once for the same pixels. */
final class ZoneReader
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly PhotoStore $photos)
    {
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

            return array_map(
                fn (int $zone, array $pixels): Lab => $this->reading($sheet->note($zone), $pixels, $grid, $whites, $photo, $survey)->zone
                    ->shades['mid'],
                array_keys($sheet->pixels()),
                $sheet->pixels(),
            );
        };

        return array_map(
            static fn (ZoneNote $note, Lab $a, Lab $b): array => [$note->name, $a, $b],
            array_values($sheet->notes),
            $mids($one),
            $mids($other),
        );
    }

    /** The photo at the size of the sheet; a photo of another shape is taken as if stretched to it. */
    public function grid(ZoneSheet $sheet, Survey $survey, Photo $photo): PixelGrid
    {
        $grid = $this->photos->grid($photo, $survey->balanceOf($photo->id));

        return $grid->width === $sheet->labels->width && $grid->height === $sheet->labels->height
            ? $grid
            : $grid->resampled($sheet->labels->width, $sheet->labels->height);
    }

    /** @param  list<int>  $pixels */
    public function reading(ZoneNote $note, array $pixels, PixelGrid $grid, string $whites, Photo $photo, Survey $survey): ZoneReading
    {
        $key = md5(serialize(['zone', $photo->storage_key, $survey->neutrals[$photo->id] ?? null, $pixels, $note, md5($whites)]));

        /** @var ZoneReading */
        return Computed::kept($key, self::KEPT_SECONDS, static fn (): ZoneReading => ZoneReading::of($grid, $pixels, $note, $whites));
    }
}
