<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Zones;

/** What a shade is to its zone: a place of the value run, or a touch, which is another colour within it. */
enum ShadeName: string
{
    case Light = 'light';
    case Mid = 'mid';
    case Dark = 'dark';
    case Touch = 'touch';
    case SecondTouch = 'touch-2';
    case ThirdTouch = 'touch-3';

    /** Share that it has of what a zone's touches leave. */
    public function share(): float
    {
        return match ($this) {
            self::Light => 0.26,
            self::Mid => 0.53,
            self::Dark => 0.21,
            default => 0.0,
        };
    }

    /** Whether it is a place of the zone's own values, which a preview grades between. */
    public function isOfValueRun(): bool
    {
        return in_array($this, [self::Light, self::Mid, self::Dark], true);
    }

    /** @return non-empty-list<self> in the order in which they are found */
    public static function touches(): array
    {
        return [self::Touch, self::SecondTouch, self::ThirdTouch];
    }

    /** @return list<string> */
    public static function values(): array
    {
        return array_column(self::cases(), 'value');
    }
}
