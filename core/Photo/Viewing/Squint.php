<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;

/**
 * What half-closed eyes leave of a picture: three blurs in linear light, so that edges, glints and texture go and masses stay.
 * A blurred picture has no detail, so it is blurred small and drawn out again: reduced by whole blocks, two box blurs each way
 * (close to a Gaussian), then interpolated between the middles of the blocks.
 */
enum Squint: int
{
    case Slight = 1;
    case Half = 2;
    case Hard = 3;

    /** Blocks along the longest side of a reduced picture. */
    private const BLOCKS = 200;

    /** How far the blur reaches, in blocks. */
    private function radius(): int
    {
        return match ($this) {
            self::Slight => 1,
            self::Half => 3,
            self::Hard => 7,
        };
    }

    public function of(PixelWindow $picture): PixelWindow
    {
        $block = max(1, (int) round(max($picture->width, $picture->height) / self::BLOCKS));
        $width = (int) ceil($picture->width / $block);
        $height = (int) ceil($picture->height / $block);
        $blurred = [];
        foreach ($this->reduced($picture, $block, $width, $height) as $channel) {
            for ($round = 0; $round < 2; $round++) {
                $channel = self::boxed($channel, $width, $height, $this->radius(), 1, $width);
                $channel = self::boxed($channel, $height, $width, $this->radius(), $width, 1);
            }
            $blurred[] = array_map(static fn (float $v): float => 255 * Srgb::encode(max(0.0, min(1.0, $v))), $channel);
        }

        return new PixelWindow(
            $picture->width,
            $picture->height,
            self::drawnOut($blurred, $width, $height, $block, $picture->width, $picture->height),
        );
    }

    /** @return list<list<float>> the mean of every block in linear light, by channel */
    private function reduced(PixelWindow $picture, int $block, int $width, int $height): array
    {
        $linear = array_map(static fn (int $v): float => Srgb::decode($v / 255), range(0, 255));
        $red = $green = $blue = $count = array_fill(0, $width * $height, 0.0);
        $at = 0;
        for ($y = 0; $y < $picture->height; $y++) {
            $row = intdiv($y, $block) * $width;
            for ($x = 0; $x < $picture->width; $x++, $at += 3) {
                $to = $row + intdiv($x, $block);
                $red[$to] += $linear[ord($picture->bytes[$at])];
                $green[$to] += $linear[ord($picture->bytes[$at + 1])];
                $blue[$to] += $linear[ord($picture->bytes[$at + 2])];
                $count[$to]++;
            }
        }
        foreach ($count as $i => $n) {
            $red[$i] /= $n;
            $green[$i] /= $n;
            $blue[$i] /= $n;
        }

        return [array_values($red), array_values($green), array_values($blue)];
    }

    /**
     * A moving mean along one direction; at the edges over what is there.
     *
     * @param  array<int, float>  $values
     * @param  int  $length  of a line, of $lines lines; the next value of a line is $step further, the next line $stride
     * @return array<int, float>
     */
    private static function boxed(array $values, int $length, int $lines, int $radius, int $step, int $stride): array
    {
        $out = array_fill(0, count($values), 0.0);
        for ($line = 0; $line < $lines; $line++) {
            $start = $line * $stride;
            $sum = 0.0;
            $n = 0;
            for ($i = -$radius; $i < $length; $i++) {
                if ($i + $radius < $length) {
                    $sum += $values[$start + ($i + $radius) * $step];
                    $n++;
                }
                if ($i - $radius > 0) {
                    $sum -= $values[$start + ($i - $radius - 1) * $step];
                    $n--;
                }
                if ($i >= 0) {
                    $out[$start + $i * $step] = $sum / $n;
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<array<int, float>>  $channels  0–255, of the blocks
     * @return string bytes of the full size
     */
    private static function drawnOut(array $channels, int $width, int $height, int $block, int $fullWidth, int $fullHeight): string
    {
        [$r, $g, $b] = $channels;
        $left = $right = $share = [];
        for ($x = 0; $x < $fullWidth; $x++) {
            $place = max(0.0, min($width - 1.0, ($x + 0.5) / $block - 0.5));
            $left[] = (int) $place;
            $right[] = min($width - 1, (int) $place + 1);
            $share[] = $place - (int) $place;
        }
        $rows = [];
        for ($y = 0; $y < $fullHeight; $y++) {
            $place = max(0.0, min($height - 1.0, ($y + 0.5) / $block - 0.5));
            $above = (int) $place * $width;
            $below = min($height - 1, (int) $place + 1) * $width;
            $f = $place - (int) $place;
            // One row of blocks between the two that this row lies between, then along it.
            $lineR = $lineG = $lineB = [];
            for ($i = 0; $i < $width; $i++) {
                $lineR[] = $r[$above + $i] + $f * ($r[$below + $i] - $r[$above + $i]) + 0.5;
                $lineG[] = $g[$above + $i] + $f * ($g[$below + $i] - $g[$above + $i]) + 0.5;
                $lineB[] = $b[$above + $i] + $f * ($b[$below + $i] - $b[$above + $i]) + 0.5;
            }
            $row = '';
            for ($x = 0; $x < $fullWidth; $x++) {
                $i = $left[$x];
                $j = $right[$x];
                $s = $share[$x];
                $row .=
                    chr((int) ($lineR[$i] + $s * ($lineR[$j] - $lineR[$i]))).
                    chr((int) ($lineG[$i] + $s * ($lineG[$j] - $lineG[$i]))).
                    chr((int) ($lineB[$i] + $s * ($lineB[$j] - $lineB[$i])));
            }
            $rows[] = $row;
        }

        return implode('', $rows);
    }
}
