<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

use KnottyPrism\Core\Colour\Comparison;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;

/** Finds what to mind in a stack, from what the simulated passes do; nothing is warned of because of a pencil's name alone. */
final readonly class Cautions
{
    /** C*ab that must be missing before black or white is blamed. */
    private const CHROMA_LOST = 4.0;

    /** Film a slick surface must refuse, as a share, and the pressure from which a pass is firm enough to make it so. */
    private const REFUSED = 0.18;

    private const FIRM = 0.80;

    /** L* between a pencil and what it is laid on from which the result hangs on the hand. */
    private const JUMP = 48.0;

    /** L* that such a pass must raise to matter. */
    private const LIFTS = 3.0;

    /** Mean wax film that blooms, film units. */
    private const BLOOMS = 1.25;

    /** Grades of lightfastness that makers advise against for work that hangs in light. */
    private const FUGITIVE = ['poor', 'fugitive', 'low'];

    /** A tooth shallower than this is a film or a coated sheet. */
    private const FILM_ROUGHNESS = 0.3;

    private function __construct(private Trace $trace, private Lab $target, private ?float $steadiness)
    {
    }

    /**
     * @param  ?float  $steadiness  RMS ΔE00 in an ordinary hand, where it is known; else unsteadiness is not looked at
     * @return list<Caution> in the order of the codes, their remedies still general advice
     */
    public static function in(Trace $trace, Lab $target, ?float $steadiness): array
    {
        $all = new self($trace, $target, $steadiness);

        return array_values(array_filter([
            $all->greenCast(), $all->blackDeadens(), $all->pastelShift(), $all->resist(), $all->valueJump(), $all->toothSpent(),
            $all->bloom(), ...$all->notLightfast(), $all->outOfReach(), $all->unsteady(), $all->solvent(),
        ]));
    }

    private function greenCast(): ?Caution
    {
        $heavies = array_map(static fn (Pass $p): Lab => Character::of($p->pencil)->heavy, $this->trace->passes());
        if (count($heavies) < 2 || ComplementTable::isGreenCast($this->target) || ! ComplementTable::isGreenCast($this->trace->final(), ...array_values($heavies))) {
            return null;
        }
        $steps = array_keys($heavies);
        $at = $steps[count($steps) - 1];
        foreach (array_reverse($steps) as $step) {
            if (! ComplementTable::isGreenCast($this->trace->labs[$step], ...array_values($heavies))) {
                break;
            }
            $at = $step;
        }

        return new Caution(CautionCode::GreenCast, $at + 1, sprintf('Pass %d meets what lies beneath in green, though neither is green and the target is not.', $at + 1), 'Neutralise with a violet or a brown instead.');
    }

    private function blackDeadens(): ?Caution
    {
        $at = $this->lastOf(static fn (Character $c): bool => $c->isBlack());

        return $at === null || ! $this->lostChroma() ? null : new Caution(CautionCode::BlackDeadens, $at + 1, sprintf('The black of pass %d takes colour as well as light: the target is stronger by %.0f C*.', $at + 1, $this->target->chroma() - $this->trace->final()->chroma()), 'Darken with a mix of strong darks.');
    }

    private function pastelShift(): ?Caution
    {
        $at = $this->lastOf(static fn (Character $c): bool => $c->isWhite());
        if ($at === null || ! $this->lostChroma() || $this->trace->labs[$at]->chroma() > $this->trace->before($at)->chroma() - 1) {
            return null;
        }

        return new Caution(CautionCode::PastelShift, $at + 1, sprintf('The white of pass %d turns the colour to a pastel: the target is stronger by %.0f C*.', $at + 1, $this->target->chroma() - $this->trace->final()->chroma()), 'Lighten with a yellow or a paler neighbour, or leave paper.');
    }

    private function resist(): ?Caution
    {
        $firm = null;
        foreach ($this->trace->steps as $i => $step) {
            if ($firm !== null && $step instanceof Pass && $this->trace->taken[$i] < 1 - self::REFUSED) {
                return new Caution(CautionCode::Resist, $firm + 1, sprintf('Pass %d leaves the surface slick; pass %d loses %.0f %% of its colour there.', $firm + 1, $i + 1, 100 * (1 - $this->trace->taken[$i])), 'Lay the firm pass last, or more lightly.');
            }
            if (($step instanceof Pass && $step->pressure >= self::FIRM) || $step === Finish::Blender) {
                $firm = $i;
            }
        }

        return null;
    }

    private function valueJump(): ?Caution
    {
        foreach ($this->trace->passes() as $i => $pass) {
            $jump = Character::of($pass->pencil)->heavy->l - $this->trace->before($i)->l;
            if ($i > 0 && $jump > self::JUMP && $this->trace->labs[$i]->l - $this->trace->before($i)->l > self::LIFTS) {
                return new Caution(CautionCode::ValueJump, $i + 1, sprintf('Pass %d lays a very light pencil straight onto a dark: the result swings with the hand.', $i + 1), 'Step there by a middle value.');
            }
        }

        return null;
    }

    private function toothSpent(): ?Caution
    {
        foreach ($this->trace->toothUsed as $i => $used) {
            if ($used > Caution::TOOTH_SPENT && $i < count($this->trace->steps) - 1) {
                return new Caution(CautionCode::ToothSpent, $i + 1, sprintf('Pass %d leaves %d %% of the tooth; what follows will hardly take.', $i + 1, round(100 * (1 - $used))), 'Lay the early passes more lightly.');
            }
        }

        return null;
    }

    private function bloom(): ?Caution
    {
        if ($this->trace->waxFilm < self::BLOOMS) {
            return null;
        }
        $heaviest = null;
        foreach ($this->trace->passes() as $i => $pass) {
            if ($pass->pencil->record->binder?->blooms() === true && ($heaviest === null || $pass->pressure > $this->trace->passes()[$heaviest]->pressure)) {
                $heaviest = $i;
            }
        }

        return new Caution(CautionCode::Bloom, ($heaviest ?? 0) + 1, 'Wax lies heavily here; a pale haze can rise after some days.', 'Wipe it softly and fix the finished drawing; spray outdoors, as the label says.');
    }

    /** @return list<Caution> one a pencil */
    private function notLightfast(): array
    {
        $cautions = [];
        foreach ($this->trace->passes() as $i => $pass) {
            if (in_array(mb_strtolower((string) $pass->pencil->record->lightfast), self::FUGITIVE, true)) {
                $cautions[$pass->pencil->id()] ??= new Caution(CautionCode::NotLightfast, $i + 1, sprintf('Pencil %s fades in light.', $pass->pencil->record->number), 'For work that hangs in light use another pencil of the family.');
            }
        }

        return array_values($cautions);
    }

    private function outOfReach(): ?Caution
    {
        $comparison = new Comparison($this->trace->final(), $this->target);

        return $comparison->deltaE00 < Caution::OUT_OF_REACH ? null : new Caution(CautionCode::OutOfReach, 0, sprintf('The pencils at hand stop short of this colour. %s.', $comparison->words()), 'Accept the nearest, or add a pencil nearer to it.');
    }

    private function unsteady(): ?Caution
    {
        return $this->steadiness === null || $this->steadiness < Caution::UNSTEADY ? null : new Caution(CautionCode::Unsteady, 0, 'A slightly firmer or lighter hand changes this result much.', 'Test it on a scrap first, or take the steadiest recipe.');
    }

    private function solvent(): ?Caution
    {
        $at = array_search(Finish::Solvent, $this->trace->steps, true);

        return $at === false || $this->trace->paper->tooth->roughness >= self::FILM_ROUGHNESS ? null : new Caution(CautionCode::Solvent, $at + 1, 'On a film or a coated sheet solvent floats the colour off instead of sinking it in.', 'Even it with a dry tissue; with any solvent follow the label, with air.');
    }

    /** Whether the result is greyer than the target by more than an eye forgives. */
    private function lostChroma(): bool
    {
        return $this->target->chroma() - $this->trace->final()->chroma() > self::CHROMA_LOST;
    }

    /** @param  \Closure(Character): bool  $is */
    private function lastOf(\Closure $is): ?int
    {
        $at = null;
        foreach ($this->trace->passes() as $i => $pass) {
            $at = $is(Character::of($pass->pencil)) ? $i : $at;
        }

        return $at;
    }
}
