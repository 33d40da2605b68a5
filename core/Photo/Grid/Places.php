<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Grid;

/**
 * The pixels of a grid and which of them touch; zones are bytes in a string, one a pixel, and an empty pixel belongs to none for a while.
 */
final readonly class Places
{
    public const EMPTY = "\0";

    public function __construct(private int $width, private int $height)
    {
    }

    /**
     * Every empty pixel gets what lies nearest, step by step, out of some zones.
     *
     * @param  list<string>  $from  their bytes
     */
    public function filled(string $labels, array $from): string
    {
        $front = [];
        $sources = array_fill_keys($from, true);
        for ($at = 0, $n = strlen($labels); $at < $n; $at++) {
            if ($labels[$at] !== self::EMPTY && isset($sources[$labels[$at]])) {
                foreach ($this->around($at) as $near) {
                    if ($labels[$near] === self::EMPTY) {
                        $front[] = $at;
                        break;
                    }
                }
            }
        }
        while ($front !== []) {
            $next = [];
            foreach ($front as $at) {
                foreach ($this->around($at) as $near) {
                    if ($labels[$near] === self::EMPTY) {
                        $labels[$near] = $labels[$at];
                        $next[] = $near;
                    }
                }
            }
            $front = $next;
        }

        // What no source reaches goes to the first of them.
        return strtr($labels, self::EMPTY, $from[0]);
    }

    /** @return list<non-empty-list<int>> connected pieces of one byte */
    public function pieces(string $labels, string $byte): array
    {
        $pieces = [];
        for ($start = 0, $n = strlen($labels); $start < $n; $start++) {
            if ($labels[$start] !== $byte) {
                continue;
            }
            $piece = [];
            $open = [$start];
            // What was visited is blanked in this copy, like the line itself.
            $labels[$start] = self::EMPTY;
            while ($open !== []) {
                $at = array_pop($open);
                $piece[] = $at;
                foreach ($this->around($at) as $near) {
                    if ($labels[$near] === $byte) {
                        $labels[$near] = self::EMPTY;
                        $open[] = $near;
                    }
                }
            }
            $pieces[] = $piece;
        }

        return $pieces;
    }

    /**
     * Whether an empty pixel lies beside one of these.
     *
     * @param  list<int>  $piece
     */
    public function touchesEmpty(array $piece, string $labels): bool
    {
        foreach ($piece as $at) {
            foreach ($this->around($at) as $near) {
                if ($labels[$near] === self::EMPTY) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<int> */
    private function around(int $at): array
    {
        $x = $at % $this->width;
        $near = [];
        if ($x > 0) {
            $near[] = $at - 1;
        }
        if ($x < $this->width - 1) {
            $near[] = $at + 1;
        }
        if ($at >= $this->width) {
            $near[] = $at - $this->width;
        }
        if ($at + $this->width < $this->width * $this->height) {
            $near[] = $at + $this->width;
        }

        return $near;
    }
}
