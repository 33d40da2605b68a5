<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Study;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * A page that was opened before an update asks under names that are no more. It is told that its moment has passed and not that it is
 * wrong: what it has kept waits on its device, and goes under the new names when the page is loaded again (api/keptEdits.ts).
 */
final class EarlierPageController extends Controller
{
    public const TOO_EARLY = 425;

    public function __invoke(Study $study): never
    {
        throw new HttpException(self::TOO_EARLY);
    }
}
