<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Study;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\Wish;

/** All that the plan of a study's picture stands on, read once; and the keys of what follows from it. */
final readonly class PlanGround
{
    /**
     * @param  array<int, ZoneReading>  $readings  by zone number, the largest first
     * @param  list<Wish>  $wishes  zone by zone, the mid of each first
     * @param  Drawer  $shelf  all known pencils, owned or not
     * @param  string  $fingerprint  of the owned ones
     * @param  \Closure(): PixelGrid  $readGrid
     * @param  \Closure(PixelGrid): string  $readWhites
     */
    public function __construct(
        public Study $study,
        public PlanSheet $sheet,
        public ZoneSheet $zones,
        public array $readings,
        public ToneFit $tone,
        public array $wishes,
        public Drawer $shelf,
        public Paper $paper,
        private string $fingerprint,
        private \Closure $readGrid,
        private \Closure $readWhites,
    ) {
    }

    /** The photo at the size of the zones; read only where pixels matter. */
    public function grid(): PixelGrid
    {
        return ($this->readGrid)();
    }

    /** A byte for every pixel of the zones, 1 where the paper is kept white. */
    public function whites(): string
    {
        return ($this->readWhites)($this->grid());
    }

    /** The zones as the core maps them. */
    public function map(): ZoneMap
    {
        return new ZoneMap($this->zones->labels, array_map(static fn (ZoneReading $r): Zone => $r->zone, $this->readings));
    }

    public function paletteKey(): string
    {
        $s = $this->sheet->settings;

        return $this->key('palette', $s->mode->value, $s->mostPencils(), $s->keep, $s->without, array_map(static fn (Wish $w): array => [$w->zone, ...self::rounded($w), round($w->weight, 4), $w->surfaceCounts], $this->wishes));
    }

    /**
     * A zone's colours in the order of its sequence.
     *
     * @return list<non-empty-list<Wish>> zone by zone
     */
    public function byZone(): array
    {
        $byZone = [];
        foreach ($this->wishes as $wish) {
            $byZone[$wish->zone][] = $wish;
        }

        return array_values(array_map(PlannedZone::inOrder(...), $byZone));
    }

    /**
     * What a zone's sequence follows from, in the words in which its change is told.
     *
     * @param  non-empty-list<Wish>  $wishes
     * @return array<string, string>
     */
    public function basis(array $wishes, PalettePart $palette): array
    {
        $s = $this->sheet->settings;

        return [
            'its colours' => implode(';', array_map(static fn (Wish $w): string => $w->role->value.implode(',', self::rounded($w)), $wishes)), 'the way of working' => implode(',', $s->schoolOf($wishes[0]->zone)->settings()).$s->mode->value, 'its surface' => (string) $wishes[0]->surfaceCounts, 'the paper' => $this->paper->name, 'your hand' => $this->paper->hand->isEven() ? '' : $this->paper->hand->fingerprint(),
            'the pencils' => md5(implode(',', $palette->hand)), 'the main pencils of the picture' => md5(implode(',', $palette->base)), 'the drawer' => $this->fingerprint,
        ];
    }

    /** @param  non-empty-list<Wish>  $wishes  of the zone */
    public function zoneKey(array $wishes, PalettePart $palette): string
    {
        $s = $this->sheet->settings;

        return $this->key('zone', $s->mode->value, $s->schoolOf($wishes[0]->zone)->settings(), $palette->hand, $palette->base, array_map(static fn (Wish $w): array => [$w->role->value, ...self::rounded($w), round($w->weight, 4), $w->grainCounts], $wishes));
    }

    /** Not of the build: what was planned for a drawing stays hers when the application is brought up to date; how it is judged is worked out anew. */
    private function key(mixed ...$parts): string
    {
        return md5(json_encode([$this->fingerprint, $this->paper->key(), ...$parts], JSON_THROW_ON_ERROR));
    }

    /** @return list<float> */
    private static function rounded(Wish $wish): array
    {
        return array_map(static fn (float $v): float => round($v, 2), $wish->fitted->toArray());
    }
}
