<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Srgb;
use KnottyPrism\Core\Colour\SrgbMatrix;
use KnottyPrism\Core\Medium\Paper\PencilGrain;

/** Colours as bytes of pixels, three each. */
final class PixelBytes
{
    /**
     * @param  list<Tone>  $tones  by level
     * @return list<list<string>> three bytes by level and place in the tooth
     */
    public static function coloured(array $tones, float $contrast, bool $grey): array
    {
        $coloured = [];
        $last = null;
        foreach ($tones as $level => $tone) {
            $coloured[] =
                $tone === $last
                    ? $coloured[$level - 1]
                    : array_map(
                        static fn (int $place): string => self::of($tone->at(($place + 0.5) / PencilGrain::PLACES, $contrast), $grey),
                        range(0, PencilGrain::PLACES - 1),
                    );
            $last = $tone;
        }

        return $coloured;
    }

    /** @param  array{float, float, float}  $linear */
    public static function of(array $linear, bool $grey): string
    {
        if ($grey) {
            [$r, $g, $b] = SrgbMatrix::luminanceWeights();
            $y = $r * $linear[0] + $g * $linear[1] + $b * $linear[2];
            $linear = [$y, $y, $y];
        }

        return implode(
            '',
            array_map(static fn (float $v): string => chr((int) round(255 * Srgb::encode(max(0.0, min(1.0, $v))))), $linear),
        );
    }
}
