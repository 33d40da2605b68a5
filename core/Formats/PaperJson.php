<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Paper\Tooth;

/** A paper from JSON: {"name": "…", "colour": "#rrggbb", "tooth": {"roughness": 1.0, "capacity": 3.0}}. */
final class PaperJson
{
    /** @throws BadFile */
    public static function read(string $text): Paper
    {
        $data = json_decode($text, true, 16);
        if (! is_array($data) || ! is_string($data['name'] ?? null) || ! is_string($data['colour'] ?? null)) {
            throw BadFile::because('A paper file is JSON with name, colour (#rrggbb) and tooth {roughness, capacity}.');
        }
        $tooth = is_array($data['tooth'] ?? null) ? $data['tooth'] : [];
        $figure = static fn (mixed $v, float $usual): float => is_int($v) || is_float($v) ? (float) $v : $usual;

        return new Paper(
            $data['name'],
            $data['colour'],
            new Tooth($figure($tooth['roughness'] ?? null, 1.0), $figure($tooth['capacity'] ?? null, 3.0)),
        );
    }
}
