<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Palette\PaletteGround;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Recipe\Method\Darks;
use KnottyPrism\Core\Recipe\Method\Lights;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** Chooses the pencils of a picture: which it may take, which it is mostly made of, and what every number of them would cost. */
final readonly class ChoosePalette
{
    private const CURVE = [3, 24];

    /** The base holds the fewest pencils whose cost is within this of what all would cost, ΔE00. */
    private const FLAT = 0.1;

    /** @param  Drawer  $hand  the pencils that may be used */
    public function __construct(
        private Drawer $hand,
        private Paper $paper,
        private PlanSettings $settings,
        private ?AtlasShelf $shelf = null,
    ) {
    }

    /**
     * @param  array<int, list<Shade>>  $byZone  see {@see ZoneShades::forPalette()}
     * @param  ?\Closure(int, int): void  $progress  told how far, of how much
     */
    public function for(array $byZone, ?\Closure $progress = null): PalettePart
    {
        $hand = $this->allowed();
        $ground = PaletteGround::for(
            $hand,
            $this->paper,
            array_merge(...array_values($byZone)),
            $this->kept($hand),
            $this->settings->mode,
            $this->shelf,
            $progress,
        );
        $keep = $ground->placesOf($this->settings->keep);
        $curve = $ground->search->curve(...self::CURVE);
        $most = $this->settings->mostPencils();
        $all = array_keys($ground->pencils);
        $chosen = $most === null || $most >= count($hand->pencils) ? null : $ground->search->best(max($most, count($keep)), $keep);
        $base = $chosen ?? $ground->search->best($this->flatFrom($curve, count($all)), $keep);
        $ids = static fn (array $places): array => Pencil::identifiers(
            array_map(static fn (int $p): Pencil => $ground->pencils[$p], array_values($places)),
        );

        return new PalettePart(
            $chosen === null ? Pencil::identifiers($this->hand->pencils) : $ids($chosen),
            $ids($base),
            $curve,
            $chosen === null
                ? []
                : self::suffering($byZone, $ground->clusterOf, $ground->search->costs->each($chosen), $ground->search->costs->each($all)),
        );
    }

    /** What the method never uses takes no place among few; where it would leave nothing, all are chosen from. */
    private function allowed(): Drawer
    {
        $method = $this->settings->methodOf(PlanSettings::WHOLE);
        $barred = array_filter($this->hand->pencils, function (Pencil $p) use ($method): bool {
            $character = Character::of($p);

            return ! in_array($p->id(), $this->settings->keep, true) &&
                (($method->of(Darks::class) === Darks::NeverBlack && $character->isBlack()) ||
                    ($method->of(Lights::class) === Lights::ReservePaper && $character->isWhite()));
        });
        $left = $this->hand->without(Pencil::identifiers(array_values($barred)));

        return $left->pencils === [] ? $this->hand : $left;
    }

    /** @return list<string> kept pencils that are available */
    private function kept(Drawer $hand): array
    {
        return array_values(array_intersect($this->settings->keep, Pencil::identifiers($hand->pencils)));
    }

    /** @param  array<int, float>  $curve */
    private function flatFrom(array $curve, int $all): int
    {
        $end = $curve === [] ? 0.0 : min($curve);
        foreach ($curve as $count => $cost) {
            if ($cost <= $end + self::FLAT) {
                return $count;
            }
        }

        return $all;
    }

    /**
     * @param  array<int, list<Shade>>  $byZone
     * @param  list<int>  $clusterOf
     * @param  list<float>  $with  ΔE00 of each cluster with the palette
     * @param  list<float>  $whole  and with all pencils
     * @return array<int, float>
     */
    private static function suffering(array $byZone, array $clusterOf, array $with, array $whole): array
    {
        $lost = [];
        $i = 0;
        foreach ($byZone as $zone => $shades) {
            $sum = $weight = 0.0;
            foreach ($shades as $shade) {
                $cluster = $clusterOf[$i++];
                $sum += $shade->weight * ($with[$cluster] - $whole[$cluster]);
                $weight += $shade->weight;
            }
            $lost[$zone] = $weight > 0 ? $sum / $weight : 0.0;
        }

        return $lost;
    }
}
