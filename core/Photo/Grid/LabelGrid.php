<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Grid;

use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\OutOfRange;

/**
 * Which zone each pixel of a small grid belongs to: a byte a pixel, the zone's number. The number of a zone is its name among figures: it
 * stays whatever happens to the others, and is the same in notes, readings, plans and files.
 */
final readonly class LabelGrid
{
    public const LAST_NUMBER = 255;

    private const MOST_SIDE = 1000;

    /**
     * @param  string  $bytes  row after row
     *
     * @throws OutOfRange
     */
    public function __construct(public int $width, public int $height, public string $bytes)
    {
        OutOfRange::check('the number of pixels in a sheet of zones', strlen($bytes), $width * $height, $width * $height);
    }

    /** @param  array<int, int>  $numbers  1–255, by pixel */
    public static function ofNumbers(int $width, int $height, array $numbers): self
    {
        return new self($width, $height, pack('C*', ...$numbers));
    }

    /**
     * As {@see self::packed()} has packed it.
     *
     * @throws OutOfRange|BadFile when it is no grid; nothing is unpacked beyond the size of one
     */
    public static function ofPacked(int $width, int $height, string $packed): self
    {
        OutOfRange::check('the width of a sheet of zones', $width, 1, self::MOST_SIDE, 'pixels');
        OutOfRange::check('the height of a sheet of zones', $height, 1, self::MOST_SIDE, 'pixels');
        // What is damaged, or would be larger, is told by the answer alone.
        set_error_handler(static fn (): bool => true);
        try {
            $bytes = gzuncompress((string) base64_decode($packed, true), $width * $height);
        } finally {
            restore_error_handler();
        }
        if ($bytes === false) {
            throw BadFile::because('The zones are damaged: their pixels can’t be unpacked; propose zones again.');
        }

        return new self($width, $height, $bytes);
    }

    public function packed(): string
    {
        return base64_encode((string) gzcompress($this->bytes));
    }

    /** @return string names what lies here, for a key */
    public function fingerprint(): string
    {
        return md5($this->bytes);
    }

    /** The zone at a place, in shares of width and height; a place outside is taken as on the edge. */
    public function at(float $x, float $y): int
    {
        return ord($this->bytes[$this->pixelAt($x, $y)]);
    }

    /** The pixel at such a place. */
    public function pixelAt(float $x, float $y): int
    {
        return max(0, min($this->height - 1, (int) ($y * $this->height))) * $this->width +
            max(0, min($this->width - 1, (int) ($x * $this->width)));
    }

    /**
     * The middle of some pixels.
     *
     * @param  non-empty-list<int>  $pixels
     * @return array{float, float} as shares of width and height
     */
    public function middleOf(array $pixels): array
    {
        $n = count($pixels);
        $x = array_sum(array_map(fn (int $at): int => $at % $this->width, $pixels)) / $n;
        $y = array_sum(array_map(fn (int $at): int => intdiv($at, $this->width), $pixels)) / $n;

        return [($x + 0.5) / $this->width, ($y + 0.5) / $this->height];
    }

    public function has(int $zone): bool
    {
        return $zone >= 1 && $zone <= self::LAST_NUMBER && str_contains($this->bytes, chr($zone));
    }

    /** @return array<int, int> how many pixels each zone has */
    public function counts(): array
    {
        return count_chars($this->bytes, 1);
    }

    /** @return array<int, non-empty-list<int>> pixels by zone */
    public function pixels(): array
    {
        $pixels = [];
        foreach ($this->numbers() as $at => $zone) {
            $pixels[$zone][] = $at;
        }

        return $pixels;
    }

    /** @return list<int> by pixel */
    public function numbers(): array
    {
        return array_values(unpack('C*', $this->bytes) ?: []);
    }

    /** @return array<int, array<int, int>> lengths of shared borders, in pixel edges, by zone and zone */
    public function borders(): array
    {
        return Patchwork::borders($this->numbers(), $this->width, $this->height);
    }

    /** A zone as a mask of another size: a byte a pixel, not zero within. */
    public function maskOf(int $zone, int $width, int $height): string
    {
        $own = chr($zone);
        $column = array_map(fn (int $x): int => min($this->width - 1, intdiv($x * $this->width, $width)), range(0, $width - 1));
        $rows = [];
        $known = [];
        for ($y = 0; $y < $height; $y++) {
            $from = min($this->height - 1, intdiv($y * $this->height, $height));
            if (! isset($known[$from])) {
                $row = '';
                foreach ($column as $x) {
                    $row .= $this->bytes[$from * $this->width + $x] === $own ? "\xFF" : "\0";
                }
                $known[$from] = $row;
            }
            $rows[] = $known[$from];
        }

        return implode('', $rows);
    }

    /** One zone becomes part of another. */
    public function merged(int $into, int $zone): self
    {
        return new self($this->width, $this->height, strtr($this->bytes, chr($zone), chr($into)));
    }

    /** @param  list<int>  $pixels  that a zone gets, whoever had them */
    public function given(int $zone, array $pixels): self
    {
        $bytes = $this->bytes;
        foreach ($pixels as $at) {
            $bytes[$at] = chr($zone);
        }

        return new self($this->width, $this->height, $bytes);
    }
}
