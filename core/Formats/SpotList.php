<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Formats\Drawers\Palette;
use KnottyPrism\Core\Formats\Tables\CsvCell;

/**
 * Named colours of a photo, written for other programs: a plain-text palette (.gpl), CSV, JSON. The lightest first, as on the spot strip.
 */
final readonly class SpotList
{
    /** @var list<array{name: string, lab: Lab, nearest: ?string, deltaE00: ?float}> */
    private array $spots;

    /** @param  list<array{name: string, lab: Lab, nearest: ?string, deltaE00: ?float}>  $spots  nearest: a pencil's identifier */
    public function __construct(private string $title, array $spots)
    {
        usort($spots, static fn (array $a, array $b): int => $b['lab']->l <=> $a['lab']->l);
        $this->spots = $spots;
    }

    public function gpl(): string
    {
        return Palette::ofColours(
            $this->title,
            array_map(static fn (array $s): array => [Srgb::ofXyz($s['lab']->xyz())->hex(), $s['name']], $this->spots),
        );
    }

    public function csv(): string
    {
        $rows = array_map(static fn (array $spot): array => array_values(self::fields($spot)), $this->spots);

        return implode(
            "\r\n",
            array_map(CsvCell::row(...), [
                ['name', 'hex', 'l', 'a', 'b', 'value_step', 'words', 'nearest_pencil', 'delta_e00'],
                ...$rows,
            ]),
        )."\r\n";
    }

    public function json(): string
    {
        return json_encode(
            ['title' => $this->title, 'spots' => array_map(self::fields(...), $this->spots)],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /**
     * @param  array{name: string, lab: Lab, nearest: ?string, deltaE00: ?float}  $spot
     * @return array<string, string|int|float|null>
     */
    private static function fields(array $spot): array
    {
        $reading = new ColourReading($spot['lab']);

        return [
            'name' => $spot['name'],
            'hex' => Srgb::ofXyz($spot['lab']->xyz())->hex(),
            'l' => round($spot['lab']->l, 2),
            'a' => round($spot['lab']->a, 2),
            'b' => round($spot['lab']->b, 2),
            'valueStep' => $reading->valueStep,
            'words' => $reading->words(),
            'nearestPencil' => $spot['nearest'],
            'deltaE00' => $spot['deltaE00'] === null ? null : round($spot['deltaE00'], 2),
        ];
    }
}
