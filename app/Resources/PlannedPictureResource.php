<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Picture\LayingStep;
use KnottyPrism\Core\Picture\Palette\PalettePencil;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Picture\PlannedTarget;
use KnottyPrism\Core\Picture\ZoneCaution;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Sequence\ShadeOutcome;

/** A whole picture's plan in the form of docs/cli.md. */
final class PlannedPictureResource
{
    /** @return array<string, mixed> */
    public static function plan(PlannedPicture $plan): array
    {
        return [
            'paper' => $plan->paper->name,
            'zones' => array_map(static fn (int $zone): array => self::zone($plan, $zone), array_keys($plan->map->zones)),
            'palette' => array_map(static fn (PalettePencil $p): array => ['pencil' => $p->pencil->id(), 'number' => $p->pencil->record->number, 'name' => $p->pencil->record->name, 'part' => $p->part, 'assumed' => $p->pencil->assumed], $plan->palette()),
            'paletteCurve' => array_map(static fn (int $pencils, float $cost): array => ['pencils' => $pencils, 'meanDeltaE00' => Figures::difference($cost)], array_keys($plan->curve), $plan->curve),
            'bestPurchase' => $plan->purchases === [] ? null : ['pencil' => $plan->purchases[0]->pencil->id(), 'gain' => Figures::difference($plan->purchases[0]->gain)],
            'toneFit' => ['darkest' => round($plan->tone->darkest, 2), 'lightest' => round($plan->tone->lightest, 2), 'tooDark' => Figures::share($plan->tone->tooDark), 'tooLight' => Figures::share($plan->tone->tooLight), 'words' => $plan->tone->words()],
            'cautions' => array_map(static fn (ZoneCaution $c): array => ['code' => $c->code->value, 'zones' => array_map(static fn (int $z): string => $plan->map->zones[$z]->name, $c->zones), 'text' => $c->text, 'remedy' => $c->remedy], $plan->cautions),
            'order' => array_map(static fn (LayingStep $o): array => ['step' => $o->step, 'zone' => $plan->map->zones[$o->target->zone]->name, 'role' => $o->target->role->value], $plan->order()),
            'meanDeltaE00' => Figures::difference($plan->meanDeltaE00()),
            'errorOnPaper' => Figures::difference($plan->errorOnPaper()),
            'errorInHand' => Figures::difference($plan->errorInHand()),
            'passes' => $plan->passes(),
            'pencils' => count($plan->palette()),
        ];
    }

    /** @return array<string, mixed> */
    private static function zone(PlannedPicture $plan, int $index): array
    {
        $zone = $plan->map->zones[$index];
        $targets = $plan->targetsOf($index);

        return [
            'name' => $zone->name,
            'area' => Figures::share($zone->area),
            'box' => array_map(Figures::share(...), $zone->box),
            'surface' => $zone->surface->value,
            'keptWhite' => Figures::share($zone->keptWhite),
            'meanDeltaE00' => Figures::difference(self::mean($targets, static fn (PlannedTarget $t): float => $t->recipe->comparison->deltaE00)),
            'meanValueError' => Figures::difference(self::mean($targets, static fn (PlannedTarget $t): float => abs($t->recipe->comparison->valueError))),
            'targets' => array_map(self::target(...), array_values($targets)),
            ...self::sequence($plan, $index, array_values($targets)),
        ];
    }

    /**
     * @param  list<PlannedTarget>  $targets
     * @return array<string, mixed>
     */
    private static function sequence(PlannedPicture $plan, int $zone, array $targets): array
    {
        $answer = $plan->zones[$zone];
        $shades = $answer->shades();
        $words = $answer->words();
        $whole = max(1e-9, array_sum(array_map(static fn (Shade $s): float => $s->weight, $shades)));

        return [
            'shades' => array_map(static fn (Shade $s, PlannedTarget $t): array => ['name' => $s->name, 'called' => $s->called(), 'role' => $s->touch ? 'touch' : $s->name, 'share' => Figures::share($s->weight / $whole), 'lab' => Figures::lab($t->seen), 'fittedLab' => Figures::lab($t->fitted)], $shades, $targets),
            'sequence' => array_map(static fn (GradedPass $p): array => [
                ...($p->tool instanceof Finish ? ['finish' => $p->tool->value] : ['pencil' => $p->tool->id()]), 'pressures' => (object) array_combine(array_map(static fn (Shade $s): string => $s->name, $shades), array_map(static fn (?PressureMark $m): ?string => $m?->value, $p->marks)), 'words' => $words->pass($p),
            ], $answer->sequence->passes),
            'results' => array_map(static fn (ShadeOutcome $o, PlannedTarget $t): array => [
                'shade' => $o->shade->name, 'stack' => $o->stack->text(), 'deltaE00' => Figures::difference($t->recipe->comparison->deltaE00), 'sway' => Figures::difference($o->sway), 'doubt' => Figures::difference($o->doubt),
                'errorOnPaper' => Figures::difference($o->errorOnPaper()), 'valueError' => Figures::difference($t->recipe->comparison->valueError), 'toothUsed' => Figures::share($o->toothUsed), 'grain' => Figures::difference($o->evenness->grain), 'evenness' => $o->evenness->words(),
            ], $answer->outcomes, $targets),
            'errorOnPaper' => Figures::difference($answer->errorOnPaper()),
            'errorInHand' => Figures::difference($answer->errorInHand()),
        ];
    }

    /** @return array<string, mixed> */
    private static function target(PlannedTarget $target): array
    {
        return [
            'role' => $target->role->value,
            'lab' => Figures::lab($target->seen),
            'fittedLab' => Figures::lab($target->fitted),
            'recipe' => Figures::recipe($target->recipe),
        ];
    }

    /**
     * @param  array<string, PlannedTarget>  $targets
     * @param  \Closure(PlannedTarget): float  $of
     */
    private static function mean(array $targets, \Closure $of): float
    {
        $weight = array_sum(array_map(static fn (PlannedTarget $t): float => $t->weight, $targets));

        return $weight > 0 ? array_sum(array_map(static fn (PlannedTarget $t): float => $t->weight * $of($t), $targets)) / $weight : 0.0;
    }
}
