<?php

declare(strict_types=1);

namespace App\Cli;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\HandJson;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\SuggestedStrips;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** What a hand is like, from strips tried on a scrap of the paper; or which strips to try. */
final class HandCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('hand')
            ->setDescription('What a hand is like, from strips tried on a scrap')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption('suggest', null, InputOption::VALUE_REQUIRED, 'say which strips to try, so many')
            ->addOption('strips', null, InputOption::VALUE_REQUIRED, 'what came of them, JSON')
            ->addOption('out', null, InputOption::VALUE_REQUIRED, 'file to write the hand into');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $drawer = $this->drawer($input);
        $paper = $this->paper($input);
        $count = $this->whole($input, 'suggest', SuggestedStrips::MOST);
        if ($count !== null) {
            $this->json($output, [
                'strips' => array_map(
                    static fn (Stack $s): array => ['stack' => $s->text(), 'lab' => Lab::ofXyz($s->on($paper)->xyz())->toArray()],
                    SuggestedStrips::of($drawer->usable()->pencils, $count),
                ),
            ]);

            return self::SUCCESS;
        }
        $learnt = LearnHand::from(HandJson::strips($this->file($this->required($input, 'strips')), $drawer), $paper);
        $answer = [
            'paper' => $paper->name,
            'hand' => $learnt->hand->toArray(),
            'strips' => $learnt->strips,
            'film' => round($learnt->film($paper), 3),
            'sureness' => round($learnt->sureness, 3),
            'rmsDeltaE00' => ['before' => round($learnt->before, 2), 'after' => round($learnt->after, 2)],
            'words' => $learnt->words($paper),
        ];
        $this->write($this->required($input, 'out'), self::encoded($answer)."\n");
        $this->json($output, $answer);

        return self::SUCCESS;
    }
}
