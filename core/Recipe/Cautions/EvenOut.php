<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Blender;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Tissue;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** What artists do where paper shows through: a lighter pencil beneath, a tissue, and on what is hard and shiny a burnisher. */
final class EvenOut
{
    /** A surface on which grain counts so much is burnished without harm, see {@see \KnottyPrism\Core\Photo\Zones\Surface}. */
    private const BURNISHED_FROM = 0.3;

    /** How hard a pencil is pressed that is to lie beneath. */
    private const BENEATH = [PressureMark::Light, PressureMark::Medium];

    /** @return array<string, Finish> what may be done at the end, in words => with what */
    public static function finishes(float $grainCounts): array
    {
        return ['Even it with a dry tissue at the end' => Tissue::it(), ...($grainCounts < self::BURNISHED_FROM ? [] : ['Burnish it with a colourless blender at the end' => Blender::it()])];
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return iterable<string, Pass> what to lay beneath, in words => the pass
     */
    public static function beneath(Lab $look, array $pencils): iterable
    {
        foreach ($pencils as $pencil) {
            if ($pencil->isBlender() || Character::of($pencil)->heavy->l <= $look->l) {
                continue;
            }
            foreach (self::BENEATH as $mark) {
                yield sprintf('Lay %s beneath %s', $pencil->record->number, $mark->adverb()) => new Pass($pencil, $mark->pressure());
            }
        }
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return iterable<string, Stack> what to do, in words => what results
     */
    public static function stack(Stack $stack, Paper $paper, array $pencils, float $grainCounts): iterable
    {
        foreach (self::finishes($grainCounts) as $words => $finish) {
            yield $words => new Stack([...$stack->steps, $finish]);
        }
        foreach (self::beneath(Lab::ofXyz($stack->on($paper)->xyz()), $pencils) as $words => $pass) {
            yield $words => new Stack([$pass, ...$stack->steps]);
        }
    }
}
