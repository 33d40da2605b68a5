<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Error;

use DomainException;

/** A method of working leaves no stack for a colour with the pencils available. */
final class MethodRefuses extends DomainException implements CoreError
{
    /** @param  list<string>  $settings */
    public static function stacks(array $settings): self
    {
        return new self(
            sprintf(
                'With %s these pencils have no recipe for this colour. Relax one of the settings, or add a pencil that may '
                    .'begin.',
                $settings === [] ? 'this drawer' : implode(', ', $settings),
            ),
        );
    }
}
