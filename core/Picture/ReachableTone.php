<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Photo\Reading\ToneFit;

/** How dark and how light a drawer gets on a paper, and a photo's tones folded into that. */
final class ReachableTone
{
    /** The darkest pencils, and the lightest, that are laid over each other. */
    private const DARKEST = 5;

    private const LIGHTEST = 2;

    /**
     * @param  list<Pencil>  $pencils
     * @param  array<int, float>  $lightness  L* of the photo's pixels
     */
    public static function fit(array $pencils, Paper $paper, array $lightness): ToneFit
    {
        $reached = [Lab::ofReflectance($paper->reflectance)->l];
        usort($pencils, static fn (Pencil $a, Pencil $b): int => Character::of($a)->heavy->l <=> Character::of($b)->heavy->l);
        $ends = [...array_slice($pencils, 0, self::DARKEST), ...array_slice($pencils, -self::LIGHTEST)];
        foreach ($ends as $first) {
            foreach ($ends as $second) {
                $sheet = new Sheet($paper);
                LayPass::onto($sheet, $first, 1.0);
                LayPass::onto($sheet, $second, 1.0);
                $reached[] = Lab::ofReflectance($sheet->meanReflectance())->l;
            }
        }

        return new ToneFit($lightness, min($reached), max($reached));
    }
}
