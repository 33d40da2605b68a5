<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\Figures;
use App\Resources\SequenceResource;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\RecipePlanner;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Up to four recipes for one colour. */
final class MatchCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->takesMode()
            ->setName('match')
            ->setDescription('Up to four recipes for one colour')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption('hand', null, InputOption::VALUE_REQUIRED, 'what prism hand has written of one')
            ->addOption('target', null, InputOption::VALUE_REQUIRED, 'the target colour, #rrggbb')
            ->addOption(
                'method',
                null,
                InputOption::VALUE_REQUIRED,
                'settings k=v,…: '.
                    implode(
                        '; ',
                        array_map(
                            static fn (string $k, array $v): string => $k.'='.implode('|', $v),
                            array_keys(Method::choices()),
                            Method::choices(),
                        ),
                    ),
                '',
            )
            ->addOption('max-passes', null, InputOption::VALUE_REQUIRED, '1–8', (string) RecipePlanner::MOST_PASSES)
            ->addOption('count', null, InputOption::VALUE_REQUIRED, '1–4', '4');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $target = Lab::ofHex($this->required($input, 'target'));
        [$passes, $count] = [$this->whole($input, 'max-passes', 8) ?? RecipePlanner::MOST_PASSES, $this->whole($input, 'count', 4) ?? 4];
        $paper = $this->paper($input);
        $planner = new RecipePlanner(
            $this->drawer($input),
            $paper,
            Method::ofSettings(self::list($input, 'method')),
            mode: $this->mode($input),
        );
        $single = $planner->nearestSingle($target)->outcomes[0];
        $this->json($output, [
            'target' => ['hex' => Figures::colour($target)['hex'], 'lab' => Figures::lab($target)],
            'nearestSingle' => [
                'pencil' => $single->stack()->pencils()[0]->id(),
                'deltaE00' => Figures::difference($single->comparison()->deltaE00),
            ],
            'recipes' => array_map(
                static fn (Recipe $r): array => SequenceResource::recipe($r, $paper),
                $planner->recipesFor($target, $passes, $count),
            ),
        ]);

        return self::SUCCESS;
    }
}
