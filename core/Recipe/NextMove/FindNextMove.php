<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\NextMove;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** The one step that brings a place nearest to its target, tried on the sheet as it really is. */
final class FindNextMove
{
    /** What an eye at the desk would not mend, ΔE00. */
    private const GOOD_ENOUGH = 2.0;

    /** A step must win so much, ΔE00, and so large a share: an ordinary hand errs by more than the rest. */
    private const WORTH = 0.8;

    private const WORTH_SHARE = 0.2;

    /** A pencil that lies beside the drawing anyhow may be so much farther off, ΔE00, before another is fetched. */
    private const FETCHING = 0.7;

    /** Every pressing of an eraser must win so much, ΔE00: for less it roughens more than it mends. */
    private const LIFTING = 0.6;

    private const MOST_LIFTINGS = 3;

    /** Tooth used from which a pass slides off. */
    private const FULL = 0.97;

    /**
     * @param  list<Pencil>  $pencils  available
     * @param  list<string>  $beside  identifiers of those that lie beside the drawing
     */
    public static function on(AsItLies $place, Lab $target, array $pencils, array $beside = []): NextMove
    {
        $now = $place->found->deltaE00($target);
        $tooth = $place->sheet->toothUsed();
        $stay = static fn (string $why): NextMove => new NextMove(null, 0, $place->found, $place->found, $target, $tooth, $why);
        if ($now < self::GOOD_ENOUGH) {
            return $stay('this is as close as a hand can get.');
        }
        $best = null;
        $least = $now - max(self::WORTH, self::WORTH_SHARE * $now);
        foreach (self::steps($place->sheet, $pencils) as [$step, $times]) {
            $sheet = clone $place->sheet;
            for ($i = 0; $i < $times; $i++) {
                Stack::apply($step, $sheet);
            }
            $look = $place->look($sheet);
            $cost =
                $look->deltaE00($target) +
                ($step instanceof Finish
                    ? self::LIFTING * $times
                    : (in_array($step->pencil->id(), $beside, true)
                        ? 0.0
                        : self::FETCHING));
            if ($cost < $least) {
                $least = $cost;
                $best = new NextMove($step, $times, $place->found, $look, $target, $sheet->toothUsed());
            }
        }

        return $best ??
            $stay($tooth >= self::FULL ? 'the tooth is full; nothing more will hold.' : 'no single pass with your pencils improves it.');
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return iterable<array{Pass|Finish, int}> and how often
     */
    private static function steps(Sheet $sheet, array $pencils): iterable
    {
        if ($sheet->deposits !== []) {
            foreach (range(1, self::MOST_LIFTINGS) as $times) {
                yield [Lift::it(), $times];
            }
        }
        if ($sheet->toothUsed() >= self::FULL) {
            return;
        }
        foreach ($pencils as $pencil) {
            if (! $pencil->isBlender()) {
                foreach (Pressure::cases() as $pressure) {
                    yield [new Pass($pencil, $pressure->share()), 1];
                }
            }
        }
    }
}
