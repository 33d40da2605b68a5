<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Strips;

use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** Stacks that tell most of a hand: dark pencils, each alone, in a light hand, where a little more or less is seen at once. */
final class SuggestedStrips
{
    public const MOST = 12;

    /** Pressures of the passes of each strip, in turn. */
    private const PRESSURES = [
        [Pressure::Whisper, Pressure::Light],
        [Pressure::Light, Pressure::Light],
        [Pressure::Whisper, Pressure::Light, Pressure::Medium],
        [Pressure::Light],
        [Pressure::Medium],
        [Pressure::Light, Pressure::Medium],
    ];

    /**
     * @param  list<Pencil>  $pencils  available
     * @return list<Stack>
     *
     * @throws OutOfRange for no pencils, or more strips than a scrap holds
     */
    public static function of(array $pencils, int $count): array
    {
        OutOfRange::check('the number of strips', $count, 1, self::MOST);
        OutOfRange::check('the number of pencils', count($pencils), 1, 1000);
        $value = [];
        foreach ($pencils as $i => $pencil) {
            $value[$i] = Swatch::Heavy->colourOf($pencil)->l;
        }
        asort($value);
        $dark = array_map(static fn (int $i): Pencil => $pencils[$i], array_slice(array_keys($value), 0, $count));

        return array_map(
            static fn (int $i): Stack => new Stack(
                array_map(
                    static fn (Pressure $m): Pass => new Pass($dark[$i % count($dark)], $m->share()),
                    self::PRESSURES[$i % count(self::PRESSURES)],
                ),
            ),
            range(0, $count - 1),
        );
    }
}
