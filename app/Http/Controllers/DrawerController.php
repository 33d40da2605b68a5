<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\Book\LogAnswers;
use App\Answers\DrawerAnswers;
use App\Drawers\DrawerHistory;
use App\Drawers\DrawerKeeper;
use App\Drawers\StockNotes;
use App\Http\Requests\Drawer\PencilRequest;
use App\Http\Requests\Drawer\RangeRequest;
use App\Http\Requests\Drawer\StockNoteRequest;
use App\Http\Requests\Drawer\TrayRequest;
use App\Http\Requests\UndoRequest;
use App\Models\PencilRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;

/** The pencils available: as they lie, each on its own, and their stock. */
final class DrawerController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $pencils = PencilRow::query()
            ->where('user_id', $this->user($request)->id)
            ->where('owned', true)
            ->orderBy('line')
            ->orderBy('number')
            ->get();

        return new JsonResponse([
            'pencils' => $pencils
                ->map(
                    static fn (PencilRow $p): array => [
                        'id' => $p->identifier(),
                        'line' => $p->line,
                        'number' => $p->number,
                        'name' => $p->name,
                        'binder' => $p->binder?->value,
                        'assumed' => $p->fit['assumed'] ?? [],
                    ],
                )
                ->all(),
        ]);
    }

    /** The pencils as they lie, in an order. */
    public function tray(TrayRequest $request, DrawerAnswers $answers): JsonResponse
    {
        return new JsonResponse($answers->tray($this->user($request), $request->order(), $request->line(), $request->boolean('wanted')));
    }

    public function pencil(PencilRequest $request, DrawerAnswers $answers, LogAnswers $log): JsonResponse
    {
        $user = $this->user($request);

        $worn = static fn (string $id): array => $log->pencil($user, $id);

        return new JsonResponse($answers->pencil($user, $request->pencil(), $request->paper(), $worn));
    }

    /** Invented pencils to begin with, as a drawer file. */
    public function sample(): Response
    {
        return new Response((string) file_get_contents(base_path('demo/drawer.csv')), 200, ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    public function lines(Request $request, DrawerKeeper $drawers, DrawerHistory $history): JsonResponse
    {
        $lines = [];
        $next = $history->next($this->user($request));
        foreach ($drawers->lines($this->user($request)) as $line => $counts) {
            $lines[] = ['line' => (string) $line, ...$counts];
        }

        $formats = array_map(
            static fn (DrawerFormat $f): array => ['kind' => $f->value, 'ending' => $f->ending, 'name' => $f->name, 'holds' => $f->holds],
            DrawerFormat::cases(),
        );

        return new JsonResponse(['lines' => $lines, 'formats' => $formats, 'undoWords' => $next?->words, 'stamp' => $next->id ?? 0]);
    }

    public function note(StockNoteRequest $request, StockNotes $stock, DrawerHistory $history): JsonResponse
    {
        $this->once($request, function () use ($request, $stock, $history): int {
            $stock->note($this->user($request), $request->pencil(), $request->change());

            return $history->next($this->user($request))->id ?? 0;
        });

        return new JsonResponse(status: 204);
    }

    public function addRange(RangeRequest $request, StockNotes $stock, DrawerHistory $history): JsonResponse
    {
        $changed = 0;
        $this->once($request, function () use ($request, $stock, $history, &$changed): int {
            $changed = $stock->addRange($this->user($request), $request->line(), $request->numbers(), $request->stock());

            return $history->next($this->user($request))->id ?? 0;
        });

        return new JsonResponse(['changed' => $changed]);
    }

    public function undo(UndoRequest $request, DrawerHistory $history): JsonResponse
    {
        $undone = null;
        $this->once($request, function () use ($request, $history, &$undone): int {
            $undone = $history->undo($this->user($request), $request->meant());

            return $history->next($this->user($request))->id ?? 0;
        });

        return new JsonResponse(['undone' => $undone]);
    }

    /** The whole drawer, owned or not, as a file. */
    public function export(Request $request, DrawerKeeper $drawers, string $kind): Response
    {
        $format = DrawerFormat::tryFrom($kind) ?? throw UnreadableText::choice('the format', DrawerFormat::values(), $kind);
        $name = $format->value === 'spectral' ? 'drawer-spectral' : 'drawer';

        return new Response($format->write('Drawer', $drawers->shelfRows($this->user($request))), 200, [
            'Content-Type' => "$format->type; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"$name.$format->ending\"",
            'Cache-Control' => 'no-store',
        ]);
    }
}
