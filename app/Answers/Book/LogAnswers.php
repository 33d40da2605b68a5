<?php

declare(strict_types=1);

namespace App\Answers\Book;

use App\Book\WorkLogs;
use App\Desk\DeskBoard;
use App\Desk\DeskKeeper;
use App\Drawers\DrawerKeeper;
use App\Models\DrawingCheckRow;
use App\Models\PencilRow;
use App\Models\Study;
use App\Models\User;
use App\Plans\PlanRepository;
use App\Resources\LogResource;
use KnottyPrism\Core\Book\Log\LogSession;
use KnottyPrism\Core\Book\Log\Supply;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;

/**
 * The log of somebody's work, and what it says of her pencils.
 *
 * @phpstan-import-type LogJson from \Described
 * @phpstan-import-type PencilPortraitJson from \Described
 * @phpstan-import-type PencilSupplyJson from \Described
 */
final class LogAnswers
{
    /** Sessions told at once. */
    private const TOLD = 30;

    /** Weeks whose hours are told. */
    private const WEEKS = 12;

    public function __construct(
        private readonly WorkLogs $logs,
        private readonly DrawerKeeper $drawers,
        private readonly DeskBoard $board,
        private readonly DeskKeeper $desk,
        private readonly PlanRepository $plans,
    ) {
    }

    /**
     * @param  int  $skip  sessions told already, the latest
     * @return LogJson
     */
    public function log(User $user, int $skip): array
    {
        $log = $this->logs->of($user);
        $told = array_slice(array_reverse($log->sessions), $skip, self::TOLD);
        $studies = $this->logs->studies($user);
        $wear = $this->logs->wear($user, $log);
        $names = self::called($user);
        $notes = $this->logs->notes($told);
        $checks = self::checks($told);

        return [
            'sessions' => array_map(
                static fn (LogSession $s): array => LogResource::session(
                    $s,
                    $studies[$s->study()] ?? '',
                    $names,
                    $wear,
                    $notes[$s->passes[0]->id] ?? '',
                    $checks,
                ),
                $told,
            ),
            'more' => max(0, count($log->sessions) - $skip - count($told)),
            'total' => LogResource::total($log->total(), $wear),
            'weeks' => LogResource::totals(
                $log->weeks(time(), self::WEEKS),
                static fn (int $monday): string => gmdate('j M', $monday),
                $wear,
            ),
            'years' => LogResource::totals(
                $log->totals(static fn (LogSession $s): int => (int) gmdate('Y', $s->began())),
                static fn (int $year): string => (string) $year,
                $wear,
            ),
            'studies' => LogResource::totals(
                $log->totals(static fn (LogSession $s): int => $s->study()),
                static fn (int $id): string => $studies[$id] ?? '',
                $wear,
            ),
        ];
    }

    /**
     * How much of every pencil is used, left and needed for what is planned of one study.
     *
     * @return PencilSupplyJson
     */
    public function supply(User $user, Study $study): array
    {
        $log = $this->logs->of($user);
        $wear = $this->logs->wear($user, $log);
        $used = $log->film();
        $needed = $this->needed($user, $study);
        $pencils = [];
        foreach ($user->pencils()->get() as $row) {
            $id = $row->identifier();
            if (isset($used[$id]) || isset($needed[$id])) {
                $pencils[] = LogResource::supply(
                    $row->record(),
                    self::supplyOf($row, $log, $wear, $used[$id] ?? 0.0, $needed[$id] ?? 0.0),
                    $row->stock,
                );
            }
        }
        usort($pencils, static fn (array $a, array $b): int => [$b['short'], $b['usedMm']] <=> [$a['short'], $a['usedMm']]);

        return ['study' => $study->name, 'pencils' => $pencils, 'overruled' => $this->overruled($study)];
    }

    /**
     * What the log says of one pencil, to its artist in the drawer.
     *
     * @return PencilPortraitJson['worn']
     */
    public function pencil(User $user, string $id): array
    {
        $log = $this->logs->of($user);
        $row = $this->drawers->row($user, $id);
        $supply = self::supplyOf($row, $log, $this->logs->wear($user, $log), $log->filmOf($row->identifier()), 0.0);

        return LogResource::worn($row->record(), $supply);
    }

    /**
     * @param  float  $used  film that it laid in all
     * @param  float  $needed  and is to lay yet
     */
    private static function supplyOf(PencilRow $row, WorkLog $log, Wear $wear, float $used, float $needed): Supply
    {
        $since = $row->length_noted_at ?? ($row->updated_at->timestamp ?? 0);

        return new Supply(
            $wear->millimetres($used),
            $row->length_left === null
                ? null
                : max(0.0, $row->length_left - $wear->millimetres($log->filmOf($row->identifier(), (int) $since))),
            $wear->millimetres($needed),
        );
    }

    /** @return array<string, float> film of what is planned and not laid yet, by pencil */
    private function needed(User $user, Study $study): array
    {
        $needed = [];
        $ground = $this->board->ground($user, $study);
        if ($ground === null) {
            return $needed;
        }
        foreach ($this->board->zones($ground, $this->desk->ticks($study)) as $zone) {
            for ($at = $zone->laid; $at < count($zone->chain->passes); $at++) {
                $tool = $zone->chain->passes[$at]->tool;
                if ($tool instanceof Pencil) {
                    $needed[$tool->id()] = ($needed[$tool->id()] ?? 0.0) + $zone->film($at, $ground->paper);
                }
            }
        }

        return $needed;
    }

    /** @return PencilSupplyJson['overruled'] warnings of the plan that its artist overruled, with her reason */
    private function overruled(Study $study): array
    {
        $told = [];
        foreach ($this->plans->sheet($study)->overruled as $key => $notes) {
            [$zone, $shade] = explode('/', (string) $key) + [1 => ''];
            foreach ($notes as $code => $reason) {
                $told[] = [
                    'zone' => $this->plans->zoneName($study, (int) $zone) ?? '',
                    'shade' => $shade,
                    'code' => $code,
                    'reason' => $reason,
                ];
            }
        }

        return $told;
    }

    /** @return array<string, PencilRecord> what is known of the pencils of the shelf, by their identifiers */
    public static function called(User $user): array
    {
        $called = [];
        foreach ($user->pencils()->get(['id', ...PencilRow::RECORD]) as $row) {
            $called[$row->identifier()] = $row->record();
        }

        return $called;
    }

    /**
     * @param  list<LogSession>  $sessions
     * @return array<int, list<array{id: int, at: int}>> photos of the drawing by study
     */
    private static function checks(array $sessions): array
    {
        $checks = [];
        foreach (
            DrawingCheckRow::query()
                ->whereIn('study_id', array_unique(array_map(static fn (LogSession $s): int => $s->study(), $sessions)))
                ->get(['id', 'study_id', 'created_at']) as $row
        ) {
            $checks[$row->study_id][] = ['id' => $row->id, 'at' => $row->created_at->getTimestamp()];
        }

        return $checks;
    }
}
