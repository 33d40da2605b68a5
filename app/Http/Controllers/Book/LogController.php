<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Answers\Book\LogAnswers;
use App\Book\WorkCalendar;
use App\Book\WorkLogs;
use App\Http\Controllers\Controller;
use App\Http\Requests\Book\LogRequest;
use App\Http\Requests\Book\SessionNoteRequest;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KnottyPrism\Core\Formats\Tables\WorkLogCsv;

/** The log of what was worked at the desk. */
final class LogController extends Controller
{
    public function __construct(private readonly WorkLogs $logs, private readonly LogAnswers $answers)
    {
    }

    public function show(LogRequest $request): JsonResponse
    {
        return new JsonResponse($this->answers->log($this->user($request), $request->integer('skip')));
    }

    public function supply(Request $request, Study $study): JsonResponse
    {
        return new JsonResponse($this->answers->supply($this->user($request), $study));
    }

    public function note(SessionNoteRequest $request): JsonResponse
    {
        $user = $this->user($request);
        $this->once(
            $request,
            fn (): int => $this->logs->note($user, $request->integer('session'), trim((string) $request->string('note'))),
        );

        return new JsonResponse($this->answers->log($user, 0));
    }

    public function csv(Request $request): Response
    {
        $user = $this->user($request);
        $log = $this->logs->of($user);
        $called = array_map(static fn ($p): string => trim("$p->number $p->name"), LogAnswers::called($user));

        return self::file(
            WorkLogCsv::of($log, $this->logs->studies($user), $called, $this->logs->wear($user, $log)),
            'text/csv; charset=utf-8',
            'log.csv',
        );
    }

    public function calendar(Request $request): Response
    {
        $user = $this->user($request);
        $log = $this->logs->of($user);

        return self::file(
            WorkCalendar::of($log, $this->logs->studies($user), $this->logs->notes($log->sessions), $request->getHost()),
            'text/calendar; charset=utf-8',
            'log.ics',
        );
    }

    private static function file(string $text, string $type, string $name): Response
    {
        return new Response($text, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => "attachment; filename=\"$name\"",
            'Cache-Control' => 'no-store',
        ]);
    }
}
