<?php

declare(strict_types=1);

namespace App\Answers;

use App\Cache\Computed;
use App\Desk\DeskBoard;
use App\Desk\DeskKeeper;
use App\Models\Study;
use App\Models\TickRow;
use App\Models\User;
use App\Photos\BorderReader;
use App\Photos\SurveyRepository;
use App\Plans\PlanGround;
use App\Plans\PlanParts;
use App\Resources\OrderResource;
use App\Resources\RecipeResource;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Desk\Finish\AskFinished;
use KnottyPrism\Core\Desk\Order\Coats;
use KnottyPrism\Core\Desk\Order\PlacedStep;
use KnottyPrism\Core\Desk\Order\Sessions;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Desk\Progress\ZoneAtDesk;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Photo\Grid\Outlines;
use KnottyPrism\Core\Photo\Zones\Touch;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * The desk of a study as the page shows it: all that is to come, step by step, so that an hour without network loses nothing.
 *
 * @phpstan-import-type DeskFinishedJson from \Described
 * @phpstan-import-type DeskJson from \Described
 * @phpstan-import-type DeskTickJson from \Described
 * @phpstan-import-type SequenceJson from \Described
 */
final class DeskAnswers
{
    private const KEPT_SECONDS = 7 * 24 * 3600;

    /** Ticks that are told of: the last ones. */
    private const TOLD = 12;

    public function __construct(
        private readonly DeskBoard $board,
        private readonly DeskKeeper $keeper,
        private readonly PlanParts $parts,
        private readonly SurveyRepository $surveys,
        private readonly BorderReader $borders,
    ) {
    }

    /** @return DeskJson */
    public function desk(User $user, Study $study): array
    {
        $ticks = $this->keeper->ticks($study);
        $habits = $this->keeper->habits($study, $ticks);
        $ground = $this->board->ground($user, $study);
        $zones = $ground === null ? [] : $this->board->zones($ground, $ticks);
        $common = [
            'unplanned' => $ground === null ? null : $this->unplanned($study, count($ground->shades), count($zones)),
            'stamp' => $ticks === [] ? 0 : $ticks[count($ticks) - 1]->id,
            'habits' => [...DeskParts::habits($habits), 'breaks' => (bool) ($study->desk['breaks'] ?? true)],
            'finishes' => Finish::values(),
            'workOrders' => array_map(
                static fn (WorkOrder $w): array => ['value' => $w->value, 'words' => $w->words()],
                WorkOrder::cases(),
            ),
        ];
        if ($ground === null || $zones === []) {
            return [
                ...$common,
                'cannot' => $ground === null
                        ? 'There are no zones or no pencils yet: see “Photo” and '.'“Drawer”.'
                        : 'The plan has no passes.',
                'steps' => [],
                'sessions' => [],
                'zones' => [],
                'ticks' => [],
                'wet' => [],
                'sessionEnds' => false,
                'howFar' => '',
                'minutesLeft' => 0.0,
                'pencils' => [],
            ];
        }
        $order = $this->board->order($ground, $zones, $habits);
        $shown = array_map(fn (ZoneAtDesk $z): array => $this->sequence($ground, $z), $zones);
        [$sessions, $ends] = Sessions::after($this->keeper->sitting($ticks, $habits), $order, $habits->session);
        $outlines = $this->outlines($ground, array_keys($zones));
        $survey = $this->surveys->current($study);
        [$graded, $runsOut] = [$this->borders->graded($survey, $study->photo()), $this->borders->runsOut($study, $survey)];
        $left = array_sum(array_map(static fn (PlacedStep $p): float => $p->step->minutes, $order));
        $done = array_sum(array_map(static fn (ZoneAtDesk $z): float => $z->minutesLaid($habits), $zones));

        return [
            ...$common,
            'cannot' => null,
            'steps' => array_map(
                fn (array $coats): array => DeskParts::step(
                    $zones[($zone = $coats[0]->step->zone)],
                    $coats,
                    $shown[$zone],
                    $this->seen($zones[$zone]),
                    $runsOut[$zone],
                    $habits->leftHanded,
                    $ground,
                ),
                array_merge(...array_map(Coats::together(...), $sessions)),
            ),
            'sessions' => array_map(static fn (array $s): array => DeskParts::session($s, $zones), $sessions),
            'zones' => array_map(
                static fn (ZoneAtDesk $z): array => DeskParts::zone($z, $graded, ...$outlines[$z->place->number]),
                array_values($zones),
            ),
            'ticks' => self::ticks($ticks, $zones, $ground),
            'wet' => DeskParts::wet($ticks, $habits, array_keys($zones)),
            'sessionEnds' => $ends,
            'howFar' => AskFinished::howFar($done, $done + $left),
            'minutesLeft' => OrderResource::minutes($left),
            'pencils' => DeskParts::pencils($zones),
        ];
    }

    /**
     * @param  list<TickRow>  $rows
     * @param  array<int, ZoneAtDesk>  $zones
     * @return list<DeskTickJson> the last ones, coats that were ticked together as one
     */
    private static function ticks(array $rows, array $zones, PlanGround $ground): array
    {
        $told = [];
        $coats = 1;
        foreach (array_reverse($rows) as $row) {
            if (count($told) === self::TOLD) {
                break;
            }
            if ($row->continues) {
                $coats++;

                continue;
            }
            array_unshift($told, DeskParts::tick($row, $coats, $zones[$row->zone] ?? null, $ground));
            $coats = 1;
        }

        return $told;
    }

    /** What there is to plan before all of it can be laid; null when it is planned. */
    private function unplanned(Study $study, int $zones, int $planned): ?string
    {
        if ($planned >= $zones) {
            return null;
        }
        if (! $this->parts->hasZones($study)) {
            return 'The picture is not planned yet.';
        }
        $left = $zones - $planned;

        // A pencil run out, a hand learned, a colour set: what is planned with the old ones would be said of the new.
        return ($left === $zones ? 'No zone is' : ($left === 1 ? 'One zone is not' : $left.' zones are not')).
            ' planned yet: a pencil, a colour, the paper or your hand has changed since. What is drawn is kept, and '.
            'planning continues from it.';
    }

    /** @return DeskFinishedJson */
    public function finished(User $user, Study $study): array
    {
        $ground = $this->board->ground($user, $study);

        return [
            'findings' => $ground === null ? [] : DeskFindings::of($this->board->zones($ground, $this->keeper->ticks($study)), $ground),
        ];
    }

    /**
     * Lines round every zone and its touches: they change with the zones alone.
     *
     * @param  list<int>  $numbers
     * @return array<int, array{list<list<float>>, list<array{shade: string, outlines: list<list<float>>}>}>
     */
    private function outlines(PlanGround $ground, array $numbers): array
    {
        $labels = $ground->zones->labels;
        $touches = array_map(
            static fn (int $number): array => $ground->readings[$number]->zone->touches,
            array_combine($numbers, $numbers),
        );
        $key = 'desk-outlines/'.md5(serialize([$labels->fingerprint(), $touches]));

        /** @var array<int, array{list<list<float>>, list<array{shade: string, outlines: list<list<float>>}>}> */
        return Computed::kept($key, self::KEPT_SECONDS, static function () use ($labels, $touches): array {
            $lines = new Outlines($labels);
            $found = [];
            foreach ($touches as $number => $of) {
                $found[$number] = [
                    $lines->of($number),
                    array_map(
                        static fn (Touch $t): array => [
                            'shade' => $t->shade->value,
                            'outlines' => Outlines::around($labels->width, $labels->height, $t->pixels),
                        ],
                        $of,
                    ),
                ];
            }

            return $found;
        });
    }

    /** @return SequenceJson */
    private function sequence(PlanGround $ground, ZoneAtDesk $zone): array
    {
        $key = md5(
            json_encode(
                [
                    'desk-zone',
                    SequenceNote::of($zone->chain, $zone->shades)->toArray(),
                    array_map(
                        static fn (Shade $s): array => [$s->name, $s->called(), $s->target->toArray(), round($s->weight, 5)],
                        $zone->shades,
                    ),
                    $ground->paper->key(),
                    $ground->sheet->settings->mode->value,
                ],
                JSON_THROW_ON_ERROR,
            ),
        );

        return Computed::kept($key, self::KEPT_SECONDS, static function () use ($ground, $zone): array {
            $answer = SequenceAnswer::of(
                RecipeLabel::Surest,
                $zone->chain,
                $zone->shades,
                $ground->paper,
                $ground->sheet->settings->mode,
            );

            return SequenceResource::answer($answer, $ground->paper);
        });
    }

    /** @return array<string, string> the photo's colour of every shade, by shade */
    private function seen(ZoneAtDesk $zone): array
    {
        $seen = [];
        foreach ($zone->shades as $shade) {
            $seen[$shade->name] = RecipeResource::reading($shade->seen)['hex'];
        }

        return $seen;
    }
}
