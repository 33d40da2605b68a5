<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Paper;

use KnottyPrism\Core\Error\OutOfRange;

/** The hollows of a paper: equal-area strata of depth (peaks first), and how much film each can hold. */
final readonly class Tooth
{
    public const STRATA = 6;

    /** Depth is 0.15 at the peaks and this much more in the deepest valleys of medium drawing paper. */
    private const MEDIUM_DEPTH = 1.1;

    private const MEDIUM_CAPACITY = 3.0;

    /** @var list<float> depth of each stratum, 0 at the level of the peaks; a full-pressure stroke reaches 1.4 */
    public array $depths;

    /**
     * @param  float  $roughness  depth relative to medium drawing paper: 0 flat, 1 medium, 2 sanded
     * @param  float  $capacity  film units that a stratum can hold
     */
    public function __construct(public float $roughness, public float $capacity)
    {
        OutOfRange::check('roughness', $roughness, 0, 3);
        OutOfRange::check('tooth capacity', $capacity, 0.2, 10, 'film units');
        $depths = [];
        for ($m = 0; $m < self::STRATA; $m++) {
            $depths[] = 0.15 + self::MEDIUM_DEPTH * $roughness * (($m + 0.5) / self::STRATA) ** 1.3;
        }
        $this->depths = $depths;
    }

    public static function medium(): self
    {
        return new self(1.0, self::MEDIUM_CAPACITY);
    }
}
