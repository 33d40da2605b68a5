<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Search\Ahead;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\GrainForecast;
use KnottyPrism\Core\Recipe\Search\HandSway;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What stacks are worth in one shade: exactly for those laid, by forecast for those that one more pass would make. */
final class ShadeAim
{
    /** The pressure whose density stands for a pencil's direction when what it could still do is looked at: medium. */
    private const AHEAD = 2;

    /** A pass may do up to one and a half of what it does at medium, and each pass left as much again. */
    private const MOST_AHEAD = 1.5;

    /** What a pass ahead adds to doubt. */
    private const DOUBT_AHEAD = 0.5;

    /** Share of what earlier passes sway, squared, that shows through one more. */
    private const SWAY_STAYS = 0.7;

    /** Share of the grain that each pass ahead leaves: what fills the tooth evens it. */
    private const GRAIN_AHEAD = 0.8;

    /** Share of its film on bare paper that a pass ahead lays. */
    private const SHARE_AHEAD = 0.8;

    private readonly LocalMetric $metric;

    /** @var array{float, float, float} */
    private readonly array $logs;

    /** @var array<int, array{float, float, float, float}> per pencil: where it leads in the metric, and the square of its length */
    private readonly array $directions;

    /** @var array<string, list<array{float, float, float, float}>> those of the pencils that may come after others, by these */
    private array $ahead = [];

    /** @var list<float> squared ΔE00 that an ordinary hand sways each move by on bare paper */
    private readonly array $swayOfMove;

    /** @var array<string, Judged> by stack */
    private array $judged = [];

    /** @var array<string, float> by stack */
    private array $least = [];

    /** @var array<string, array{list<float>, list<float>}> by stack and passes left */
    private array $forecasts = [];

    public function __construct(
        public readonly Shade $shade,
        private readonly Atlas $atlas,
        private readonly LaidBook $book,
        private readonly Mode $mode,
        public readonly Rules $rules,
    ) {
        $this->metric = new LocalMetric($shade->target, $mode);
        $this->logs = Look::of($shade->target)->logs;
        $directions = [];
        for ($move = self::AHEAD; $move < $atlas->size; $move += Moves::PRESSURES) {
            [$x, $y, $z] = $this->metric->stretch([
                $atlas->densities[0][$move],
                $atlas->densities[1][$move],
                $atlas->densities[2][$move],
            ]);
            $directions[] = [
                self::SHARE_AHEAD * $x,
                self::SHARE_AHEAD * $y,
                self::SHARE_AHEAD * $z,
                self::SHARE_AHEAD ** 2 * ($x * $x + $y * $y + $z * $z),
            ];
        }
        $this->directions = $directions;
        $this->swayOfMove = HandSway::ofMoves($book->moves, $atlas, $this->metric);
    }

    /** The same where grain counts otherwise. */
    public function minding(float $grainCounts): self
    {
        return new self($this->shade->minding($grainCounts), $this->atlas, $this->book, $this->mode, $this->rules);
    }

    public function judge(Laid $laid): Judged
    {
        return $this->judged[$laid->key] ??= $this->judgedNow($laid);
    }

    /** The least that {@see Judged::error()} can be, before what a hand sways is worked out: most that is tried falls by this already. */
    public function leastError(Laid $laid): float
    {
        return ($this->judged[$laid->key] ?? null)?->error() ??
            ($this->least[$laid->key] ??= sqrt(
                $this->mode->apart($this->seen($laid)->lab, $this->shade->target) ** 2 +
                    $this->doubt($laid) ** 2 +
                    $this->grain($laid) ** 2,
            ));
    }

    private function judgedNow(Laid $laid): Judged
    {
        $look = $this->seen($laid);
        [$l, $m, $s] = $laid->look->logs;

        return new Judged(
            $this->mode->apart($look->lab, $this->shade->target),
            $this->book->sway($laid, $this->finishOf($laid)),
            $this->doubt($laid),
            $this->grain($laid),
            [$look->logs[0] - $l, $look->logs[1] - $m, $look->logs[2] - $s],
        );
    }

    private function finishOf(Laid $laid): ?Finish
    {
        return $this->rules->finish !== null && Craft::takes($this->rules->finish, count($laid->moves)) ? $this->rules->finish : null;
    }

    private function doubt(Laid $laid): float
    {
        return $this->finishOf($laid) === null ? $laid->doubt : $laid->doubt + self::DOUBT_AHEAD;
    }

    private function seen(Laid $laid): Look
    {
        $finish = $this->finishOf($laid);

        return $finish === null ? $laid->look : Look::at(self::finished($laid, $finish));
    }

    /** ΔE00 that what shows through is as bad as. */
    private function grain(Laid $laid): float
    {
        $finish = $this->finishOf($laid);

        return $this->shade->grainCounts * ($finish === null ? $this->book->grain($laid) : self::finished($laid, $finish)->grain());
    }

    private static function finished(Laid $laid, Finish $finish): Sheet
    {
        $sheet = clone $laid->sheet;
        $finish->applyTo($sheet);

        return $sheet;
    }

    /** The error to hope for when a stack may still be gone over by so many passes: by forecast, each of the pencil that leads nearest. */
    public function hope(Laid $laid, int $passesLeft): float
    {
        $judged = $this->judge($laid);
        $now = $judged->error();
        if ($passesLeft < 1) {
            return $now;
        }
        [$x, $y, $z] = $this->away($laid->look->logs, $judged->finishMoves);

        return min(
            $now,
            sqrt(
                $judged->missed ** 2 *
                    Ahead::left($x, $y, $z, self::MOST_AHEAD * $passesLeft, $this->ahead(array_map(Moves::pencilOf(...), $laid->moves))) +
                    $judged->sway +
                    ($judged->doubt + self::DOUBT_AHEAD) ** 2 +
                    ($judged->grain * self::GRAIN_AHEAD ** $passesLeft) ** 2,
            ),
        );
    }

    /**
     * The errors that one more pass would leave, and those to hope for beyond it, by forecast.
     *
     * @param  array{list<float>, list<float>, list<float>}  $next  log cone responses after each move, see {@see Outlook}
     * @param  int  $passesLeft  after it
     * @return array{list<float>, list<float>} by move
     */
    public function forecast(Laid $laid, array $next, int $passesLeft): array
    {
        return $this->forecasts["$passesLeft/$laid->key"] ??= $this->forecastNow($laid, $next, $passesLeft);
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $next
     * @return array{list<float>, list<float>}
     */
    private function forecastNow(Laid $laid, array $next, int $passesLeft): array
    {
        $judged = $this->judge($laid);
        [$a, $b, $c, $d, $e, $f] = $this->metric->factor;
        [$to0, $to1, $to2] = $this->logs;
        [$fin0, $fin1, $fin2] = $judged->finishMoves;
        [$n0, $n1, $n2] = $next;
        $most = self::MOST_AHEAD * $passesLeft;
        $share = $this->book->shares($laid);
        $counts = $this->shade->grainCounts;
        $grainOfMoves = GrainForecast::ofMoves($this->book->moves);
        $later = self::GRAIN_AHEAD ** (2 * $passesLeft);
        $pencils = array_map(Moves::pencilOf(...), $laid->moves);
        $errors = $hopes = $ahead = [];
        foreach ($n0 as $move => $log0) {
            if ($passesLeft > 0 && $move % Moves::PRESSURES === 0) {
                $ahead = $this->ahead([...$pencils, Moves::pencilOf($move)]);
            }
            $log0 += $fin0;
            $log1 = $n1[$move] + $fin1;
            $log2 = $n2[$move] + $fin2;
            $missed = $this->mode->apart(Look::labOf($log0, $log1, $log2), $this->shade->target);
            $taken = $share[$move % Moves::PRESSURES];
            $sway = self::SWAY_STAYS * $judged->sway + $taken * $taken * $this->swayOfMove[$move];
            $doubt = $judged->doubt + $this->book->doubtAdded($laid, $move);
            $grain =
                GrainForecast::STAYS * $judged->grain +
                $taken * (GrainForecast::OF_PASS * $counts * $grainOfMoves[$move] - GrainForecast::COVERED * $judged->grain) -
                GrainForecast::LESS * $counts;
            $grain = $grain > 0.0 ? $grain * $grain : 0.0;
            $error = sqrt($missed * $missed + $sway + $doubt * $doubt + $grain);
            $errors[] = $error;
            if ($passesLeft < 1) {
                $hopes[] = $error;

                continue;
            }
            $u = $log0 - $to0;
            $v = $log1 - $to1;
            $w = $log2 - $to2;
            $left = Ahead::left($a * $u + $b * $v + $c * $w, $d * $v + $e * $w, $f * $w, $most, $ahead);
            $hopes[] = min($error, sqrt($missed * $missed * $left + $sway + ($doubt + self::DOUBT_AHEAD) ** 2 + $later * $grain));
        }

        return [$errors, $hopes];
    }

    /**
     * Where pencils lead that the method lets come after others: a hope for what it forbids leads astray.
     *
     * @param  list<int>  $before
     * @return list<array{float, float, float, float}>
     */
    private function ahead(array $before): array
    {
        $before = array_unique($before);
        sort($before);

        return $this->ahead[implode(',', $before)] ??= array_values(
            array_filter(
                $this->directions,
                fn (int $pencil): bool => $this->rules->uses($pencil) &&
                    (in_array($pencil, $before, true) ||
                        array_filter($before, fn (int $one): bool => ! $this->rules->ordered($one, $pencil)) === []),
                ARRAY_FILTER_USE_KEY,
            ),
        );
    }

    /**
     * @param  array{float, float, float}  $logs
     * @param  array{float, float, float}  $finish
     * @return array{float, float, float} from the target, in the metric
     */
    private function away(array $logs, array $finish): array
    {
        return $this->metric->stretch([
            $logs[0] + $finish[0] - $this->logs[0],
            $logs[1] + $finish[1] - $this->logs[1],
            $logs[2] + $finish[2] - $this->logs[2],
        ]);
    }
}
