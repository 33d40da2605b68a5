<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** What of a source file somebody may read on a screen, on paper or in a terminal: its texts, without code's comments. */
final class Shown
{
    /** @return string one line for each of the file's, so that what is found keeps its number */
    public static function of(string $file, string $source): string
    {
        if (str_ends_with($file, '.php') && ! str_ends_with($file, '.blade.php')) {
            return self::ofPhp($source);
        }

        return (string) preg_replace_callback(
            '~/\*.*?\*/|(?<![:"\'])//[^\n]*|\{\{--.*?--\}\}~s',
            static fn (array $comment): string => self::lines($comment[0]),
            $source,
        );
    }

    private static function ofPhp(string $source): string
    {
        $shown = '';
        foreach (token_get_all($source) as $token) {
            [$kind, $text] = is_array($token) ? $token : [0, ' '];
            $isText = in_array($kind, [T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_INLINE_HTML], true);
            $shown .= $isText ? $text : self::lines($text);
        }

        return $shown;
    }

    private static function lines(string $text): string
    {
        return str_repeat("\n", substr_count($text, "\n"));
    }
}
