<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Recipe\Method\Darks;
use KnottyPrism\Core\Recipe\Method\Joining;
use KnottyPrism\Core\Recipe\Method\Lights;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/**
 * What no search does, whatever the method, because nobody with a pencil in the hand would; and what the method forbids besides.
 * docs/model.md, "Craft", lists the rules by the same numbers. An artist may overrule each by hand.
 */
final readonly class Craft
{
    public const WHISPER = 1;

    public const LIGHT = 2;

    public const MEDIUM = 3;

    public const FIRM = 4;

    public const FULL = 5;

    /** A shade this near to the bare paper, ΔE00, is left bare; one this near gets one light coat at most. */
    private const IS_PAPER = 3.0;

    private const NEAR_PAPER = 6.0;

    /** A pencil whose heavy swatch is this near to the paper does nothing on it. */
    private const PAPER_COLOURED = 6.0;

    /** @var list<int> coats that each shade may get, 0, 1 or any number */
    private array $coats;

    /** @var list<int> the shades of the run that are worked, lightest first */
    public array $worked;

    /** @var list<bool> by pencil: whether it shows on bare paper */
    private array $shows;

    /** @var list<bool> by pencil: nothing comes after it */
    private array $closes;

    /** @var list<bool> by pencil */
    private array $pale;

    /** Whether no pass is firmer than medium. */
    private bool $keepsLight;

    /** Whether the method ends with a pale pencil that burnishes all. */
    public bool $endsPale;

    /** @var list<bool> by pencil: whether a run may begin with it */
    private array $begins;

    /**
     * @param  list<Shade>  $shades  the value run from the lightest, then the touches
     * @param  list<Rules>  $rules  the method's, by shade
     * @param  int  $main  the shade whose local colour the method speaks of
     * @param  ?list<int>  $firsts  pencils with which a run is to begin; null for all that the method begins with
     */
    public function __construct(
        Method $method,
        Moves $moves,
        array $shades,
        public array $rules,
        private int $main,
        ?array $firsts = null,
    ) {
        $paper = Lab::ofReflectance($moves->paper->reflectance);
        $reserves = $method->of(Lights::class) === Lights::PaleFirst;
        $coats = [];
        foreach ($shades as $shade) {
            $apart = $shade->target->deltaE00($paper);
            $coats[] = match (true) {
                $apart < self::IS_PAPER => 0,
                $apart < self::NEAR_PAPER => 1,
                default => PHP_INT_MAX,
            };
        }
        $this->coats = $coats;
        $this->worked = array_values(array_filter(array_keys($shades), static fn (int $i): bool => ! $shades[$i]->touch && $coats[$i] > 0));
        $shows = $closes = $pale = [];
        foreach ($moves->characters() as $character) {
            $shows[] = $reserves || $character->heavy->deltaE00($paper) > self::PAPER_COLOURED;
            $closes[] =
                ($method->of(Darks::class) === Darks::BlackLast && $character->isBlack()) ||
                ($method->of(Lights::class) === Lights::WhiteLast && $character->isWhite());
            $pale[] = $character->isPale();
        }
        [$this->shows, $this->closes, $this->pale] = [$shows, $closes, $pale];
        [$this->keepsLight, $this->endsPale] = array_map(static fn (Joining $end): bool => $method->of(Joining::class) === $end, [
            Joining::LightCoats,
            Joining::LightPencil,
        ]);
        $begins = $this->beginners();
        $this->begins =
            $firsts === null
                ? $begins
                : array_map(
                    static fn (bool $may, int $pencil): bool => $may && in_array($pencil, $firsts, true),
                    $begins,
                    array_keys($begins),
                );
    }

    /** Whether a finish is done over so many coats. */
    public static function takes(Finish $finish, int $coats): bool
    {
        return $coats >= $finish->coats;
    }

    /**
     * Rules 1, 2 and 4: whether a pressure may follow those that a shade has.
     *
     * @param  list<int>  $pressures  so far
     */
    public function follows(int $shade, array $pressures, int $pressure): bool
    {
        $n = count($pressures);
        if ($n >= $this->coats[$shade] || ($pressure > self::MEDIUM && $this->keepsLight)) {
            return false;
        }
        if ($n === 0) {
            return $pressure <= ($this->coats[$shade] === 1 ? self::LIGHT : self::MEDIUM);
        }
        $last = $pressures[$n - 1];
        $glazed = $n > 1 && $last === self::WHISPER && $pressures[$n - 2] > self::LIGHT;
        if ($glazed || max([0, ...array_slice($pressures, 0, -1)]) >= self::FIRM) {
            return false;
        }
        if ($last === self::FULL) {
            return $pressure >= self::FIRM;
        }

        return $pressure >= $last - 1 || $pressure === self::WHISPER;
    }

    /** Whether a pencil may be used in a shade, and on the bare paper if nothing lies there. */
    public function uses(int $shade, int $pencil, bool $bare): bool
    {
        return $this->rules[$shade]->uses($pencil) && (! $bare || $this->shows[$pencil]);
    }

    /**
     * The method's order: whether a pencil may come in after those already used. Coming back to one is allowed, and so is burnishing
     * with a pale one.
     *
     * @param  list<int>  $before  pencils of the passes so far
     * @param  int  $hardest  the hardest pressure of the pass
     */
    public function comesIn(array $before, int $pencil, int $hardest): bool
    {
        if ($before === []) {
            return $this->begins[$pencil];
        }
        if (Run::isThirdCoat($before, $pencil) || array_filter($before, fn (int $one): bool => $this->closes[$one]) !== []) {
            return false;
        }
        if (in_array($pencil, $before, true) || $this->burnishes($pencil, [$hardest])) {
            return true;
        }
        foreach ($before as $one) {
            if (! $this->rules[$this->main]->ordered($one, $pencil)) {
                return false;
            }
        }

        return true;
    }

    /**
     * The method's order for a touch: whether a pencil may lie over those beneath.
     *
     * @param  list<int>  $before
     */
    public function goesOver(int $shade, array $before, int $pencil): bool
    {
        if (Run::isThirdCoat($before, $pencil)) {
            return false;
        }
        foreach ($before as $one) {
            if ($this->closes[$one] || ($one !== $pencil && ! $this->rules[$shade]->ordered($one, $pencil))) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<int, int>  $pattern after which nothing may follow: by rule 3 one shade alone, but for a dark beneath what goes over
     *   all
     *   of it
     */
    public function isLast(array $pattern): bool
    {
        return count(array_filter($pattern)) === 1 && count($this->worked) > 1 && $pattern[$this->worked[count($this->worked) - 1]] === 0;
    }

    /** Rule 2: whether an area is burnished with a pale pencil at most once. */
    public function burnishesOnce(Run $run): bool
    {
        return count(
            array_filter(
                $run->pencils,
                fn (int $pencil, int $at): bool => $at > 0 && $this->burnishes($pencil, $run->pressures[$at]),
                ARRAY_FILTER_USE_BOTH,
            ),
        ) < 2;
    }

    /** Whether a run may end so, by the method. */
    public function ends(Run $run): bool
    {
        if ($run->pencils === [] || $run->pressures === []) {
            return $this->worked === [];
        }
        $alone = count(array_unique($run->pencils)) < 2;
        if ($alone && $this->rules[$this->main]->wantsBeneath()) {
            return false;
        }

        return ! $this->endsPale ||
            $this->burnishes($run->pencils[array_key_last($run->pencils)], $run->pressures[array_key_last($run->pressures)]);
    }

    /**
     * Whether a pass burnishes what lies beneath with a pale pencil.
     *
     * @param  list<int>  $pressures
     */
    public function burnishes(int $pencil, array $pressures): bool
    {
        return $this->pale[$pencil] && max(0, ...$pressures) >= self::FIRM;
    }

    /** Whether a whole run keeps every rule. */
    public function keeps(Run $run): bool
    {
        $pressures = array_fill(0, count($this->coats), []);
        $worked = count($this->worked);
        foreach ($run->pencils as $at => $pencil) {
            $pass = $run->pressures[$at];
            $covered = count(array_filter($pass));
            $whole = $at > 0 || $covered === $worked;
            if (
                $covered === 0 ||
                ! $whole ||
                ! Patterns::isGraded($pass, $this->worked) ||
                ($this->isLast($pass) && $at < $run->length() - 1) ||
                ! $this->comesIn(array_slice($run->pencils, 0, $at), $pencil, max(0, ...$pass))
            ) {
                return false;
            }
            foreach ($pass as $shade => $pressure) {
                if ($pressure > 0) {
                    if (
                        ! $this->uses($shade, $pencil, $pressures[$shade] === []) ||
                        ! $this->follows($shade, $pressures[$shade], $pressure)
                    ) {
                        return false;
                    }
                    $pressures[$shade][] = $pressure;
                }
            }
        }

        return $this->burnishesOnce($run) && $this->ends($run);
    }

    /** @return list<bool> those with which the method begins in every worked shade; where there are none, in the main one */
    private function beginners(): array
    {
        $every = array_map(
            fn (int $pencil): bool => array_filter($this->worked, fn (int $shade): bool => ! $this->rules[$shade]->begins[$pencil]) === [],
            array_keys($this->shows),
        );

        return in_array(true, $every, true) ? $every : $this->rules[$this->main]->begins;
    }
}
