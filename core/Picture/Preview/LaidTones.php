<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Colour\Illuminant;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\Coat;
use KnottyPrism\Core\Photo\Zones\BetweenValues;

/**
 * What a zone's passes leave at every value of its run: between two shades each pass is pressed as the value lies between theirs ({@see ByEye})
 * and then laid, so that a gradient is one and no blend of two colours. Beyond the lightest and the darkest shade a hand goes on as it was
 * going, by a mark at most.
 */
final readonly class LaidTones
{
    /** Values of L* that a photo is told apart by. */
    public const LEVELS = 101;

    /** What one mark is, roughly, of pressure. */
    private const A_MARK = 0.2;

    public function __construct(private Paper $paper, private Illuminant $light)
    {
    }

    /**
     * @param  list<DrawnShade>  $run  darkest first
     * @param  int  $passes  how many are laid
     * @return list<Tone> by L* of the photo, 0–100
     */
    public function over(array $run, int $passes): array
    {
        $values = array_map(static fn (DrawnShade $s): float => $s->seen->l, $run);
        $tones = [];
        $eyes = [];
        for ($at = 1; $at < count($run); $at++) {
            $eyes[] = $this->byEye($run[$at - 1], $run[$at]);
        }
        [$lowest, $highest] = self::reach($values);
        [$lowest, $highest] = [(int) floor($lowest), (int) ceil($highest)];
        for ($level = 0; $level < self::LEVELS; $level++) {
            // Beyond what a hand goes on to nothing changes.
            $tones[] = $level > 0 && ($level <= $lowest || $level > $highest) ? $tones[$level - 1] : $this->at($run, $values, $eyes, (float) max($lowest, min($highest, $level)), $passes);
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

    /**
     * @param  list<DrawnShade>  $run
     * @param  list<float>  $values
     * @param  list<?ByEye>  $eyes  from each shade to the next
     */
    private function at(array $run, array $values, array $eyes, float $level, int $passes): Tone
    {
        [$from, $to, $share] = BetweenValues::of($values, $level);
        if ($from === $to && count($run) > 1) {
            // Beyond the ends, as between the last two.
            $from = max(0, $from - 1);
            $to = $from + 1;
            $share = $values[$to] > $values[$from] ? ($level - $values[$from]) / ($values[$to] - $values[$from]) : 0.0;
        }
        [$dark, $light] = [$run[$from], $run[$to]];
        if (! $dark->goesWith($light)) {
            $share = max(0.0, min(1.0, $share));

            return $this->laid($dark->steps, $passes)->towards($this->laid($light->steps, $passes), $share);
        }

        return $this->graded($dark, $light, isset($eyes[$from]) ? $eyes[$from]->share($share) : 0.0, $passes);
    }

    private function graded(DrawnShade $dark, DrawnShade $light, float $share, int $passes): Tone
    {
        return $this->laid(array_map(static fn (Pass|Finish|null $a, Pass|Finish|null $b): Coat|Finish|null => self::between($a, $b, $share), $dark->steps, $light->steps), $passes);
    }

    /**
     * By the whole sequence, as the picture is to be when all is laid, and by daylight: under which lamp it is looked at later changes
     * nothing of what was laid. Nothing where the two have no passes in common.
     */
    private function byEye(DrawnShade $dark, DrawnShade $light): ?ByEye
    {
        $byDay = new self($this->paper, Illuminant::D65);

        return $dark->goesWith($light) ? ByEye::between(static fn (float $share): float => $byDay->graded($dark, $light, $share, PHP_INT_MAX)->lightness()) : null;
    }

    private static function between(Pass|Finish|null $dark, Pass|Finish|null $light, float $share): Coat|Finish|null
    {
        if ($dark instanceof Finish || $light instanceof Finish) {
            $step = $share < 0.5 ? $dark : $light;

            return $step instanceof Pass ? new Coat($step, 1.0) : $step;
        }
        $pencil = $dark->pencil ?? $light?->pencil;
        if ($pencil === null) {
            return null;
        }
        [$a, $b] = [$dark->pressure ?? 0.0, $light->pressure ?? 0.0];
        $pressure = $a + $share * ($b - $a);
        $pressure = max(0.0, min(1.0, max(min($a, $b) - self::A_MARK, min(max($a, $b) + self::A_MARK, $pressure))));
        // No hand is lighter than a whisper: strokes stand farther apart.
        $whisper = PressureMark::Whisper->pressure();

        return $pressure <= 0.0 ? null : new Coat(new Pass($pencil, max($whisper, $pressure)), min(1.0, $pressure / $whisper));
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
