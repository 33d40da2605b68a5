<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Drawer\Balance;
use KnottyPrism\Core\Drawer\DrawerOrder;
use KnottyPrism\Core\Drawer\Portrait;
use KnottyPrism\Core\Drawer\Stock\StockNote;

/**
 * A drawer's pencils, order and balance, as the command line and the page get them.
 *
 * @phpstan-import-type StockJson from \Described
 */
final class DrawerResource
{
    /** @return array<string, mixed> */
    public static function drawer(DrawerOrder $order, Balance $balance): array
    {
        [$after, $largest] = $order->largest();
        $ids = array_map(static fn (Portrait $p): string => $p->pencil->id(), $order->portraits);

        return [
            'pencils' => array_map(self::pencil(...), $order->portraits),
            'order' => $ids,
            'meanStepDeltaE00' => Figures::difference($order->mean()),
            'largestStep' => count($ids) < 2
                ? null
                : ['from' => $ids[$after], 'to' => $ids[$after + 1], 'deltaE00' => Figures::difference($largest)],
            'balance' => [
                'words' => $balance->words(),
                'counts' => $balance->counts,
                'families' => $balance->families,
                'crowded' => $balance->crowded,
                'twins' => array_map(
                    static fn (array $t): array => [
                        'one' => $t[0]->pencil->id(),
                        'other' => $t[1]->pencil->id(),
                        'deltaE00' => Figures::difference($t[2]),
                        'waxAndOil' => Balance::isWaxOilTwin($t[0], $t[1]),
                    ],
                    $balance->twins,
                ),
            ],
            'gaps' => $balance->missing,
        ];
    }

    /** @return StockJson */
    public static function stock(StockNote $note): array
    {
        return [
            'state' => $note->state->value,
            'owned' => $note->state->isOwned(),
            'lengthLeft' => $note->lengthLeft,
            'discontinued' => $note->discontinued,
            'formerly' => $note->formerly,
            'notes' => $note->notes,
            'words' => $note->words(),
        ];
    }

    /** @return array<string, mixed> */
    public static function pencil(Portrait $p): array
    {
        return [
            'id' => $p->pencil->id(),
            'name' => $p->pencil->record->name,
            ...Figures::colour($p->heavy),
            'family' => $p->reading->family->words(),
            'strength' => $p->reading->strength->value,
            'temperature' => $p->reading->temperature->value,
            'lightHex' => Figures::colour($p->light)['hex'],
            'overBlackHex' => Figures::colour($p->overBlack)['hex'],
            'hiding' => Figures::share($p->hiding()),
            'hidingWords' => $p->hidingWords(),
            'undertone' => $p->undertone(),
            'assumed' => $p->pencil->assumed,
        ];
    }
}
