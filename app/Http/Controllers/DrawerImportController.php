<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Drawers\DrawerImports;
use App\Http\Requests\Drawer\DrawerImportRequest;
use App\Http\Requests\Drawer\ImportChoicesRequest;
use App\Jobs\TakeInDrawer;
use App\Models\AccountImport;
use App\Models\DrawerImport;
use App\Work\Standing;
use Illuminate\Http\JsonResponse;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;

/** Bringing a drawer file in: looked at first, then taken in by the queue. */
final class DrawerImportController extends Controller
{
    public function __construct(private readonly DrawerImports $imports)
    {
    }

    /** A file that can't be read at all is refused here; the problems of single rows are part of the preview. */
    public function store(DrawerImportRequest $request): JsonResponse
    {
        $text = $request->text();
        $reading = DrawerFile::reading($text);
        $this->imports->forgetUntaken($this->user($request)->id);
        $import = DrawerImport::query()->create([
            'user_id' => $this->user($request)->id,
            'state' => Standing::Preview,
            'done' => 0,
            'total' => count($reading->rows),
            'text' => $text,
        ]);

        return new JsonResponse($this->shown($import->refresh()), 201);
    }

    public function show(DrawerImport $import): JsonResponse
    {
        return self::passing(new JsonResponse($this->shown($import)), $import->state->isUnderWay());
    }

    /** Other choices, and with them another preview. */
    public function choose(ImportChoicesRequest $request, DrawerImport $import): JsonResponse
    {
        if ($import->state === Standing::Preview) {
            $import->update(['choices' => $request->choices()]);
        }

        return new JsonResponse($this->shown($import));
    }

    /** Said twice, it is done once. */
    public function take(DrawerImport $import): JsonResponse
    {
        AccountImport::refuseMeanwhile($import->user_id);
        if (
            DrawerImport::query()
                ->whereKey($import->id)
                ->where('state', Standing::Preview)
                ->update(['state' => Standing::Waiting]) === 1
        ) {
            TakeInDrawer::dispatch($import->id);
        }

        return new JsonResponse($this->shown($import->refresh()), 202);
    }

    public function cancel(DrawerImport $import): JsonResponse
    {
        $this->imports->cancel($import);

        return new JsonResponse($this->shown($import->refresh()));
    }

    /** @return array<string, mixed> */
    private function shown(DrawerImport $import): array
    {
        $choices = $this->imports->choices($import);

        return [
            'id' => $import->id,
            'state' => $import->state->value,
            'done' => $this->imports->done($import),
            'total' => $import->total,
            'choices' => ['known' => $choices->known, 'twice' => $choices->twice, 'others' => $choices->others],
            'preview' => $import->state === Standing::Preview ? $this->imports->preview($import) : null,
        ];
    }
}
