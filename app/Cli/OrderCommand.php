<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\OrderResource;
use KnottyPrism\Core\Desk\Order\FindOrder;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkOrder;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Formats\PlanSteps;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** What of a plan to lay when. */
final class OrderCommand extends Command
{
    use Reads;

    private const HANDS = ['right', 'left'];

    protected function configure(): void
    {
        $this->setName('order')
            ->setDescription('What of a plan to lay when, in sessions')
            ->addOption('plan', null, InputOption::VALUE_REQUIRED, 'folder that prism plan has written')
            ->addOption('hand', null, InputOption::VALUE_REQUIRED, implode('|', self::HANDS), 'right')
            ->addOption(
                'work-order',
                null,
                InputOption::VALUE_REQUIRED,
                implode('|', array_column(WorkOrder::cases(), 'value')),
                WorkOrder::ZoneByZone->value,
            )
            ->addOption('session', null, InputOption::VALUE_REQUIRED, 'minutes', '60')
            ->addOption('wide', null, InputOption::VALUE_REQUIRED, 'width of the drawing, mm', '297');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $folder = rtrim($this->required($input, 'plan'), '/');
        $order = $this->workOrder($input);
        $hand = $this->required($input, 'hand');
        if (! in_array($hand, self::HANDS, true)) {
            throw UnreadableText::choice('--hand', self::HANDS, $hand);
        }
        $habits = new WorkingHabits($order, $hand === 'left', (int) $this->whole($input, 'session', WorkingHabits::LONGEST_SESSION));
        [$plan, $shades] = PlanSteps::of(
            $this->file("$folder/plan.json"),
            $this->layers($folder),
            (float) $this->whole($input, 'wide', 2000),
            $habits,
        );
        $this->json($output, OrderResource::of($plan, FindOrder::for($plan), $shades));

        return self::SUCCESS;
    }
}
