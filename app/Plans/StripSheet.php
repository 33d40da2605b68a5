<?php

declare(strict_types=1);

namespace App\Plans;

use App\Drawers\DrawerKeeper;
use App\Models\Study;
use App\Models\User;
use App\Photos\SheetPhotos;
use KnottyPrism\Core\Chart\BenchCamera\BenchCamera;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Chart\BenchCamera\FilledSheet;
use KnottyPrism\Core\Chart\BenchCamera\Shot;
use KnottyPrism\Core\Chart\ReadChart;
use KnottyPrism\Core\Chart\Reading\ChartReading;
use KnottyPrism\Core\Chart\Reading\Photograph;
use KnottyPrism\Core\Chart\Sheet\ChartSheet;
use KnottyPrism\Core\Error\BadFile;
use KnottyPrism\Core\Error\BadPhoto;
use KnottyPrism\Core\Error\CoreError;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Hand\Hand;
use KnottyPrism\Core\Medium\Paper\PaperShelf;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\SuggestedStrips;

/** The strips that an artist is asked for, on their sheet and in its photo. */
final class StripSheet
{
    private const STRIPS = 8;

    public const SIZE = 'a5';

    /** Longer side of a made-up photo, pixels. */
    private const SIDE = 1100;

    public function __construct(private readonly DrawerKeeper $drawers, private readonly PlanRepository $plans)
    {
    }

    /**
     * Of the pencils of a study's plan, or of all that are owned; or what its zones are laid in, the largest first; or one zone's shades.
     *
     * @return non-empty-array<string, Stack> by their text
     */
    public function strips(User $user, AskedStrips $asked): array
    {
        $study = $asked->study;
        $owned = array_values(
            array_filter($this->drawers->drawerOf($user)->usable()->pencils, static fn (Pencil $p): bool => ! $p->isBlender()),
        );
        if ($owned === []) {
            throw ImpossibleChange::because('Your drawer is empty. Add pencils first, then calibrate your hand.');
        }
        $laid =
            $study === null || $asked->kind === StripKind::Pencils
                ? []
                : $this->laid($user, $study, $asked->kind === StripKind::Zone ? $asked->zone : null);
        if ($laid !== []) {
            return $laid;
        }
        $planned = $study === null ? [] : $this->planned($user, $study);
        $these = array_values(array_filter($owned, static fn (Pencil $p): bool => in_array($p->id(), $planned, true)));
        $strips = SuggestedStrips::of($these === [] ? $owned : $these, self::STRIPS);
        $texts = array_map(static fn (Stack $s): string => $s->text(), $strips);

        return array_combine($texts, $strips) ?: throw new \LogicException('there is at least one');
    }

    /**
     * What the heaviest shade of each zone is laid in, the largest zone first; or every shade of one zone, the lightest first: its touches
     * are too small to be tried.
     *
     * @return array<string, Stack> by their text; none while nothing is planned
     */
    private function laid(User $user, Study $study, ?int $zone): array
    {
        try {
            $ground = $this->plans->ground($user, $study);
            $planned = PlannedPictures::sequences($ground, $this->plans->zones($ground));
        } catch (CoreError) {
            return [];
        }
        $outcomes = [];
        foreach ($zone === null ? $planned : array_intersect_key($planned, [$zone => true]) as $number => $answer) {
            foreach ($answer->outcomes as $outcome) {
                if (! $outcome->shade->touch && $outcome->stack()->passes() !== []) {
                    $outcomes[] = [$number, $outcome];
                }
            }
        }
        usort(
            $outcomes,
            static fn (array $a, array $b): int => $zone === null
                ? $b[1]->shade->weight <=> $a[1]->shade->weight
                : $b[1]->shade->target->l <=> $a[1]->shade->target->l,
        );
        $laid = $zones = [];
        foreach ($outcomes as [$number, $outcome]) {
            // What is joined or lifted in the end tells nothing of a hand.
            $stack = new Stack($outcome->stack()->passes());
            if (($zone !== null || ! in_array($number, $zones, true)) && count($laid) < self::STRIPS) {
                $zones[] = $number;
                $laid[$stack->text()] = $stack;
            }
        }

        return $laid;
    }

    /** @return list<string> identifiers of the plan's pencils; none while nothing is planned */
    private function planned(User $user, Study $study): array
    {
        try {
            return $this->plans->palettePart($this->plans->ground($user, $study))->hand ?? [];
        } catch (CoreError) {
            return [];
        }
    }

    /** @param  non-empty-array<string, Stack>  $strips */
    public function sheet(array $strips): ChartSheet
    {
        return ChartSheet::ofStrips(array_map(strval(...), array_keys($strips)), self::SIZE);
    }

    /**
     * @param  non-empty-array<string, Stack>  $strips
     *
     * @throws BadPhoto|BadFile
     */
    public function read(array $strips, string $paper, string $path): ChartReading
    {
        return $this->readFrom($strips, $paper, SheetPhotos::read($path));
    }

    /**
     * A photo of strips by a made-up hand, some heavier and some lighter than the even one.
     *
     * @param  non-empty-array<string, Stack>  $strips
     */
    public function madeUp(array $strips, string $paper, int $seed): Photograph
    {
        [$least, $most] = Hand::RANGES['pressure'];
        $hand = new Hand(pressure: max($least, min($most, exp(0.25 * (new Chance($seed))->normal()))));
        $filled = new FilledSheet($this->sheet($strips), 0, $strips, PaperShelf::named($paper)->under($hand), $seed);

        return BenchCamera::photograph($filled->flat, Shot::ordinary($seed), self::SIDE, $seed);
    }

    /** @param  non-empty-array<string, Stack>  $strips */
    public function readFrom(array $strips, string $paper, Photograph $photo): ChartReading
    {
        return ReadChart::page($photo, $this->sheet($strips), PaperShelf::named($paper));
    }
}
