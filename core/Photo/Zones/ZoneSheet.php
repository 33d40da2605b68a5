<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Photo\Borders\BorderKind;
use KnottyPrism\Core\Photo\Borders\BorderNotes;
use KnottyPrism\Core\Photo\Grid\CutZone;
use KnottyPrism\Core\Photo\Grid\LabelGrid;
use KnottyPrism\Core\Photo\Grid\Places;
use KnottyPrism\Core\Photo\Grid\Raster;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;

/**
 * The zones that someone is working on: which zone each pixel of a small grid belongs to, and what was said about each. Zones keep
 * their number whatever happens to others. Every change returns a new sheet.
 */
final readonly class ZoneSheet
{
    /** A number is a byte. */
    public const MOST_ZONES = 60;

    /** A piece smaller than this, pixels of the grid, is no zone. */
    private const LEAST_PIXELS = 6;

    /**
     * @param  array<int, ZoneNote>  $notes  by number, 1–255
     *
     * @throws OutOfRange|BadFile when something is drawn that is no zone
     */
    public function __construct(public LabelGrid $labels, public array $notes, public BorderNotes $borders = new BorderNotes())
    {
        OutOfRange::check('the number of zones', count($notes), 1, self::MOST_ZONES);
        foreach (array_keys($notes) as $number) {
            OutOfRange::check('the number of a zone', $number, 1, LabelGrid::LAST_NUMBER);
            if (! $labels->has($number)) {
                throw BadFile::because("The zones are damaged: zone $number has no pixels; propose zones again.");
            }
        }
        foreach ($labels->counts() as $zone => $pixels) {
            if (! isset($notes[$zone])) {
                throw BadFile::because("The zones are damaged: $pixels pixels belong to none; propose zones again.");
            }
        }
    }

    /**
     * A zone of which no pixel is left is forgotten, as it is by every change.
     *
     * @param  array<int, ZoneNote>  $notes
     */
    public static function relabelled(LabelGrid $labels, array $notes, BorderNotes $borders = new BorderNotes()): self
    {
        $left = array_filter($notes, $labels->has(...), ARRAY_FILTER_USE_KEY);

        return new self($labels, $left, $borders->among($left));
    }

    public static function proposed(PixelGrid $grid, int $most): self
    {
        $map = ZoneMap::proposed($grid, $most);

        return new self(
            $map->labels,
            array_map(static fn (Zone $zone): ZoneNote => new ZoneNote($zone->name, surface: $zone->surface), $map->zones),
        );
    }

    /** @throws ImpossibleChange */
    public function note(int $zone): ZoneNote
    {
        return $this->notes[$zone] ?? throw ImpossibleChange::unknown('zone');
    }

    public function with(int $zone, ZoneNote $note): self
    {
        $this->note($zone);

        return new self($this->labels, array_replace($this->notes, [$zone => $note]), $this->borders);
    }

    /**
     * How two zones meet, whatever the photo has there.
     *
     * @param  ?BorderKind  $kind  null for as the photo has it
     *
     * @throws ImpossibleChange
     */
    public function meeting(int $one, int $other, ?BorderKind $kind): self
    {
        [$a, $b] = [$this->note($one)->name, $this->note($other)->name];
        if (! isset($this->labels->borders()[$one][$other])) {
            throw ImpossibleChange::because(sprintf('"%s" and "%s" have no border together; choose two zones that touch.', $a, $b));
        }

        return new self($this->labels, $this->notes, $this->borders->with($one, $other, $kind));
    }

    /** The second zone becomes part of the first. */
    public function merged(int $into, int $zone): self
    {
        $this->note($into);
        $this->note($zone);
        if ($into === $zone) {
            throw ImpossibleChange::because('Two different zones can be merged; choose another one.');
        }

        return self::relabelled($this->labels->merged($into, $zone), $this->notes, $this->borders);
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
        $number = $this->freeNumber();
        $cut =
            CutZone::along($this->labels, $zone, Raster::along($line, $this->labels->width, $this->labels->height), $number) ??
            throw ImpossibleChange::because(
                sprintf('The line doesn’t divide "%s"; draw it from one edge of the zone to another.', $note->name),
            );

        return self::relabelled(
            $cut,
            $this->notesWith($number, $note->withoutPlaces()->named($this->freeName($note->name))),
            $this->borders,
        );
    }

    /**
     * A piece of a zone becomes a zone of its own, with all that was said of the zone but its name.
     *
     * @param  float  $x  a point within the piece, as shares of the picture
     *
     * @throws ImpossibleChange
     */
    public function parted(int $zone, float $x, float $y): self
    {
        $note = $this->note($zone);
        $pieces = ZonePiece::of($this->labels, $zone);
        if (count($pieces) < 2) {
            throw ImpossibleChange::because(sprintf('"%s" is in one piece; split it by a line instead.', $note->name));
        }
        $own =
            array_values(array_filter($pieces, fn (ZonePiece $p): bool => $p->holds($this->labels, $x, $y)))[0] ??
            throw ImpossibleChange::because(sprintf('There is no piece of "%s" there; point at one.', $note->name));
        $number = $this->freeNumber();

        return self::relabelled(
            $this->labels->given($number, $own->pixels),
            $this->notesWith($number, $note->withoutPlaces()->named($this->freeName($note->name))),
            $this->borders,
        );
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

        return self::relabelled($this->labels->given($zone, $this->pixelsWithin($outline)), $notes, $this->borders);
    }

    /**
     * Takes what lies within an outline away from a zone; its neighbours grow into it.
     *
     * @param  list<array{float, float}>  $outline
     */
    public function takenFrom(int $zone, array $outline): self
    {
        $this->note($zone);
        $labels = $this->labels->bytes;
        $own = chr($zone);
        foreach ($this->pixelsWithin($outline) as $at) {
            if ($labels[$at] === $own) {
                $labels[$at] = Places::EMPTY;
            }
        }
        if (! str_contains($labels, $own) || count($this->notes) < 2) {
            throw ImpossibleChange::because('This would remove the whole zone; merge it with a neighbour instead.');
        }
        $others = array_values(array_map(chr(...), array_diff(array_keys($this->notes), [$zone])));

        [$width, $height] = [$this->labels->width, $this->labels->height];

        return self::relabelled(
            new LabelGrid($width, $height, (new Places($width, $height))->filled($labels, $others)),
            $this->notes,
            $this->borders,
        );
    }

    /** @return array<int, list<int>> pixels by zone */
    public function pixels(): array
    {
        return array_replace(array_fill_keys(array_keys($this->notes), []), $this->labels->pixels());
    }

    /**
     * @param  list<array{float, float}>  $outline
     * @return list<int>
     */
    private function pixelsWithin(array $outline): array
    {
        $pixels = count($outline) < 3 ? [] : Raster::within($outline, $this->labels->width, $this->labels->height);
        if (count($pixels) < self::LEAST_PIXELS) {
            throw ImpossibleChange::because('The outline is too small; draw round a larger part, with at least three points.');
        }

        return $pixels;
    }

    private function freeNumber(): int
    {
        OutOfRange::check('the number of zones', count($this->notes) + 1, 1, self::MOST_ZONES);
        for ($number = 1; $number <= LabelGrid::LAST_NUMBER; $number++) {
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
