<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Picture\Palette\PalettePencil;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Warning;

/** A whole picture's plan in the form of docs/cli.md. */
final class PlannedPictureResource
{
    /** @return array<string, mixed> */
    public static function plan(PlannedPicture $plan): array
    {
        return [
            'paper' => $plan->paper->name,
            'zones' => array_map(static fn (int $zone): array => self::zone($plan, $zone), array_keys($plan->map->zones)),
            'palette' => array_map(
                static fn (PalettePencil $p): array => [
                    'pencil' => $p->pencil->id(),
                    'number' => $p->pencil->record->number,
                    'name' => $p->pencil->record->name,
                    'part' => $p->part,
                    'assumed' => $p->pencil->assumed,
                ],
                $plan->palette(),
            ),
            'paletteCurve' => array_map(
                static fn (int $pencils, float $cost): array => ['pencils' => $pencils, 'meanDeltaE00' => Figures::difference($cost)],
                array_keys($plan->curve),
                $plan->curve,
            ),
            'bestPurchase' => $plan->purchases === []
                    ? null
                    : ['pencil' => $plan->purchases[0]->pencil->id(), 'gain' => Figures::difference($plan->purchases[0]->gain)],
            'toneFit' => [
                'darkest' => round($plan->tone->darkest, 2),
                'lightest' => round($plan->tone->lightest, 2),
                'tooDark' => Figures::share($plan->tone->tooDark),
                'tooLight' => Figures::share($plan->tone->tooLight),
                'words' => $plan->tone->words(),
            ],
            'warnings' => array_map(
                static fn (Warning $w): array => [
                    'code' => $w->kind->value,
                    'zones' => array_map(static fn (int $z): string => $plan->map->zones[$z]->name, $w->zones),
                    'text' => $w->text,
                    'remedy' => $w->remedy,
                ],
                $plan->warnings,
            ),
            'meanDeltaE00' => Figures::difference($plan->meanDeltaE00()),
            'errorOnPaper' => Figures::difference($plan->errorOnPaper()),
            'errorInHand' => Figures::difference($plan->errorInHand()),
            'passes' => $plan->passes(),
            'pencils' => count($plan->palette()),
        ];
    }

    /** @return array<string, mixed> */
    private static function zone(PlannedPicture $plan, int $number): array
    {
        [$zone, $recipe] = [$plan->map->zones[$number], $plan->zones[$number]];
        $answer = $recipe->answer;
        $shades = $answer->shades();
        $words = $answer->words();

        return [
            'name' => $zone->name,
            'area' => Figures::share($zone->area),
            'box' => array_map(Figures::share(...), $zone->box),
            'surface' => $zone->surface->value,
            'keptWhite' => Figures::share($zone->keptWhite),
            'meanDeltaE00' => Figures::difference(self::mean($answer, static fn (Outcome $o): float => $o->comparison()->deltaE00)),
            'meanValueError' => Figures::difference(
                self::mean($answer, static fn (Outcome $o): float => abs($o->comparison()->valueError)),
            ),
            'shades' => self::shades($shades),
            'sequence' => array_map(
                static fn (GradedPass $p): array => [
                    ...$p->tool instanceof Finish ? ['finish' => $p->tool->value] : ['pencil' => $p->tool->id()],
                    'pressures' => SequenceResource::pressures($p, $shades),
                    'words' => $words->pass($p),
                ],
                $answer->sequence->passes,
            ),
            'results' => array_map(
                static fn (Outcome $o): array => ['shade' => $o->shade->name, ...SequenceResource::outcome($o)],
                $answer->outcomes,
            ),
            'warnings' => array_map(static fn (Warning $w): array => SequenceResource::warning($w, $shades), $recipe->warnings),
            'errorOnPaper' => Figures::difference($answer->errorOnPaper()),
            'errorInHand' => Figures::difference($answer->errorInHand()),
        ];
    }

    /**
     * @param  list<Shade>  $shades
     * @return list<array<string, mixed>>
     */
    private static function shades(array $shades): array
    {
        $whole = max(1e-9, array_sum(array_map(static fn (Shade $s): float => $s->weight, $shades)));

        return array_map(
            static fn (Shade $s): array => [
                'name' => $s->name,
                'called' => $s->called(),
                'shade' => $s->touch ? 'touch' : $s->name,
                'share' => Figures::share($s->weight / $whole),
                'lab' => Figures::lab($s->seen),
                'fittedLab' => Figures::lab($s->target),
            ],
            $shades,
        );
    }

    /** @param  \Closure(Outcome): float  $of */
    private static function mean(SequenceAnswer $answer, \Closure $of): float
    {
        $weight = array_sum(array_map(static fn (Outcome $o): float => $o->shade->weight, $answer->outcomes));

        return $weight > 0
            ? array_sum(array_map(static fn (Outcome $o): float => $o->shade->weight * $of($o), $answer->outcomes)) / $weight
            : 0.0;
    }
}
