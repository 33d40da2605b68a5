<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Fade;

use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Photo\Zones\Surface;

/** How the passes of a fade are joined in the end: what the thing is like to touch decides, and what paper and film stand. */
enum Joining: string
{
    case Burnish = 'burnish';
    case Solvent = 'solvent';
    case LeaveTheMarks = 'leave the marks';

    /** A soft or fuzzy thing is never burnished: its marks are what makes it soft. */
    public static function for(Surface $surface, Paper $paper): self
    {
        return match ($surface) {
            Surface::HardAndShiny => self::Burnish,
            Surface::Smooth => str_contains($paper->name, 'film') ? self::LeaveTheMarks : self::Solvent,
            Surface::SoftAndFuzzy, Surface::Rough => self::LeaveTheMarks,
        };
    }

    public function words(Surface $surface): string
    {
        return match ($this) {
            self::Burnish => sprintf(
                'It is %s: burnish the fade at the end with its lightest pencil or a colourless blender, and add nothing after that.',
                $surface->value,
            ),
            self::Solvent => sprintf(
                'It is %s: join the fade with a little solvent on a brush; open a window, no flame, follow the label and local rules, '
                    .'and let it dry.',
                $surface->value,
            ),
            self::LeaveTheMarks => sprintf('It is %s: leave the marks, and let them follow the form; do not burnish.', $surface->value),
        };
    }
}
