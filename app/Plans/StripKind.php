<?php

declare(strict_types=1);

namespace App\Plans;

/** Which strips are laid: what tells most of a hand, or what a plan lays anyway. */
enum StripKind: string
{
    case Pencils = 'pencils';
    case Sequences = 'sequences';

    /** What one zone is laid in, before it is begun. */
    case Zone = 'zone';
}
