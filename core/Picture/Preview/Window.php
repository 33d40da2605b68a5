<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

/** A piece of a drawing, in shares of its width and height. */
final readonly class Window
{
    public function __construct(public float $left = 0.0, public float $top = 0.0, public float $width = 1.0, public float $height = 1.0)
    {
    }

    /** @return list<float> for so many pixels across the place of each in a grid, in cells */
    public function columns(int $pixels, int $cells): array
    {
        return self::places($this->left, $this->width, $pixels, $cells);
    }

    /** @return list<float> the same down */
    public function rows(int $pixels, int $cells): array
    {
        return self::places($this->top, $this->height, $pixels, $cells);
    }

    /** @return list<float> */
    private static function places(float $from, float $share, int $pixels, int $cells): array
    {
        $places = [];
        for ($i = 0; $i < $pixels; $i++) {
            $places[] = min($cells - 1e-6, max(0.0, ($from + ($i + 0.5) / $pixels * $share) * $cells));
        }

        return $places;
    }
}
