<?php

declare(strict_types=1);

namespace App\Cli;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Whether the running application is well: just-in-time compiler, database, queue worker, storage. */
final class HealthCommand extends Command
{
    use Reads;

    private const SECONDS_TO_ANSWER = 5;

    protected function configure(): void
    {
        $this->setName('health')
            ->setDescription('Whether the running application is well')
            ->addOption('address', null, InputOption::VALUE_REQUIRED, 'its address; found automatically if left out');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $jit = function_exists('opcache_get_status') ? opcache_get_status(false)['jit']['on'] ?? false : false;
        $address = rtrim((string) ($input->getOption('address') ?? self::address()), '/');
        $context = stream_context_create([
            'http' => ['timeout' => self::SECONDS_TO_ANSWER, 'ignore_errors' => true, 'header' => 'Accept: application/json'],
        ]);
        $body = $address === '' ? false : @file_get_contents($address.'/health', false, $context);
        $server = is_string($body) ? json_decode($body, true) : null;
        if (! is_array($server)) {
            $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
            $errors->writeln('prism: The application does not answer; start it with ./start.', OutputInterface::OUTPUT_RAW);
            $server = ['ok' => false];
        }
        $ok = $jit && ($server['ok'] ?? false) === true;
        $this->json($output, [
            'ok' => $ok,
            'commandLine' => ['jit' => $jit, 'php' => PHP_VERSION],
            'application' => ['address' => $address, ...$server],
        ]);

        return $ok ? self::SUCCESS : self::FAILURE;
    }

    private static function address(): string
    {
        $file = dirname(__DIR__, 2).'/var/app/run/address';

        return is_file($file) ? trim((string) file_get_contents($file)) : '';
    }
}
