<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer\Stock;

use KnottyPrism\Core\Error\UnreadableText;

/** Numbers as one writes them on a list: "601–624, 630, F02-F12". */
final readonly class NumberRange
{
    /** @param  list<array{string, int, int}>  $ranges  letters before the figures, first and last figure */
    private function __construct(private array $ranges)
    {
    }

    /** @throws UnreadableText */
    public static function of(string $text): self
    {
        $ranges = [];
        foreach (preg_split('/[,;\s]+/', trim((string) preg_replace('/\s*(?:-|–|to)\s*/u', '-', $text))) ?: [] as $part) {
            $ends = explode('-', $part);
            $from = self::split($ends[0]);
            $to = self::split($ends[1] ?? $ends[0]);
            if (count($ends) > 2 || $from === null || $to === null || ! self::isOneRun($from, $to)) {
                throw UnreadableText::of('numbers', 'written like 601-624, 630', $part);
            }
            $ranges[] = [$from[0], $from[1], $to[1]];
        }

        return new self($ranges);
    }

    /**
     * "F02-12" means F02 to F12.
     *
     * @param  array{string, int}  $from
     * @param  array{string, int}  $to
     */
    private static function isOneRun(array $from, array $to): bool
    {
        return in_array($to[0], ['', $from[0]], true) && $to[1] >= $from[1];
    }

    public function holds(string $number): bool
    {
        $split = self::split($number);
        if ($split === null) {
            return false;
        }
        foreach ($this->ranges as [$letters, $from, $to]) {
            if ($split[0] === $letters && $split[1] >= $from && $split[1] <= $to) {
                return true;
            }
        }

        return false;
    }

    /** @return array{string, int}|null letters before the figures, and the figures */
    private static function split(string $number): ?array
    {
        return preg_match('/^(\D*)(\d{1,9})$/u', mb_strtolower(trim($number)), $m) === 1 ? [$m[1], (int) $m[2]] : null;
    }
}
