<?php

declare(strict_types=1);

namespace App\Cli;

use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\Cgats;
use KnottyPrism\Core\Formats\DrawerFile;
use KnottyPrism\Core\Formats\DrawerWriter;
use KnottyPrism\Core\Formats\PaletteText;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes a drawer file in another format, to standard output. */
final class ConvertCommand extends Command
{
    use Reads;

    private const KINDS = ['csv', 'gpl', 'cgats', 'json'];

    protected function configure(): void
    {
        $this->setName('convert')->setDescription('A drawer file in another format')
            ->addOption('from', null, InputOption::VALUE_REQUIRED, 'drawer file: CSV, JSON, .gpl palette or CGATS text')
            ->addOption('to', null, InputOption::VALUE_REQUIRED, implode(', ', self::KINDS));
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $from = $this->required($input, 'from');
        $to = $this->required($input, 'to');
        if (! in_array($to, self::KINDS, true)) {
            throw UnreadableText::choice('--to', self::KINDS, $to);
        }
        $records = DrawerFile::records($this->file($from));
        $title = pathinfo($from, PATHINFO_FILENAME);
        $output->write(match ($to) {
            'csv' => DrawerWriter::csv($records),
            'gpl' => PaletteText::write($title, $records),
            'cgats' => Cgats::write($title, $records),
            'json' => DrawerWriter::json($records),
        }, options: OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
