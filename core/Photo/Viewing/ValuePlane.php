<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Colour\ValueScale;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Photo\Pixels\PixelWindow;

/**
 * The values of a picture, one byte a pixel: 255 for L* 100, so that a byte is 0.39 L*. Everything that depends on value alone is a
 * table of 256 entries looked up by byte.
 */
final readonly class ValuePlane
{
    /** Entries of the table from luminance to L*. */
    private const FINENESS = 8191;

    private function __construct(public int $width, public int $height, public string $bytes)
    {
    }

    public static function of(PixelWindow $picture): self
    {
        $weights = SrgbMatrix::luminanceWeights();
        [$red, $green, $blue] = array_map(
            static fn (float $w): array => array_map(
                static fn (int $v): float => self::FINENESS * $w * Srgb::decode($v / 255),
                range(0, 255),
            ),
            $weights,
        );
        $byte = array_map(
            static fn (int $i): string => chr((int) round(2.55 * self::lightness($i / self::FINENESS))),
            range(0, self::FINENESS),
        );
        $bytes = $picture->bytes;
        $rows = [];
        $at = 0;
        for ($y = 0; $y < $picture->height; $y++) {
            $row = '';
            for ($x = 0; $x < $picture->width; $x++, $at += 3) {
                $row .= $byte[(int) ($red[ord($bytes[$at])] + $green[ord($bytes[$at + 1])] + $blue[ord($bytes[$at + 2])] + 0.5)];
            }
            $rows[] = $row;
        }

        return new self($picture->width, $picture->height, implode('', $rows));
    }

    /**
     * With some pixels lighter or darker.
     *
     * @param  string  $mask  a byte a pixel, not zero where the value moves
     * @param  float  $by  L*
     */
    public function moved(string $mask, float $by): self
    {
        $change = (int) round(2.55 * $by);
        $bytes = $this->bytes;
        for ($i = 0, $n = strlen($bytes); $i < $n; $i++) {
            if ($mask[$i] !== "\0") {
                $bytes[$i] = chr(max(0, min(255, ord($bytes[$i]) + $change)));
            }
        }

        return new self($this->width, $this->height, $bytes);
    }

    /** The values as a screen's greys. */
    public function grey(): string
    {
        return strtr($this->bytes, self::bytes(), self::table(static fn (float $l): int => self::greyOf($l)));
    }

    /** Every value as the grey in the middle of its step. */
    public function stepped(ValueScale $scale): string
    {
        return strtr(
            $this->bytes,
            self::bytes(),
            self::table(static fn (float $l): int => self::greyOf($scale->middleOf($scale->stepOf(new Lab($l, 0, 0))))),
        );
    }

    /** A byte a pixel: 255 within one step, 0 elsewhere. */
    public function maskOf(ValueScale $scale, int $step): string
    {
        return strtr(
            $this->bytes,
            self::bytes(),
            self::table(static fn (float $l): int => $scale->stepOf(new Lab($l, 0, 0)) === $step ? 255 : 0),
        );
    }

    /** @return array<int, float> share of the area of each step, 0–1, by step */
    public function shares(ValueScale $scale): array
    {
        $shares = array_fill(1, $scale->steps, 0.0);
        /** @var array<int, int> $counts */
        $counts = count_chars($this->bytes, 1);
        foreach ($counts as $byte => $count) {
            $shares[$scale->stepOf(new Lab($byte / 2.55, 0, 0))] += $count / strlen($this->bytes);
        }

        return $shares;
    }

    /** A screen's grey, 0–255, of an L*. */
    public static function greyOf(float $l): int
    {
        return (int) round(255 * Srgb::encode((new Lab($l, 0, 0))->xyz()->y));
    }

    /** @param  \Closure(float): int  $of  L* to byte */
    private static function table(\Closure $of): string
    {
        return implode('', array_map(static fn (int $v): string => chr($of($v / 2.55)), range(0, 255)));
    }

    private static function bytes(): string
    {
        return implode('', array_map(chr(...), range(0, 255)));
    }

    private static function lightness(float $y): float
    {
        return Lab::ofXyz(new Xyz(Xyz::WHITE[0] * $y, $y, Xyz::WHITE[2] * $y))->l;
    }
}
