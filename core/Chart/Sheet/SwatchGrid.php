<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Sheet;

use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;

/** A grid that somebody laid over the photo of a page of swatches: equal cells in rows and columns, a pencil in each, row after row. */
final readonly class SwatchGrid
{
    public const MOST_ROWS = 24;

    public const MOST_COLUMNS = 24;

    /**
     * @param  list<array{float, float}>  $corners  of the grid in pixels of the photo, from the top left clockwise
     * @param  list<string>  $pencils  identifiers, each once; cells beyond the last are not read
     *
     * @throws OutOfRange|ImpossibleChange
     */
    public function __construct(public array $corners, public int $rows, public int $columns, public array $pencils)
    {
        OutOfRange::check('the number of rows', $rows, 1, self::MOST_ROWS);
        OutOfRange::check('the number of columns', $columns, 1, self::MOST_COLUMNS);
        OutOfRange::check(
            'the number of pencils in a grid of '.$rows.' × '.$columns,
            count($pencils),
            1,
            min(ChartSheet::MOST_PENCILS, $rows * $columns),
        );
        if (! self::lieAround($corners)) {
            throw ImpossibleChange::because('The corners cross each other: set them clockwise round the grid, starting at the top left.');
        }
    }

    /**
     * Whether one always turns the same way from corner to corner.
     *
     * @param  list<array{float, float}>  $corners
     */
    private static function lieAround(array $corners): bool
    {
        $turns = [];
        foreach ($corners as $i => [$x, $y]) {
            [[$u, $v], [$s, $t]] = [$corners[($i + 1) % 4], $corners[($i + 2) % 4]];
            $turns[] = ($u - $x) * ($t - $v) - ($v - $y) * ($s - $u);
        }

        return min(INF, ...$turns) > 0 || max(-INF, ...$turns) < 0;
    }

    /** @return list<ChartBox> the cells, as shares of the grid */
    public function boxes(): array
    {
        $boxes = [];
        foreach ($this->pencils as $i => $pencil) {
            $boxes[] = new ChartBox(
                $pencil,
                BoxKind::Heavy,
                ($i % $this->columns) / $this->columns,
                intdiv($i, $this->columns) / $this->rows,
                1 / $this->columns,
                1 / $this->rows,
            );
        }

        return $boxes;
    }
}
