<?php

declare(strict_types=1);

namespace App\Work;

/** Thrown where work under way finds that it was cancelled, so that its transaction leaves nothing behind. */
final class NotWanted extends \RuntimeException
{
}
