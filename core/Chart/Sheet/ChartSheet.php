<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Sheet;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Strips\SuggestedStrips;

/** A sheet to print and colour in, a row of three boxes a pencil or of two a test strip, over as many pages as these need. */
final readonly class ChartSheet
{
    public const MOST_PENCILS = 60;

    /** Name => width and height in millimetres. */
    public const SIZES = ['a4' => [210.0, 297.0], 'a5' => [148.0, 210.0], 'letter' => [215.9, 279.4]];

    private const BOX = [17.0, 13.0];

    /** Bare paper between boxes: it tells how the light falls, and takes a stroke that goes over the edge. */
    private const GAP = [6.0, 6.0];

    /** Room for the number and the name, beside a row. */
    public const LABEL = 24.0;

    /** The same beside a strip, whose passes are written there. */
    public const STRIP_LABEL = 72.0;

    private const TOP = 34.0;

    private const BOTTOM = 22.0;

    private const SIDE = 12.0;

    /** @param  non-empty-list<non-empty-list<ChartBox>>  $pages */
    private function __construct(public float $width, public float $height, public array $pages)
    {
    }

    /**
     * @param  list<string>  $pencils  identifiers, each once
     * @param  string  $size  a4, a5 or letter
     *
     * @throws OutOfRange|UnreadableText
     */
    public static function of(array $pencils, string $size): self
    {
        OutOfRange::check('the number of pencils on the chart', count($pencils), 1, self::MOST_PENCILS);

        return self::laidOut($pencils, $size, BoxKind::OF_PENCIL, self::LABEL);
    }

    /**
     * Test strips: a row each, to be laid twice.
     *
     * @param  list<string>  $stacks  as text, each once
     *
     * @throws OutOfRange|UnreadableText
     */
    public static function ofStrips(array $stacks, string $size): self
    {
        OutOfRange::check('the number of strips', count($stacks), 1, SuggestedStrips::MOST);

        return self::laidOut($stacks, $size, BoxKind::OF_STRIP, self::STRIP_LABEL);
    }

    /**
     * @param  list<string>  $rows  what each row is of
     * @param  non-empty-list<BoxKind>  $kinds
     * @param  float  $label  room beside a row, millimetres
     */
    private static function laidOut(array $rows, string $size, array $kinds, float $label): self
    {
        [$width, $height] = self::SIZES[$size] ?? throw UnreadableText::choice('the size of the sheet', array_keys(self::SIZES), $size);
        $block = $label + count($kinds) * self::BOX[0] + (count($kinds) - 1) * self::GAP[0];
        $columns = max(1, (int) floor(($width - 2 * self::SIDE + self::GAP[0]) / ($block + self::GAP[0])));
        $down = max(1, (int) floor(($height - self::TOP - self::BOTTOM + self::GAP[1]) / (self::BOX[1] + self::GAP[1])));
        $pages = [];
        foreach (array_chunk(array_values(array_unique($rows)), $columns * $down) as $own) {
            $boxes = [];
            foreach ($own as $i => $of) {
                $left = self::SIDE + intdiv($i, $down) * ($block + self::GAP[0]) + $label;
                $top = self::TOP + ($i % $down) * (self::BOX[1] + self::GAP[1]);
                foreach ($kinds as $k => $kind) {
                    $boxes[] = new ChartBox($of, $kind, $left + $k * (self::BOX[0] + self::GAP[0]), $top, ...self::BOX);
                }
            }
            $pages[] = $boxes;
        }

        return $pages === [] ? throw new \LogicException('there is at least one row') : new self($width, $height, $pages);
    }

    /** @throws BadFile when it is not what {@see self::toArray()} gives */
    public static function read(string $json): self
    {
        $bad = BadFile::because(
            'A layout is JSON with sheet {width, height} in millimetres and pages of boxes {pencil, kind, x, y, w, h}, as chart sheet '
                .'writes it.',
        );
        $data = json_decode($json, true, 8);
        $number = static fn (mixed $v): float => is_int($v) || is_float($v) ? (float) $v : throw $bad;
        if (! is_array($data) || ! is_array($data['sheet'] ?? null) || ! is_array($data['pages'] ?? null)) {
            throw $bad;
        }
        $pages = [];
        foreach ($data['pages'] as $page) {
            $boxes = [];
            foreach (is_array($page) && is_array($page['boxes'] ?? null) ? $page['boxes'] : throw $bad as $box) {
                $kind = is_array($box) ? BoxKind::tryFrom((string) ($box['kind'] ?? '')) : null;
                if ($kind === null || ! is_string($box['pencil'] ?? null)) {
                    throw $bad;
                }
                $boxes[] = new ChartBox(
                    $box['pencil'],
                    $kind,
                    $number($box['x'] ?? null),
                    $number($box['y'] ?? null),
                    $number($box['w'] ?? null),
                    $number($box['h'] ?? null),
                );
            }
            $pages[] = $boxes === [] ? throw $bad : $boxes;
        }

        return new self(
            $number($data['sheet']['width'] ?? null),
            $number($data['sheet']['height'] ?? null),
            $pages === [] ? throw $bad : $pages,
        );
    }

    /**
     * @return array{sheet: array{width: float, height: float},
     *   pages: list<array{boxes: list<array{pencil: string, kind: string, x: float, y: float, w: float, h: float}>}>}
     */
    public function toArray(): array
    {
        return [
            'sheet' => ['width' => $this->width, 'height' => $this->height],
            'pages' => array_map(
                static fn (array $boxes): array => ['boxes' => array_map(static fn (ChartBox $b): array => $b->toArray(), $boxes)],
                $this->pages,
            ),
        ];
    }

    /** @return list<string> identifiers */
    public function pencils(): array
    {
        return array_values(array_unique(array_map(static fn (ChartBox $b): string => $b->pencil, array_merge(...$this->pages))));
    }

    /** @return list<bool> the squares printed on a page, by its place from 0 */
    public function bits(int $page): array
    {
        return SheetMarkers::bits($page, crc32(implode("\n", [$this->width, ...$this->pencils()])) & ((1 << SheetMarkers::SHEET_BITS) - 1));
    }
}
