<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\Cones;
use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Xyz;
use KnottyPrism\Core\Medium\Laying\Sheet;

/** A sheet as seen: its colour, and the logarithms of its cone responses, in which films on each other roughly add up. */
final readonly class Look
{
    /** Added to every response before its logarithm: differences below it are black for any eye and would only mislead. */
    private const DARKEST = 0.004;

    /** @param  array{float, float, float}  $logs natural logarithms, long, middle, short */
    private function __construct(public Lab $lab, public array $logs)
    {
    }

    public static function at(Sheet $sheet): self
    {
        return self::ofXyz($sheet->xyz());
    }

    public static function of(Lab $lab): self
    {
        return self::ofXyz($lab->xyz());
    }

    /** The colour that these logarithms of cone responses stand for. */
    public static function labOf(float $long, float $middle, float $short): Lab
    {
        [$x, $y, $z] = Cones::toXyz(exp($long) - self::DARKEST, exp($middle) - self::DARKEST, exp($short) - self::DARKEST);

        return Lab::ofXyz(new Xyz($x, $y, $z));
    }

    public static function ofXyz(Xyz $xyz): self
    {
        [$l, $m, $s] = Cones::ofXyz($xyz->x, $xyz->y, $xyz->z);

        return new self(Lab::ofXyz($xyz), [
            log(max(0.0, $l) + self::DARKEST),
            log(max(0.0, $m) + self::DARKEST),
            log(max(0.0, $s) + self::DARKEST),
        ]);
    }
}
