<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Study;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Reading\ToneFit;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Photo\Zones\ZoneReading;
use KnottyPrism\Core\Photo\Zones\ZoneSheet;
use KnottyPrism\Core\Picture\Decisions\PlanSheet;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\ZoneShades;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** All that the plan of a study's picture stands on, read once; and the keys of what follows from it. */
final readonly class PlanGround
{
    /**
     * @param  array<int, ZoneReading>  $readings  by zone number, the largest first
     * @param  array<int, non-empty-list<Shade>>  $shades  by zone number, see {@see ZoneShades}
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
        public array $shades,
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

        return $this->key(
            'palette',
            $s->mode->value,
            $s->mostPencils(),
            $s->keep,
            $s->without,
            array_map(
                static fn (int $zone, array $shades): array => [$zone, array_map(self::named(...), $shades)],
                array_keys($this->forPalette()),
                $this->forPalette(),
            ),
        );
    }

    /** @return array<int, list<Shade>> by zone number, see {@see ZoneShades::forPalette()} */
    public function forPalette(): array
    {
        $for = [];
        foreach ($this->shades as $zone => $shades) {
            $for[$zone] = ZoneShades::forPalette($shades, $this->readings[$zone]->zone);
        }

        return $for;
    }

    /** @throws ImpossibleChange when the zone has no such shade any more */
    public function hasShade(int $zone, string $name): void
    {
        if (! in_array($name, array_map(static fn (Shade $s): string => $s->name, $this->shades[$zone] ?? []), true)) {
            throw ImpossibleChange::unknown('shade of a zone');
        }
    }

    /**
     * What a zone's sequence follows from, in the words in which its change is told.
     *
     * @return array<string, string>
     */
    public function basis(int $zone, PalettePart $palette): array
    {
        $s = $this->sheet->settings;

        return [
            'its colours' => implode(
                ';',
                array_map(static fn (Shade $w): string => $w->name.implode(',', self::rounded($w)), $this->shades[$zone]),
            ),
            'the method' => implode(',', $s->methodOf($zone)->settings()).$s->mode->value,
            'its surface' => (string) $this->readings[$zone]->zone->surface->grainCounts(),
            'the paper' => $this->paper->name,
            'your hand' => $this->paper->hand->isEven() ? '' : $this->paper->hand->fingerprint(),
            'the pencils' => md5(implode(',', $palette->hand)),
            'the main pencils of the picture' => md5(implode(',', $palette->base)),
            'the drawer' => $this->fingerprint,
        ];
    }

    public function zoneKey(int $zone, PalettePart $palette): string
    {
        $s = $this->sheet->settings;

        return $this->key(
            'zone',
            $s->mode->value,
            $s->methodOf($zone)->settings(),
            $palette->hand,
            $palette->base,
            array_map(self::named(...), $this->shades[$zone]),
        );
    }

    /**
     * Not of the build: what was planned for a drawing stays hers when the application is brought up to date; how it is judged is worked
     * out again.
     */
    private function key(mixed ...$parts): string
    {
        return md5(json_encode([$this->fingerprint, $this->paper->key(), ...$parts], JSON_THROW_ON_ERROR));
    }

    /** @return array<mixed> all of a shade that a plan follows from */
    private static function named(Shade $s): array
    {
        return [$s->name, ...self::rounded($s), round($s->weight, 4), $s->grainCounts];
    }

    /** @return list<float> */
    private static function rounded(Shade $shade): array
    {
        return array_map(static fn (float $v): float => round($v, 2), $shade->target->toArray());
    }
}
