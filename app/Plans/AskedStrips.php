<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\Study;

/** Which strips an artist is asked for. */
final readonly class AskedStrips
{
    /**
     * @param  ?Study  $study  whose plan they are of; of all that is owned where none is named
     * @param  ?int  $zone  the only one they are of, where it is named
     */
    public function __construct(public ?Study $study = null, public StripKind $kind = StripKind::Pencils, public ?int $zone = null)
    {
    }
}
