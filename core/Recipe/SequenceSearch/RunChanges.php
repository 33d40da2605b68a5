<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * The small changes of a run that are tried: a pressure, another pencil, a pass more, less or elsewhere. What keeps the craft is asked of
 * each after.
 */
final class RunChanges
{
    /** Other pencils tried in place of a pass's. */
    private const ALIKE = 4;

    /** A run of so many passes is pressed again as a whole. */
    private const PRESSED_WHOLE = 3;

    /** Pressures in the lightest and the darkest shade of one more pass, 0 for left out; those between grow evenly. */
    private const GROWTHS = [
        [Craft::WHISPER, Craft::WHISPER],
        [Craft::LIGHT, Craft::LIGHT],
        [Craft::MEDIUM, Craft::MEDIUM],
        [Craft::WHISPER, Craft::MEDIUM],
        [0, Craft::LIGHT],
        [0, Craft::MEDIUM],
        [0, Craft::FIRM],
    ];

    /** @var array<int, list<int>> by pencil */
    private array $alike = [];

    public function __construct(private readonly Ground $ground)
    {
    }

    /** @return iterable<Run> with any pencil as one more pass: even, growing over the run, or from the middle values down */
    public function oneMore(Run $run): iterable
    {
        $last = max(1, count($this->ground->craft->worked) - 1);
        foreach (self::GROWTHS as [$from, $to]) {
            $pressures = array_fill(0, count($this->ground->aims), 0);
            foreach ($this->ground->craft->worked as $i => $shade) {
                $pressures[$shade] = (int) round($from + (($to - $from) * $i) / $last);
            }
            if (array_sum($pressures) === 0) {
                // A single shade has no middle to begin from.
                continue;
            }
            foreach (array_keys($this->ground->book->moves->pencils) as $pencil) {
                for ($at = 0; $at <= $run->length(); $at++) {
                    yield $run->inserted($at, $pencil, array_values($pressures));
                }
            }
        }
    }

    /**
     * @return iterable<array{Run, list<int>}> the same pencils, another in every place, one less, one more, two in each other's place; and
     *   which passes to press again
     */
    public function orders(Run $run): iterable
    {
        $n = $run->length();
        $none = array_fill(0, count($this->ground->aims), 0);
        for ($at = 0; $at <= $n; $at++) {
            if ($at < $n) {
                yield [$run, self::around($at, $n)];
            }
            foreach (array_keys($this->ground->book->moves->pencils) as $pencil) {
                if ($at < $n && $pencil !== $run->pencils[$at]) {
                    yield [$run->exchanged($at, $pencil, $run->pressures[$at]), self::around($at, $n)];
                }
                if ($n < min(self::PRESSED_WHOLE, $this->ground->mostPasses)) {
                    yield [$run->inserted($at, $pencil, $none), self::around($at, $n + 1)];
                }
            }
            if ($at < $n && $n > 1) {
                yield [$run->without($at), self::around(min($at, $n - 2), $n - 1)];
            }
            if ($at < $n - 1) {
                yield [$run->swapped($at), self::around($at, $n)];
            }
        }
    }

    /** @return list<int> all passes of a short run; of a longer one that at a place and the next */
    private static function around(int $at, int $length): array
    {
        return $length <= self::PRESSED_WHOLE ? range(0, $length - 1) : [min($at, $length - 2), min($at, $length - 2) + 1];
    }

    /** @return iterable<Run> one pass graded otherwise: one or more of its pressures a step up or down */
    public function regraded(Run $run): iterable
    {
        foreach ($run->pencils as $at => $pencil) {
            foreach (Patterns::over(count($this->ground->aims), $this->ground->craft->worked) as $pressures) {
                $far = max(0, ...array_map(static fn (int $a, int $b): int => abs($a - $b), $pressures, $run->pressures[$at]));
                if ($far === 1) {
                    yield $run->exchanged($at, $pencil, $pressures);
                }
            }
        }
    }

    /** @return iterable<Run> one pass with another pencil: one like it, or one that the run has already */
    public function exchanged(Run $run): iterable
    {
        foreach ($run->pencils as $at => $pencil) {
            foreach (array_unique([...$this->alike($pencil), ...$run->pencils]) as $other) {
                if ($other !== $pencil) {
                    yield $run->exchanged($at, $other, $run->pressures[$at]);
                }
            }
        }
    }

    /** @return iterable<Run> one pass left out, moved, or laid once more in a light hand */
    public function moved(Run $run): iterable
    {
        $n = $run->length();
        for ($at = 0; $at < $n; $at++) {
            yield $run->without($at);
            if ($at < $n - 1) {
                yield $run->swapped($at);
            }
        }
        $light = array_fill(0, count($this->ground->aims), 0);
        foreach ($this->ground->craft->worked as $shade) {
            $light[$shade] = Craft::LIGHT;
        }
        foreach (array_unique($run->pencils) as $pencil) {
            for ($at = 0; $at <= $n; $at++) {
                yield $run->inserted($at, $pencil, array_values($light));
                yield $run->inserted(
                    $at,
                    $pencil,
                    array_values(array_map(static fn (int $m): int => $m > 0 ? Craft::WHISPER : 0, $light)),
                );
            }
        }
    }

    /** @return list<int> pencils that change a bare paper most like this one */
    private function alike(int $pencil): array
    {
        if (isset($this->alike[$pencil])) {
            return $this->alike[$pencil];
        }
        $of = fn (int $p): array => $this->ground->book->onto($this->ground->book->bare, $p * Moves::PRESSURES + Craft::MEDIUM - 1)->look
            ->logs;
        $own = $of($pencil);
        $apart = [];
        foreach (array_keys($this->ground->book->moves->pencils) as $other) {
            if ($other !== $pencil) {
                $apart[$other] = array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $own, $of($other)));
            }
        }
        asort($apart);

        return $this->alike[$pencil] = array_slice(array_keys($apart), 0, self::ALIKE);
    }
}
