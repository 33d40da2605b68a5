<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/**
 * What a zone's thing is like to touch: it decides how its layers may be finished, and how much it matters that paper shows through them.
 */
enum Surface: string
{
    case HardAndShiny = 'hard and shiny';
    case Smooth = 'smooth';
    case SoftAndFuzzy = 'soft and fuzzy';
    case Rough = 'rough';

    /**
     * {@see \KnottyPrism\Core\Photo\Pixels\Texture} from which a thing is rough: glass, water and what is out of focus lie below it, stone,
     * wood, fur and rope above.
     */
    private const ROUGH_FROM = 1.2;

    /**
     * What a zone is likely to be, by how much its values change from stroke to stroke. Fur and rough things look alike in this; the artist
     * knows better.
     */
    public static function likely(float $texture): self
    {
        return $texture < self::ROUGH_FROM ? self::Smooth : self::Rough;
    }

    /**
     * ΔE00 of error that an L* of grain is as bad as: pepper spoils enamel, and is no harm in stone. Chosen by looking, see docs/model.md.
     */
    public function grainCounts(): float
    {
        return match ($this) {
            self::HardAndShiny => 0.3,
            self::Smooth => 0.25,
            self::SoftAndFuzzy => 0.12,
            self::Rough => 0.05,
        };
    }
}
