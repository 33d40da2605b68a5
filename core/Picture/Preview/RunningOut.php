<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Swatches\Coat;

/**
 * What lies in the band where two zones grade into each other: the passes of both, light before dark, each pressed by its zone's share,
 * down to nothing. A hand goes by the eye there too: the band is to go evenly from the value of the one to that of the other, and half of
 * each would leave its middle too light or too dark. What lies is worked out at a few values and shares; between them it changes evenly.
 */
final class RunningOut
{
    /** L* from one value at which it is worked out to the next. */
    private const STEP = 16;

    /** Parts of the way from one zone to the other. */
    private const PARTS = 2;

    /** Powers of a share: between which a hand finds what keeps values even, and how often it looks. */
    private const POWERS = [0.0, 2.0];

    private const LOOKS = 4;

    private readonly LaidTones $byDay;

    /** Whether the one zone is the lighter, and laid first. */
    private readonly bool $lightFirst;

    /** @var array<int, array<int, Tone>> by value and part of the way */
    private array $laid = [];

    /** @param  array{int, int}  $passes  how many of each are laid */
    public function __construct(
        private readonly LaidTones $tones,
        Paper $paper,
        private readonly PressedRun $one,
        private readonly PressedRun $other,
        private readonly array $passes,
    ) {
        $this->lightFirst = $one->middle() >= $other->middle();
        $this->byDay = new LaidTones($paper, Illuminant::D65);
    }

    /** @param  float  $share  of the one zone, 0–1 */
    public function at(float $level, float $share): Tone
    {
        $low = intdiv((int) min(99.0, max(0.0, $level)), self::STEP);
        $part = min(self::PARTS - 1, (int) ($share * self::PARTS));
        [$up, $on] = [$level / self::STEP - $low, $share * self::PARTS - $part];
        $along = fn (int $value): Tone => $this->node($value, $part)->towards($this->node($value, $part + 1), $on);

        return $along($low)->towards($along($low + 1), $up);
    }

    private function node(int $value, int $part): Tone
    {
        return $this->laid[$value][$part] ??= $this->tones->laid(
            $this->coats(
                (float) ($value * self::STEP),
                $part / self::PARTS,
                $part === 0 || $part === self::PARTS ? 1.0 : $this->even($value, $part),
                ...$this->passes,
            ),
            PHP_INT_MAX,
        );
    }

    /** @return list<Coat|Finish|null> the passes of both, the lighter zone's first */
    private function coats(float $level, float $share, float $power, int $ofOne, int $ofOther): array
    {
        $one = PressedRun::runOut(array_slice(self::near($this->one, $level), 0, $ofOne), $share ** $power);
        $other = PressedRun::runOut(array_slice(self::near($this->other, $level), 0, $ofOther), (1 - $share) ** $power);

        return $this->lightFirst ? [...$one, ...$other] : [...$other, ...$one];
    }

    /** @return list<Coat|Finish|null> */
    private static function near(PressedRun $run, float $level): array
    {
        [$lowest, $highest] = $run->reach();
        $level = max((float) $lowest, min((float) $highest, $level));
        [$dark, $light, $share] = $run->around($level);

        return $run->coats($level) ??
            array_map(
                static fn ($s): Coat|Finish|null => $s === null || $s instanceof Finish ? $s : new Coat($s, 1.0),
                $share < 0.5 ? $dark->steps : $light->steps,
            );
    }

    /** The power of the shares at which it is here as light as it is to be on the way from the one zone to the other, when all is laid. */
    private function even(int $value, int $part): float
    {
        $lightness = fn (float $share, float $power): float => $this->byDay
            ->laid($this->coats((float) ($value * self::STEP), $share, $power, PHP_INT_MAX, PHP_INT_MAX), PHP_INT_MAX)
            ->lightness();
        $share = $part / self::PARTS;
        $wanted = (1 - $share) * $lightness(0.0, 1.0) + $share * $lightness(1.0, 1.0);
        [$low, $high] = self::POWERS;
        for ($look = 0; $look < self::LOOKS; $look++) {
            $middle = ($low + $high) / 2;
            // A higher power lays less of both.
            [$low, $high] = $lightness($share, $middle) > $wanted ? [$low, $middle] : [$middle, $high];
        }

        return ($low + $high) / 2;
    }
}
