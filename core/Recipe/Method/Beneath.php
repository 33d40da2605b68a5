<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** What lies beneath the local colour. */
enum Beneath: string implements Setting
{
    case Any = 'any';
    case Nothing = 'nothing';
    case Complement = 'complement';
    case SplitComplement = 'split-complement';
    case DarkCool = 'dark-cool';
    case NeutralGrey = 'neutral-grey';

    public static function name(): string
    {
        return 'beneath';
    }

    public static function place(): int
    {
        return 2;
    }

    public static function title(): string
    {
        return 'Underneath the colour';
    }

    public function why(): string
    {
        return match ($this) {
            self::Any => 'Whichever is most accurate.',
            self::Nothing => 'The purest colour, and the most tooth left.',
            self::Complement => 'The opposite colour underneath greys without deadening.',
            self::SplitComplement => 'A neighbour of the opposite keeps more life than the opposite itself.',
            self::DarkCool => 'Violet or indigo underneath makes deep, cool darks.',
            self::NeutralGrey => 'Values are settled first, colour is glazed over them.',
        };
    }
}
