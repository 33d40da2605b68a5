<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\Figures;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Formats\StackText;
use KnottyPrism\Core\Medium\Laying\Evenness;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** The colour after every pass of a stack. */
final class PredictCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('predict')->setDescription('The colour after every pass of a stack')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption('hand', null, InputOption::VALUE_REQUIRED, 'what prism hand has written of one')
            ->addOption('stack', null, InputOption::VALUE_REQUIRED, 'steps from the paper up, like 101@0.35,114@0.55,solvent');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $stack = StackText::read($this->required($input, 'stack'), $this->drawer($input));
        $paper = $this->paper($input);
        $laid = LaidStack::of($stack, $paper);
        $sheet = $laid->after($laid->steps());
        $evenness = Evenness::of($sheet);
        $this->json($output, [
            'paper' => $paper->name,
            'passes' => SequenceResource::steps($laid),
            'final' => [
                ...Figures::colour($laid->lab($laid->steps())),
                'toothUsed' => Figures::share($sheet->toothUsed()),
                'steadiness' => Figures::difference(Steadiness::of($stack, $paper)),
                'grain' => Figures::difference($evenness->grain),
                'evenness' => $evenness->words(),
                'liveliness' => Figures::difference($laid->liveliness()),
            ],
        ]);

        return self::SUCCESS;
    }
}
