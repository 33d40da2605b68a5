<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** What a colour is to its zone: a place of the value run, or another colour within it. */
enum Role: string
{
    case Light = 'light';
    case Mid = 'mid';
    case Dark = 'dark';
    case Accent = 'accent';

    /** Share of a zone that it stands for. */
    public function share(): float
    {
        return match ($this) {
            self::Light => 0.25,
            self::Mid => 0.5,
            self::Dark => 0.2,
            self::Accent => 0.05,
        };
    }

    /** Whether it is a place of the zone's own values, which a preview grades between. */
    public function isOfValueRun(): bool
    {
        return $this !== self::Accent;
    }

    /** @return list<string> */
    public static function values(): array
    {
        return array_column(self::cases(), 'value');
    }
}
