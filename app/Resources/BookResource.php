<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Book\Recipes\LaidAgain;
use KnottyPrism\Core\Book\Recipes\StandIn;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Paper\Paper;

/**
 * Recipes of the book in the form of docs/openapi.yaml.
 *
 * @phpstan-import-type BookRecipeJson from \Described
 * @phpstan-import-type LaidAgainJson from \Described
 */
final class BookResource
{
    /**
     * @param  list<array{shade: string, name: string, lab: array{float, float, float}, weight: float, strata: list<string>}>  $shades
     * @return BookRecipeJson['shades']
     */
    public static function shades(array $shades): array
    {
        return array_map(
            static fn (array $s): array => [
                'shade' => $s['shade'],
                'name' => $s['name'] === '' ? $s['shade'] : $s['name'],
                'hex' => Figures::colour(new Lab(...array_map(floatval(...), $s['lab'])))['hex'],
                'strata' => $s['strata'],
            ],
            $shades,
        );
    }

    /**
     * @param  list<array{tool: string, pressures: array<string, string>}>  $passes
     * @param  array<string, array{number: string, name: string}>  $pencils  by identifier
     * @return BookRecipeJson['passes'] in the order in which they are laid
     */
    public static function passes(array $passes, array $pencils): array
    {
        return array_map(
            static fn (array $p): array => [
                'tool' => $p['tool'],
                'number' => Finish::tryFrom($p['tool']) === null ? $pencils[$p['tool']]['number'] ?? $p['tool'] : $p['tool'],
                'name' => $pencils[$p['tool']]['name'] ?? '',
                'pressures' => (object) $p['pressures'],
            ],
            $passes,
        );
    }

    /** @return array{standIns: LaidAgainJson['standIns'], sequence: LaidAgainJson['sequence']} */
    public static function laid(LaidAgain $laid, Paper $paper): array
    {
        return [
            'standIns' => array_map(
                static fn (StandIn $s): array => [
                    'missing' => $s->missing->id(),
                    'by' => $s->by->id(),
                    'steps' => $s->firmer,
                    'deltaE00' => Figures::difference($s->apart),
                    'words' => $s->words(),
                ],
                $laid->standIns,
            ),
            'sequence' => SequenceResource::answer($laid->answer, $paper),
        ];
    }
}
