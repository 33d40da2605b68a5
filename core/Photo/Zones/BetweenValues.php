<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** Between which two shades of a value run a value lies, and how far along. */
final class BetweenValues
{
    /**
     * @param  list<float>  $values  L* of the shades, darkest first; at least one
     * @return array{int, int, float} places of the one below and the one above, and the share of the way, 0–1; beyond the ends the end
     *   alone
     */
    public static function of(array $values, float $level): array
    {
        $last = count($values) - 1;
        if ($level <= $values[0]) {
            return [0, 0, 0.0];
        }
        for ($i = 0; $i < $last; $i++) {
            if ($level < $values[$i + 1]) {
                return [$i, $i + 1, ($level - $values[$i]) / ($values[$i + 1] - $values[$i])];
            }
        }

        return [$last, $last, 0.0];
    }
}
