<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Drawer\Purchase;
use KnottyPrism\Core\Error\MethodRefuses;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Pixels\PixelGrid;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Photo\Zones\ZoneMap;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Picture\Palette\MadeArea;
use KnottyPrism\Core\Picture\Palette\PalettePart;
use KnottyPrism\Core\Picture\Palette\Purchases;
use KnottyPrism\Core\Recipe\FindSequences;
use KnottyPrism\Core\Recipe\Kits;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Remedies\Remedies;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/**
 * Plans a picture, whole or part by part: first its palette, then each zone on its own. A zone's sequence follows from its colours, its
 * method and the palette, and from nothing else: a change plans again only what it touches, and command line and page come to the same
 * plan.
 */
final class PlanPicture
{
    /** ΔE00 that a zone may lose rather than take up a pencil that the base of the picture does without. */
    private const NEW_IN_PICTURE = 0.12;

    /** Of the best purchases. */
    private const PURCHASES = 3;

    /** @var array<string, FindSequences> by method and hand */
    private array $finders = [];

    /** @param  int  $mostPasses  of a zone's value run */
    public function __construct(
        private readonly Drawer $drawer,
        private readonly Paper $paper,
        private readonly PlanSettings $settings = new PlanSettings(),
        private readonly AtlasShelf $shelf = new MemoryShelf(),
        private readonly int $mostPasses = FindSequences::MOST_PASSES,
        private readonly ?Kits $kits = null,
    ) {
    }

    /**
     * All of it, one part after the other; zones are numbered as the map has them.
     *
     * @param  ?\Closure(string, int, int): void  $progress  told what is done, how far, of how much
     *
     * @throws OutOfRange when no pencil is left, or more than can be searched
     */
    public function whole(PixelGrid $grid, ZoneMap $map, ?\Closure $progress = null): PlannedPicture
    {
        $this->hand();
        $tone = ReachableTone::fit($this->drawer->usable()->pencils, $this->paper, $grid->l);
        $byZone = array_map(
            fn (Zone $zone, int $number): array => ZoneShades::of($zone, 1.0, $this->settings->methodOf($number), $tone->fitted(...)),
            $map->zones,
            array_keys($map->zones),
        );
        $byZone = array_combine(array_keys($map->zones), $byZone);
        $tell = $progress ?? static fn (): null => null;
        $palette = $this->palette(
            array_combine(array_keys($byZone), array_map(ZoneShades::forPalette(...), $byZone, $map->zones)),
            static fn (int $done, int $of) => $tell('palette', $done, $of),
        );
        $zones = [];
        foreach ($byZone as $number => $shades) {
            $tell('sequences', count($zones), count($map->zones));
            $answer = $this->sequences($number, $shades, $palette, 1)[0];
            $zones[$number] = new Recipe(
                $answer,
                array_map(fn (Warning $w): Warning => $this->tried($w, [$number => $answer], $palette), Warnings::in($answer)),
            );
        }
        $tell('sequences', count($zones), count($zones));
        $answers = array_map(static fn (Recipe $r): SequenceAnswer => $r->answer, $zones);
        $between = array_map(fn (Warning $w): Warning => $this->tried($w, $answers, $palette), ZoneWarnings::in($map, $answers));

        return new PlannedPicture($this->paper, $map, $tone, $zones, $palette->curve, $between, $this->purchases($answers));
    }

    /**
     * The pencils that may be used.
     *
     * @throws OutOfRange when none is left, or more than can be searched
     */
    public function hand(): Drawer
    {
        $hand = $this->drawer->usable()->without($this->settings->without);
        OutOfRange::check('the number of pencils that may be used', count($hand->pencils), 1, 1000);

        return $hand;
    }

    /**
     * @param  array<int, list<Shade>>  $byZone  see {@see ZoneShades::forPalette()}
     * @param  ?\Closure(int, int): void  $progress  told how far, of how much
     *
     * @throws OutOfRange when no pencil is left
     */
    public function palette(array $byZone, ?\Closure $progress = null): PalettePart
    {
        return (new ChoosePalette($this->hand(), $this->paper, $this->settings, $this->shelf))->for($byZone, $progress);
    }

    /**
     * The sequences in which a zone may be worked, the first of them the one to take.
     *
     * @param  non-empty-list<Shade>  $shades  what the zone asks for
     * @return non-empty-list<SequenceAnswer>
     */
    public function sequences(int $zone, array $shades, PalettePart $palette, int $count): array
    {
        try {
            return $this->inMethod($this->settings->methodOf($zone), $shades, $palette, $count);
        } catch (MethodRefuses) {
            // A method may forbid what a zone needs; it is planned all the same, in a free method.
            return $this->inMethod(Method::free(), $shades, $palette, $count);
        }
    }

    /**
     * Sequences for a zone in a method that need not be the plan's.
     *
     * @param  non-empty-list<Shade>  $shades  what the zone asks for
     * @return non-empty-list<SequenceAnswer>
     *
     * @throws MethodRefuses when it leaves nothing for one of them
     */
    public function inMethod(Method $method, array $shades, PalettePart $palette, int $count): array
    {
        $hand = $this->handOf($palette);
        $strangeness = [];
        foreach ($hand as $pencil) {
            $strangeness[$pencil->id()] = in_array($pencil->id(), $palette->base, true) ? 0.0 : self::NEW_IN_PICTURE;
        }

        return $this->finder($method, $hand)->for(ZoneShades::worked($shades), $this->mostPasses, $count, $strangeness);
    }

    /** @param  list<Pencil>  $hand */
    private function finder(Method $method, array $hand): FindSequences
    {
        return $this->finders[implode(',', $method->settings()).'|'.implode(',', Pencil::identifiers($hand))] ??= new FindSequences(
            new Drawer($hand),
            $this->paper,
            $method,
            $this->shelf,
            $this->settings->mode,
            $this->kits,
        );
    }

    /** @return list<Pencil> */
    private function handOf(PalettePart $palette): array
    {
        return array_values(array_filter($this->drawer->pencils, static fn (Pencil $p): bool => in_array($p->id(), $palette->hand, true)));
    }

    /**
     * A warning with a small change that removes it, or as it is where none that was tried does.
     *
     * @param  array<int, SequenceAnswer>  $answers  by zone: all of them for a warning between zones, else the one zone's
     */
    public function tried(Warning $warning, array $answers, PalettePart $palette): Warning
    {
        $zone = $warning->zones[0] ?? array_key_first($answers);
        if ($zone === null || ! isset($answers[$zone])) {
            return $warning;
        }
        $hand = $this->handOf($palette);
        $remedies = new Remedies($this->paper, $this->settings->mode, $hand, $this->allowed($zone, $answers[$zone], $palette));
        if ($warning->zones === []) {
            $remedy = $remedies->for($warning, $answers[$zone]);

            return $remedy === null ? $warning : $warning->remedied($remedy->words, $remedy->answer);
        }
        /** @param  list<Shade>  $shades */
        $planned = function (array $shades) use ($zone, $hand): ?Sequence {
            try {
                return $shades === []
                    ? null
                    : $this->finder($this->settings->methodOf($zone), $hand)->for(array_values($shades), $this->mostPasses)[0]->sequence;
            } catch (MethodRefuses) {
                return null;
            }
        };
        $remedy = (new ZoneRemedies($remedies, $hand, $planned))->for($warning, $answers);

        return $remedy === null ? $warning : $warning->remedied("$warning->remedy $remedy->words", $remedy->answer);
    }

    /** @return ?\Closure(Sequence): bool whether a change keeps craft and method; null when the sequence itself breaks them */
    private function allowed(int $zone, SequenceAnswer $answer, PalettePart $palette): ?\Closure
    {
        $shades = $answer->shades();
        $allowed = $shades === [] ? null : $this->finder($this->settings->methodOf($zone), $this->handOf($palette))->allowing($shades);

        return $allowed !== null && $allowed($answer->sequence) ? $allowed : null;
    }

    /**
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return list<Purchase>
     */
    private function purchases(array $answers): array
    {
        return Purchases::for(
            MadeArea::ofZones($answers, $this->settings),
            $this->drawer->missing(),
            $this->paper,
            self::PURCHASES,
            $this->mostPasses,
        );
    }
}
