<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Drawer;

use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Swatches\Swatch;

/** What a pencil is to a method of working, by the colour of its heavy swatch. */
final readonly class Character
{
    private const PALE_FROM = 76.0;

    private const DARK_BELOW = 46.0;

    /** OKLCh hues from indigo to violet. */
    private const COOL_DARKS = [252.0, 325.0];

    /** Scattering per unit of film from which a pencil is opaque. */
    private const HIDING = 0.6;

    public Lab $heavy;

    public Oklch $hue;

    public Family $family;

    private function __construct(public Pencil $pencil)
    {
        $this->heavy = Swatch::Heavy->colourOf($pencil);
        $this->hue = Oklch::ofLab($this->heavy);
        $this->family = Family::of($this->heavy);
    }

    /** Worked out once for each pencil: a heavy swatch has to be laid for it. */
    public static function of(Pencil $pencil): self
    {
        /** @var \WeakMap<Pencil, self>|null $known */
        static $known = null;
        $known ??= new \WeakMap();

        return $known[$pencil] ??= new self($pencil);
    }

    /**
     * @param  list<Pencil>  $pencils
     * @return list<Pencil> all but the one, by how near their heavy swatches are to its own
     */
    public static function othersByColour(Pencil $pencil, array $pencils): array
    {
        $own = self::of($pencil)->heavy;
        $others = array_values(array_filter($pencils, static fn (Pencil $p): bool => $p !== $pencil));
        usort(
            $others,
            static fn (Pencil $a, Pencil $b): int => self::of($a)->heavy->deltaE00($own) <=> self::of($b)->heavy->deltaE00($own),
        );

        return $others;
    }

    public function isBlack(): bool
    {
        return $this->family->base === 'black';
    }

    public function isWhite(): bool
    {
        return $this->family->base === 'white';
    }

    public function isPale(): bool
    {
        return $this->heavy->l >= self::PALE_FROM;
    }

    public function isGrey(): bool
    {
        return $this->family->base === 'grey';
    }

    /** Violet, indigo: what shadows are laid with beneath a local colour. */
    public function isDarkCool(): bool
    {
        return $this->family->isChromatic() &&
            $this->heavy->l < self::DARK_BELOW &&
            $this->hue->hueDegrees >= self::COOL_DARKS[0] &&
            $this->hue->hueDegrees <= self::COOL_DARKS[1];
    }

    /** What a form can be modelled with before its colour. */
    public function isForm(): bool
    {
        return $this->isBlack() || $this->isDarkCool() || ($this->isGrey() && ! $this->isPale());
    }

    public function hides(): bool
    {
        return $this->pencil->scattering >= self::HIDING;
    }
}
