<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\ArtistWheel;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\School\Beneath;
use KnottyPrism\Core\Recipe\School\Darks;
use KnottyPrism\Core\Recipe\School\Joining;
use KnottyPrism\Core\Recipe\School\Lights;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\School\ValueOrder;

/** A school applied to one target and the moves at hand: what may begin a stack, follow in it and end it. */
final readonly class Rules
{
    /** L* by which a pencil may step back in an order of values and still keep it. */
    private const VALUE_SLACK = 4.0;

    /** Targets lighter than this are lights, and darker than the other may take a last accent of black; L*. */
    private const LIGHT_FROM = 66.0;

    private const ACCENT_BELOW = 34.0;

    /** Pressure from which a light pencil burnishes. */
    private const BURNISHES_FROM = 0.80;

    /** Turns on the artist's wheel: what counts as facing, and the two beside it. */
    private const FACING = 145.0;

    private const SPLIT = [115.0, 160.0];

    /** Hues within this turn of the target's are its own local colour. */
    private const LOCAL = 60.0;

    /** OKLCh chroma below which a colour has no hue to speak of. */
    public const HUELESS = 0.02;

    /** And below which a pencil is too weak to neutralise another. */
    public const WEAK = 0.04;

    /** @var list<bool> by pencil */
    private array $usable;

    /** @var list<list<bool>> [below][above] by pencil: whether one may lie anywhere over the other */
    private array $follows;

    /** @var list<int> moves that may begin a stack of several passes */
    public array $firsts;

    /** @var array<int, true> the same as keys */
    private array $mayBegin;

    /** @var array<int, true>|null moves that may end a stack; null for all */
    private ?array $mayEnd;

    public ?Finish $finish;

    private bool $free;

    /** @param  list<Pencil>  $neutralisers  the pencils that neutralise the target's local colour, in the school's own way */
    public function __construct(private School $school, private Moves $moves, private Lab $target, array $neutralisers)
    {
        $characters = $moves->characters();
        $this->usable = array_map($this->mayBeUsed(...), $characters);
        $this->follows = array_map(fn (Character $below): array => array_map(fn (Character $above): bool => $this->mayFollow($below, $above), $characters), $characters);
        $firsts = $ends = [];
        foreach ($moves->passes as $move => $pass) {
            $character = $characters[Moves::pencilOf($move)];
            $allowed = $this->usable[Moves::pencilOf($move)] && $pass->pressure <= $school->mostPressure();
            if ($allowed && $this->mayLieFirst($character, in_array($character->pencil, $neutralisers, true))) {
                $firsts[] = $move;
            }
            if ($allowed && ($school->joining !== Joining::LightPencil || ($character->isPale() && $pass->pressure >= self::BURNISHES_FROM))) {
                $ends[$move] = true;
            }
        }
        $this->firsts = $firsts;
        $this->mayBegin = array_fill_keys($firsts, true);
        $this->mayEnd = $school->joining === Joining::LightPencil ? $ends : null;
        $this->free = array_diff($school->settings(), ['neutralising=traditional']) === [];
        $this->finish = $school->lights === Lights::Lift && $this->isLight() ? Finish::Lift : $school->finish();
    }

    /** Whether the school's order lets one pencil lie over another, wherever both may be used. */
    public function ordered(int $below, int $above): bool
    {
        return $this->follows[$below][$above];
    }

    /** Whether one pencil (by its place) may lie anywhere over another. */
    public function follows(int $below, int $above): bool
    {
        return $this->usable[$below] && $this->usable[$above] && $this->follows[$below][$above];
    }

    /** Whether a pencil (by its place) may be used at all. */
    public function uses(int $pencil): bool
    {
        return $this->usable[$pencil];
    }

    /**
     * Whether a stack keeps every rule.
     *
     * @param  list<int>  $stack
     */
    public function allow(array $stack): bool
    {
        if ($this->free) {
            return $stack !== [];
        }
        $alone = count(array_unique(array_map(Moves::pencilOf(...), $stack))) < 2;
        if ($stack === [] || ($alone && $this->wantsBeneath()) || ! isset($this->mayBegin[$stack[0]]) || ! $this->endsWell($stack[count($stack) - 1])) {
            return false;
        }

        foreach ($stack as $i => $move) {
            if ($this->moves->passes[$move]->pressure > $this->school->mostPressure()) {
                return false;
            }
            for ($j = 0; $j < $i; $j++) {
                if (! $this->follows(Moves::pencilOf($stack[$j]), Moves::pencilOf($move))) {
                    return false;
                }
            }
        }

        return true;
    }

    private function endsWell(int $move): bool
    {
        return $this->mayEnd === null || isset($this->mayEnd[$move]);
    }

    /** Whether something must lie beneath the local colour, so that one pencil is not enough. */
    public function wantsBeneath(): bool
    {
        return ! in_array($this->school->beneath, [Beneath::Any, Beneath::Nothing], true);
    }

    /** Whether the search is free: nothing to check. */
    public function isFree(): bool
    {
        return $this->free;
    }

    /** Whether pencils face the local colour on the artist's wheel, and are strong enough to neutralise it. */
    public static function faces(Oklch $local, Oklch $pencil): bool
    {
        return $pencil->chroma >= self::WEAK && ArtistWheel::apart($local->hueDegrees, $pencil->hueDegrees) >= self::FACING;
    }

    private function isLight(): bool
    {
        return $this->target->l >= self::LIGHT_FROM;
    }

    private function mayBeUsed(Character $c): bool
    {
        return ! match (true) {
            $c->isBlack() => $this->school->darks === Darks::NeverBlack || ($this->school->darks === Darks::BlackLast && $this->target->l >= self::ACCENT_BELOW),
            $c->isWhite() => $this->school->lights === Lights::ReservePaper,
            default => false,
        };
    }

    private function mayFollow(Character $below, Character $above): bool
    {
        $inOrder = match ($this->school->values) {
            ValueOrder::LightToDark => $above->heavy->l <= $below->heavy->l + self::VALUE_SLACK,
            ValueOrder::DarkToLight => $above->heavy->l >= $below->heavy->l - self::VALUE_SLACK,
            ValueOrder::FormFirst => $below->isForm() || ! $above->isForm(),
            default => true,
        };

        return $inOrder
            && ! ($this->school->darks === Darks::BlackLast && $below->isBlack())
            && ! ($this->school->lights === Lights::WhiteLast && $below->isWhite());
    }

    private function mayLieFirst(Character $c, bool $neutralises): bool
    {
        $local = Oklch::ofLab($this->target);
        $apart = ArtistWheel::apart($local->hueDegrees, $c->hue->hueDegrees);
        $beneath = match ($this->school->beneath) {
            Beneath::Nothing => $local->chroma < self::HUELESS ? ! $c->isDarkCool() : $c->family->isChromatic() && $apart <= self::LOCAL,
            Beneath::Complement => $neutralises,
            Beneath::SplitComplement => $c->hue->chroma >= self::WEAK && $apart >= self::SPLIT[0] && $apart <= self::SPLIT[1],
            Beneath::DarkCool => $c->isDarkCool(),
            Beneath::NeutralGrey => $c->isGrey(),
            default => true,
        };
        $light = $this->school->lights !== Lights::PaleFirst || ! $this->isLight() || $c->isPale();

        return $beneath && $light && ! ($this->school->values === ValueOrder::FormFirst && $this->school->beneath === Beneath::Any && ! $this->isLight() && ! $c->isForm());
    }
}
