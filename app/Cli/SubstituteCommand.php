<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\Figures;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Substitute;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** What stands in for a pencil that is not available. */
final class SubstituteCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('substitute')
            ->setDescription('What stands in for a pencil that is not available')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'the available pencils: drawer file, CSV or JSON')
            ->addOption(
                'line',
                null,
                InputOption::VALUE_REQUIRED,
                'the line with the missing pencil: drawer file; without, it is looked for in the drawer',
            )
            ->addOption('pencil', null, InputOption::VALUE_REQUIRED, 'the missing pencil, ID')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $drawer = $this->drawer($input);
        $line = $input->getOption('line') === null ? $drawer : DrawerFile::drawer($this->file($this->required($input, 'line')));
        $found = Substitute::for($line->pencil($this->required($input, 'pencil')), $drawer, $this->paper($input));
        $mix = static fn (Recipe $r): array => [
            'stack' => $r->stack()->text(),
            'deltaE00' => Figures::difference($r->outcome()->comparison()->deltaE00),
            ...Figures::colour($r->outcome()->lab),
        ];
        $this->json($output, [
            'pencil' => $found->missing->id(),
            'nearest' => [
                'pencil' => $found->nearest->id(),
                'deltaE00Heavy' => Figures::difference($found->nearestHeavy),
                'deltaE00Light' => Figures::difference($found->nearestLight),
            ],
            'heavy' => $mix($found->heavy),
            'light' => $mix($found->light),
        ]);

        return self::SUCCESS;
    }
}
