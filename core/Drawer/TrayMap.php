<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Error\OutOfRange;

/** Where each pencil lies when trays of so many rows and slots are filled in an order, row by row; the last slots stay empty. */
final readonly class TrayMap
{
    /** @var list<list<list<?Portrait>>> by tray, row and slot */
    public array $trays;

    /** @throws OutOfRange */
    public function __construct(DrawerOrder $order, public int $rows, public int $slots)
    {
        $rows = max(1, (int) OutOfRange::check('the rows of a tray', $rows, 1, 20));
        $slots = max(1, (int) OutOfRange::check('the slots of a row', $slots, 1, 60));
        $trays = [];
        foreach (array_chunk($order->portraits, $rows * $slots) as $tray) {
            $lines = array_map(static fn (array $row): array => array_pad($row, $slots, null), array_chunk($tray, $slots));
            $trays[] = [...$lines, ...array_fill(0, $rows - count($lines), array_fill(0, $slots, null))];
        }
        $this->trays = $trays;
    }
}
