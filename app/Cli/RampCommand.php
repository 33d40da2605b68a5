<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\Figures;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Swatches\Coat;
use KnottyPrism\Core\Picture\Fade\Ramp;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** An even fade between two or three pencils. */
final class RampCommand extends Command
{
    use Reads;

    private const MOST_STEPS = 41;

    protected function configure(): void
    {
        $this->setName('ramp')
            ->setDescription('An even fade between two or three pencils')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file, CSV or JSON')
            ->addOption('paper', null, InputOption::VALUE_REQUIRED, 'name of a paper, or a JSON file', 'white medium')
            ->addOption('pencils', null, InputOption::VALUE_REQUIRED, 'two or three, ID,ID[,ID]')
            ->addOption(
                'pressure',
                null,
                InputOption::VALUE_REQUIRED,
                implode('|', array_column(Pressure::cases(), 'value')),
                Pressure::Medium->value,
            )
            ->addOption('steps', null, InputOption::VALUE_REQUIRED, '3–41', '9');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $drawer = $this->drawer($input);
        $pressure =
            Pressure::tryFrom($this->required($input, 'pressure')) ??
            throw UnreadableText::choice('--pressure', array_column(Pressure::cases(), 'value'), $this->required($input, 'pressure'));
        $ramp = Ramp::between(
            array_map($drawer->pencil(...), explode(',', $this->required($input, 'pencils'))),
            $this->paper($input),
            $pressure->share(),
            $this->whole($input, 'steps', self::MOST_STEPS) ?? 9,
        );
        $this->json($output, [
            'steps' => array_map(
                static fn (array $step): array => [
                    'share' => Figures::share($step['share']),
                    'coats' => array_map(
                        static fn (Coat $c): array => [
                            'pencil' => $c->pass->pencil->id(),
                            'pressure' => Figures::share($c->pass->pressure),
                            'coverage' => Figures::share($c->coverage),
                        ],
                        $step['coats'],
                    ),
                    ...Figures::colour($step['lab']),
                ],
                $ramp->steps,
            ),
            'reaches' => array_map(
                static fn (array $r): array => [
                    'pencil' => $r['pencil']->id(),
                    'from' => Figures::share($r['from']),
                    'to' => Figures::share($r['to']),
                ],
                $ramp->reaches,
            ),
            'overlaps' => $ramp->overlaps(),
            'unevenness' => Figures::difference($ramp->unevenness()),
        ]);

        return self::SUCCESS;
    }
}
