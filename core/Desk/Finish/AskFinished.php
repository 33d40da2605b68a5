<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Finish;

use KnottyPrism\Core\Photo\Zones\Importance;

/**
 * Whether a drawing is finished: zones to do, darks and lights against what the photo asks for, contrast and edges where it matters,
 * whites.
 */
final class AskFinished
{
    /** Of nine value steps: what an eye sees from where a drawing is seen. */
    private const STEP = 100.0 / 9;

    /** Value steps that a dark or a light may be short of. */
    private const SHORT = 0.7;

    /** Value steps by which zones that touch are told apart, and by which the photo must tell them apart. */
    private const EDGE = [0.5, 1.0];

    /** L* by which something of little matter may outdo what matters most. */
    private const OUTDONE = 6.0;

    /** Share of a zone that is worth being reminded of. */
    private const WHITE = 0.03;

    /**
     * @param  list<LaidZone>  $zones
     * @param  list<array{int, int}>  $touching  zones that share a border, by number
     * @return list<Finding> what is far off first
     */
    public static function of(array $zones, array $touching): array
    {
        $findings = [];
        foreach ($zones as $zone) {
            if ($zone->left > 0) {
                $findings[] = new Finding(
                    'unfinished',
                    $zone->number,
                    sprintf('“%s” has %d %s to come.', $zone->name, $zone->left, $zone->left === 1 ? 'pass' : 'passes'),
                    $zone->next,
                );
            } else {
                array_push($findings, ...self::values($zone));
            }
        }
        $findings = [...$findings, ...self::contrast($zones), ...self::edges($zones, $touching)];
        foreach ($zones as $zone) {
            if ($zone->white > self::WHITE && $zone->begun) {
                $findings[] = new Finding(
                    'white',
                    $zone->number,
                    sprintf('“%s” has kept whites: check that they are still clean.', $zone->name),
                    'Lift any colour with a kneaded eraser; the plan leaves them bare.',
                );
            }
        }

        return $findings;
    }

    /** How far it is, said plainly. */
    public static function howFar(float $doneMinutes, float $allMinutes): string
    {
        $share = $allMinutes > 0 ? $doneMinutes / $allMinutes : 0.0;

        return match (true) {
            $share <= 0 => 'Not started',
            $share < 0.18 => 'Just begun',
            $share < 0.3 => 'A quarter done',
            $share < 0.42 => 'A third done',
            $share < 0.58 => 'Halfway',
            $share < 0.72 => 'Two thirds done',
            $share < 0.88 => 'Three quarters done',
            $share < 1 => 'Nearly done',
            default => 'All passes done',
        };
    }

    /** @return list<Finding> */
    private static function values(LaidZone $zone): array
    {
        $findings = [];
        [$dark, $light] = [$zone->darkest(), $zone->lightest()];
        $short = $dark === null ? 0.0 : ($dark->now->l - $dark->target->l) / self::STEP;
        if ($dark !== null && $short > self::SHORT) {
            $findings[] = new Finding(
                'dark',
                $zone->number,
                sprintf('%s of “%s” is %s too light.', ucfirst($dark->called), $zone->name, self::steps($short)),
                'Go over it once more with its last dark pencil, firmly, only there.',
            );
        }
        $short = $light === null || $light === $dark ? 0.0 : ($light->target->l - $light->now->l) / self::STEP;
        if ($light !== null && $short > self::SHORT) {
            $findings[] = new Finding(
                'light',
                $zone->number,
                sprintf('%s of “%s” is %s too dark.', ucfirst($light->called), $zone->name, self::steps($short)),
                'Press a kneaded eraser on it and lift, twice at most.',
            );
        }

        return $findings;
    }

    /**
     * @param  list<LaidZone>  $zones
     * @return list<Finding>
     */
    private static function contrast(array $zones): array
    {
        $begun = array_filter($zones, static fn (LaidZone $z): bool => $z->begun && count($z->shades) > 1);
        $most = array_filter($begun, static fn (LaidZone $z): bool => $z->importance === Importance::Most && $z->left === 0);
        $little = array_filter($begun, static fn (LaidZone $z): bool => $z->importance === Importance::Little);
        $findings = [];
        foreach ($most as $zone) {
            foreach ($little as $other) {
                if ($other->contrast() > $zone->contrast() + self::OUTDONE) {
                    $findings[] = new Finding(
                        'contrast',
                        $other->number,
                        sprintf('“%s” has more contrast than “%s”, which matters most.', $other->name, $zone->name),
                        sprintf('Soften the darks of “%s” with a whisper of its base colour, or lift them once.', $other->name),
                    );
                    break;
                }
            }
        }

        return $findings;
    }

    /**
     * @param  list<LaidZone>  $zones
     * @param  list<array{int, int}>  $touching
     * @return list<Finding>
     */
    private static function edges(array $zones, array $touching): array
    {
        $byNumber = array_column(array_map(static fn (LaidZone $z): array => [$z->number, $z], $zones), 1, 0);
        $findings = [];
        foreach ($touching as [$a, $b]) {
            [$one, $other] = [$byNumber[$a] ?? null, $byNumber[$b] ?? null];
            if (
                $one === null ||
                $other === null ||
                $a >= $b ||
                $one->left + $other->left > 0 ||
                max($one->importance->weight(), $other->importance->weight()) < Importance::Most->weight()
            ) {
                continue;
            }
            [$wanted, $is] = [
                self::apart($one, $other, static fn (LaidShade $s): float => $s->target->l),
                self::apart($one, $other, static fn (LaidShade $s): float => $s->now->l),
            ];
            if (abs($wanted) > self::EDGE[1] && abs($is) < self::EDGE[0]) {
                $darker = $wanted < 0 ? $one : $other;
                $findings[] = new Finding(
                    'edge',
                    $darker->number,
                    sprintf('“%s” and “%s” run together where they meet.', $one->name, $other->name),
                    sprintf('Draw the edge of “%s” once more with a sharp point of its darkest pencil.', $darker->name),
                );
            }
        }

        return $findings;
    }

    /** @param  \Closure(LaidShade): float  $l */
    private static function apart(LaidZone $one, LaidZone $other, \Closure $l): float
    {
        $mean = static function (LaidZone $z) use ($l): float {
            $run = array_filter($z->shades, static fn (LaidShade $s): bool => ! $s->touch);

            return $run === [] ? 50.0 : array_sum(array_map($l, $run)) / count($run);
        };

        return ($mean($one) - $mean($other)) / self::STEP;
    }

    private static function steps(float $steps): string
    {
        $half = round($steps * 2) / 2;

        return match (true) {
            $half <= 0.5 => 'half a value step',
            $half <= 1.0 => 'a value step',
            default => sprintf('%s value steps', rtrim(rtrim(number_format($half, 1), '0'), '.')),
        };
    }
}
