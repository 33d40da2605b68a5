<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Cautions;

/** Pencils that fade in light, each said once. */
final readonly class NotLightfast implements CautionCheck
{
    /** Grades of lightfastness that makers advise against for work that hangs in light. */
    private const FUGITIVE = ['poor', 'fugitive', 'low'];

    public function in(Laying $laying): array
    {
        $cautions = [];
        foreach ($laying->trace->passes() as $i => $pass) {
            if (in_array(mb_strtolower((string) $pass->pencil->record->lightfast), self::FUGITIVE, true)) {
                $cautions[$pass->pencil->id()] ??= new Caution(CautionCode::NotLightfast, $laying->trace->number($i), sprintf('Pencil %s fades in light.', $pass->pencil->record->number), 'For work that hangs in light use another pencil of the family.');
            }
        }

        return array_values($cautions);
    }
}
