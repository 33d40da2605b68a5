<?php

declare(strict_types=1);

namespace App\Answers;

use App\Models\TickRow;
use App\Plans\PlanGround;
use App\Resources\ChartResource;
use App\Resources\Figures;
use App\Resources\OrderResource;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Desk\Order\Coats;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Desk\Words\BodyCautions;
use KnottyPrism\Core\Desk\Words\HowToLay;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\PencilGrain;
use KnottyPrism\Core\Medium\Swatches\Swatch;
use KnottyPrism\Core\Photo\Borders\GradedBorder;
use KnottyPrism\Core\Recipe\Sequence\SequenceWords;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\WarningKind;

/**
 * The desk in the form of docs/openapi.yaml.
 *
 * @phpstan-import-type DeskDabJson from \Described
 * @phpstan-import-type DeskJson from \Described
 * @phpstan-import-type DeskTickJson from \Described
 * @phpstan-import-type DeskStepJson from \Described
 * @phpstan-import-type DrawerPencilJson from \Described
 * @phpstan-import-type SequenceJson from \Described
 * @phpstan-import-type SequencePassJson from \Described
 */
final class DeskParts
{
    /** @return array{workOrder: string, hand: string, session: int, thin: int, wet: int, pace: float} */
    public static function habits(WorkingHabits $habits): array
    {
        return [
            'workOrder' => $habits->order->value,
            'hand' => $habits->leftHanded ? 'left' : 'right',
            'session' => $habits->session,
            'thin' => $habits->thin,
            'wet' => $habits->wet,
            'pace' => $habits->pace,
        ];
    }

    /**
     * @param  SequenceJson  $shown  the zone's chain, see {@see SequenceResource::answer()}
     * @param  array<string, string>  $seen  the photo's colours, by shade
     * @param  non-empty-list<PlacedStep>  $coats  alike, see {@see Coats}
     * @param  ?string  $runsOut  where the zone's passes run out into others
     * @return DeskStepJson
     */
    public static function step(
        ZoneAtDesk $zone,
        array $coats,
        array $shown,
        array $seen,
        ?string $runsOut,
        bool $leftHanded,
        PlanGround $ground,
    ): array {
        [$placed, $many] = [$coats[0], count($coats)];
        $at = $placed->step->pass;
        $last = $at + $many - 1;
        $pass = $zone->chain->passes[$at];
        $work = WorkPass::of($pass);
        $passes = $shown['passes'];
        $note = $ground->zones->note($zone->place->number);
        $warnings = array_values(
            array_filter(
                $shown['warnings'],
                static fn (array $w): bool => $w['pass'] > $at && $w['pass'] <= $last + 1 && WarningKind::from($w['code'])->ofPasses,
            ),
        );

        return [
            'zone' => $zone->place->number,
            'zoneName' => $zone->place->name,
            'position' => $zone->progress->ticks + $at - $zone->laid,
            'pass' => $at + 1,
            'coats' => $many,
            'of' => count($zone->chain->passes),
            ...SequenceResource::tool($pass->tool),
            'pressures' => $passes[$at]['pressures'],
            'how' => ucfirst(SequenceWords::of($zone->chain, $zone->shades)->manner($pass, $many)),
            'reason' => $passes[$at]['reason'],
            'point' => HowToLay::point($work, $zone->touches(), $zone->areaOf($work), $at === 0),
            'strokes' => HowToLay::strokes(
                $work,
                self::strokes($ground->sheet->settings->strokes[$zone->place->number] ?? null),
                $note->surface,
            ),
            'pieces' => $placed->step->touches ? null : HowToLay::pieces($zone->place, $leftHanded),
            'runsOut' => $placed->step->touches || $work->finish?->lifts === true ? null : $runsOut,
            'shades' => array_map(
                static fn (Shade $s): array => [
                    'shade' => $s->name,
                    'name' => $s->called(),
                    'seen' => $seen[$s->name] ?? '#808080',
                    'pressure' => ((array) $passes[$at]['pressures'])[$s->name] ?? null,
                    'before' => self::dab($passes, $at - 1, $s->name, $ground),
                    'after' => self::dab($passes, $last, $s->name, $ground),
                ],
                $zone->shades,
            ),
            'warnings' => array_map(static fn (array $w): string => $w['text'], $warnings),
            'body' => BodyCautions::at($placed->step->tool),
            'minutes' => OrderResource::minutes(self::minutes($coats)),
            'dries' => $coats[$many - 1]->step->drying,
            'turn' => $placed->turn,
        ];
    }

    /** @param  list<PlacedStep>  $steps */
    private static function minutes(array $steps): float
    {
        return array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $steps));
    }

    /**
     * What lies in a shade after so many passes.
     *
     * @param  list<SequencePassJson>  $passes
     * @return DeskDabJson
     */
    private static function dab(array $passes, int $at, string $shade, PlanGround $ground): array
    {
        for (; $at >= 0; $at--) {
            $dab = ((array) $passes[$at]['dabs'])[$shade] ?? null;
            if (is_array($dab)) {
                return ['hex' => $dab['hex'], 'strata' => $dab['strata'], 'evenness' => $dab['evenness']];
            }
        }

        return ['hex' => Figures::colour(Lab::ofXyz((new Sheet($ground->paper))->xyz()))['hex'], 'strata' => [], 'evenness' => ''];
    }

    private static function strokes(?int $decided): ?string
    {
        return match ($decided) {
            null => null,
            PencilGrain::CIRCLES => 'in small circles',
            default => 'the way that you drew',
        };
    }

    /**
     * @param  list<GradedBorder>  $graded  of the drawing
     * @param  list<list<float>>  $outlines
     * @param  list<array{shade: string, outlines: list<list<float>>}>  $touches
     * @return value-of<DeskJson['zones']>
     */
    public static function zone(ZoneAtDesk $zone, array $graded, array $outlines, array $touches): array
    {
        return [
            'number' => $zone->place->number,
            'name' => $zone->place->name,
            'laid' => $zone->laid,
            'left' => $zone->left(),
            'astray' => $zone->progress->astray,
            'ticks' => $zone->progress->ticks,
            'outlines' => $outlines,
            'graded' => self::lines($zone->place->number, $graded),
            'touches' => $touches,
        ];
    }

    /**
     * @param  list<GradedBorder>  $graded
     * @return list<list<float>>
     */
    private static function lines(int $zone, array $graded): array
    {
        return array_map(
            static fn (GradedBorder $g): array => $g->line,
            array_values(array_filter($graded, static fn (GradedBorder $g): bool => $g->of($zone))),
        );
    }

    /**
     * @param  list<PlacedStep>  $steps
     * @param  array<int, ZoneAtDesk>  $zones
     * @return value-of<DeskJson['sessions']>
     */
    public static function session(array $steps, array $zones): array
    {
        $tools = [];
        foreach ($steps as $placed) {
            $pass = $zones[$placed->step->zone]->chain->passes[$placed->step->pass];
            $tools[$placed->step->tool] ??= [
                ...SequenceResource::tool($pass->tool),
                'layOut' => $pass->tool instanceof Finish ? $pass->tool->layOut : '',
                'strata' => $pass->tool instanceof Finish ? [] : ChartResource::strata(Swatch::Heavy->lay($pass->tool)),
            ];
        }

        return [
            'steps' => count(Coats::together($steps)),
            'minutes' => OrderResource::minutes(self::minutes($steps)),
            'tools' => array_values($tools),
            'body' => BodyCautions::before(array_keys($tools)),
        ];
    }

    /**
     * @param  int<1, max>  $coats  that were ticked with it
     * @return DeskTickJson
     */
    public static function tick(TickRow $row, int $coats, ?ZoneAtDesk $zone, PlanGround $ground): array
    {
        $words = $row->pass['tool'];
        if ($zone !== null) {
            try {
                $pass = $row->tick()->pass->read($ground->shelf, $zone->shades);
                $words = $pass->over() === [] ? $words : SequenceWords::of($zone->chain, $zone->shades)->pass($pass, $coats);
            } catch (UnknownPencil) {
            }
        }

        return [
            'id' => $row->id,
            'kind' => $row->kind->value,
            'zone' => $row->zone,
            'zoneName' => $zone->place->name ?? '',
            'words' => $words,
            'at' => $row->made_at,
        ];
    }

    /**
     * Zones that are wet by what was ticked last there, and until when.
     *
     * @param  list<TickRow>  $ticks
     * @param  list<int>  $zones
     * @return list<array{zone: int, until: int}>
     */
    public static function wet(array $ticks, WorkingHabits $habits, array $zones): array
    {
        $wet = [];
        foreach ($ticks as $row) {
            $pass = $row->tick()->pass;
            $minutes =
                $row->kind === TickKind::Skipped
                    ? 0.0
                    : ZoneSteps::drying(new WorkPass($pass->tool, array_values($pass->pressures)), $habits);
            if ($minutes > 0 && in_array($row->zone, $zones, true)) {
                $wet[$row->zone] = ['zone' => $row->zone, 'until' => $row->made_at + (int) (60 * $minutes)];
            }
        }

        return array_values(array_filter($wet, static fn (array $w): bool => $w['until'] > time() - 60));
    }

    /**
     * @param  array<int, ZoneAtDesk>  $zones
     * @return list<DrawerPencilJson> every pencil that the picture takes, once
     */
    public static function pencils(array $zones): array
    {
        $pencils = [];
        foreach ($zones as $zone) {
            foreach ($zone->chain->pencils() as $pencil) {
                $pencils[$pencil->id()] = RecipeResource::pencil($pencil);
            }
        }
        ksort($pencils);

        return array_values($pencils);
    }
}
