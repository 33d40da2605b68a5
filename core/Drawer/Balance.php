<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Medium\Pencil\Binder;

/**
 * Whether a drawer has what pictures need: a light and a dark of every family, browns of each lean, warm and cool greys, an opaque white
 * and a black; and what is there twice, or too often.
 */
final readonly class Balance
{
    private const BASES = ['red', 'orange', 'yellow', 'green', 'blue', 'violet'];

    /** L* from which a family has a light, and below which a dark; there is no dark yellow and no dark orange that would not be a brown. */
    private const LIGHT_FROM = 66.0;

    private const DARK_BELOW = 46.0;

    private const WITHOUT_DARK = ['yellow', 'orange'];

    /** Heavy swatches nearer than this, ΔE00, are told apart only side by side. */
    private const JUST_VISIBLE = 2.0;

    /** A base with more than this share of the pencils on the ring is crowded. */
    private const CROWDED = 0.3;

    private const CROWD = 5;

    /** How many pencils can be learnt, and from how few on every picture meets a gap. */
    private const LEARNABLE = [24, 60];

    /** @var list<string> in words */
    public array $missing;

    /** @var list<array{Portrait, Portrait, float}> pairs, and ΔE00 between them; the nearest first */
    public array $twins;

    /** @var list<string> bases with more pencils than they need */
    public array $crowded;

    /** @var array<string, int> pencils of each base family */
    public array $counts;

    /** @var array<string, list<string>> which they are, by their identifiers, in the order of the portraits */
    public array $families;

    /** @param  list<Portrait>  $portraits */
    public function __construct(array $portraits)
    {
        $colours = array_values(array_filter($portraits, static fn (Portrait $p): bool => ! $p->pencil->isBlender()));
        $families = array_fill_keys([...self::BASES, 'brown', 'grey', 'white', 'black'], []);
        foreach ($colours as $p) {
            $families[$p->reading->family->base][] = $p->pencil->id();
        }
        $this->families = $families;
        $this->counts = $counts = array_map(count(...), $families);
        $this->missing = self::missing($colours);
        $this->twins = self::twins($colours);
        $ring = array_sum(array_intersect_key($counts, array_flip(self::BASES)));
        $this->crowded = array_values(
            array_filter(
                self::BASES,
                static fn (string $base): bool => $counts[$base] > self::CROWD && $counts[$base] > self::CROWDED * $ring,
            ),
        );
    }

    /** "24 pencils: enough for any picture, and few enough to know each." */
    public function words(): string
    {
        $n = array_sum($this->counts);

        return sprintf(
            '%d pencils: %s',
            $n,
            match (true) {
                $n < self::LEARNABLE[0] => 'few; many colours will need three or four passes.',
                $n <= self::LEARNABLE[1] => 'enough for most pictures, and few enough to know each.',
                default => 'more than anyone can memorise; order and search help.',
            },
        );
    }

    /** Twins in wax and oil are no waste: one lies where the other refuses */
    public static function isWaxOilTwin(Portrait $one, Portrait $other): bool
    {
        $binders = [$one->pencil->record->binder, $other->pencil->record->binder];

        return in_array(Binder::Wax, $binders, true) && in_array(Binder::Oil, $binders, true);
    }

    /**
     * @param  list<Portrait>  $portraits
     * @return list<string>
     */
    private static function missing(array $portraits): array
    {
        $has = static function (\Closure $is) use ($portraits): bool {
            foreach ($portraits as $p) {
                if ($is($p)) {
                    return true;
                }
            }

            return false;
        };
        $missing = [];
        foreach (self::BASES as $base) {
            if (! $has(static fn (Portrait $p): bool => $p->reading->family->base === $base && $p->heavy->l >= self::LIGHT_FROM)) {
                $missing[] = "a light $base";
            }
            if (
                ! in_array($base, self::WITHOUT_DARK, true) &&
                ! $has(static fn (Portrait $p): bool => $p->reading->family->base === $base && $p->heavy->l < self::DARK_BELOW)
            ) {
                $missing[] = "a dark $base";
            }
        }
        foreach (['red' => 'a brown leaning red', '' => 'a true brown', 'yellow' => 'a brown leaning yellow'] as $lean => $words) {
            if (
                ! $has(
                    static fn (Portrait $p): bool => $p->reading->family->base === 'brown' && (string) $p->reading->family->lean === $lean,
                )
            ) {
                $missing[] = $words;
            }
        }
        foreach (['a warm grey' => true, 'a cool grey' => false] as $words => $warm) {
            if (
                ! $has(
                    static fn (Portrait $p): bool => $p->reading->family->base === 'grey' &&
                        $p->reading->family->lean !== null &&
                        $p->reading->family->leansWarm() === $warm,
                )
            ) {
                $missing[] = $words;
            }
        }
        if (! $has(static fn (Portrait $p): bool => $p->reading->family->base === 'white' && $p->pencil->scattering >= 0.6)) {
            $missing[] = 'an opaque white';
        }
        if (! $has(static fn (Portrait $p): bool => $p->reading->family->base === 'black')) {
            $missing[] = 'a black';
        }

        return $missing;
    }

    /**
     * @param  list<Portrait>  $portraits
     * @return list<array{Portrait, Portrait, float}>
     */
    private static function twins(array $portraits): array
    {
        $twins = [];
        foreach ($portraits as $i => $one) {
            for ($j = 0; $j < $i; $j++) {
                // Colours cannot be nearer than their values are.
                if (
                    abs($one->heavy->l - $portraits[$j]->heavy->l) < 3 * self::JUST_VISIBLE &&
                    ($apart = $one->heavy->deltaE00($portraits[$j]->heavy)) < self::JUST_VISIBLE
                ) {
                    $twins[] = [$portraits[$j], $one, $apart];
                }
            }
        }
        usort($twins, static fn (array $a, array $b): int => $a[2] <=> $b[2]);

        return $twins;
    }
}
