<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Photo\Borders;

/** How two zones meet. */
enum BorderKind: string
{
    case Sharp = 'sharp';

    /** Each zone's passes run out into the other. */
    case Grades = 'grades';
}
