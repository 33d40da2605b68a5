<?php

declare(strict_types=1);

use App\Cli\PrismApplication;
use Symfony\Component\Console\Input\ArgvInput;
use Symfony\Component\Console\Output\ConsoleOutput;

require __DIR__.'/../vendor/autoload.php';

exit((new PrismApplication)->answer(new ArgvInput, new ConsoleOutput));
