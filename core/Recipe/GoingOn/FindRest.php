<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\GoingOn;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * How to go on with an area where something else lies than was planned: from the sheet as it is, not from bare paper. It begins with what
 * was planned yet and with nothing, and changes each in small ways while the error on paper falls by more than a pass is worth.
 */
final readonly class FindRest
{
    /** ΔE00 that a further pass must be worth, and one with a pencil that the area has not yet. */
    private const PASS = 0.12;

    private const PENCIL = 0.12;

    /** ΔE00 that the area must gain in a round. */
    private const LEAST_GAIN = 0.05;

    private const ROUNDS = 6;

    /** Of the changes of a round those that are judged in full. */
    private const JUDGED = 6;

    /**
     * @param  list<Shade>  $shades
     * @param  list<Pencil>  $pencils  that lie beside the drawing
     */
    public function __construct(
        private array $shades,
        private array $pencils,
        private Paper $paper,
        private Mode $mode = Mode::ColourAndValue,
    ) {
    }

    /** @param  Sequence  $planned  what the plan would lay yet */
    public function after(Sequence $laid, Sequence $planned): Sequence
    {
        $sheets = array_map(fn (int $shade): Sheet => $laid->stackIn($shade)->on($this->paper), array_keys($this->shades));
        $changes = new RestChanges($this->shades, $this->pencils, $laid);
        [$best, $least] = [$planned, INF];
        foreach ([$planned, new Sequence([])] as $start) {
            [$rest, $cost] = $this->improved($start, $laid, $sheets, $changes);
            if ($cost < $least) {
                [$best, $least] = [$rest, $cost];
            }
        }

        return $best;
    }

    /**
     * @param  list<Sheet>  $sheets  by shade
     * @return array{Sequence, float}
     */
    private function improved(Sequence $rest, Sequence $laid, array $sheets, RestChanges $changes): array
    {
        $least = $this->judged($laid, $rest);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $tried = $costs = [];
            foreach ($changes->of($rest) as $changed) {
                $tried[] = $changed;
                $costs[] = $this->missed($changed, $sheets) + $this->price($laid, $changed);
            }
            asort($costs);
            $before = $least;
            foreach (array_slice(array_keys($costs), 0, self::JUDGED) as $at) {
                $cost = $this->judged($laid, $tried[$at]);
                if ($cost < $least - self::LEAST_GAIN) {
                    [$rest, $least] = [$tried[$at], $cost];
                }
            }
            if ($least === $before) {
                break;
            }
        }

        return [$rest, $least];
    }

    /** @param  list<Sheet>  $sheets  by shade */
    private function missed(Sequence $rest, array $sheets): float
    {
        $sum = $weight = 0.0;
        foreach ($this->shades as $i => $shade) {
            $sheet = clone $sheets[$i];
            foreach ($rest->stackIn($i)->steps as $step) {
                Stack::apply($step, $sheet);
            }
            $sum +=
                $shade->weight *
                hypot($this->mode->apart(Lab::ofXyz($sheet->xyz()), $shade->target), $shade->grainCounts * $sheet->grain());
            $weight += $shade->weight;
        }

        return $sum / max(1e-9, $weight);
    }

    private function judged(Sequence $laid, Sequence $rest): float
    {
        $whole = new Sequence([...$laid->passes, ...$rest->passes]);
        $sum = $weight = 0.0;
        foreach ($this->shades as $i => $shade) {
            $sum += $shade->weight * Outcome::of($shade, $whole->stackIn($i), $this->paper, $this->mode)->errorOnPaper();
            $weight += $shade->weight;
        }

        return $sum / max(1e-9, $weight) + $this->price($laid, $rest);
    }

    private function price(Sequence $laid, Sequence $rest): float
    {
        $known = Pencil::identifiers($laid->pencils());
        $new = array_filter($rest->pencils(), static fn (Pencil $p): bool => ! in_array($p->id(), $known, true));
        $lifted = count(array_filter($rest->passes, static fn ($p): bool => $p->tool instanceof Finish && $p->tool->lifts));

        return self::PASS * (count($rest->passes) + 2 * $lifted) + self::PENCIL * count($new);
    }
}
