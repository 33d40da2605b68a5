<?php

declare(strict_types=1);

namespace App\Http\Controllers\Book;

use App\Answers\Book\SharedAnswers;
use App\Book\SharedPlans;
use App\Http\Controllers\Controller;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The link by which an artist shows a plan. */
final class SharingController extends Controller
{
    public function __construct(private readonly SharedPlans $shared, private readonly SharedAnswers $answers)
    {
    }

    public function show(Study $study): JsonResponse
    {
        return new JsonResponse($this->answers->link($study));
    }

    public function share(Request $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->shared->share($study));

        return new JsonResponse($this->answers->link($study), 201);
    }

    public function withdraw(Request $request, Study $study): JsonResponse
    {
        $this->once($request, fn (): int => $this->shared->withdraw($study));

        return new JsonResponse($this->answers->link($study));
    }
}
