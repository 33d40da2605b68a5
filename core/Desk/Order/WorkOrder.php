<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

/** In which order a picture is worked. */
enum WorkOrder: string
{
    case ZoneByZone = 'zone-by-zone';
    case PencilByPencil = 'pencil-by-pencil';
    case DarksFirst = 'darks-first';
    case LightsFirst = 'lights-first';
    case CentreOutwards = 'centre-outwards';

    /** As one would ask for it. */
    public function words(): string
    {
        return match ($this) {
            self::ZoneByZone => 'zone by zone',
            self::PencilByPencil => 'pencil by pencil',
            self::DarksFirst => 'darks first',
            self::LightsFirst => 'lights first',
            self::CentreOutwards => 'centre outwards',
        };
    }
}
