<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Colour;

/**
 * The family of a colour: a base, and the neighbour it leans to. Six bases round the ring, each leaning to the one before,
 * true, or leaning to the next; browns, greys, white and black stand apart. Boundaries are OKLCh hue angles in degrees,
 * chosen so that bases sit where people name them; docs/model.md has the table.
 */
final readonly class Family
{
    /** Below this OKLCh chroma a grey has no lean that an eye beside it would name. */
    public const NEUTRAL_CHROMA = 0.01;

    /** Below this OKLCh chroma a colour is a grey. */
    private const GREY_CHROMA = 0.03;

    /** L* under which yellows darken into browns and olives, and the hue that parts the two. */
    private const OLIVE_BELOW = 58;

    private const BROWN_ENDS = 98;

    /** Where each of the 18 families begins, degrees; the first one began before 360. */
    private const RING = [
        [350, 'red', 'violet'],
        [10, 'red', null],
        [33, 'red', 'orange'],
        [42, 'orange', 'red'],
        [55, 'orange', null],
        [72, 'orange', 'yellow'],
        [84, 'yellow', 'orange'],
        [97, 'yellow', null],
        [112, 'yellow', 'green'],
        [120, 'green', 'yellow'],
        [138, 'green', null],
        [162, 'green', 'blue'],
        [200, 'blue', 'green'],
        [235, 'blue', null],
        [262, 'blue', 'violet'],
        [282, 'violet', 'blue'],
        [298, 'violet', null],
        [318, 'violet', 'red'],
    ];

    /** Small steps toward a neighbouring family: degrees of hue, and a factor on chroma; and how many of them are taken. */
    private const WAYS = [[2, 1.0], [-2, 1.0], [0, 0.9], [0, 1.1]];

    private const STEPS = 24;

    private function __construct(public string $base, public ?string $lean)
    {
    }

    public static function of(Lab $lab): self
    {
        $c = Oklch::ofLab($lab);
        $hue = $c->hueDegrees;
        // There is no dark yellow: below the middle values its hues are seen as brown or as olive, a green; in greys it is just a lean.
        $isOlive = $c->chroma >= self::GREY_CHROMA && $lab->l < self::OLIVE_BELOW && $hue >= self::BROWN_ENDS && $hue < 120;
        $onRing = self::onRing($isOlive ? 120 : $hue);

        return match (true) {
            $lab->l >= 92 && $c->chroma < self::GREY_CHROMA / 1.5 => new self(
                'white',
                $c->chroma < self::NEUTRAL_CHROMA ? null : $onRing->base,
            ),
            $lab->l < 18 && $c->chroma < self::GREY_CHROMA => new self('black', $c->chroma < self::NEUTRAL_CHROMA ? null : $onRing->base),
            $c->chroma < self::NEUTRAL_CHROMA => new self('grey', null),
            $c->chroma < self::GREY_CHROMA => new self('grey', $onRing->base),
            self::isBrown($lab, $c) => new self('brown', $hue < 50 ? 'red' : ($hue < 72 ? null : 'yellow')),
            default => $onRing,
        };
    }

    /** "yellow, leaning green", "warm grey, leaning yellow", "brown, leaning red", "blue". */
    public function words(): string
    {
        $name = $this->base;
        if ($this->base === 'grey') {
            $name = match (true) {
                $this->lean === null => 'neutral grey',
                $this->leansWarm() => 'warm grey',
                default => 'cool grey',
            };
        }

        return $this->lean === null ? $name : $name.', leaning '.$this->lean;
    }

    /**
     * The families that a colour lies nearest to besides its own: what it would be called with its hue turned a little either way, or a
     * little greyer or stronger.
     *
     * @return list<string> in words, the nearest first
     */
    public static function besides(Lab $lab): array
    {
        $own = self::of($lab)->words();
        $apart = [];
        foreach (self::WAYS as [$turn, $chroma]) {
            for ($n = 1; $n <= self::STEPS; $n++) {
                $there = $lab->turned($n * $turn, $chroma ** $n);
                $words = self::of($there)->words();
                if ($words !== $own) {
                    $apart[$words] = min($apart[$words] ?? INF, $lab->deltaE00($there));
                    break;
                }
            }
        }
        asort($apart);

        return array_slice(array_keys($apart), 0, 2);
    }

    /** 0–17, from the red that leans to violet round to the violet that leans to red; null for what stands apart from the ring. */
    public function ringPlace(): ?int
    {
        foreach (self::RING as $place => [, $base, $lean]) {
            if ($base === $this->base && $lean === $this->lean) {
                return $place;
            }
        }

        return null;
    }

    /** @return list<string> the 18 families of the ring in words */
    public static function ring(): array
    {
        return array_map(static fn (array $entry): string => (new self($entry[1], $entry[2]))->words(), self::RING);
    }

    /** Whether a grey, white or black leans to red, orange or yellow. */
    public function leansWarm(): bool
    {
        return in_array($this->lean, ['red', 'orange', 'yellow'], true);
    }

    public function isChromatic(): bool
    {
        return ! in_array($this->base, ['grey', 'white', 'black'], true);
    }

    /** The base one meets first when turning from a hue (OKLCh degrees) upward, or downward. */
    public static function neighbour(float $hueDegrees, bool $upward): string
    {
        $bases = ['red', 'orange', 'yellow', 'green', 'blue', 'violet'];
        $at = (int) array_search(self::onRing($hueDegrees)->base, $bases, true);

        return $bases[($at + ($upward ? 1 : 5)) % 6];
    }

    private static function onRing(float $hue): self
    {
        $found = self::RING[0];
        foreach (array_slice(self::RING, 1) as $entry) {
            if ($hue >= $entry[0] && $hue < 350) {
                $found = $entry;
            }
        }

        return new self($found[1], $found[2]);
    }

    /** Dark or dull oranges and their neighbours are seen as browns. */
    private static function isBrown(Lab $lab, Oklch $c): bool
    {
        return $c->hueDegrees >= 28 && $c->hueDegrees < self::BROWN_ENDS && $lab->l < 60 && $c->chroma < 0.035 + 0.0022 * (62 - $lab->l);
    }
}
