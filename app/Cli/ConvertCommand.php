<?php

declare(strict_types=1);

namespace App\Cli;

use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Formats\Drawers\DrawerFormat;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes a drawer file in another format, to standard output. */
final class ConvertCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('convert')
            ->setDescription('A drawer file in another format')
            ->addOption('from', null, InputOption::VALUE_REQUIRED, 'drawer file: CSV, JSON, .gpl palette or CGATS text')
            ->addOption('to', null, InputOption::VALUE_REQUIRED, implode(', ', DrawerFormat::values()));
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $from = $this->required($input, 'from');
        $to = $this->required($input, 'to');
        $format = DrawerFormat::tryFrom($to) ?? throw UnreadableText::choice('--to', DrawerFormat::values(), $to);
        $output->write(
            $format->write(pathinfo($from, PATHINFO_FILENAME), DrawerFile::rows($this->file($from))),
            options: OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }
}
