<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Desk\DeskBoard;
use App\Desk\DeskKeeper;
use App\Drawers\DrawerKeeper;
use App\Models\PlanRun;
use App\Models\PlanVersion;
use App\Models\Study;
use App\Models\User;
use App\Photos\SurveyRepository;
use App\Plans\PlanGround;
use App\Plans\PlannedPictures;
use App\Plans\PlanRepository;
use App\Resources\Figures;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\PassMinutes;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Picture\Decisions\Recolour;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Picture\ZoneWarnings;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Setting;
use KnottyPrism\Core\Recipe\Method\StartingPoint;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Warnings\Warning;

/**
 * The plan of a study's picture as the page shows it: zone by zone with its stacks, the pencils it takes, and how far the planner is.
 *
 * @phpstan-import-type PlanJson from \Described
 * @phpstan-import-type PlanZoneJson from \Described
 * @phpstan-import-type PlanRunJson from \Described
 */
final class PlanAnswers
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    public function __construct(
        private readonly PlanRepository $plans,
        private readonly PlanZoneAnswers $zones,
        private readonly SurveyRepository $surveys,
        private readonly DrawerKeeper $drawers,
        private readonly DeskBoard $board,
        private readonly DeskKeeper $desk,
    ) {
    }

    /** @return PlanJson */
    public function plan(User $user, Study $study): array
    {
        $common = $this->common($study);
        if ($this->surveys->current($study)->zones === null || $this->drawers->drawerOf($user)->usable()->pencils === []) {
            $why =
                $this->surveys->current($study)->zones === null
                    ? 'There are no zones yet; propose zones in “Photo” first.'
                    : 'Your drawer is empty; add pencils in “Drawer” first.';

            return [
                ...$common,
                'cannot' => $why,
                'zones' => [],
                'palette' => [],
                'left' => [],
                'curve' => [],
                'suffering' => [],
                'warnings' => [],
                'tone' => '',
                'waiting' => 0,
                'steps' => 0,
                'passes' => 0,
                'time' => '',
                'meanDeltaE00' => 0.0,
                'errorOnPaper' => 0.0,
                'errorInHand' => 0.0,
            ];
        }
        $ground = $this->plans->ground($user, $study);
        $palette = $this->plans->palettePart($ground);
        $planned = $this->plans->zones($ground);
        $sequences = PlannedPictures::inZones($planned);
        $zones = $this->zones->zones($ground, $planned, $this->drawers->fingerprint($user, owned: false));

        return [
            ...$common,
            'cannot' => null,
            'zones' => $zones,
            ...PaletteAnswers::of($ground, $sequences, $palette),
            'warnings' => $this->between($ground, $planned),
            'tone' => $ground->tone->words(),
            'waiting' => count($planned) - count($sequences),
            'steps' => max([0, ...array_map(static fn (Sequence $s): int => count($s->passes), array_values($sequences))]),
            'passes' => array_sum(array_map(static fn (Sequence $s): int => count($s->passes), $sequences)),
            'time' => PassMinutes::words($this->minutes($study, $ground, $planned)),
            'meanDeltaE00' => self::mean($planned, $zones, 'deltaE00'),
            'errorOnPaper' => self::mean($planned, $zones, 'errorOnPaper'),
            'errorInHand' => self::mean($planned, $zones, 'errorInHand'),
        ];
    }

    /**
     * @return array{
     *   run: PlanRunJson|null, settings: PlanJson['settings'], startingPoints: PlanJson['startingPoints'],
     *   methodSettings: PlanJson['methodSettings'], hues: list<string>,
     *   pressures: PlanJson['pressures'], finishes: list<string>, undoWords: ?string, redoWords: ?string, named: PlanJson['named'],
     *   version: int, stamp: int
     * } what is so whether there is anything to plan or not
     */
    private function common(Study $study): array
    {
        $history = $this->plans->versions->history($study);

        return [
            'run' => self::run(PlanRun::query()->where('study_id', $study->id)->orderByDesc('id')->first()),
            'settings' => $this->settings($study),
            'startingPoints' => array_map(
                static fn (StartingPoint $p): array => [
                    'value' => $p->value,
                    'title' => $p->title(),
                    'why' => $p->why(),
                    'settings' => $p->method()->settings(),
                ],
                StartingPoint::cases(),
            ),
            'methodSettings' => self::methodSettings(),
            'hues' => Recolour::CHOICES,
            'pressures' => SequenceResource::vocabulary(),
            'finishes' => Finish::values(),
            'undoWords' => $history['undo'],
            'redoWords' => $history['redo'],
            'named' => $this->named($study),
            'version' => $study->plan_number,
            'stamp' => $this->plans->versions->current($study)->id ?? 0,
        ];
    }

    /**
     * Of drawing from the bare paper on, at the pace of who draws.
     *
     * @param  list<PlannedZone>  $planned
     */
    private function minutes(Study $study, PlanGround $ground, array $planned): float
    {
        $habits = $this->desk->habits($study, $this->desk->ticks($study));
        $minutes = 0.0;
        foreach ($this->board->zones($ground, [], $planned) as $zone) {
            $minutes += array_sum(array_map(static fn (DeskStep $s): float => $s->minutes, $zone->steps($habits)));
        }

        return $minutes;
    }

    /** @return PlanJson['settings'] */
    private function settings(Study $study): array
    {
        $s = $this->plans->sheet($study)->settings;

        return [
            'method' => $s->methods[0] ?? [],
            'mode' => $s->mode->value,
            'pencils' => $s->pencils,
            'keep' => $s->keep,
            'without' => $s->without,
            'hue' => $s->hues[0] ?? 'as seen',
        ];
    }

    /**
     * @return PlanJson['methodSettings'] what a method consists of, with what speaks for each choice; the number of pencils is chosen with
     *   the palette
     */
    private static function methodSettings(): array
    {
        $settings = array_diff_key(Method::kinds(), ['palette' => true]);

        return array_map(
            static fn (string $name, string $setting): array => [
                'name' => $name,
                'title' => $setting::title(),
                'choices' => array_map(
                    static fn (Setting $choice): array => ['value' => (string) $choice->value, 'why' => $choice->why()],
                    $setting::cases(),
                ),
            ],
            array_keys($settings),
            $settings,
        );
    }

    /** @return list<array{number: int, name: string}> */
    private function named(Study $study): array
    {
        $named = [];
        foreach (PlanVersion::query()->where('study_id', $study->id)->where('name', '!=', null)->orderBy('number')->get() as $version) {
            $named[] = ['number' => $version->number, 'name' => (string) $version->name];
        }

        return $named;
    }

    /** @return PlanRunJson|null */
    private static function run(?PlanRun $run): ?array
    {
        return $run === null
            ? null
            : [
                'state' => $run->state->value,
                'what' => $run->what,
                'done' => $run->done,
                'total' => $run->total,
                'changes' => $run->changes,
            ];
    }

    /**
     * What to look out for between zones. Worked out once for the same stacks, as every zone must be laid for it.
     *
     * @param  list<PlannedZone>  $planned
     * @return PlanJson['warnings']
     */
    private function between(PlanGround $ground, array $planned): array
    {
        $key =
            'zone-warnings/'.
            md5(
                json_encode(
                    [
                        $ground->zones->labels->fingerprint(),
                        array_map(static fn ($n): string => $n->name, $ground->zones->notes),
                        $ground->paper->key(),
                        PlanRepository::keysOf($planned),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            );

        return Computed::kept($key, self::KEPT_SECONDS, function () use ($ground, $planned): array {
            $answers = PlannedPictures::sequences($ground, $planned);

            return array_map(
                static fn (Warning $w): array => [
                    'code' => $w->kind->value,
                    'zone' => $w->zones[0],
                    'shade' => $answers[$w->zones[0]]->shades()[$w->shades[0]]->name,
                    'text' => $w->text,
                    'remedy' => $w->remedy,
                ],
                ZoneWarnings::in($ground->map(), $answers),
            );
        });
    }

    /**
     * One of the figures of all shades that are planned, by area.
     *
     * @param  list<PlannedZone>  $planned
     * @param  list<PlanZoneJson>  $zones  as they are shown, in the same order
     */
    private static function mean(array $planned, array $zones, string $figure): float
    {
        $sum = $weight = 0.0;
        foreach ($planned as $i => $zone) {
            $outcomes = (array) ($zones[$i]['sequence']['outcomes'] ?? []);
            foreach ($outcomes === [] ? [] : $zone->shades as $shade) {
                $sum += $shade->weight * $outcomes[$shade->name][$figure];
                $weight += $shade->weight;
            }
        }

        return $weight > 0 ? Figures::difference($sum / $weight) : 0.0;
    }
}
