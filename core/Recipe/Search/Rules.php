<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\ArtistWheel;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Finishes\Lift;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Method\Beneath;
use KnottyPrism\Core\Recipe\Method\Darks;
use KnottyPrism\Core\Recipe\Method\Lights;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\ValueOrder;

/**
 * A method applied to one colour and the pencils available: what may be used for it, lie first, and lie over what; {@see
 * \KnottyPrism\Core\Recipe\SequenceSearch\Craft} asks.
 */
final readonly class Rules
{
    /** L* by which a pencil may step back in an order of values and still keep it. */
    private const VALUE_SLACK = 4.0;

    /** Targets lighter than this are lights, and darker than the other may take a last accent of black; L*. */
    private const LIGHT_FROM = 66.0;

    private const ACCENT_BELOW = 34.0;

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

    /** @var list<bool> by pencil: whether several passes may begin with it */
    public array $begins;

    public ?Finish $finish;

    /** @param  list<Pencil>  $neutralisers  the pencils that neutralise the target's local colour, in the method's own way */
    public function __construct(private Method $method, Moves $moves, private Lab $target, array $neutralisers)
    {
        $characters = $moves->characters();
        $this->usable = array_map($this->mayBeUsed(...), $characters);
        $this->follows = array_map(
            fn (Character $below): array => array_map(fn (Character $above): bool => $this->mayFollow($below, $above), $characters),
            $characters,
        );
        $this->begins = array_map(
            fn (Character $c, bool $usable): bool => $usable && $this->mayLieFirst($c, in_array($c->pencil, $neutralisers, true)),
            $characters,
            $this->usable,
        );
        $this->finish = $method->of(Lights::class) === Lights::Lift && $this->isLight() ? Lift::it() : $method->finish();
    }

    /** Whether the method's order lets one pencil lie over another, wherever both may be used. */
    public function ordered(int $below, int $above): bool
    {
        return $this->follows[$below][$above];
    }

    /** Whether a pencil (by its place) may be used at all. */
    public function uses(int $pencil): bool
    {
        return $this->usable[$pencil];
    }

    /** Whether something must lie beneath the local colour, so that one pencil is not enough. */
    public function wantsBeneath(): bool
    {
        return ! in_array($this->method->of(Beneath::class), [Beneath::Any, Beneath::Nothing], true);
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
            $c->isBlack() => $this->method->of(Darks::class) === Darks::NeverBlack ||
                ($this->method->of(Darks::class) === Darks::BlackLast && $this->target->l >= self::ACCENT_BELOW),
            $c->isWhite() => $this->method->of(Lights::class) === Lights::ReservePaper,
            default => false,
        };
    }

    private function mayFollow(Character $below, Character $above): bool
    {
        $inOrder = match ($this->method->of(ValueOrder::class)) {
            ValueOrder::LightToDark => $above->heavy->l <= $below->heavy->l + self::VALUE_SLACK,
            ValueOrder::DarkToLight => $above->heavy->l >= $below->heavy->l - self::VALUE_SLACK,
            ValueOrder::FormFirst => $below->isForm() || ! $above->isForm(),
            default => true,
        };

        return $inOrder &&
            ! ($this->method->of(Darks::class) === Darks::BlackLast && $below->isBlack()) &&
            ! ($this->method->of(Lights::class) === Lights::WhiteLast && $below->isWhite());
    }

    private function mayLieFirst(Character $c, bool $neutralises): bool
    {
        $local = Oklch::ofLab($this->target);
        $apart = ArtistWheel::apart($local->hueDegrees, $c->hue->hueDegrees);
        $beneath = match ($this->method->of(Beneath::class)) {
            Beneath::Nothing => $local->chroma < self::HUELESS ? ! $c->isDarkCool() : $c->family->isChromatic() && $apart <= self::LOCAL,
            Beneath::Complement => $neutralises,
            Beneath::SplitComplement => $c->hue->chroma >= self::WEAK && $apart >= self::SPLIT[0] && $apart <= self::SPLIT[1],
            Beneath::DarkCool => $c->isDarkCool(),
            Beneath::NeutralGrey => $c->isGrey(),
            default => true,
        };
        $light = $this->method->of(Lights::class) !== Lights::PaleFirst || ! $this->isLight() || $c->isPale();

        return $beneath &&
            $light &&
            ! (
                $this->method->of(ValueOrder::class) === ValueOrder::FormFirst &&
                $this->method->of(Beneath::class) === Beneath::Any &&
                ! $this->isLight() &&
                ! $c->isForm()
            );
    }
}
