<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** A figure outside the range that has a meaning. */
final class OutOfRange extends \DomainException implements CoreError
{
    public static function of(string $name, float $from, float $to, float $received, string $unit = ''): self
    {
        $unit = $unit === '' ? '' : ' '.$unit;

        return new self(
            sprintf(
                '%s must be between %s and %s%s; received %s.',
                ucfirst($name),
                self::figure($from),
                self::figure($to),
                $unit,
                self::figure($received),
            ),
        );
    }

    /** @throws self when the value is outside [from, to] or is not a number */
    public static function check(string $name, float $value, float $from, float $to, string $unit = ''): float
    {
        if (! ($value >= $from && $value <= $to)) {
            throw self::of($name, $from, $to, $value, $unit);
        }

        return $value;
    }

    private static function figure(float $value): string
    {
        return rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');
    }
}
