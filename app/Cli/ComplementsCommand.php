<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\Figures;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Complements\Complement;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** For each pencil available what neutralises it, what darkens it, and what lifts it beside it. */
final class ComplementsCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('complements')->setDescription('What neutralises, darkens and lifts each pencil, on a paper')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $pencils = $this->drawer($input)->usable()->pencils;
        $paper = $this->paper($input);
        $table = new ComplementTable($pencils, $paper);
        $this->json($output, ['paper' => $paper->name, 'pencils' => array_map(static fn (Pencil $p): array => [
            'pencil' => $p->id(),
            'neutralisers' => array_map(self::complement(...), $table->neutralisersOf($p)),
            'darkener' => ($darkener = $table->darkenerOf($p)) === null ? null : self::complement($darkener),
            'standsOutBy' => $table->standsOutBy($p)?->id(),
        ], $pencils)]);

        return self::SUCCESS;
    }

    /** @return array<string, mixed> */
    private static function complement(Complement $complement): array
    {
        return ['pencil' => $complement->pencil->id(), 'stack' => $complement->stack->text(), ...Figures::colour($complement->mix)];
    }
}
