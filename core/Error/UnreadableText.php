<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** Text that should have been a colour, a stack, a name from a list. */
final class UnreadableText extends \DomainException implements CoreError
{
    public static function colour(string $text): self
    {
        return new self(sprintf('A colour is written #rrggbb, like #7f9c8d; received "%s".', self::shown($text)));
    }

    /** @param  list<string>  $finishes */
    public static function step(string $text, array $finishes): self
    {
        return new self(
            sprintf(
                'A step is a pencil and its pressure, like 114@0.35, or one of %s; received "%s".',
                implode(', ', $finishes),
                self::shown($text),
            ),
        );
    }

    /** @param  list<string>  $choices */
    public static function choice(string $name, array $choices, string $text): self
    {
        return new self(sprintf('%s is one of %s; received "%s".', ucfirst($name), implode(', ', $choices), self::shown($text)));
    }

    public static function of(string $what, string $how, string $text): self
    {
        return new self(sprintf('%s are %s; received "%s".', ucfirst($what), $how, self::shown($text)));
    }

    /** Foreign text made safe and short enough to quote in a message. */
    public static function shown(string $text): string
    {
        $clean = (string) preg_replace('/[^\P{C}]+/u', '?', mb_convert_encoding($text, 'UTF-8', 'UTF-8'));

        return mb_strlen($clean) > 40 ? mb_substr($clean, 0, 39).'…' : $clean;
    }
}
