<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Recipe\Search\Moves;

/**
 * Works a touch, another colour within an area, into a run that is there: each of its passes may go over the touch too, at a pressure of
 * its own or not at all, and then the touch gets passes of its own.
 */
final readonly class Touches
{
    /**
     * Ways kept after every pass for what they promise, and besides for what they may become: a touch that all passes went by may still be
     * the best.
     */
    private const PROMISING = 16;

    private const HOPEFUL = 8;

    /** Passes of its own, and how many are tried on each stack. */
    private const OWN = 3;

    private const TRIED = 8;

    /** @param  int  $shade  the touch, by its place among the area's shades */
    public function __construct(private Ground $ground, private ShadeAim $aim, private int $shade, private float $weight)
    {
    }

    /** With the touch's pressures in the run's passes, and its own passes after them. */
    public function into(Run $run): Run
    {
        $beam = [new Touched([], [], $this->ground->book->bare)];
        foreach ($run->pencils as $pencil) {
            $next = [];
            foreach ($beam as $touched) {
                foreach ($this->over($touched, $pencil) as $laid) {
                    $next[] = $laid;
                }
            }
            $beam = $this->kept($next, $run);
        }
        $best = $this->best($beam, $run);
        for ($own = 1; $own <= self::OWN; $own++) {
            $next = [];
            foreach ($beam as $touched) {
                array_push($next, ...$this->with($touched, $run, self::OWN - $own));
            }
            $beam = $this->kept($next, $run);
            $best = $this->best([$best, ...$beam], $run);
        }

        return $this->joined($run, $best);
    }

    /** @return list<Touched> */
    private function over(Touched $touched, int $pencil): array
    {
        $all = [$touched->passedBy()];
        if ($this->ground->craft->uses($this->shade, $pencil, $touched->laid->moves === [])) {
            for ($pressure = Craft::WHISPER; $pressure <= Craft::FULL; $pressure++) {
                if ($this->ground->craft->follows($this->shade, $touched->laid->pressures, $pressure)) {
                    $all[] = $touched->pressed(
                        $pressure,
                        $this->ground->book->onto($touched->laid, $pencil * Moves::PRESSURES + $pressure - 1),
                    );
                }
            }
        }

        return $all;
    }

    /** @return list<Touched> with one more pass of its own */
    private function with(Touched $touched, Run $run, int $left): array
    {
        $craft = $this->ground->craft;
        [$errors, $hopes] = $this->aim->forecast($touched->laid, $this->ground->outlook->from($touched->laid), $left);
        $before = array_map(Moves::pencilOf(...), $touched->laid->moves);
        $promising = [];
        foreach ($errors as $move => $error) {
            $pencil = Moves::pencilOf($move);
            if (
                $craft->uses($this->shade, $pencil, $before === []) &&
                $craft->follows($this->shade, $touched->laid->pressures, ($move % Moves::PRESSURES) + 1) &&
                $craft->goesOver($this->shade, $before, $pencil)
            ) {
                $promising[$move] =
                    $this->weight * Ground::promise($error, $hopes[$move]) +
                    $this->ground->prices->ofOneMore([...$run->pencils, ...array_map(Moves::pencilOf(...), $touched->own)], $pencil);
            }
        }
        asort($promising);

        return array_map(
            fn (int $move): Touched => $touched->gotOwn($move, $this->ground->book->onto($touched->laid, $move)),
            array_slice(array_keys($promising), 0, self::TRIED),
        );
    }

    /**
     * @param  list<Touched>  $all
     * @return list<Touched>
     */
    private function kept(array $all, Run $run): array
    {
        $promises = $hopes = [];
        foreach ($all as $i => $touched) {
            $hope = $this->aim->hope($touched->laid, self::OWN - count($touched->own));
            $price = $this->price($touched, $run);
            $promises[$i] = $this->weight * Ground::promise($this->aim->judge($touched->laid)->error(), $hope) + $price;
            $hopes[$i] = $this->weight * $hope + $price;
        }
        asort($promises);
        asort($hopes);
        $kept = array_unique([
            ...array_slice(array_keys($promises), 0, self::PROMISING),
            ...array_slice(array_keys($hopes), 0, self::HOPEFUL),
        ]);

        return array_values(array_map(static fn (int $i): Touched => $all[$i], $kept));
    }

    /** @param  list<Touched>  $all  at least one */
    private function best(array $all, Run $run): Touched
    {
        $cost = array_map(fn (Touched $t): float => $this->weight * $this->aim->judge($t->laid)->error() + $this->price($t, $run), $all);
        asort($cost);

        return $all[(int) array_key_first($cost)];
    }

    private function price(Touched $touched, Run $run): float
    {
        $own = array_map(Moves::pencilOf(...), $touched->own);

        return $this->ground->prices->ofPasses([...$run->pencils, ...$own]) +
            $this->weight * $this->ground->prices->ofTooth($touched->laid->toothUsed);
    }

    private function joined(Run $run, Touched $touched): Run
    {
        $pressures = [];
        foreach ($run->pressures as $at => $pass) {
            $pressures[] = array_values(array_replace($pass, [$this->shade => $touched->pressures[$at]]));
        }
        $joined = new Run($run->pencils, $pressures);
        $none = array_fill(0, $this->shade + 1, 0);
        foreach ($touched->own as $move) {
            $joined = $joined->with(
                Moves::pencilOf($move),
                array_values(array_replace($none, [$this->shade => ($move % Moves::PRESSURES) + 1])),
            );
        }

        return $joined;
    }
}
