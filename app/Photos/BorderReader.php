<?php

declare(strict_types=1);

namespace App\Photos;

use App\Cache\Computed;
use App\Models\Photo;
use App\Models\Study;
use KnottyPrism\Core\Desk\Words\RunsOut;
use KnottyPrism\Core\Photo\Borders\FindGradedBorders;
use KnottyPrism\Core\Photo\Borders\GradedBands;
use KnottyPrism\Core\Photo\Borders\GradedBorder;
use KnottyPrism\Core\Photo\Notes\Survey;
use KnottyPrism\Core\Photo\Zones\ZoneNote;

/** Where the zones of a survey grade into each other, by a photo and by what the artist said; found once for the same pixels. */
final class BorderReader
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly ZoneReader $zones)
    {
    }

    /** @return list<GradedBorder> */
    public function graded(Survey $survey, Photo $photo): array
    {
        $sheet = $survey->sheet();

        /** @var list<GradedBorder> */
        return Computed::kept(
            'graded/'.$this->key($survey, $photo),
            self::KEPT_SECONDS,
            fn (): array => FindGradedBorders::in($sheet->labels, $this->zones->grid($sheet, $survey, $photo), $sheet->borders),
        );
    }

    public function bands(Survey $survey, Photo $photo): GradedBands
    {
        /** @var GradedBands */
        return Computed::kept(
            'bands/'.$this->key($survey, $photo),
            self::KEPT_SECONDS,
            fn (): GradedBands => GradedBands::of($survey->sheet()->labels, $this->graded($survey, $photo)),
        );
    }

    /** @return array<int, ?string> where the passes of each zone run out into others, in words; null when they don't */
    public function runsOut(Study $study, Survey $survey): array
    {
        $sheet = $survey->sheet();
        $graded = $this->graded($survey, $study->photo());
        $names = array_map(static fn (ZoneNote $n): string => $n->name, $sheet->notes);
        $mm = $study->frame()->wholeWidth() / $sheet->labels->width;
        $words = [];
        foreach (array_keys($names) as $zone) {
            $words[$zone] = RunsOut::words($zone, $graded, $names, $mm);
        }

        return $words;
    }

    private function key(Survey $survey, Photo $photo): string
    {
        $sheet = $survey->sheet();

        return md5(
            serialize([$sheet->labels->fingerprint(), $sheet->borders, $photo->storage_key, $survey->neutrals[$photo->id] ?? null]),
        );
    }
}
