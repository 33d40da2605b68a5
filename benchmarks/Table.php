<?php

declare(strict_types=1);

namespace Benchmarks;

/** Prints one measurement a line: median, 95th percentile, and what it is measured against. */
final class Table
{
    public static function head(string $title): void
    {
        printf("%-58s %12s %12s   %s\n", $title, 'median', 'p95', 'wanted');
        echo str_repeat('-', 110), "\n";
    }

    /** @param  array<int, float>  $values at least one */
    public static function row(string $name, array $values, string $unit, string $wanted = '', int $digits = 1): void
    {
        printf(
            "%-58s %12s %12s   %s\n",
            $name,
            self::figure(self::quantile($values, 0.5), $digits, $unit),
            self::figure(self::quantile($values, 0.95), $digits, $unit),
            $wanted,
        );
    }

    /** @param  array<int, float>  $values at least one */
    public static function quantile(array $values, float $share): float
    {
        sort($values);
        $at = $share * (count($values) - 1);
        $low = (int) floor($at);

        return $values[$low] + ($at - $low) * ($values[min($low + 1, count($values) - 1)] - $values[$low]);
    }

    /**
     * How long something takes, in seconds, each time it is done.
     *
     * @param  callable(int): mixed  $work
     * @return list<float>
     */
    public static function times(int $repeats, callable $work): array
    {
        $times = [];
        for ($i = 0; $i < max(1, $repeats); $i++) {
            $start = hrtime(true);
            $work($i);
            $times[] = (hrtime(true) - $start) / 1e9;
        }

        return $times;
    }

    private static function figure(float $value, int $digits, string $unit): string
    {
        return number_format($value, $digits, '.', '').' '.$unit;
    }
}
