<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\Coat;

/**
 * What a zone's passes leave at every value of its run: between two shades each pass is pressed as the value lies between theirs ({@see
 * PressedRun}) and then laid, so that a gradient is one and no blend of two colours. Beyond the lightest and the darkest shade a hand goes
 * on as it was going, by a step at most.
 */
final readonly class LaidTones
{
    /** Values of L* that a photo is told apart by. */
    public const LEVELS = 101;

    public function __construct(private Paper $paper, private Illuminant $light)
    {
    }

    /**
     * @param  int  $passes  how many are laid
     * @return list<Tone> by L* of the photo, 0–100
     */
    public function over(PressedRun $run, int $passes): array
    {
        [$lowest, $highest] = $run->reach();
        $tones = [];
        for ($level = 0; $level < self::LEVELS; $level++) {
            // Beyond what a hand goes on to nothing changes.
            $tones[] =
                $level > 0 && ($level <= $lowest || $level > $highest)
                    ? $tones[$level - 1]
                    : $this->at($run, (float) max($lowest, min($highest, $level)), $passes);
        }

        return $tones;
    }

    /**
     * Up to which values a hand goes on as it was going: half of the way to the next shade, where there is one.
     *
     * @param  list<float>  $values  L* of the shades, darkest first; at least one
     * @return array{float, float}
     */
    public static function reach(array $values): array
    {
        $last = count($values) - 1;
        $next = [$values[1] ?? $values[0], $values[$last - 1] ?? $values[$last]];

        return [$values[0] - ($next[0] - $values[0]) / 2, $values[$last] + ($values[$last] - $next[1]) / 2];
    }

    private function at(PressedRun $run, float $level, int $passes): Tone
    {
        $coats = $run->coats($level);
        if ($coats !== null) {
            return $this->laid($coats, $passes);
        }
        [$dark, $light, $share] = $run->around($level);

        return $this->laid($dark->steps, $passes)->towards($this->laid($light->steps, $passes), max(0.0, min(1.0, $share)));
    }

    /** @param  list<Pass|Finish|Coat|null>  $steps */
    public function laid(array $steps, int $passes): Tone
    {
        $sheet = new Sheet($this->paper);
        foreach (array_slice($steps, 0, $passes) as $step) {
            if ($step instanceof Coat && $step->coverage < 1 && ! $step->pass->pencil->isBlender()) {
                // Seen from where single strokes melt together: so much less film.
                LayPass::onto($sheet, $step->pass->pencil, $step->pass->pressure, $step->coverage);
            } elseif ($step !== null) {
                Stack::apply($step instanceof Coat ? $step->pass : $step, $sheet);
            }
        }

        return Tone::of($sheet, $this->light);
    }
}
