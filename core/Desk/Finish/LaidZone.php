<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Finish;

use KnottyPrism\Core\Photo\Zones\Importance;

/** A zone as it lies by now. */
final readonly class LaidZone
{
    /**
     * @param  list<LaidShade>  $shades
     * @param  int  $left  passes to come
     * @param  string  $next  the one of them that is next, in words; empty where none is
     * @param  float  $white  share of it that is kept white
     * @param  bool  $begun  whether anything lies there
     */
    public function __construct(
        public int $number,
        public string $name,
        public array $shades,
        public int $left,
        public string $next,
        public Importance $importance = Importance::Ordinary,
        public float $white = 0.0,
        public bool $begun = true,
    ) {
    }

    public function darkest(): ?LaidShade
    {
        return $this->of(static fn (LaidShade $a, LaidShade $b): bool => $a->target->l < $b->target->l);
    }

    public function lightest(): ?LaidShade
    {
        return $this->of(static fn (LaidShade $a, LaidShade $b): bool => $a->target->l > $b->target->l);
    }

    /** L* between its lightest and its darkest as they lie. */
    public function contrast(): float
    {
        $l = array_map(static fn (LaidShade $s): float => $s->now->l, $this->shades);

        return $l === [] ? 0.0 : max($l) - min($l);
    }

    /** @param  \Closure(LaidShade, LaidShade): bool  $before */
    private function of(\Closure $before): ?LaidShade
    {
        $run = array_values(array_filter($this->shades, static fn (LaidShade $s): bool => ! $s->touch));

        return array_reduce(
            $run,
            static fn (?LaidShade $best, LaidShade $s): LaidShade => $best === null || $before($s, $best) ? $s : $best,
        );
    }
}
