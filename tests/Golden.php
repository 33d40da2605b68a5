<?php

declare(strict_types=1);

namespace Tests;

/**
 * Answers as they were, so that moving code is seen to change nothing: figures within a thousandth (processors round differently), colours
 * within two steps of 255, all else to the letter. Where an answer is meant to change, the commit says so, and GOLDEN=write writes
 * it again.
 */
final class Golden
{
    private const NUMBERS_OF_ROWS = ['id', 'photo', 'photoId', 'colourPhoto', 'stamp', 'one', 'other'];

    private const MOST_SHOWN = 12;

    /** @return list<string> where the answer differs from the one that is kept */
    public static function differences(string $name, mixed $answer): array
    {
        $file = __DIR__."/golden/$name.json";
        $answer = self::plain($answer);
        if (getenv('GOLDEN') === 'write') {
            file_put_contents(
                $file,
                json_encode($answer, JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
            );
        }
        $kept = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
        $differences = [];
        self::compare($name, $kept, $answer, $differences);

        return array_slice($differences, 0, self::MOST_SHOWN);
    }

    /** Without the numbers that the database happens to give. */
    private static function plain(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        $plain = [];
        foreach ($value as $key => $item) {
            if (! (in_array($key, self::NUMBERS_OF_ROWS, true) && is_int($item))) {
                $plain[$key] = self::plain($item);
            }
        }

        return $plain;
    }

    /** @param  list<string>  $differences */
    private static function compare(string $at, mixed $kept, mixed $is, array &$differences): void
    {
        if (is_array($kept) && is_array($is)) {
            foreach (array_unique([...array_keys($kept), ...array_keys($is)]) as $key) {
                array_key_exists($key, $kept) && array_key_exists($key, $is)
                    ? self::compare("$at/$key", $kept[$key], $is[$key], $differences)
                    : ($differences[] = "$at/$key: ".(array_key_exists($key, $is) ? 'new' : 'gone'));
            }

            return;
        }
        $same = match (true) {
            is_numeric($kept) && is_numeric($is) && ! is_string($kept) => abs($kept - $is) <= 1e-3 * max(1, abs($kept)),
            self::isColour($kept) && self::isColour($is) => max(
                array_map(static fn (int $i): int => (int) abs(hexdec(substr($kept, $i, 2)) - hexdec(substr($is, $i, 2))), [1, 3, 5]),
            ) <= 2,
            default => $kept === $is,
        };
        if (! $same) {
            $differences[] = sprintf('%s: %s, was %s', $at, json_encode($is), json_encode($kept));
        }
    }

    private static function isColour(mixed $value): bool
    {
        return is_string($value) && preg_match('/^#[0-9a-f]{6}$/', $value) === 1;
    }
}
