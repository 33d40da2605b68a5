<?php

declare(strict_types=1);

namespace App\Studies;

/** A whole study as one JSON file (docs/schemas/study.schema.json): photos, survey, plan, kept recipes, and the pencils that they take. */
final class StudyFile
{
    public const FORMAT = 'knotty-prism-study';

    public const VERSION = 1;

    /** What can be brought in; nothing larger is written. */
    public const MOST_KILOBYTES = 153_600;

    /** What is kept of the study itself. */
    public const STUDY = ['name', 'paper', 'drawing_width_mm', 'drawing_height_mm', 'grid_mm', 'cut_place'];

    /** And of what a photo of the half-done drawing said. */
    public const CHECK = ['passes', 'said', 'photo', 'map'];

    /** And of a recipe kept for a spot, in the file's list "spots". */
    public const KEPT_RECIPE = ['name', 'x', 'y', 'ring', 'target_l', 'target_a', 'target_b', 'label', 'stack', 'paper'];

    /**
     * What a study is known again by; a file without it, by what it holds.
     *
     * @param  array<string, mixed>  $data  of the file
     */
    public static function originOf(array $data): string
    {
        return is_string($data['origin'] ?? null) ? $data['origin'] : hash('sha256', (string) json_encode($data));
    }
}
