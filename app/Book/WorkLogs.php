<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\DeskMarkRow;
use App\Models\PencilRow;
use App\Models\PencilUse;
use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use KnottyPrism\Core\Book\Log\LoggedPass;
use KnottyPrism\Core\Book\Log\LogSession;
use KnottyPrism\Core\Book\Log\Wear;
use KnottyPrism\Core\Book\Log\WorkLog;
use KnottyPrism\Core\Desk\Progress\MarkKind;
use KnottyPrism\Core\Error\ImpossibleChange;

/** What somebody has worked, read from the marks of the desks of all her studies. */
final class WorkLogs
{
    public function of(User $user): WorkLog
    {
        // Plain rows: ten thousand of them are read whenever the log is opened.
        $rows = DB::table('desk_marks')
            ->join('studies', 'studies.id', '=', 'desk_marks.study_id')
            ->where('studies.user_id', $user->id)
            ->where('desk_marks.taken_back', false)
            ->orderBy('desk_marks.made_at')
            ->orderBy('desk_marks.id')
            ->get([
                'desk_marks.id',
                'desk_marks.study_id',
                'desk_marks.made_at',
                'desk_marks.zone_name',
                'desk_marks.kind',
                'desk_marks.pass',
                'desk_marks.minutes',
                'desk_marks.film',
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
                            $r->kind === MarkKind::Skipped->value,
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
     * @param  int  $mark  the first of the session
     *
     * @throws ImpossibleChange when it is not hers, or was taken back
     */
    public function note(User $user, int $mark, string $text): int
    {
        $there = DeskMarkRow::query()
            ->whereKey($mark)
            ->where('taken_back', false)
            ->whereIn('study_id', array_keys($this->studies($user)))
            ->exists();
        if (! $there) {
            throw ImpossibleChange::because('That session is not in the log any more; nothing was noted.');
        }
        DeskMarkRow::query()
            ->whereKey($mark)
            ->update(['note' => $text === '' ? null : $text]);

        return $mark;
    }

    /**
     * @param  list<LogSession>  $sessions
     * @return array<int, string> by their first mark
     */
    public function notes(array $sessions): array
    {
        /** @var array<int, string> */
        return DeskMarkRow::query()
            ->whereKey(array_map(static fn (LogSession $s): int => $s->passes[0]->id, $sessions))
            ->whereNotNull('note')
            ->pluck('note', 'id')
            ->all();
    }
}
