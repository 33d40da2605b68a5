<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Words;

use KnottyPrism\Core\Medium\Finishes\Finish;

/**
 * What to mind for the body and the room, at the step that needs it. Never in place of the label, or of what is the rule where one works.
 */
final class BodyCautions
{
    public const POINTING = 'Point pencils with the blade going away from the thumb.';

    public const DUST = 'Tap dust off beside the drawing, do not blow; no food at the desk, and wash your hands after.';

    /** @return list<string> at a step */
    public static function at(string $tool): array
    {
        return array_values(array_filter([Finish::tryFrom($tool)?->care]));
    }

    /**
     * Before a session.
     *
     * @param  list<string>  $tools  pencils and finishes of it
     * @return list<string>
     */
    public static function before(array $tools): array
    {
        $pencils = array_filter($tools, static fn (string $tool): bool => Finish::tryFrom($tool) === null);

        return array_values(
            array_filter([
                $pencils === [] ? null : self::POINTING,
                self::DUST,
                ...array_map(static fn (string $tool): ?string => Finish::tryFrom($tool)?->care, array_values($tools)),
            ]),
        );
    }
}
