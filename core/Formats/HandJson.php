<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\Strip;

/** A hand as JSON, {"hand": {"pressure": 1.2, …}}, and the strips that teach one, [{"stack": "711@0.35", "lab": [L, a, b]}, …]. */
final class HandJson
{
    /** @throws BadFile */
    public static function hand(string $text): Hand
    {
        $data = json_decode($text, true, 8);
        $figures =
            is_array($data) && is_array($data['hand'] ?? null)
                ? $data['hand']
                : throw BadFile::because(
                    'A hand file is JSON with hand {pressure, laydown, spread, drag, packing, contact}, as prism hand writes it.',
                );
        $of = static fn (string $name): float => is_int($figures[$name] ?? 1.0) || is_float($figures[$name] ?? 1.0)
            ? (float) ($figures[$name] ?? 1.0)
            : throw BadFile::because("The hand's $name is no number.");
        $pencils = [];
        foreach (is_array($figures['pencils'] ?? null) ? $figures['pencils'] : [] as $id => $factor) {
            $pencils[(string) $id] =
                is_int($factor) || is_float($factor) ? (float) $factor : throw BadFile::because("The hand's film of $id is no number.");
        }

        return new Hand($of('pressure'), $of('laydown'), $of('spread'), $of('drag'), $of('packing'), $of('contact'), $pencils);
    }

    /**
     * @return list<Strip>
     *
     * @throws BadFile naming the strip
     */
    public static function strips(string $text, Drawer $drawer): array
    {
        $data = json_decode($text, true, 8);
        if (! is_array($data) || ! array_is_list($data) || $data === [] || count($data) > LearnHand::MOST_STRIPS) {
            throw BadFile::because(
                sprintf('Strips are a JSON list of {"stack": "ID@0.35,…", "lab": [L, a, b]}, from one to %d.', LearnHand::MOST_STRIPS),
            );
        }
        $strips = [];
        foreach ($data as $i => $strip) {
            $lab = is_array($strip) ? $strip['lab'] ?? null : null;
            $numbers = is_array($lab) ? array_values(array_filter($lab, static fn (mixed $v): bool => is_int($v) || is_float($v))) : [];
            if (
                ! is_array($strip) ||
                ! is_string($strip['stack'] ?? null) ||
                ! is_array($lab) ||
                count($lab) !== 3 ||
                count($numbers) !== 3
            ) {
                throw BadFile::because(sprintf('Strip %d needs a stack and its lab [L, a, b].', $i + 1));
            }
            $strips[] = new Strip(
                StackText::read($strip['stack'], $drawer),
                new Lab((float) $numbers[0], (float) $numbers[1], (float) $numbers[2]),
            );
        }

        return $strips;
    }
}
