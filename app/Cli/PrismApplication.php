<?php

declare(strict_types=1);

namespace App\Cli;

use KnottyPrism\Core\Error\CoreError;
use Symfony\Component\Console\Application;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * The command line `./prism`: the core alone, without database or framework. JSON on standard output, one plain sentence on
 * standard error, exit status 0; 2 for a wrong call or file; 1 for anything else.
 */
final class PrismApplication extends Application
{
    public const WRONG_CALL = 2;

    public function __construct()
    {
        parent::__construct('prism');
        $this->setCatchExceptions(false);
        $this->setAutoExit(false);
        $this->addCommand(new PredictCommand);
        $this->addCommand(new MatchCommand);
        $this->addCommand(new PlanCommand);
        $this->addCommand(new OrderCommand);
        $this->addCommand(new ComplementsCommand);
        $this->addCommand(new RampCommand);
        $this->addCommand(new SubstituteCommand);
        $this->addCommand(new DrawerCommand);
        $this->addCommand(new ConvertCommand);
        $this->addCommand(new ColourCommand);
        $this->addCommand(new ChartCommand);
        $this->addCommand(new HandCommand);
        $this->addCommand(new CheckCommand);
        $this->addCommand(new HealthCommand);
    }

    public function answer(InputInterface $input, OutputInterface $output): int
    {
        try {
            return $this->run($input, $output);
        } catch (CoreError|ExceptionInterface $error) {
            return self::complain($output, $error->getMessage(), self::WRONG_CALL);
        } catch (\Throwable $error) {
            return self::complain($output, 'Something went wrong inside: '.$error->getMessage(), 1);
        }
    }

    private static function complain(OutputInterface $output, string $message, int $status): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $sentence = trim((string) preg_replace('/\s+/', ' ', mb_scrub($message)));
        $errors->writeln('prism: '.$sentence, OutputInterface::OUTPUT_RAW);

        return $status;
    }
}
