<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Formats\Text;

use KnottyPrism\Core\Error\BadFile;

/**
 * JSON from outside. A value may take a hundred times the memory of the text that says it ("{}," a million times over), so the values are
 * counted before any is made: every one but the first of its list or object follows a comma or begins another.
 */
final class BoundedJson
{
    private const DEEPEST = 64;

    /** @throws BadFile when it holds more values than that */
    public static function check(string $text, int $mostValues, string $what): void
    {
        $values = 1;
        foreach (['{', '[', ','] as $sign) {
            $values += substr_count($text, $sign);
        }
        if ($values > $mostValues) {
            throw BadFile::because(
                sprintf(
                    '%s holds about %s values; up to %s can be read. Split it, or leave out what is not needed.',
                    $what,
                    number_format($values),
                    number_format($mostValues),
                ),
            );
        }
    }

    /**
     * @return mixed objects as arrays; null for what is no JSON, too
     *
     * @throws BadFile when it holds more values than that
     */
    public static function decoded(string $text, int $mostValues, string $what): mixed
    {
        self::check($text, $mostValues, $what);

        return json_decode($text, true, self::DEEPEST);
    }
}
