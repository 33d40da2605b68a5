<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Stack;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;

/**
 * How much a stack's colour swings in an ordinary hand: the root-mean-square ΔE00 when pressure wanders by 0.08 and laydown
 * by 10 % (one standard deviation each, every pass on its own).
 *
 * A small crowd of hands stands for all hands: every hand errs in all passes at once, each time by nothing or by √1.5 deviations to
 * either side, in the pattern of an orthogonal array of strength two (C. R. Rao, 1947), so that any two errings meet in all nine ways
 * equally often. Nine hands serve two passes, 27 six. Erring in one pass at a time misses what two errings do to each other where
 * the tooth is nearly full; docs/model.md has the comparison.
 */
final class Steadiness
{
    public const PRESSURE_DEVIATION = 0.08;

    public const LAYDOWN_DEVIATION = 0.1;

    /** The least pressure at which a pencil marks at all. */
    private const LEAST_PRESSURE = 0.05;

    /** Nothing, up and down, equally often, have the variance of one deviation when a step is this many. */
    private const STEP = 1.224744871391589;

    /** @var array<int, list<list<int>>> crowds, by the number of errings each can make */
    private static array $crowds = [];

    public static function of(Stack $stack, Paper $paper): float
    {
        $hands = self::crowd(2 * count(array_filter($stack->steps, self::wanders(...))));
        // Hands that have erred alike so far share a sheet.
        $sheets = ['' => new Sheet($paper)];
        $past = array_fill(0, count($hands), '');
        $erring = 0;
        foreach ($stack->steps as $step) {
            if ($step instanceof Pass && self::wanders($step)) {
                $sheets = self::wander($step, $hands, $erring, $sheets, $past);
                $erring += 2;
            } else {
                array_walk($sheets, static fn (Sheet $sheet) => Stack::apply($step, $sheet));
            }
        }
        $seen = array_map(static fn (Sheet $sheet): Lab => Lab::ofReflectance($sheet->meanReflectance()), $sheets);
        $intended = $seen[$past[0]];

        return sqrt(
            array_sum(array_map(static fn (string $errings): float => $intended->deltaE00($seen[$errings]) ** 2, $past)) / count($hands),
        );
    }

    private static function wanders(Pass|Finish $step): bool
    {
        return $step instanceof Pass && ! $step->pencil->isBlender();
    }

    /**
     * @param  list<list<int>>  $hands  errings of each hand, in steps
     * @param  int  $erring  which of them is this pass's pressure; the next is its laydown
     * @param  array<string, Sheet>  $sheets  by the errings up to now
     * @param  array<int, string>  $past  the errings of each hand up to now; this pass's are added
     * @return array<string, Sheet>
     */
    private static function wander(Pass $pass, array $hands, int $erring, array $sheets, array &$past): array
    {
        $spread = $sheets[$past[0]]->paper->hand->spread * self::STEP;
        $laid = [];
        foreach ($hands as $i => $hand) {
            $before = $past[$i];
            $past[$i] = "$before $hand[$erring] {$hand[$erring + 1]}";
            if (! isset($laid[$past[$i]])) {
                $pressure = $pass->pressure + self::PRESSURE_DEVIATION * $spread * $hand[$erring];
                $laid[$past[$i]] = $sheet = clone $sheets[$before];
                Stack::apply(
                    new Pass($pass->pencil, max(self::LEAST_PRESSURE, min(1.0, $pressure))),
                    $sheet,
                    1 + self::LAYDOWN_DEVIATION * $spread * $hand[$erring + 1],
                );
            }
        }

        return $laid;
    }

    /**
     * The smallest linear orthogonal array over three levels with so many columns: a run for every vector of GF(3)ᵏ, a column for every
     * line through its origin. The first hand does not err at all.
     *
     * @return list<list<int>> each -1, 0 or 1
     */
    private static function crowd(int $errings): array
    {
        $k = 1;
        while ((3 ** $k - 1) / 2 < $errings) {
            $k++;
        }
        if (! isset(self::$crowds[$k])) {
            $digits = static fn (int $number): array => array_map(
                intval(...),
                array_reverse(str_split(str_pad(base_convert((string) $number, 10, 3), $k, '0', STR_PAD_LEFT))),
            );
            $vectors = array_map($digits, range(0, 3 ** $k - 1));
            // Of a line's two directions, the one whose first component that is not nothing is one.
            $lines = array_values(array_filter($vectors, static fn (array $v): bool => (array_values(array_filter($v))[0] ?? 0) === 1));
            $dot = static fn (array $a, array $b): int => array_sum(array_map(static fn (int $x, int $y): int => $x * $y, $a, $b));
            self::$crowds[$k] = array_map(
                static fn (array $run): array => array_map(static fn (array $line): int => [0, 1, -1][$dot($run, $line) % 3], $lines),
                $vectors,
            );
        }

        return self::$crowds[$k];
    }
}
