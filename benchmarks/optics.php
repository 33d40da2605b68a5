<?php

declare(strict_types=1);

// The product's model, and what strips teach it, held against a bench that tells pencil on paper otherwise: a field of heights, strokes
// drawn one by one, films that mix. ./bench --optics runs it.

use Benchmarks\OtherOptics;
use Benchmarks\Table;
use KnottyPrism\Core\Chart\BenchCamera\Chance;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Strips\LearnHand;
use KnottyPrism\Core\Medium\Strips\Strip;
use KnottyPrism\Core\Medium\Swatches\PencilFit;

require __DIR__.'/../vendor/autoload.php';

const PAGES = 9;

$paper = Paper::whiteMedium();
$true = DrawerFile::drawer((string) file_get_contents(__DIR__.'/../demo/drawer.csv'))->usable()->pencils;
$other = new OtherOptics($paper, 5);
// What an artist knows of them is their swatches on this paper.
$known = array_map(static fn (Pencil $p): Pencil => PencilFit::of($other->record($p, 3)), $true);
$chance = new Chance(9);
$pressures = Pressure::shares();
$seed = 100;

/**
 * A stack as the craft has it, light hand first and firm at most at the end, as the product knows it, with what the other bench makes of
 * it.
 */
$tried = static function (int $passes) use ($chance, $pressures, $true, $known, $other, &$seed): Strip {
    $stacks = [[], []];
    $pressure = 0;
    for ($i = 0; $i < $passes; $i++) {
        $pressure =
            $i === 0
                ? (int) $chance->between(0, 2.999)
                : min($i === $passes - 1 ? 4 : 2, max(0, $pressure - 1 + (int) $chance->between(0, 2.999)));
        $pencil = (int) $chance->between(0, count($true) - 0.001);
        $stacks[0][] = new Pass($known[$pencil], $pressures[$pressure]);
        $stacks[1][] = new Pass($true[$pencil], $pressures[$pressure]);
    }

    return new Strip(new Stack($stacks[0]), $other->look(new Stack($stacks[1]), ++$seed));
};
/** @return list<Strip> */
$many = static fn (int $passes, int $count): array => array_map(static fn (): Strip => $tried($passes), range(1, $count));
/**
 * @param  list<Strip>  $strips
 * @return list<float> how far each is from what the product foresees, ΔE00
 */
$off = static fn (array $strips, Paper $on): array => array_map(
    static fn (Strip $s): float => $s->found->deltaE00(Lab::ofXyz($s->stack->on($on)->xyz())),
    $strips,
);

Table::head('another bench than the model\'s own: craft stacks of the demo\'s pencils, measured by their swatches there');
foreach ([1, 2, 3, 4] as $passes) {
    Table::row("$passes ".($passes === 1 ? 'pass' : 'passes').' foreseen, off by', $off($many($passes, 80), $paper), '', '', 2);
}

Table::head("\n24 strips of two and three passes from one page, ".PAGES.' pages');
$before = $after = $change = [];
for ($page = 0; $page < PAGES; $page++) {
    $learnt = LearnHand::from([...$many(2, 12), ...$many(3, 12)], $paper);
    $unseen = $many(3, 80);
    $before[] = Table::quantile($off($unseen, $paper), 0.5);
    $after[] = Table::quantile($off($unseen, $paper->under($learnt->hand)), 0.5);
    $change[] = 100 * (1 - end($after) / end($before));
}
Table::row('unseen stacks of three passes, median, before', $before, '', '', 2);
Table::row('  and with what the strips taught', $after, '', '', 2);
Table::row('  less by, per cent', $change, '%', '≥ 33', 0);
