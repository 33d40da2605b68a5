<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\DrawerImportRequest;
use App\Jobs\FitDrawer;
use App\Models\DrawerImport;
use App\Models\PencilRow;
use App\Services\DrawerDesk;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Medium\PaperShelf;

/** The pencils at hand, and bringing a drawer file in. */
final class DrawerController extends Controller
{
    public function show(Request $request): JsonResponse
    {
        $pencils = PencilRow::query()->where('user_id', $this->user($request)->id)->where('owned', true)->orderBy('line')->orderBy('number')->get();

        return new JsonResponse([
            'pencils' => $pencils->map(static fn (PencilRow $p): array => ['id' => $p->toPencil()->id(), 'line' => $p->line, 'number' => $p->number, 'name' => $p->name, 'binder' => $p->binder, 'assumed' => $p->fit['assumed']])->all(),
        ]);
    }

    /** The pencils as they lie, in an order. */
    public function tray(Request $request, DrawerDesk $desk): JsonResponse
    {
        $request->validate(['order' => ['sometimes', Rule::in(DrawerOrder::KINDS)]]);

        return new JsonResponse($desk->tray($this->user($request), (string) $request->string('order', 'gradual')));
    }

    public function pencil(Request $request, DrawerDesk $desk): JsonResponse
    {
        $request->validate(['id' => ['required', 'string', 'max:130'], 'paper' => ['sometimes', Rule::in(PaperShelf::names())]]);

        return new JsonResponse($desk->pencil($this->user($request), (string) $request->string('id'), (string) $request->string('paper', 'white medium')));
    }

    /** Every problem of the file is found before anything is changed; the fitting then runs in the queue. */
    public function import(DrawerImportRequest $request): JsonResponse
    {
        $text = $request->text();
        $records = DrawerFile::records($text);
        $import = DrawerImport::query()->create(['user_id' => $this->user($request)->id, 'state' => DrawerImport::WAITING, 'done' => 0, 'total' => count($records), 'text' => $text]);
        FitDrawer::dispatch($import->id);

        return new JsonResponse(self::shown($import->refresh()), 202);
    }

    public function progress(DrawerImport $import): JsonResponse
    {
        Gate::authorize('own', $import);

        return new JsonResponse(self::shown($import));
    }

    public function cancel(DrawerImport $import): JsonResponse
    {
        Gate::authorize('own', $import);
        DrawerImport::query()->whereKey($import->id)->whereIn('state', [DrawerImport::WAITING, DrawerImport::WORKING])->update(['state' => DrawerImport::CANCELLED]);

        return new JsonResponse(self::shown($import->refresh()));
    }

    /** @return array<string, mixed> */
    private static function shown(DrawerImport $import): array
    {
        return ['id' => $import->id, 'state' => $import->state, 'done' => $import->done, 'total' => $import->total];
    }
}
