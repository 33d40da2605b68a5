<?php

declare(strict_types=1);

namespace App\Cli;

use App\Resources\DrawerResource;
use KnottyPrism\Core\Drawer\Balance;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Error\UnreadableText;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** What lies in a drawer: each pencil's family, the order to lay them in, and what is missing or there twice. */
final class DrawerCommand extends Command
{
    use Reads;

    protected function configure(): void
    {
        $this->setName('drawer')
            ->setDescription('Families, order, balance and gaps of a drawer')
            ->addOption('drawer', null, InputOption::VALUE_REQUIRED, 'drawer file: CSV, JSON, .gpl palette or CGATS text')
            ->addOption('order', null, InputOption::VALUE_REQUIRED, implode(', ', DrawerOrder::KINDS), 'gradual');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $kind = $this->required($input, 'order');
        if (! in_array($kind, DrawerOrder::KINDS, true)) {
            throw UnreadableText::choice('--order', DrawerOrder::KINDS, $kind);
        }
        $owned = array_values(
            array_filter($this->drawer($input)->pencils, static fn (Pencil $p): bool => $p->record->owned && ! $p->isBlender()),
        );
        $order = DrawerOrder::of($owned, $kind);
        $this->json($output, DrawerResource::drawer($order, new Balance($order->portraits)));

        return self::SUCCESS;
    }
}
