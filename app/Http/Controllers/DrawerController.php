<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Answers\DrawerAnswers;
use App\Drawers\DrawerHistory;
use App\Drawers\DrawerKeeper;
use App\Drawers\StockNotes;
use App\Models\PencilRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\Stock\Stock;
use KnottyPrism\Core\Formats\DrawerExport;
use KnottyPrism\Core\Medium\Paper\PaperShelf;

/** The pencils at hand: as they lie, each on its own, and their stock. */
final class DrawerController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $pencils = PencilRow::query()->where('user_id', $this->user($request)->id)->where('owned', true)->orderBy('line')->orderBy('number')->get();

        return new JsonResponse([
            'pencils' => $pencils->map(static fn (PencilRow $p): array => ['id' => $p->identifier(), 'line' => $p->line, 'number' => $p->number, 'name' => $p->name, 'binder' => $p->binder, 'assumed' => $p->fit['assumed'] ?? []])->all(),
        ]);
    }

    /** The pencils as they lie, in an order. */
    public function tray(Request $request, DrawerAnswers $answers): JsonResponse
    {
        $request->validate(['order' => ['sometimes', Rule::in(DrawerOrder::KINDS)], 'line' => ['sometimes', 'nullable', 'string', 'max:80'], 'wanted' => ['sometimes', 'boolean']]);
        $line = $request->has('line') ? (string) $request->string('line') : null;

        return new JsonResponse($answers->tray($this->user($request), (string) $request->string('order', 'gradual'), $line, $request->boolean('wanted')));
    }

    public function pencil(Request $request, DrawerAnswers $answers): JsonResponse
    {
        $request->validate(['id' => ['required', 'string', 'max:130'], 'paper' => ['sometimes', Rule::in(PaperShelf::names())]]);

        return new JsonResponse($answers->pencil($this->user($request), (string) $request->string('id'), (string) $request->string('paper', 'white medium')));
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

        return new JsonResponse(['lines' => $lines, 'undoWords' => $next?->words, 'stamp' => $next->id ?? 0]);
    }

    public function note(Request $request, StockNotes $stock, DrawerHistory $history): JsonResponse
    {
        $request->validate(['id' => ['required', 'string', 'max:130']]);
        $change = $request->validate([
            'stock' => ['sometimes', Rule::enum(Stock::class)], 'lengthLeft' => ['sometimes', 'nullable', 'numeric'], 'discontinued' => ['sometimes', 'boolean'],
            'formerly' => ['sometimes', 'array', 'max:20'], 'formerly.*' => ['string', 'max:120'], 'notes' => ['sometimes', 'nullable', 'string', 'max:2000'],
        ]);
        if (isset($change['lengthLeft'])) {
            $change['lengthLeft'] = (float) $change['lengthLeft'];
        }
        if (isset($change['discontinued'])) {
            $change['discontinued'] = $request->boolean('discontinued');
        }
        /** @var array{stock?: string, lengthLeft?: ?float, discontinued?: bool, formerly?: list<string>, notes?: ?string} $change */
        $this->once($request, function () use ($request, $stock, $history, $change): int {
            $stock->note($this->user($request), (string) $request->string('id'), $change);

            return $history->next($this->user($request))->id ?? 0;
        });

        return new JsonResponse(status: 204);
    }

    public function addRange(Request $request, StockNotes $stock, DrawerHistory $history): JsonResponse
    {
        $request->validate(['line' => ['present', 'nullable', 'string', 'max:80'], 'numbers' => ['required', 'string', 'max:400'], 'stock' => ['required', Rule::enum(Stock::class)]]);
        $changed = 0;
        $this->once($request, function () use ($request, $stock, $history, &$changed): int {
            $changed = $stock->addRange($this->user($request), (string) $request->string('line'), (string) $request->string('numbers'), Stock::from((string) $request->string('stock')));

            return $history->next($this->user($request))->id ?? 0;
        });

        return new JsonResponse(['changed' => $changed]);
    }

    public function undo(Request $request, DrawerHistory $history): JsonResponse
    {
        $undone = null;
        $this->once($request, function () use ($request, $history, &$undone): int {
            $undone = $history->undo($this->user($request), self::meant($request));

            return $history->next($this->user($request))->id ?? 0;
        });

        return new JsonResponse(['undone' => $undone]);
    }

    /** The whole drawer, owned or not, as a file. */
    public function export(Request $request, DrawerKeeper $drawers, string $kind): Response
    {
        $text = DrawerExport::text($kind, 'Drawer', $drawers->shelfRows($this->user($request)));
        $type = $kind === 'json' ? 'application/json' : ($kind === 'csv' ? 'text/csv' : 'text/plain').'; charset=utf-8';

        return new Response($text, 200, ['Content-Type' => $type, 'Content-Disposition' => 'attachment; filename="drawer'.($kind === 'spectral' ? '-spectral' : '').'.'.DrawerExport::KINDS[$kind].'"', 'Cache-Control' => 'no-store']);
    }
}
