<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

/** Everything the core refuses carries this mark; the message is one plain sentence that names the cure. */
interface CoreError extends \Throwable
{
}
