<?php

declare(strict_types=1);

namespace App\Answers;

use App\Plans\PlanGround;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Desk\Finish\AskFinished;
use KnottyPrism\Core\Desk\Finish\Finding;
use KnottyPrism\Core\Desk\Finish\LaidShade;
use KnottyPrism\Core\Desk\Finish\LaidZone;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Recipe\Sequence\SequenceWords;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * What is left to do before a drawing is called finished, in the form of docs/openapi.yaml.
 *
 * @phpstan-import-type DeskFinishedJson from \Described
 */
final class DeskFindings
{
    /**
     * @param  array<int, ZoneAtDesk>  $zones
     * @return DeskFinishedJson['findings']
     */
    public static function of(array $zones, PlanGround $ground): array
    {
        $laid = array_map(static function (ZoneAtDesk $z) use ($ground): LaidZone {
            $lies = $z->laidPart();
            $next = $z->chain->passes[$z->laid] ?? null;
            $shades = array_map(
                static fn (Shade $s, int $i): LaidShade => new LaidShade(
                    'the '.$s->called(),
                    $s->target,
                    Lab::ofXyz($lies->stackIn($i)->on($ground->paper)->xyz()),
                    $s->touch,
                ),
                $z->shades,
                array_keys($z->shades),
            );

            return new LaidZone(
                $z->place->number,
                $z->place->name,
                $shades,
                $z->left(),
                $next === null ? '' : ucfirst(SequenceWords::of($z->chain, $z->shades)->pass($next)).'.',
                $ground->zones->note($z->place->number)->importance,
                $ground->readings[$z->place->number]->zone->keptWhite,
                $z->laid > 0,
            );
        }, $zones);
        $touching = [];
        foreach ($ground->zones->labels->borders() as $a => $others) {
            foreach (array_keys($others) as $b) {
                $touching[] = [$a, $b];
            }
        }

        return array_map(
            static fn (Finding $f): array => ['what' => $f->what, 'zone' => $f->zone, 'text' => $f->text, 'step' => $f->step],
            AskFinished::of(array_values($laid), $touching),
        );
    }
}
