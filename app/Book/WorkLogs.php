<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\PencilRow;
use App\Models\PencilUse;
use App\Models\Study;
use App\Models\TickRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Book\Log\LoggedPass;
use KnottyPrism\Core\Book\Log\LogSession;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Desk\Progress\TickKind;
use KnottyPrism\Core\Error\ImpossibleChange;

/** What somebody has worked, read from the ticks of the desks of all her studies. */
final class WorkLogs
{
    public function of(User $user): WorkLog
    {
        // Plain rows: ten thousand of them are read whenever the log is opened.
        $rows = DB::table('ticks')
            ->join('studies', 'studies.id', '=', 'ticks.study_id')
            ->where('studies.user_id', $user->id)
            ->where('ticks.taken_back', false)
            ->orderBy('ticks.made_at')
            ->orderBy('ticks.id')
            ->get([
                'ticks.id',
                'ticks.study_id',
                'ticks.made_at',
                'ticks.zone_name',
                'ticks.kind',
                'ticks.pass',
                'ticks.minutes',
                'ticks.film',
            ]);

        return new WorkLog(
            array_values(
                $rows
                    ->map(
                        static fn (\stdClass $r): LoggedPass => new LoggedPass(
                            (int) $r->id,
                            (int) $r->study_id,
                            (int) $r->made_at,
                            (string) $r->zone_name,
                            (string) json_decode((string) $r->pass)->tool,
                            $r->kind === TickKind::Skipped->value,
                            (float) $r->minutes,
                            $r->film === null ? null : (float) $r->film,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** By what somebody measured of her own pencils, where she did so more than once. */
    public function wear(User $user, WorkLog $log): Wear
    {
        $lengths = [];
        $uses = PencilUse::query()
            ->whereIn('pencil_id', $user->pencils()->select('id'))
            ->orderBy('id')
            ->get()
            ->groupBy('pencil_id');
        foreach (
            PencilRow::query()
                ->whereKey($uses->filter(static fn ($of): bool => count($of) > 1)->keys()->all())
                ->get() as $row
        ) {
            $of = $uses[$row->id]->values();
            // The first length says nothing of the time before it.
            [$from, $to] = [$of[0]->created_at->timestamp ?? 0, $of[count($of) - 1]->created_at->timestamp ?? 0];
            $film = $log->filmOf($row->identifier(), (int) $from, (int) $to);
            if ($film > 0) {
                $lengths[] = [Wear::ordinary()->millimetres($film), (float) $of->slice(1)->sum('millimetres')];
            }
        }

        return Wear::learnt($lengths);
    }

    /** @return array<int, string> the names of somebody's studies */
    public function studies(User $user): array
    {
        /** @var array<int, string> */
        return Study::query()->where('user_id', $user->id)->pluck('name', 'id')->all();
    }

    /**
     * @param  int  $tick  the first of the session
     *
     * @throws ImpossibleChange when it is not hers, or was taken back
     */
    public function note(User $user, int $tick, string $text): int
    {
        $there = TickRow::query()
            ->whereKey($tick)
            ->where('taken_back', false)
            ->whereIn('study_id', array_keys($this->studies($user)))
            ->exists();
        if (! $there) {
            throw ImpossibleChange::because('This session is no longer in the log; the note was not saved.');
        }
        TickRow::query()
            ->whereKey($tick)
            ->update(['note' => $text === '' ? null : $text]);

        return $tick;
    }

    /**
     * @param  list<LogSession>  $sessions
     * @return array<int, string> by their first tick
     */
    public function notes(array $sessions): array
    {
        /** @var array<int, string> */
        return TickRow::query()
            ->whereKey(array_map(static fn (LogSession $s): int => $s->passes[0]->id, $sessions))
            ->whereNotNull('note')
            ->pluck('note', 'id')
            ->all();
    }
}
