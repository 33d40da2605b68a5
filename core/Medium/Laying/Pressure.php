<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Laying;

/** The five pressures an artist can tell apart and repeat; recipes are written in these. */
enum Pressure: string
{
    case Whisper = 'whisper';
    case Light = 'light';
    case Medium = 'medium';
    case Firm = 'firm';
    case Full = 'full';

    /** Pressure as a share of the firmest stroke, 0–1. */
    public function share(): float
    {
        return match ($this) {
            self::Whisper => 0.20,
            self::Light => 0.35,
            self::Medium => 0.55,
            self::Firm => 0.80,
            self::Full => 1.00,
        };
    }

    /** 1–5, the number of hatch strokes that stand for it. */
    public function strokes(): int
    {
        return 1 + (int) array_search($this, self::cases(), true);
    }

    /** As one lays a pass: "711 lightly". */
    public function adverb(): string
    {
        return match ($this) {
            self::Whisper => 'in a whisper',
            self::Light => 'lightly',
            self::Medium => 'at medium pressure',
            self::Firm => 'firmly',
            self::Full => 'with full pressure',
        };
    }

    public static function nearest(float $share): self
    {
        $best = self::Whisper;
        foreach (self::cases() as $pressure) {
            if (abs($pressure->share() - $share) < abs($best->share() - $share)) {
                $best = $pressure;
            }
        }

        return $best;
    }

    /** @return list<float> the five pressures, lightest first */
    public static function shares(): array
    {
        return array_map(static fn (self $m): float => $m->share(), self::cases());
    }
}
