<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Stack\Stack;

/** A stack written as text: "101@0.35,114@0.55,solvent". */
final class StackText
{
    /** More steps than this no paper takes. */
    private const MOST_STEPS = 60;

    /**
     * @throws UnreadableText
     * @throws UnknownPencil
     * @throws OutOfRange when a pressure is outside 0–1
     */
    public static function read(string $text, Drawer $drawer): Stack
    {
        $parts = self::parts($text);
        OutOfRange::check('the number of steps in a stack', count($parts), 1, self::MOST_STEPS);

        return new Stack(array_map(static fn (string $part): Pass|Finish => self::step($part, $drawer), $parts));
    }

    /**
     * The pencils that a stack names, whether or not there are such.
     *
     * @return list<string>
     */
    public static function identifiers(string $text): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_map(
                        static fn (string $part): string => (string) substr($part, 0, (int) strrpos($part, '@')),
                        self::parts($text),
                    ),
                    static fn (string $id): bool => $id !== '',
                ),
            ),
        );
    }

    /** @return list<string> */
    private static function parts(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode(',', $text)), static fn (string $p): bool => $p !== ''));
    }

    private static function step(string $part, Drawer $drawer): Pass|Finish
    {
        $finish = Finish::tryFrom(mb_strtolower($part));
        if ($finish !== null) {
            return $finish;
        }
        if (preg_match('/^(.+)@(-?\d*\.?\d+)$/D', $part, $m) !== 1) {
            throw UnreadableText::step($part, Finish::values());
        }

        return new Pass($drawer->pencil($m[1]), (float) $m[2]);
    }
}
