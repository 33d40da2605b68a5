<?php

declare(strict_types=1);

namespace App\Print;

use App\Photos\Raster;
use App\Photos\WorkingCopy;
use App\Resources\ChartResource;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Desk\Order\Coats;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/** Sheets of a picture's plan to work from: zone by zone, and pass by pass in the order to lay them. */
final class PlanSheets
{
    private const MARGIN_MM = 10.0;

    /** Dots of a printed dab, to the millimetre: 300 to the inch. */
    private const DOTS = 11.8;

    private const DAB_MM = [14.0, 7.0];

    /** Longest side of a zone's little picture, dots. */
    private const THUMB = 360;

    /** What lies outside a zone is printed so pale, 0–1. */
    private const PALE = 0.75;

    /** @param  list<array{pencil: Pencil, zones: list<string>, part: ?string}>  $palette  lightest first */
    public function card(string $study, string $paper, array $palette, string $size): string
    {
        $dab = static fn (Pencil $p, Swatch $swatch): string => DabPicture::ofStrata(
            ChartResource::strata($swatch->lay($p)),
            (int) round(18 * self::DOTS),
            (int) round(9 * self::DOTS),
        );

        return PdfPage::of(
            'cards.pencils',
            [
                'study' => $study,
                'paper' => $paper,
                'margin' => self::MARGIN_MM,
                'scale' => PdfPage::SIZES[$size][0] / 210,
                'columns' => 3,
                'pencils' => array_map(
                    static fn (array $p): array => [
                        'number' => $p['pencil']->record->number,
                        'name' => $p['pencil']->record->name,
                        'binder' => $p['pencil']->record->binder?->value,
                        'zones' => implode(', ', $p['zones']),
                        'part' => $p['part'],
                        'words' => ChartResource::pencil($p['pencil'])['words'],
                        'heavy' => $dab($p['pencil'], Swatch::Heavy),
                        'light' => $dab($p['pencil'], Swatch::Light),
                    ],
                    $palette,
                ),
            ],
            $size,
        );
    }

    /**
     * @param  array<int, SequenceAnswer>  $sequences  by zone
     * @param  array<int, ?string>  $runsOut  where a zone's passes run out into others, in words
     * @param  Raster  $photo  at about screen size
     */
    public function zones(
        string $study,
        string $paper,
        ZoneMap $map,
        array $sequences,
        array $runsOut,
        Raster $photo,
        string $size,
    ): string {
        [$small, $width, $height] = self::smallAndPale($photo);
        $zones = [];
        foreach ($map->zones as $number => $zone) {
            $answer = $sequences[$number] ?? null;
            if ($answer !== null) {
                $zones[] = [
                    'name' => $zone->name,
                    'area' => round(100 * $zone->area),
                    'passes' => self::said($answer),
                    'runsOut' => $runsOut[$number] ?? null,
                    'thumb' => self::thumb($map, $number, $small, $width, $height),
                    'stacks' => array_map(self::stack(...), $answer->outcomes),
                ];
            }
        }

        return PdfPage::of(
            'cards.zones',
            [
                'study' => $study,
                'paper' => $paper,
                'zones' => $zones,
                'margin' => self::MARGIN_MM,
                'scale' => PdfPage::SIZES[$size][0] / 210,
            ],
            $size,
        );
    }

    /**
     * @param  array<int, SequenceAnswer>  $chains  each zone's passes as they are laid
     * @param  list<list<PlacedStep>>  $sessions
     */
    public function steps(string $study, string $paper, ZoneMap $map, array $chains, array $sessions, Paper $on, string $size): string
    {
        $drawn = array_map(static fn (SequenceAnswer $a): array => SequenceResource::answer($a, $on)['passes'], $chains);
        $rows = [];
        foreach ($sessions as $i => $session) {
            $minutes = array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $session));
            foreach (Coats::together($session) as $at => $coats) {
                [$placed, $many] = [$coats[0], count($coats)];
                // Said of all coats; what is seen is seen after the last.
                $pass = $drawn[$placed->step->zone][$placed->step->pass + $many - 1];
                $chain = $chains[$placed->step->zone];
                $rows[] = [
                    'head' => $at === 0 ? sprintf('Session %d, about %d minutes', $i + 1, (int) round($minutes)) : null,
                    'zone' => $map->zones[$placed->step->zone]->name,
                    'words' => ucfirst($chain->words()->pass($chain->sequence->passes[$placed->step->pass], $many)),
                    'care' => Finish::tryFrom($placed->step->tool)?->careInShort,
                    'dabs' => array_map(
                        static fn (array $d): array => ['dab' => self::dab($d['strata']), 'colourWords' => $d['colourWords']],
                        array_values((array) $pass['dabs']),
                    ),
                ];
            }
        }

        return PdfPage::of(
            'cards.steps',
            [
                'study' => $study,
                'paper' => $paper,
                'rows' => $rows,
                'margin' => self::MARGIN_MM,
                'scale' => PdfPage::SIZES[$size][0] / 210,
            ],
            $size,
        );
    }

    /** @param  list<string>  $strata */
    private static function dab(array $strata): string
    {
        [$width, $height] = array_map(static fn (float $mm): int => (int) round($mm * self::DOTS), self::DAB_MM);

        return DabPicture::ofStrata($strata, $width, $height);
    }

    /** @return list<string> the passes of a sequence as one would say them */
    private static function said(SequenceAnswer $answer): array
    {
        $words = $answer->words();

        return $answer->sequence->passes === [] ? [$words->whole()] : $words->steps();
    }

    /** @return array<string, mixed> */
    private static function stack(Outcome $outcome): array
    {
        $aim = RecipeResource::reading($outcome->shade->target);

        return [
            'shade' => $outcome->shade->called(),
            'words' => $outcome->comparison()->words(),
            'aim' => DabPicture::flat((string) $aim['hex'], 8, 8),
            'aimWords' => $aim['words'],
            'passes' => array_reverse(
                array_map(
                    static fn (array $p): array => [...$p, 'dab' => self::dab($p['strata'])],
                    SequenceResource::steps($outcome->laid),
                ),
            ),
            'warnings' => array_map(static fn (Warning $w): string => $w->text, Warnings::of($outcome)),
        ];
    }

    /**
     * The photo with everything but the zone made pale.
     *
     * @param  array{string, string}  $small  the photo at the size of the little picture, and the same made pale
     */
    private static function thumb(ZoneMap $map, int $zone, array $small, int $width, int $height): string
    {
        $column = array_map(static fn (int $x): int => intdiv($x * $map->labels->width, $width), range(0, $width - 1));
        $own = chr($zone);
        $bytes = '';
        for ($y = 0, $at = 0; $y < $height; $y++) {
            $mapRow = intdiv($y * $map->labels->height, $height) * $map->labels->width;
            foreach ($column as $x) {
                $bytes .= substr($small[$map->labels->bytes[$mapRow + $x] === $own ? 0 : 1], $at, 3);
                $at += 3;
            }
        }

        return 'data:image/jpeg;base64,'.base64_encode(Raster::encoded($width, $height, 3, $bytes, 'jpeg'));
    }

    /** @return array{array{string, string}, int, int} the photo small, and the same made pale; width and height */
    private static function smallAndPale(Raster $photo): array
    {
        $small = Raster::scaled(new WorkingCopy($photo->width, $photo->height, '', $photo->pixels), self::THUMB);
        $pale = [];
        for ($v = 0; $v < 256; $v++) {
            $pale[chr($v)] = chr((int) ($v + (255 - $v) * self::PALE));
        }

        return [[$small->pixels, strtr($small->pixels, $pale)], $small->width, $small->height];
    }
}
