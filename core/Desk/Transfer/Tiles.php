<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Transfer;

/** A drawing at its real size over as many pages as it needs, each a little over the next, so that they can be laid together. */
final readonly class Tiles
{
    /** mm that no printer prints on. */
    public const MARGIN = 10.0;

    /** mm that two pages share. */
    public const OVERLAP = 10.0;

    /** mm under the tile for its name and the measure to check the print by. */
    public const FOOT = 12.0;

    /** @param  list<Tile>  $tiles  row by row */
    private function __construct(public array $tiles, public int $columns, public int $rows)
    {
    }

    /**
     * @param  float  $wide  mm of the drawing
     * @param  float  $high  mm
     * @param  array{float, float}  $page  mm
     */
    public static function over(float $wide, float $high, array $page): self
    {
        [$width, $height] = [$page[0] - 2 * self::MARGIN, $page[1] - 2 * self::MARGIN - self::FOOT];
        $count = static fn (float $length, float $room): int => $length <= $room
            ? 1
            : 1 + (int) ceil(($length - $room) / ($room - self::OVERLAP));
        [$columns, $rows] = [$count($wide, $width), $count($high, $height)];
        $tiles = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                [$x, $y] = [$column * ($width - self::OVERLAP), $row * ($height - self::OVERLAP)];
                $tiles[] = new Tile($row + 1, $column + 1, $x, $y, min($width, $wide - $x), min($height, $high - $y));
            }
        }

        return new self($tiles, $columns, $rows);
    }
}
