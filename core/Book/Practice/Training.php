<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Book\Practice;

use KnottyPrism\Core\Book\Practice\Drills\Skill;

/**
 * How hard the next question of a skill is, and which ones come back (docs/book.md, "Practice"): two right in a row make it harder, one
 * wrong easier; what was wrong comes back after ten minutes, then, each time it was right, after 1, 3, 7 and 21 days, and after that no
 * more.
 */
final readonly class Training
{
    private const IN_A_ROW = 2;

    /** Seconds until what was wrong is asked again, and then after every time that it was right. */
    public const COMES_BACK = [600, 86_400, 3 * 86_400, 7 * 86_400, 21 * 86_400];

    private const WEEK = 7 * 86_400;

    /** A curve needs so many answers before it says anything. */
    private const FEW = 5;

    /** @var list<Attempt> the earliest first */
    private array $attempts;

    /** @param  list<Attempt>  $attempts  in any order */
    public function __construct(array $attempts)
    {
        usort($attempts, static fn (Attempt $a, Attempt $b): int => $a->at <=> $b->at);
        $this->attempts = $attempts;
    }

    /** @return list<Attempt> */
    private function ofSkill(Skill $skill): array
    {
        return array_values(array_filter($this->attempts, static fn (Attempt $a): bool => $a->skill->value === $skill->value));
    }

    /** 1 the easiest, 5 the hardest. Questions that came back say nothing of it: they are asked as hard as they were. */
    public function difficulty(Skill $skill): int
    {
        $level = AskDrill::EASIEST;
        $row = 0;
        $asked = [];
        foreach ($this->ofSkill($skill) as $attempt) {
            if (isset($asked[$attempt->drill])) {
                continue;
            }
            $asked[$attempt->drill] = true;
            $row = $attempt->right ? $row + 1 : 0;
            if (! $attempt->right) {
                $level = max(AskDrill::EASIEST, $level - 1);
            } elseif ($row >= self::IN_A_ROW) {
                $level = min(AskDrill::HARDEST, $level + 1);
                $row = 0;
            }
        }

        return $level;
    }

    /** @return list<Attempt> how questions were answered last that are to come back, the one that has waited longest first */
    public function due(int $now): array
    {
        $waits = [];
        foreach ($this->attempts as $attempt) {
            $stage = $waits[$attempt->drill][1] ?? null;
            if (! $attempt->right) {
                $waits[$attempt->drill] = [$attempt, 0];
            } elseif ($stage !== null && $stage + 1 < count(self::COMES_BACK)) {
                $waits[$attempt->drill] = [$attempt, $stage + 1];
            } else {
                unset($waits[$attempt->drill]);
            }
        }
        $since = array_filter(
            array_map(static fn (array $w): int => $w[0]->at + self::COMES_BACK[$w[1]], $waits),
            static fn (int $at): bool => $at <= $now,
        );
        asort($since);

        return array_map(static fn (string $drill): Attempt => $waits[$drill][0], array_keys($since));
    }

    /** The skill whose turn it is: the one that was asked of the longest ago, the first of those never asked. */
    public function turn(Skill ...$among): Skill
    {
        $last = array_map(fn (Skill $s): int => max([-1, ...array_map(static fn (Attempt $a): int => $a->at, $this->ofSkill($s))]), $among);
        asort($last);

        return $among[array_key_first($last) ?? 0];
    }

    /** @return array<int, float> share that was right, 0–1, by the first second of each week in which there was any, the earliest first */
    public function weeks(Skill $skill): array
    {
        $weeks = [];
        foreach ($this->ofSkill($skill) as $attempt) {
            $weeks[intdiv($attempt->at, self::WEEK) * self::WEEK][] = $attempt->right ? 1.0 : 0.0;
        }

        return array_map(static fn (array $of): float => array_sum($of) / count($of), $weeks);
    }

    /** @return array{int, int} answers, and how many of them were right */
    public function counts(Skill $skill): array
    {
        $of = $this->ofSkill($skill);

        return [count($of), count(array_filter($of, static fn (Attempt $a): bool => $a->right))];
    }

    /** What to look at next: the skill that goes worst, once enough was asked to tell. */
    public function weakest(): ?Skill
    {
        $shares = [];
        foreach (Skill::cases() as $i => $skill) {
            $of = array_slice($this->ofSkill($skill), -4 * self::FEW);
            if (count($of) >= self::FEW) {
                $shares[$i] =
                    $this->difficulty($skill) +
                    array_sum(array_map(static fn (Attempt $a): float => $a->right ? 1.0 : 0.0, $of)) / count($of);
            }
        }
        asort($shares);

        return $shares === [] ? null : Skill::cases()[array_key_first($shares)];
    }
}
