<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Method;

/** How lights are kept or made. */
enum Lights: string implements Setting
{
    case Free = 'free';
    case ReservePaper = 'reserve-paper';
    case PaleFirst = 'pale-first';
    case WhiteLast = 'white-last';
    case Lift = 'lift';

    public static function name(): string
    {
        return 'lights';
    }

    public static function place(): int
    {
        return 4;
    }

    public static function title(): string
    {
        return 'Lights';
    }

    public function why(): string
    {
        return match ($this) {
            self::Free => 'Whichever is most accurate.',
            self::ReservePaper => 'Nothing is lighter than the paper left bare.',
            self::PaleFirst => 'A pale pencil first keeps the place and takes glazes evenly.',
            self::WhiteLast => 'An opaque white on top, where the tooth still takes it.',
            self::Lift => 'Laid and then lifted with an eraser: soft lights.',
        };
    }
}
