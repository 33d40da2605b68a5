<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Sequence;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;

/**
 * A sequence as an artist would say it: "711 Dry reed over all of it in a whisper; 741 Slate step from the middle down, from light to firm
 * in the darks".
 */
final readonly class SequenceWords
{
    private const MANY = [2 => 'two', 3 => 'three', 4 => 'four'];

    /** @var list<int> the value run, lightest first */
    private array $run;

    /** @param  list<Shade>  $shades */
    private function __construct(private Sequence $sequence, private array $shades)
    {
        $run = array_values(array_filter(array_keys($shades), static fn (int $i): bool => ! $shades[$i]->touch));
        usort($run, static fn (int $a, int $b): int => $shades[$b]->target->l <=> $shades[$a]->target->l);
        $this->run = $run;
    }

    /** @param  list<Shade>  $shades */
    public static function of(Sequence $sequence, array $shades): self
    {
        return new self($sequence, $shades);
    }

    /** The whole, one sentence: coats that follow each other alike are told as one. */
    public function whole(): string
    {
        $steps = $this->steps();

        return $steps === [] ? 'Leave the paper bare.' : implode('; ', $steps).'.';
    }

    /** @return list<string> what is done one after the other */
    public function steps(): array
    {
        $said = [];
        for ($at = 0, $n = count($this->sequence->passes); $at < $n; $at += $coats) {
            $pass = $this->sequence->passes[$at];
            for ($coats = 1; ($this->sequence->passes[$at + $coats] ?? null)?->isLike($pass) === true; $coats++);
            $said[] = $this->pass($pass, $coats);
        }

        return $said;
    }

    /** The numbers with their hardest pressures, for a list of changes. */
    public function inShort(): string
    {
        $parts = array_map(static function (GradedPass $p): string {
            if ($p->tool instanceof Finish) {
                return $p->tool->value;
            }
            $strokes = array_map(static fn (int $i): int => $p->pressures[$i]?->strokes() ?? 0, $p->over());
            [$from, $to] = [Pressure::cases()[min([5, ...$strokes]) - 1], Pressure::cases()[max([1, ...$strokes]) - 1]];

            return $p->tool->record->number.' '.($from === $to ? $from->value : "$from->value to $to->value");
        }, $this->sequence->passes);

        return $parts === [] ? 'bare paper' : implode(', ', $parts);
    }

    /** @param  int<1, max>  $coats  so often */
    public function pass(GradedPass $pass, int $coats = 1): string
    {
        if ($pass->tool instanceof Finish) {
            return $pass->tool->value.' '.$this->manner($pass, $coats);
        }
        $pencil = trim($pass->tool->record->number.' '.$pass->tool->record->name);

        return $coats > 1 && self::isEven($pass)
            ? self::coats($pass, $coats)." of $pencil ".$this->where($pass)
            : $pencil.' '.$this->manner($pass, $coats);
    }

    /**
     * Without what it is done with: "over all of it in a whisper".
     *
     * @param  int<1, max>  $coats
     */
    public function manner(GradedPass $pass, int $coats = 1): string
    {
        $once = $pass->tool instanceof Finish ? $this->where($pass) : $this->where($pass).' '.$this->pressure($pass);

        return match (true) {
            $coats === 1 => $once,
            $pass->tool instanceof Finish || ! self::isEven($pass) => $once.', in '.(self::MANY[$coats] ?? $coats).' coats',
            default => self::coats($pass, $coats).' '.$this->where($pass),
        };
    }

    /** "two light coats" */
    private static function coats(GradedPass $pass, int $coats): string
    {
        return (self::MANY[$coats] ?? $coats).' '.(array_values(array_filter($pass->pressures))[0]->value ?? '').' coats';
    }

    private static function isEven(GradedPass $pass): bool
    {
        return count(array_unique(array_filter($pass->pressures), SORT_REGULAR)) === 1;
    }

    private function where(GradedPass $pass): string
    {
        $over = array_values(array_filter($this->run, static fn (int $i): bool => ($pass->pressures[$i] ?? null) !== null));
        $touches = array_map(
            fn (int $i): string => 'the '.$this->shades[$i]->called(),
            array_values(array_diff($pass->over(), $this->run)),
        );
        if ($over === []) {
            return 'in '.implode(' and ', $touches).' alone';
        }
        $only = count($over) === 1 ? $this->shades[$over[0]] : null;
        $places = match (true) {
            count($over) === count($this->run) => count($this->shades) - count($this->run) > 0 && $touches === []
                ? (count($this->shades) - count($this->run) > 1
                    ? 'over all but the touches'
                    : 'over all but the '.$this->touch()->called())
                : 'over all of it',
            $only?->isNamed() === true => 'only in the '.$only->called(),
            $over === [$this->run[count($this->run) - 1]] => 'only in the darkest',
            $over === [$this->run[0]] => 'only in the lights',
            $over[0] === $this->run[0] => 'in all but the darks',
            default => 'from the middle down',
        };

        return $places.($touches !== [] && count($over) < count($this->run) ? ' and in '.implode(' and ', $touches) : '');
    }

    private function touch(): Shade
    {
        return array_values(array_filter($this->shades, static fn (Shade $s): bool => $s->touch))[0];
    }

    private function pressure(GradedPass $pass): string
    {
        $pressures = array_values(array_filter(array_map(static fn (int $i): ?Pressure => $pass->pressures[$i] ?? null, $this->run)));
        if ($pressures === []) {
            $pressures = array_values(array_filter($pass->pressures));
        }
        [$light, $dark] = [$pressures[0], $pressures[count($pressures) - 1]];
        $how = $light->adverb();
        if ($light === $dark) {
            return $how;
        }
        if (abs($light->strokes() - $dark->strokes()) === 1) {
            return sprintf('%s, a little %s in the darks', $how, $dark->strokes() > $light->strokes() ? 'firmer' : 'lighter');
        }
        $from = ($pass->pressures[$this->run[0] ?? 0] ?? null) === null ? '' : ' in the lights';

        return sprintf('from %s%s to %s in the darks', self::said($light), $from, self::said($dark));
    }

    private static function said(Pressure $pressure): string
    {
        return $pressure === Pressure::Whisper ? 'a whisper' : $pressure->value;
    }
}
