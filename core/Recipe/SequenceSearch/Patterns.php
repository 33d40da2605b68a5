<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

/** How one pass may be graded over a value run: its pressures only rise or only fall from the lightest shade to the darkest. */
final class Patterns
{
    /** @var array<string, list<list<int>>> */
    private static array $known = [];

    /**
     * All gradings of a run.
     *
     * @param  int  $shades  of the run
     * @param  list<int>  $worked  those that are not left bare
     * @return list<list<int>> pressures by shade, 0 where left out
     */
    public static function over(int $shades, array $worked): array
    {
        return self::$known[$shades.'/'.implode(',', $worked)] ??= self::all($shades, $worked);
    }

    /**
     * Rule 3: rises or falls, and what the darker shades do without, lighter ones get only as a last accent of the lightest.
     *
     * @param  list<int>  $pressures
     * @param  list<int>  $worked
     */
    public static function isGraded(array $pressures, array $worked): bool
    {
        $own = array_map(static fn (int $shade): int => $pressures[$shade], $worked);
        if (array_sum($own) !== array_sum($pressures) || array_sum($own) === 0) {
            return false;
        }
        $rising = $own;
        sort($rising);
        if ($own === $rising) {
            return true;
        }
        $covered = count(array_filter($own));

        return $own === array_reverse($rising) && ($covered === count($own) || ($covered === 1 && $own[0] > 0));
    }

    /**
     * @param  list<int>  $worked
     * @return list<list<int>>
     */
    private static function all(int $shades, array $worked): array
    {
        $patterns = [array_fill(0, $shades, 0)];
        foreach ($worked as $shade) {
            $longer = [];
            foreach ($patterns as $pattern) {
                for ($pressure = 0; $pressure <= Craft::FULL; $pressure++) {
                    $longer[] = array_replace($pattern, [$shade => $pressure]);
                }
            }
            $patterns = $longer;
        }

        return array_values(
            array_map(
                array_values(...),
                array_filter($patterns, static fn (array $pressures): bool => self::isGraded(array_values($pressures), $worked)),
            ),
        );
    }
}
