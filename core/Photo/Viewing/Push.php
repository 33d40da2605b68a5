<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Viewing;

use KnottyPrism\Core\Photo\Zones\ZoneSheet;

/** A zone tried lighter or darker, to see in grey what it does to its neighbours. */
final readonly class Push
{
    /** @param  float  $by  L* */
    public function __construct(private ZoneSheet $sheet, private int $zone, private float $by)
    {
    }

    public function on(ValuePlane $values): ValuePlane
    {
        return $values->moved($this->sheet->labels->maskOf($this->zone, $values->width, $values->height), $this->by);
    }
}
