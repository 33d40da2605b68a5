<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Models\Photo;
use App\Photos\BorderReader;
use App\Photos\ZoneReader;
use App\Resources\Figures;
use App\Resources\RecipeResource;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Photo\Borders\FindGradedBorders;
use KnottyPrism\Core\Photo\Borders\GradedBorder;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\Neighbours;
use KnottyPrism\Core\Photo\Zones\ShadeName;
use KnottyPrism\Core\Photo\Zones\Touch;
use KnottyPrism\Core\Photo\Zones\ZoneNote;
use KnottyPrism\Core\Photo\Zones\ZonePiece;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/**
 * Zones as the page shows them, read from the photo that the colours follow. What a change leaves alone comes from the cache.
 *
 * @phpstan-import-type BorderJson from \Described
 * @phpstan-import-type TouchJson from \Described
 * @phpstan-import-type ZoneJson from \Described
 * @phpstan-import-type ZonePieceJson from \Described
 * @phpstan-import-type ZonesJson from \Described
 */
final class ZoneAnswers
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly ZoneReader $reader, private readonly BorderReader $borders)
    {
    }

    /** @return ZonesJson */
    public function zones(Survey $survey, Photo $photo): array
    {
        $sheet = $survey->sheet();
        $key = md5(serialize(['zones', $sheet, $survey->whites, $photo->storage_key, $survey->neutrals[$photo->id] ?? null]));

        return Computed::kept($key, self::KEPT_SECONDS, fn (): array => $this->read($sheet, $survey, $photo));
    }

    /** @return ZonesJson */
    private function read(ZoneSheet $sheet, Survey $survey, Photo $photo): array
    {
        $grid = $this->reader->grid($sheet, $survey, $photo);
        $whites = $survey->whites->on($grid);
        $outlines = new Outlines($sheet->labels);
        $graded = $this->borders->graded($survey, $photo);
        $zones = [];
        foreach ($sheet->pixels() as $number => $pixels) {
            $note = $sheet->note($number);
            $zones[] = self::shown(
                $number,
                $this->reader->reading($note, $pixels, $grid, $whites, $photo, $survey),
                $note,
                $sheet,
                $outlines,
            );
        }
        usort($zones, static fn (array $a, array $b): int => $b['area'] <=> $a['area']);

        return [
            'list' => $zones,
            'neighbours' => array_map(
                static fn (Neighbours $n): array => [
                    'one' => $n->one,
                    'other' => $n->other,
                    'stepsApart' => round($n->stepsApart, 2),
                    'push' => $n->push,
                    'lighter' => $n->lighter,
                    'words' => $n->words,
                    'lines' => $n->lines,
                ],
                Neighbours::tooAlike($sheet, $grid, $outlines),
            ),
            'borders' => self::borders($sheet, $graded),
            'keptWhites' => [
                'from' => $survey->whites->from,
                'share' => round(substr_count($whites, "\1") / strlen($whites), 4),
                'outlines' => (new Outlines(new LabelGrid($sheet->labels->width, $sheet->labels->height, $whites)))->of(1),
            ],
        ];
    }

    /**
     * @param  list<GradedBorder>  $graded
     * @return list<BorderJson> of every pair that touches along some length
     */
    private static function borders(ZoneSheet $sheet, array $graded): array
    {
        $borders = [];
        foreach ($sheet->labels->borders() as $one => $others) {
            foreach (
                array_keys(
                    array_filter(
                        $others,
                        static fn (int $long, int $other): bool => $other > $one &&
                            ($long >= FindGradedBorders::LEAST || $sheet->borders->of($one, $other) !== null),
                        ARRAY_FILTER_USE_BOTH,
                    ),
                ) as $other
            ) {
                $lines = array_map(
                    static fn (GradedBorder $g): array => $g->line,
                    array_values(array_filter($graded, static fn (GradedBorder $g): bool => $g->of($one) && $g->of($other))),
                );
                $borders[] = ['one' => $one, 'other' => $other, 'said' => $sheet->borders->of($one, $other)?->value, 'graded' => $lines];
            }
        }

        return $borders;
    }

    /** @return list<ZonePieceJson> the largest first; one alone where it is all in one piece */
    private static function pieces(ZoneSheet $sheet, int $zone): array
    {
        return array_map(
            static fn (ZonePiece $p): array => [
                'where' => $p->where,
                'area' => Figures::share($p->area),
                'x' => round($p->at[0], 4),
                'y' => round($p->at[1], 4),
            ],
            ZonePiece::of($sheet->labels, $zone),
        );
    }

    /** @return list<TouchJson> each with the outlines of where it lies */
    private static function touches(ZoneReading $read, ZoneSheet $sheet): array
    {
        [$width, $height] = [$sheet->labels->width, $sheet->labels->height];

        return array_map(
            static fn (Touch $touch): array => [
                'shade' => $touch->shade->value,
                'name' => $touch->name,
                'share' => Figures::share($touch->share),
                'x' => round($touch->at[0], 4),
                'y' => round($touch->at[1], 4),
                'reading' => RecipeResource::reading($touch->lab),
                'outlines' => Outlines::around($width, $height, $touch->pixels),
            ],
            $read->zone->touches,
        );
    }

    /** @return ZoneJson */
    private static function shown(int $number, ZoneReading $read, ZoneNote $note, ZoneSheet $sheet, Outlines $outlines): array
    {
        $shades = [];
        foreach ($read->zone->shades as $shade => $lab) {
            if (! ShadeName::from($shade)->isOfValueRun()) {
                continue;
            }
            $shades[] = [
                'shade' => $shade,
                'place' => round($read->placeOf($lab), 4),
                'name' => $note->run->names[$shade] ?? $shade,
                'moved' => isset($note->places[$shade]),
                'reading' => RecipeResource::reading($lab),
            ];
        }

        return [
            'number' => $number,
            'name' => $note->name,
            'importance' => $note->importance->value,
            'surface' => $note->surface->value,
            'distance' => $note->distance->value,
            'area' => Figures::share($read->zone->area),
            'keptWhite' => Figures::share($read->zone->keptWhite),
            'range' => array_map(static fn (float $l): float => round($l, 1), $read->range),
            'run' => array_map(static fn (Lab $lab): string => Srgb::ofXyz($lab->xyz())->hex(), $read->run),
            'shades' => $shades,
            'missing' => array_values(array_diff(['light', 'dark'], array_keys($read->zone->shades))),
            'renamed' => ! $note->run->isPlain(),
            'touches' => self::touches($read, $sheet),
            'placed' => $note->touches !== null,
            'pieces' => self::pieces($sheet, $number),
            'outlines' => $outlines->of($number),
        ];
    }
}
