<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Words;

use KnottyPrism\Core\Medium\Finishes\Finish;

/** What to mind for the body and the room, at the step that needs it. Never in place of the label, or of what is the rule where one works. */
final class BodyCautions
{
    public const SOLVENT = 'Solvent: read its label first. Window open, no flame, the jar closed between strokes, gloves on; the rag goes into a lidded metal bin.';

    public const POINTING = 'Point pencils with the blade going away from the thumb.';

    public const DUST = 'Tap dust off beside the drawing, do not blow; no food at the desk, and wash your hands after.';

    public const BREAK = 'A break for eyes and wrists: look far away, let the hands hang.';

    /** Minutes after which one is due. */
    public const BREAK_AFTER = 45;

    /** @return list<string> */
    public static function at(string $tool, bool $firstOfSession): array
    {
        $finish = Finish::tryFrom($tool);

        return array_values(array_filter([$finish === Finish::Solvent ? self::SOLVENT : null, $firstOfSession && $finish === null ? self::POINTING : null, $firstOfSession ? self::DUST : null]));
    }
}
