<?php

declare(strict_types=1);

namespace App\Desk;

use App\Cache\Computed;
use App\Models\Study;
use App\Models\TickRow;
use App\Models\User;
use App\Photos\SurveyRepository;
use App\Plans\PlanGround;
use App\Plans\PlanRepository;
use KnottyPrism\Core\Desk\Order\DeskZone;
use KnottyPrism\Core\Desk\Order\DeskZones;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\OrderedSteps;
use KnottyPrism\Core\Desk\Order\PassMinutes;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\WorkPlan;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Desk\Progress\Tick;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Desk\Progress\ZoneProgress;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Error\UnknownPencil;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\ZoneShades;
use KnottyPrism\Core\Recipe\GoingOn\FindRest;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What lies on the desk: every planned zone as far as it is, and the order of what is to come. */
final class DeskBoard
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(private readonly PlanRepository $plans, private readonly SurveyRepository $surveys)
    {
    }

    /** Null when there are no zones, or no pencil to plan with. */
    public function ground(User $user, Study $study): ?PlanGround
    {
        if ($this->surveys->current($study)->zones === null) {
            return null;
        }
        try {
            return $this->plans->ground($user, $study);
        } catch (ImpossibleChange) {
            return null;
        }
    }

    /**
     * @param  list<TickRow>  $rows  of the study, in the order in which they were made
     * @param  list<PlannedZone>|null  $planned  where whoever asks has them already
     * @return array<int, ZoneAtDesk> by number, those that are planned
     */
    public function zones(PlanGround $ground, array $rows, ?array $planned = null): array
    {
        $ticks = [];
        foreach ($rows as $row) {
            $ticks[$row->zone][] = $row->tick();
        }
        $places = $this->places($ground);
        $zones = [];
        foreach ($planned ?? $this->plans->zones($ground) as $zone) {
            if ($zone->sequence !== null && isset($places[$zone->zone])) {
                $zones[$zone->zone] = $this->zone($ground, $zone, $zone->sequence, $places[$zone->zone], $ticks[$zone->zone] ?? []);
            }
        }

        return $zones;
    }

    /** @param  list<Tick>  $ticks */
    private function zone(PlanGround $ground, PlannedZone $zone, Sequence $sequence, DeskZone $place, array $ticks): ZoneAtDesk
    {
        $shades = ZoneShades::worked($zone->shades);
        $progress = ZoneProgress::of(self::inOrder($sequence, $zone, $shades), $ticks);
        $laid = self::read($ground, $progress->laid, $zone);
        $rest = self::read($ground, $progress->rest, $zone);
        if ($progress->astray) {
            $rest = $this->rest($ground, $zone, $shades, $laid, $rest);
        }

        return new ZoneAtDesk(
            $zone,
            $place,
            $shades,
            $progress,
            new Sequence([...$laid->passes, ...$rest->passes]),
            count($laid->passes),
        );
    }

    /**
     * What to lay yet where something else lies than was planned.
     *
     * @param  non-empty-list<Shade>  $shades
     */
    private function rest(PlanGround $ground, PlannedZone $zone, array $shades, Sequence $laid, Sequence $planned): Sequence
    {
        $palette = $this->plans->palettePart($ground);
        $ids =
            $palette === null
                ? []
                : [...$palette->base, ...Pencil::identifiers($laid->pencils()), ...Pencil::identifiers($planned->pencils())];
        $pencils = array_values(
            array_filter($ground->shelf->usable()->pencils, static fn (Pencil $p): bool => in_array($p->id(), $ids, true)),
        );
        $note = static fn (Sequence $s): array => SequenceNote::of($s, $shades)->toArray();
        $key =
            'desk-rest/'.
            md5(
                json_encode(
                    [
                        $note($laid),
                        $note($planned),
                        Pencil::identifiers($pencils),
                        array_map(static fn (Shade $s): array => [$s->target->toArray(), $s->weight], $shades),
                        $ground->paper->key(),
                        $ground->sheet->settings->mode->value,
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );

        return Computed::kept(
            $key,
            self::KEPT_SECONDS,
            static fn (): Sequence => (new FindRest($shades, $pencils, $ground->paper, $ground->sheet->settings->mode))->after(
                $laid,
                $planned,
            ),
        );
    }

    /**
     * @param  array<int, ZoneAtDesk>  $zones
     * @return list<PlacedStep> what is to come, in its order; passes are numbered in their zone's chain
     */
    public function order(PlanGround $ground, array $zones, WorkingHabits $habits): array
    {
        $chains = array_map(
            static fn (ZoneAtDesk $z): array => [
                SequenceNote::of($z->chain, $z->shades)->toArray(),
                round($z->place->area),
                $z->place->distance->value,
            ],
            $zones,
        );
        $key =
            'desk-order/'.
            md5(json_encode([$chains, $ground->zones->labels->fingerprint(), self::size($ground), $habits], JSON_THROW_ON_ERROR));
        $order = Computed::kept($key, self::KEPT_SECONDS, static function () use ($ground, $zones, $habits): OrderedSteps {
            $steps = array_map(static fn (ZoneAtDesk $z): array => $z->steps($habits), $zones);
            [$wide, $high] = self::size($ground);

            return FindOrder::for(
                WorkPlan::on(
                    $ground->zones->labels,
                    $wide,
                    $high,
                    array_map(static fn (ZoneAtDesk $z): DeskZone => $z->place, $zones),
                    $steps,
                    $habits,
                ),
            );
        });

        return array_values(
            array_filter($order->steps, static fn (PlacedStep $p): bool => $p->step->pass >= $zones[$p->step->zone]->laid),
        );
    }

    /** Names the plan of a zone as it is now. */
    public function planKey(ZoneAtDesk $zone): string
    {
        return ZoneProgress::planKey(self::inOrder($zone->zone->sequence ?? new Sequence([]), $zone->zone, $zone->shades));
    }

    /**
     * What comes after a tick, to be kept with it: null when that is what the plan says.
     *
     * @return array{rest: list<array<string, mixed>>|null, plan: string, minutes: float, film: float, zone_name: string}
     */
    public function after(PlanGround $ground, ZoneAtDesk $zone, Tick $tick, Tick ...$before): array
    {
        $sequence = $zone->zone->sequence ?? new Sequence([]);
        $now = $this->zone($ground, $zone->zone, $sequence, $zone->place, [...array_values($before), $tick]);
        $pass = WorkPass::of($tick->pass->read($ground->shelf, $zone->shades));
        $shares = array_map(static fn (float $s): float => $s / max(1e-9, array_sum($zone->shares())), $zone->shares());

        return [
            'rest' => $now->progress->astray
                ? SequenceNote::of(new Sequence(array_slice($now->chain->passes, $now->laid)), $zone->shades)->toArray()
                : null,
            'plan' => $this->planKey($zone),
            'minutes' => PassMinutes::of($pass, $shares, $zone->place->area, $zone->place->pieces),
            'film' => $tick->kind === TickKind::Skipped || $now->laid === 0 ? 0.0 : $now->film($now->laid - 1, $ground->paper),
            'zone_name' => $zone->place->name,
        ];
    }

    /**
     * @param  list<Shade>  $shades
     * @return list<PassNote> as they are laid
     */
    private static function inOrder(Sequence $sequence, PlannedZone $zone, array $shades): array
    {
        $passes = SequenceNote::of($sequence, $zone->shades)->passes;

        return array_map(
            static fn (int $at): PassNote => $passes[$at],
            ZoneSteps::order(WorkPass::all($sequence), array_map(static fn (Shade $s): bool => $s->touch, $shades)),
        );
    }

    /**
     * What a pencil that has left the shelf would lay can't be said any more, and is left out.
     *
     * @param  list<PassNote>  $passes
     */
    private static function read(PlanGround $ground, array $passes, PlannedZone $zone): Sequence
    {
        $read = [];
        foreach ($passes as $pass) {
            try {
                $read[] = $pass->read($ground->shelf, $zone->shades);
            } catch (UnknownPencil) {
            }
        }

        return new Sequence($read);
    }

    /** @return array<int, DeskZone> */
    private function places(PlanGround $ground): array
    {
        $names = $lightness = $whites = $distances = [];
        foreach ($ground->readings as $number => $reading) {
            $note = $ground->zones->note($number);
            [$names[$number], $lightness[$number], $whites[$number], $distances[$number]] = [
                $note->name,
                isset($reading->zone->shades['mid']) ? $reading->zone->shades['mid']->l : 50.0,
                $reading->zone->keptWhite,
                $note->distance,
            ];
        }

        $key =
            'desk-places/'.
            md5(serialize([$ground->zones->labels->fingerprint(), self::size($ground), $names, $lightness, $whites, $distances]));

        return Computed::kept(
            $key,
            self::KEPT_SECONDS,
            static fn (): array => DeskZones::of(
                $ground->zones->labels,
                ...[...self::size($ground), $names, $lightness, $whites, $distances],
            ),
        );
    }

    /** @return array{float, float} of the photo on the drawing, mm */
    private static function size(PlanGround $ground): array
    {
        $wide = $ground->study->frame()->wholeWidth();

        return [$wide, ($wide * $ground->zones->labels->height) / $ground->zones->labels->width];
    }
}
