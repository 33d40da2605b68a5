<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;

/** The one page; what it shows is decided by the address in the front end. */
final class PageController extends Controller
{
    public function __invoke(): View
    {
        return view('page');
    }
}
