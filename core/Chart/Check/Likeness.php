<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Chart\Check;

use KnottyPrism\Core\Chart\Reading\Homography;
use KnottyPrism\Core\Chart\Reading\Photograph;

/** How well a photo goes with what is expected of a drawing, if its corners were here or there: a correlation of lights and darks, 1 at best. */
final class Likeness
{
    /** Places that are compared, across and down. */
    private const ACROSS = 44;

    private const DOWN = 33;

    /** Longer side at which the photo is looked at, pixels: grain and strokes run together. */
    private const SIDE = 260;

    /** @var list<float> light as an eye takes it, row after row */
    private array $plane = [];

    private int $width;

    private int $height;

    private float $scale;

    /** @var list<float> what is expected at each place, less its mean, over its length; nothing where all is alike */
    private array $pattern = [];

    public function __construct(Photograph $photo, ExpectedDrawing $expected)
    {
        $step = max(1, (int) round(max($photo->width, $photo->height) / self::SIDE));
        $this->scale = 1 / $step;
        [$this->width, $this->height] = [intdiv($photo->width, $step), intdiv($photo->height, $step)];
        $this->plane = self::means($photo, $step, $this->width, $this->height);
        $sums = $counts = array_fill(0, self::ACROSS * self::DOWN, 0.0);
        foreach ($expected->light as $at => $light) {
            $cell = intdiv(intdiv($at, $expected->width) * self::DOWN, $expected->height) * self::ACROSS + intdiv($at % $expected->width * self::ACROSS, $expected->width);
            $sums[$cell] += max(0.0, array_sum($light) / 3) ** (1 / 2.4);
            $counts[$cell]++;
        }
        $bare = array_sum($expected->bare) / 3;
        $pattern = [];
        for ($j = -1; $j <= self::DOWN; $j++) {
            for ($i = -1; $i <= self::ACROSS; $i++) {
                $cell = $j * self::ACROSS + $i;
                $pattern[] = $i < 0 || $j < 0 || $i >= self::ACROSS || $j >= self::DOWN ? $bare ** (1 / 2.4) : $sums[$cell] / max(1.0, $counts[$cell]);
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
     * @return list<float> 0–1, as an eye takes light
     */
    private static function means(Photograph $photo, int $step, int $width, int $height): array
    {
        $rows = array_fill(0, $width * $height, 0);
        for ($y = 0; $y < $height * $step; $y++) {
            $row = unpack('C*', substr($photo->pixels, 3 * $y * $photo->width, 3 * $width * $step)) ?: [];
            $at = intdiv($y, $step) * $width;
            $span = 3 * $step;
            for ($x = 0; $x < $width; $x++) {
                $rows[$at + $x] += array_sum(array_slice($row, $x * $span, $span));
            }
        }
        $all = 765.0 * $step * $step;

        return array_values(array_map(static fn (int $sum): float => $sum / $all, $rows));
    }

    /**
     * What lies within alone; bare paper lies around every drawing.
     *
     * @param  list<array{float, float}>  $corners  in pixels, from the top left clockwise
     */
    public function within(array $corners): float
    {
        $inner = static function (array $places): ?array {
            $kept = [];
            foreach ($places as $at => $value) {
                [$i, $j] = [$at % (self::ACROSS + 2), intdiv($at, self::ACROSS + 2)];
                if ($i > 0 && $j > 0 && $i <= self::ACROSS && $j <= self::DOWN) {
                    $kept[] = $value;
                }
            }

            return self::centred($kept);
        };
        $seen = $inner($this->seen($corners) ?? []);
        $pattern = $inner($this->pattern);

        return $seen === null || $pattern === null ? -1.0 : array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $seen, $pattern));
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
     * @return list<float>|null at each place of the pattern; nothing where one lies outside the photo
     */
    private function seen(array $corners): ?array
    {
        $view = Homography::between([[0.0, 0.0], [self::ACROSS, 0.0], [self::ACROSS, self::DOWN], [0.0, self::DOWN]], $corners);
        $seen = [];
        for ($j = -1; $j <= self::DOWN; $j++) {
            for ($i = -1; $i <= self::ACROSS; $i++) {
                [$x, $y] = $view->to($i + 0.5, $j + 0.5);
                $x = (int) ($x * $this->scale);
                $y = (int) ($y * $this->scale);
                if ($x < 0 || $y < 0 || $x >= $this->width || $y >= $this->height) {
                    return null;
                }
                $seen[] = $this->plane[$y * $this->width + $x];
            }
        }

        return $seen;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>|null nothing where all are alike
     */
    private static function centred(array $values): ?array
    {
        if ($values === []) {
            return null;
        }
        $mean = array_sum($values) / count($values);
        $length = 0.0;
        foreach ($values as $at => $value) {
            $values[$at] = $value - $mean;
            $length += $values[$at] ** 2;
        }
        $length = sqrt($length);

        return $length < 0.05 ? null : array_map(static fn (float $v): float => $v / $length, $values);
    }
}
