<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Study;
use App\Photos\PhotoStore;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The working copy of a study's photo, to its owner. */
final class PhotoController extends Controller
{
    public function __invoke(Study $study, PhotoStore $store): Response
    {
        Gate::authorize('own', $study);

        return new Response($store->jpeg($study), 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=3600']);
    }
}
