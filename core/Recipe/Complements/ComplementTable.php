<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Complements;

use KnottyPrism\Core\Colour\ArtistWheel;
use KnottyPrism\Core\Colour\Family;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Search\Rules;

/**
 * For each pencil available, which other one neutralises it best on this paper, which darkens it best without a green cast, and
 * which makes it stand out beside it: found by laying every other pencil beneath it at every pressure, not by a wheel.
 */
final class ComplementTable
{
    /** The pencil itself goes on top at this pressure. */
    private const LOCAL_PRESSURE = 0.55;

    /** Pressures of the partner beneath: a full coat is no underlayer. */
    private const BENEATH = [0.2, 0.35, 0.55, 0.8];

    /** Share of the pencil's own chroma that a neutraliser must take to be called one, and how many are named. */
    private const MUST_TAKE = 0.35;

    private const NEUTRALISERS = 3;

    /** A mix as green as this, C*ab, is a cast where neither pencil is green. */
    private const CAST = 4.0;

    /** What a C*ab kept, and one turned away in hue, count against an L* gained when something is to be brighter. */
    private const STRENGTH = 2.0;

    private const TURN = 0.8;

    /** @var array<string, list<Complement>> by pencil's identifier */
    private array $known = [];

    /** @var array<string, Character> */
    private array $characters = [];

    /** @param  list<Pencil>  $pencils */
    public function __construct(private readonly array $pencils, private readonly Paper $paper)
    {
        foreach ($pencils as $pencil) {
            $this->characters[$pencil->id()] = Character::of($pencil);
        }
    }

    /**
     * What takes most of its chroma without turning it green, best first; none where nothing available does.
     *
     * @return list<Complement>
     */
    public function neutralisersOf(Pencil $pencil): array
    {
        if (isset($this->known[$pencil->id()])) {
            return $this->known[$pencil->id()];
        }
        $alone = $this->mix(null, $pencil);
        $least = [];
        foreach ($this->partnersOf($pencil) as $partner) {
            if ($this->turnsGreenOver($pencil, $partner)) {
                continue;
            }
            foreach (self::BENEATH as $pressure) {
                $mix = $this->mix(new Pass($partner, $pressure), $pencil);
                $known = $least[$partner->id()] ?? null;
                if (
                    ! $this->isCast($mix, $pencil, $partner) &&
                    $mix->chroma() < ($known?->mix->chroma() ?? $alone->chroma() * (1 - self::MUST_TAKE))
                ) {
                    $least[$partner->id()] = new Complement($partner, $this->stack(new Pass($partner, $pressure), $pencil), $mix);
                }
            }
        }
        usort($least, static fn (Complement $a, Complement $b): int => $a->mix->chroma() <=> $b->mix->chroma());

        return $this->known[$pencil->id()] = array_slice($least, 0, self::NEUTRALISERS);
    }

    /** What takes it down most in value while its hue and most of its chroma stay. */
    public function darkenerOf(Pencil $pencil): ?Complement
    {
        $alone = $this->mix(null, $pencil);
        $best = null;
        $most = 0.0;
        foreach ($this->pencils as $partner) {
            if ($partner === $pencil) {
                continue;
            }
            foreach (self::BENEATH as $pressure) {
                $mix = $this->mix(new Pass($partner, $pressure), $pencil);
                $turned = hypot($mix->a - $alone->a, $mix->b - $alone->b);
                $gain = $alone->l - $mix->l - $turned;
                if ($gain > $most && ! $this->isCast($mix, $pencil, $partner)) {
                    [$best, $most] = [new Complement($partner, $this->stack(new Pass($partner, $pressure), $pencil), $mix), $gain];
                }
            }
        }

        return $best;
    }

    /**
     * What, laid over it, makes it lighter than a second coat of its own while its strength and, by and large, its hue stay: yellow over
     * a green, not white, which greys it.
     */
    public function brightenerOf(Pencil $pencil): ?Complement
    {
        if (! Character::of($pencil)->family->isChromatic()) {
            return null;
        }
        $under = new Pass($pencil, self::LOCAL_PRESSURE);
        $own = Lab::ofReflectance((new Stack([$under, $under]))->on($this->paper)->meanReflectance());
        $best = null;
        $most = 0.0;
        foreach ($this->pencils as $partner) {
            if ($partner === $pencil) {
                continue;
            }
            foreach (self::BENEATH as $pressure) {
                $stack = new Stack([
                    new Pass($pencil, Pressure::nearest(self::LOCAL_PRESSURE)->share()),
                    new Pass($partner, $pressure),
                ]);
                $mix = Lab::ofReflectance($stack->on($this->paper)->meanReflectance());
                $stronger = $mix->chroma() - $own->chroma();
                $turned = sqrt(max(0.0, ($mix->a - $own->a) ** 2 + ($mix->b - $own->b) ** 2 - $stronger ** 2));
                $gain = $mix->l - $own->l + self::STRENGTH * $stronger - self::TURN * $turned;
                if ($mix->l > $own->l && $gain > $most) {
                    [$best, $most] = [new Complement($partner, $stack, $mix), $gain];
                }
            }
        }

        return $best;
    }

    /** What lifts it when laid next to it: facing in hue on the artist's wheel, strong, and far in value. */
    public function standsOutBy(Pencil $pencil): ?Pencil
    {
        $own = $this->characters[$pencil->id()] ?? Character::of($pencil);
        $best = null;
        $most = -INF;
        foreach ($this->characters as $other) {
            $facing =
                $own->family->isChromatic() && $other->family->isChromatic()
                    ? (ArtistWheel::apart($own->hue->hueDegrees, $other->hue->hueDegrees) / 180) * $other->heavy->chroma()
                    : 0.0;
            $contrast = $facing + 0.7 * abs($own->heavy->l - $other->heavy->l);
            if ($other->pencil !== $pencil && $contrast > $most) {
                [$best, $most] = [$other->pencil, $contrast];
            }
        }

        return $best;
    }

    /**
     * The pencils that face a colour on the wheel painters are taught, the most opposite first.
     *
     * @return list<Pencil>
     */
    public function facing(Oklch $local): array
    {
        $apart = [];
        foreach ($this->characters as $id => $character) {
            if (Rules::faces($local, $character->hue)) {
                $apart[$id] = ArtistWheel::apart($local->hueDegrees, $character->hue->hueDegrees);
            }
        }
        arsort($apart);

        return array_map(fn (string|int $id): Pencil => $this->characters[$id]->pencil, array_keys($apart));
    }

    /** Whether neither of two pencils is green and their mix is. */
    public static function isGreenCast(Lab $mix, Lab ...$pure): bool
    {
        $isGreen = static fn (Lab $lab): bool => in_array(Family::of($lab)->base, ['green'], true) || Family::of($lab)->lean === 'green';
        if ($mix->chroma() < self::CAST || ! $isGreen($mix)) {
            return false;
        }
        foreach ($pure as $lab) {
            if ($isGreen($lab)) {
                return false;
            }
        }

        return true;
    }

    private function isCast(Lab $mix, Pencil $pencil, Pencil $partner): bool
    {
        return self::isGreenCast($mix, $this->characters[$pencil->id()]->heavy, $this->characters[$partner->id()]->heavy);
    }

    /** Whether the partner laid on the pencil meets it in green at some pressure: then a firmer hand beneath will too. */
    private function turnsGreenOver(Pencil $pencil, Pencil $partner): bool
    {
        foreach (self::BENEATH as $pressure) {
            $sheet = (new Stack([new Pass($pencil, self::LOCAL_PRESSURE), new Pass($partner, $pressure)]))->on($this->paper);
            if ($this->isCast(Lab::ofReflectance($sheet->meanReflectance()), $pencil, $partner)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Pencil> strong enough to neutralise; a grey, a white or a black only dulls */
    private function partnersOf(Pencil $pencil): array
    {
        return array_values(
            array_filter(
                $this->pencils,
                fn (Pencil $p): bool => $p !== $pencil &&
                    $this->characters[$p->id()]->family->isChromatic() &&
                    $this->characters[$p->id()]->hue->chroma >= Rules::WEAK,
            ),
        );
    }

    private function mix(?Pass $beneath, Pencil $pencil): Lab
    {
        $sheet = new Sheet($this->paper);
        if ($beneath !== null) {
            LayPass::onto($sheet, $beneath->pencil, $beneath->pressure);
        }
        LayPass::onto($sheet, $pencil, self::LOCAL_PRESSURE);

        return Lab::ofReflectance($sheet->meanReflectance());
    }

    private function stack(Pass $beneath, Pencil $pencil): Stack
    {
        return new Stack([$beneath, new Pass($pencil, Pressure::nearest(self::LOCAL_PRESSURE)->share())]);
    }
}
