<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** Methods with a name, from which an artist goes on: each is tried in a zone of her own before it is taken. */
enum StartingPoint: string
{
    /** What a new study begins with: a method with an opinion, which every setting can be loosened from. */
    case LightToDark = 'light-to-dark';
    case ManyLightCoats = 'many-light-coats';
    case GreyFirst = 'grey-first';
    case AnythingGoes = 'anything-goes';

    public function title(): string
    {
        return match ($this) {
            self::LightToDark => 'Light to dark',
            self::ManyLightCoats => 'Many light coats',
            self::GreyFirst => 'Grey first',
            self::AnythingGoes => 'Anything goes',
        };
    }

    /** What speaks for it, in a line. */
    public function why(): string
    {
        return match ($this) {
            self::LightToDark => 'Paper for the brightest lights, black as the last accent.',
            self::ManyLightCoats => 'Nothing is pressed: slow, and the paper’s grain shows.',
            self::GreyFirst => 'Values first in grey, then colour over them.',
            self::AnythingGoes => 'Any order and any pencil: what gives the surest even coat.',
        };
    }

    public function method(): Method
    {
        return Method::ofSettings(
            match ($this) {
                self::LightToDark => ['values=light-to-dark', 'darks=black-last', 'lights=reserve-paper', 'neutralising=computed'],
                self::ManyLightCoats => ['values=light-to-dark', 'darks=black-last', 'lights=reserve-paper', 'joining=light-coats'],
                self::GreyFirst => ['beneath=neutral-grey', 'darks=black-last', 'lights=reserve-paper'],
                self::AnythingGoes => [],
            },
        );
    }
}
