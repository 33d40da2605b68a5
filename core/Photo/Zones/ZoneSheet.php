<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * The zones that someone is working on: which zone each pixel of a small grid belongs to, and what was said about each. Zones keep
 * their number whatever happens to others. Every change returns a new sheet.
 */
final readonly class ZoneSheet
{
    /** A number is a byte. */
    public const MOST_ZONES = 60;

    private const LAST_NUMBER = 255;

    private const MOST_SIDE = 1000;

    /** A piece smaller than this, pixels of the grid, is no zone. */
    private const LEAST_PIXELS = 6;

    /**
     * @param  string  $labels  a byte a pixel: the zone's number
     * @param  array<int, ZoneNote>  $notes  by number, 1–255
     *
     * @throws OutOfRange|BadFile when something is drawn that is no zone
     */
    public function __construct(public int $width, public int $height, public string $labels, public array $notes)
    {
        OutOfRange::check('the number of pixels in a sheet of zones', strlen($labels), $width * $height, $width * $height);
        OutOfRange::check('the number of zones', count($notes), 1, self::MOST_ZONES);
        foreach (array_keys($notes) as $number) {
            OutOfRange::check('the number of a zone', $number, 1, self::LAST_NUMBER);
            if (! str_contains($labels, chr($number))) {
                throw BadFile::because("The zones are damaged: zone $number has no pixels; let zones be proposed anew.");
            }
        }
        foreach (count_chars($labels, 1) as $zone => $pixels) {
            if (! isset($notes[$zone])) {
                throw BadFile::because("The zones are damaged: $pixels pixels belong to none; let zones be proposed anew.");
            }
        }
    }

    /**
     * As {@see self::packedLabels()} has packed it. A zone of which no pixel is left is forgotten, as it is by every change.
     *
     * @param  array<int, ZoneNote>  $notes
     *
     * @throws OutOfRange|BadFile when it is no sheet; nothing is unpacked beyond the size of one
     */
    public static function ofPacked(int $width, int $height, string $packed, array $notes): self
    {
        OutOfRange::check('the width of a sheet of zones', $width, 1, self::MOST_SIDE, 'pixels');
        OutOfRange::check('the height of a sheet of zones', $height, 1, self::MOST_SIDE, 'pixels');
        // What is damaged, or would be larger, is told by the answer alone.
        set_error_handler(static fn (): bool => true);
        try {
            $labels = gzuncompress((string) base64_decode($packed, true), $width * $height);
        } finally {
            restore_error_handler();
        }
        if ($labels === false) {
            throw BadFile::because('The zones are damaged: their pixels can not be unpacked; let zones be proposed anew.');
        }

        return new self($width, $height, $labels, self::withPixels($labels, $notes));
    }

    public function packedLabels(): string
    {
        return base64_encode((string) gzcompress($this->labels));
    }

    public static function proposed(PixelGrid $grid, int $most): self
    {
        $map = ZoneMap::proposed($grid, $most);
        $notes = [];
        foreach ($map->zones as $i => $zone) {
            $notes[$i + 1] = new ZoneNote($zone->name);
        }

        return new self($grid->width, $grid->height, implode('', array_map(static fn (int $l): string => chr($l + 1), $map->labels)), $notes);
    }

    /** @throws ImpossibleChange */
    public function note(int $zone): ZoneNote
    {
        return $this->notes[$zone] ?? throw ImpossibleChange::unknown('zone');
    }

    public function with(int $zone, ZoneNote $note): self
    {
        $this->note($zone);

        return new self($this->width, $this->height, $this->labels, array_replace($this->notes, [$zone => $note]));
    }

    /** The second zone becomes part of the first. */
    public function merged(int $into, int $zone): self
    {
        $this->note($into);
        $this->note($zone);
        if ($into === $zone) {
            throw ImpossibleChange::because('Two different zones can be merged; choose another one.');
        }

        return $this->relabelled(strtr($this->labels, chr($zone), chr($into)), $this->notes);
    }

    /**
     * Cuts a zone in two along a line; the smaller part gets a number of its own.
     *
     * @param  list<array{float, float}>  $line  shares of the picture, at least two points
     *
     * @throws ImpossibleChange when the line does not cross the zone
     */
    public function split(int $zone, array $line): self
    {
        $note = $this->note($zone);
        if (count($line) < 2) {
            throw ImpossibleChange::because('A line needs two points; draw it from one edge of the zone to another.');
        }
        $places = new Places($this->width, $this->height);
        $cut = Raster::along($line, $this->width, $this->height);
        $own = chr($zone);
        $rest = $this->labels;
        foreach ($cut as $at => $_) {
            if ($rest[$at] === $own) {
                $rest[$at] = Places::EMPTY;
            }
        }
        $pieces = array_values(array_filter($places->pieces($rest, $own), static fn (array $piece): bool => count($piece) >= self::LEAST_PIXELS && $places->touchesEmpty($piece, $rest)));
        if (count($pieces) < 2) {
            throw ImpossibleChange::because(sprintf('The line leaves "%s" in one piece; draw it from one edge of the zone to another.', $note->name));
        }
        usort($pieces, static fn (array $a, array $b): int => count($b) <=> count($a));
        $number = $this->freeNumber();
        foreach ($pieces[1] as $at) {
            $rest[$at] = chr($number);
        }

        return $this->relabelled($places->filled($rest, [$own, chr($number)]), $this->notesWith($number, $note->withoutPlaces()->named($this->freeName($note->name))));
    }

    /**
     * Gives a zone all that lies within an outline.
     *
     * @param  ?int  $zone  null for a new zone
     * @param  list<array{float, float}>  $outline
     */
    public function redrawn(?int $zone, array $outline): self
    {
        $notes = $this->notes;
        if ($zone === null) {
            $zone = $this->freeNumber();
            $notes = $this->notesWith($zone, new ZoneNote($this->freeName('new zone')));
        } else {
            $this->note($zone);
        }
        $labels = $this->labels;
        foreach ($this->pixelsWithin($outline) as $at) {
            $labels[$at] = chr($zone);
        }

        return $this->relabelled($labels, $notes);
    }

    /**
     * Takes what lies within an outline away from a zone; its neighbours grow into it.
     *
     * @param  list<array{float, float}>  $outline
     */
    public function takenFrom(int $zone, array $outline): self
    {
        $this->note($zone);
        $labels = $this->labels;
        $own = chr($zone);
        foreach ($this->pixelsWithin($outline) as $at) {
            if ($labels[$at] === $own) {
                $labels[$at] = Places::EMPTY;
            }
        }
        if (! str_contains($labels, $own) || count($this->notes) < 2) {
            throw ImpossibleChange::because('Nothing would be left of the zone; merge it with a neighbour instead.');
        }
        $others = array_values(array_map(chr(...), array_diff(array_keys($this->notes), [$zone])));

        return $this->relabelled((new Places($this->width, $this->height))->filled($labels, $others), $this->notes);
    }

    /** @return array<int, list<int>> pixels by zone */
    public function pixels(): array
    {
        $pixels = array_fill_keys(array_keys($this->notes), []);
        foreach (unpack('C*', $this->labels) ?: [] as $at => $zone) {
            $pixels[$zone][] = $at - 1;
        }

        return $pixels;
    }

    /** A zone as a mask of another size: a byte a pixel, not zero within. */
    public function maskOf(int $zone, int $width, int $height): string
    {
        $this->note($zone);
        $own = chr($zone);
        $column = array_map(fn (int $x): int => min($this->width - 1, intdiv($x * $this->width, $width)), range(0, $width - 1));
        $rows = [];
        $known = [];
        for ($y = 0; $y < $height; $y++) {
            $from = min($this->height - 1, intdiv($y * $this->height, $height));
            if (! isset($known[$from])) {
                $row = '';
                foreach ($column as $x) {
                    $row .= $this->labels[$from * $this->width + $x] === $own ? "\xFF" : "\0";
                }
                $known[$from] = $row;
            }
            $rows[] = $known[$from];
        }

        return implode('', $rows);
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @return list<int>
     */
    private function pixelsWithin(array $outline): array
    {
        $pixels = count($outline) < 3 ? [] : Raster::within($outline, $this->width, $this->height);
        if (count($pixels) < self::LEAST_PIXELS) {
            throw ImpossibleChange::because('The outline holds hardly anything; draw round an area, at least three points.');
        }

        return $pixels;
    }

    /**
     * Zones of which nothing is left are forgotten.
     *
     * @param  array<int, ZoneNote>  $notes
     */
    private function relabelled(string $labels, array $notes): self
    {
        return new self($this->width, $this->height, $labels, self::withPixels($labels, $notes));
    }

    /**
     * @param  array<int, ZoneNote>  $notes
     * @return array<int, ZoneNote>
     */
    private static function withPixels(string $labels, array $notes): array
    {
        return array_filter($notes, static fn (int $zone): bool => $zone >= 1 && $zone <= self::LAST_NUMBER && str_contains($labels, chr($zone)), ARRAY_FILTER_USE_KEY);
    }

    private function freeNumber(): int
    {
        OutOfRange::check('the number of zones', count($this->notes) + 1, 1, self::MOST_ZONES);
        for ($number = 1; $number <= self::LAST_NUMBER; $number++) {
            if (! isset($this->notes[$number])) {
                return $number;
            }
        }
        throw new \LogicException('there are fewer zones than numbers');
    }

    private function freeName(string $name): string
    {
        $plain = (string) preg_replace('/ \d+$/', '', $name);
        $taken = array_map(static fn (ZoneNote $n): string => $n->name, $this->notes);
        if (! in_array($plain, $taken, true)) {
            return $plain;
        }
        for ($n = 2; in_array("$plain $n", $taken, true); $n++);

        return "$plain $n";
    }

    /** @return array<int, ZoneNote> */
    private function notesWith(int $number, ZoneNote $note): array
    {
        return array_replace($this->notes, [$number => $note]);
    }
}
