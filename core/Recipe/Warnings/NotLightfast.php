<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Warnings;

/** Pencils that fade in light, each said once. */
final class NotLightfast extends WarningKind
{
    /** Grades of lightfastness that makers advise against for work that hangs in light. */
    private const FUGITIVE = ['poor', 'fugitive', 'low'];

    public function __construct()
    {
        parent::__construct('not lightfast', 8, ofPasses: false);
    }

    public function in(Laying $laying): array
    {
        $warnings = [];
        foreach ($laying->trace->passes() as $i => $pass) {
            if (in_array(mb_strtolower((string) $pass->pencil->record->lightfast), self::FUGITIVE, true)) {
                $warnings[$pass->pencil->id()] ??= $this->at(
                    $i,
                    $laying,
                    sprintf('Pencil %s fades in light.', $pass->pencil->record->number),
                    'For work that hangs in light use another pencil of the family.',
                );
            }
        }

        return array_values($warnings);
    }
}
