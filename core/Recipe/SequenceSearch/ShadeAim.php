<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\HandSway;
use KnottyPrism\Core\Recipe\Search\LocalMetric;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What stacks are worth in one shade: exactly for those laid, by forecast for those that one more pass would make. */
final class ShadeAim
{
    /** The mark whose density stands for a pencil's direction when what it could still do is looked at: medium. */
    private const AHEAD = 2;

    /** A pass may do from a third to one and a half of what it does at medium, and each pass left as much again. */
    private const LEAST_AHEAD = 0.3;

    private const MOST_AHEAD = 1.5;

    /** What a pass ahead adds to doubt. */
    private const DOUBT_AHEAD = 0.5;

    /** Share of what earlier passes sway, squared, that shows through one more. */
    private const SWAY_STAYS = 0.7;

    /** Share of its film on bare paper that a pass ahead lays. */
    private const SHARE_AHEAD = 0.8;

    private readonly LocalMetric $metric;

    /** @var array{float, float, float} */
    private readonly array $logs;

    /** @var list<array{float, float, float, float}> per pencil: where it leads in the metric, and the square of its length */
    private readonly array $directions;

    /** @var list<float> squared ΔE00 that an ordinary hand sways each move by on bare paper */
    private readonly array $swayOfMove;

    /** @var array<string, Judged> by stack */
    private array $judged = [];

    /** @var array<string, float> by stack */
    private array $least = [];

    /** @var array<string, array{list<float>, list<float>}> by stack and passes left */
    private array $forecasts = [];

    public function __construct(public readonly Shade $shade, private readonly Atlas $atlas, private readonly LaidBook $book, private readonly Mode $mode, public readonly ?Finish $finish)
    {
        $this->metric = new LocalMetric($shade->target, $mode);
        $this->logs = Look::of($shade->target)->logs;
        $directions = [];
        for ($move = self::AHEAD; $move < $atlas->size; $move += Moves::MARKS) {
            [$x, $y, $z] = $this->metric->stretch([$atlas->densities[0][$move], $atlas->densities[1][$move], $atlas->densities[2][$move]]);
            $directions[] = [self::SHARE_AHEAD * $x, self::SHARE_AHEAD * $y, self::SHARE_AHEAD * $z, self::SHARE_AHEAD ** 2 * ($x * $x + $y * $y + $z * $z)];
        }
        $this->directions = $directions;
        $this->swayOfMove = HandSway::ofMoves($book->moves, $atlas, $this->metric);
    }

    public function judge(Laid $laid): Judged
    {
        return $this->judged[$laid->key] ??= $this->judgedAnew($laid);
    }

    /** The least that {@see Judged::error()} can be, before what a hand sways is worked out: most that is tried falls by this already. */
    public function leastError(Laid $laid): float
    {
        return ($this->judged[$laid->key] ?? null)?->error() ?? ($this->least[$laid->key] ??= hypot($this->mode->apart($this->seen($laid)->lab, $this->shade->target), $this->doubt($laid)));
    }

    private function judgedAnew(Laid $laid): Judged
    {
        $look = $this->seen($laid);
        [$l, $m, $s] = $laid->look->logs;

        return new Judged($this->mode->apart($look->lab, $this->shade->target), $this->book->sway($laid, $this->finishOf($laid)), $this->doubt($laid), [$look->logs[0] - $l, $look->logs[1] - $m, $look->logs[2] - $s]);
    }

    private function finishOf(Laid $laid): ?Finish
    {
        return $this->finish !== null && Craft::takes($this->finish, count($laid->moves)) ? $this->finish : null;
    }

    private function doubt(Laid $laid): float
    {
        return $this->finishOf($laid) === null ? $laid->doubt : $laid->doubt + self::DOUBT_AHEAD;
    }

    private function seen(Laid $laid): Look
    {
        $finish = $this->finishOf($laid);
        if ($finish === null) {
            return $laid->look;
        }
        $sheet = clone $laid->sheet;
        $finish->applyTo($sheet);

        return Look::at($sheet);
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

        return min($now, sqrt($judged->missed ** 2 * $this->leftAhead($x, $y, $z, self::MOST_AHEAD * $passesLeft) + $judged->sway + ($judged->doubt + self::DOUBT_AHEAD) ** 2));
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
        return $this->forecasts["$passesLeft/$laid->key"] ??= $this->forecastAnew($laid, $next, $passesLeft);
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $next
     * @return array{list<float>, list<float>}
     */
    private function forecastAnew(Laid $laid, array $next, int $passesLeft): array
    {
        $judged = $this->judge($laid);
        [$a, $b, $c, $d, $e, $f] = $this->metric->factor;
        [$to0, $to1, $to2] = $this->logs;
        [$fin0, $fin1, $fin2] = $judged->finishMoves;
        [$n0, $n1, $n2] = $next;
        $most = self::MOST_AHEAD * $passesLeft;
        $share = $this->book->shares($laid);
        $errors = $hopes = [];
        foreach ($n0 as $move => $log0) {
            $log0 += $fin0;
            $log1 = $n1[$move] + $fin1;
            $log2 = $n2[$move] + $fin2;
            $missed = $this->mode->apart(Look::labOf($log0, $log1, $log2), $this->shade->target);
            $taken = $share[$move % Moves::MARKS];
            $sway = self::SWAY_STAYS * $judged->sway + $taken * $taken * $this->swayOfMove[$move];
            $doubt = $judged->doubt + $this->book->doubtAdded($laid, $move);
            $error = sqrt($missed * $missed + $sway + $doubt * $doubt);
            $errors[] = $error;
            if ($passesLeft < 1) {
                $hopes[] = $error;

                continue;
            }
            $u = $log0 - $to0;
            $v = $log1 - $to1;
            $w = $log2 - $to2;
            $left = $this->leftAhead($a * $u + $b * $v + $c * $w, $d * $v + $e * $w, $f * $w, $most);
            $hopes[] = min($error, sqrt($missed * $missed * $left + $sway + ($doubt + self::DOUBT_AHEAD) ** 2));
        }

        return [$errors, $hopes];
    }

    /** The share of a squared distance that is left when the pencil that leads nearest goes as far as it helps. */
    private function leftAhead(float $x, float $y, float $z, float $most): float
    {
        $here = $x * $x + $y * $y + $z * $z;
        $least = $here;
        foreach ($this->directions as [$p, $q, $r, $square]) {
            $along = -($x * $p + $y * $q + $z * $r);
            if ($along <= 0.0) {
                continue;
            }
            $t = $along / ($square + 1e-9);
            $t = $t < self::LEAST_AHEAD ? self::LEAST_AHEAD : ($t > $most ? $most : $t);
            $left = $here - 2 * $t * $along + $t * $t * $square;
            if ($left < $least) {
                $least = $left;
            }
        }

        return $least / ($here + 1e-9);
    }

    /**
     * @param  array{float, float, float}  $logs
     * @param  array{float, float, float}  $finish
     * @return array{float, float, float} from the target, in the metric
     */
    private function away(array $logs, array $finish): array
    {
        return $this->metric->stretch([$logs[0] + $finish[0] - $this->logs[0], $logs[1] + $finish[1] - $this->logs[1], $logs[2] + $finish[2] - $this->logs[2]]);
    }
}
