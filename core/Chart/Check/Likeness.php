<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\Photograph;

/**
 * How well a photo goes with what is expected of a drawing, if its corners were here or there: a correlation of the light of all three
 * primaries, 1 at best. In the first passes of a drawing all of it is light, and only its colours tell one field from another.
 */
final class Likeness
{
    /** Places that are compared, across and down. */
    private const ACROSS = 44;

    private const DOWN = 33;

    /** Longer side at which the photo is looked at, pixels: grain and strokes run together. */
    private const SIDE = 260;

    /** @var list<list<float>> light as an eye takes it, row after row, of each primary */
    private array $planes = [];

    private int $width;

    private int $height;

    private float $scale;

    /**
     * @var list<float> what is expected at each place in each primary, less that one's mean, over the length of all; empty when all is
     *   alike
     */
    private array $pattern = [];

    public function __construct(Photograph $photo, ExpectedDrawing $expected)
    {
        $step = max(1, (int) round(max($photo->width, $photo->height) / self::SIDE));
        $this->scale = 1 / $step;
        [$this->width, $this->height] = [intdiv($photo->width, $step), intdiv($photo->height, $step)];
        $this->planes = self::means($photo, $step, $this->width, $this->height);
        $sums = array_fill(0, 3, array_fill(0, self::ACROSS * self::DOWN, 0.0));
        $counts = array_fill(0, self::ACROSS * self::DOWN, 0);
        foreach ($expected->light as $at => $light) {
            $cell =
                intdiv(intdiv($at, $expected->width) * self::DOWN, $expected->height) * self::ACROSS +
                intdiv(($at % $expected->width) * self::ACROSS, $expected->width);
            foreach ($light as $c => $value) {
                $sums[$c][$cell] += max(0.0, $value) ** (1 / 2.4);
            }
            $counts[$cell]++;
        }
        $pattern = [];
        foreach ($sums as $c => $sum) {
            for ($j = -1; $j <= self::DOWN; $j++) {
                for ($i = -1; $i <= self::ACROSS; $i++) {
                    $cell = $j * self::ACROSS + $i;
                    $pattern[] =
                        $i < 0 || $j < 0 || $i >= self::ACROSS || $j >= self::DOWN
                            ? $expected->bare[$c] ** (1 / 2.4)
                            : $sum[$cell] / max(1, $counts[$cell]);
                }
            }
        }
        $this->pattern = self::centred($pattern) ?? [];
    }

    /** Whether there is anything to tell a drawing by. */
    public function tells(): bool
    {
        return $this->pattern !== [];
    }

    /**
     * The photo small, each place the mean of what lies there.
     *
     * @return list<list<float>> 0–1, as an eye takes light, of each primary
     */
    private static function means(Photograph $photo, int $step, int $width, int $height): array
    {
        $sums = array_fill(0, 3, array_fill(0, $width * $height, 0));
        for ($y = 0; $y < $height * $step; $y++) {
            $row = unpack('C*', substr($photo->pixels, 3 * $y * $photo->width, 3 * $width * $step)) ?: [];
            $at = intdiv($y, $step) * $width;
            for ($x = 0, $byte = 1; $x < $width; $x++) {
                for ($k = 0; $k < $step; $k++) {
                    $sums[0][$at + $x] += $row[$byte++];
                    $sums[1][$at + $x] += $row[$byte++];
                    $sums[2][$at + $x] += $row[$byte++];
                }
            }
        }
        $all = 255.0 * $step * $step;

        return array_map(static fn (array $of): array => array_values(array_map(static fn (int $sum): float => $sum / $all, $of)), $sums);
    }

    /**
     * What lies within alone; bare paper lies around every drawing. A lamp at one side and a lens that is darker at its edge leave more in
     * the photo of a drawing that is just begun than its pencils do: the better of both, as it is and without what falls off evenly.
     *
     * @param  list<array{float, float}>  $corners  in pixels, from the top left clockwise
     */
    public function within(array $corners): float
    {
        $seen = self::inner($this->seen($corners) ?? []);
        $pattern = self::inner($this->pattern);

        return max(self::together($seen, $pattern), self::together(self::even($seen), self::even($pattern)));
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function together(array $a, array $b): float
    {
        $a = self::centred($a);
        $b = self::centred($b);

        return $a === null || $b === null ? -1.0 : array_sum(array_map(static fn (float $x, float $y): float => $x * $y, $a, $b));
    }

    /**
     * @param  list<float>  $places
     * @return list<float> without the ring
     */
    private static function inner(array $places): array
    {
        $kept = [];
        foreach ($places as $at => $value) {
            $i = $at % (self::ACROSS + 2);
            $j = intdiv($at, self::ACROSS + 2) % (self::DOWN + 2);
            if ($i > 0 && $j > 0 && $i <= self::ACROSS && $j <= self::DOWN) {
                $kept[] = $value;
            }
        }

        return $kept;
    }

    /**
     * Less what rises, falls and bends evenly over the whole, and alike in all three primaries (least squares by slopes and bends, which
     * stand square to each other on a full grid).
     *
     * @param  list<float>  $inner
     * @return list<float>
     */
    private static function even(array $inner): array
    {
        $each = self::ACROSS * self::DOWN;
        foreach (self::slopes() as $slope) {
            $share = $length = 0.0;
            foreach ($inner as $at => $value) {
                $share += $value * $slope[$at % $each];
                $length += $slope[$at % $each] ** 2;
            }
            foreach ($inner as $at => $value) {
                $inner[$at] = $value - ($share / $length) * $slope[$at % $each];
            }
        }

        return $inner;
    }

    /** @return list<list<float>> by place: across, down, both, and the bend of each */
    private static function slopes(): array
    {
        $slopes = array_fill(0, 5, []);
        for ($j = 0; $j < self::DOWN; $j++) {
            for ($i = 0; $i < self::ACROSS; $i++) {
                $x = (2 * $i + 1) / self::ACROSS - 1;
                $y = (2 * $j + 1) / self::DOWN - 1;
                foreach (
                    [$x, $y, $x * $y, $x ** 2 - (1 - self::ACROSS ** -2) / 3, $y ** 2 - (1 - self::DOWN ** -2) / 3] as $n => $value
                ) {
                    $slopes[$n][] = $value;
                }
            }
        }

        return $slopes;
    }

    /**
     * With a ring of bare paper around it.
     *
     * @param  list<array{float, float}>  $corners  in pixels, from the top left clockwise
     */
    public function alike(array $corners): float
    {
        $seen = $this->seen($corners);
        $seen = $seen === null ? null : self::centred($seen);
        if ($seen === null) {
            return -1.0;
        }
        $sum = 0.0;
        foreach ($seen as $at => $value) {
            $sum += $value * $this->pattern[$at];
        }

        return $sum;
    }

    /**
     * @param  list<array{float, float}>  $corners
     * @return list<float>|null at each place of the pattern, primary after primary; null when one lies outside the photo
     */
    private function seen(array $corners): ?array
    {
        $view = Homography::between([[0.0, 0.0], [self::ACROSS, 0.0], [self::ACROSS, self::DOWN], [0.0, self::DOWN]], $corners);
        $places = [];
        for ($j = -1; $j <= self::DOWN; $j++) {
            for ($i = -1; $i <= self::ACROSS; $i++) {
                [$x, $y] = $view->to($i + 0.5, $j + 0.5);
                $x = (int) ($x * $this->scale);
                $y = (int) ($y * $this->scale);
                if ($x < 0 || $y < 0 || $x >= $this->width || $y >= $this->height) {
                    return null;
                }
                $places[] = $y * $this->width + $x;
            }
        }
        $seen = [];
        foreach ($this->planes as $plane) {
            foreach ($places as $at) {
                $seen[] = $plane[$at];
            }
        }

        return $seen;
    }

    /**
     * @param  list<float>  $values  a third of them of each primary: what light there is of each in all is the lamp's and the camera's
     * @return list<float>|null null when all are alike
     */
    private static function centred(array $values): ?array
    {
        $each = intdiv(count($values), 3);
        $length = 0.0;
        for ($c = 0; $c < 3; $c++) {
            $mean = array_sum(array_slice($values, $c * $each, $each)) / max(1, $each);
            for ($at = $c * $each; $at < ($c + 1) * $each; $at++) {
                $values[$at] -= $mean;
                $length += $values[$at] ** 2;
            }
        }
        $length = sqrt($length / 3);

        return $length < 0.05 ? null : array_values(array_map(static fn (float $v): float => $v / ($length * sqrt(3)), $values));
    }
}
