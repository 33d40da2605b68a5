<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\LaidStep;
use KnottyPrism\Core\Recipe\Recipe;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\PassReasons;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\ToothSpent;
use KnottyPrism\Core\Recipe\Warnings\Unsteady;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/**
 * A sequence as everybody sees it, of a zone or a spot: each pass once, with its pressures and the dab that it leaves in every shade.
 *
 * @phpstan-import-type DabJson from \Described
 * @phpstan-import-type DrawerPencilJson from \Described
 * @phpstan-import-type OutcomeJson from \Described
 * @phpstan-import-type SequenceJson from \Described
 * @phpstan-import-type StackStepJson from \Described
 * @phpstan-import-type WarningJson from \Described
 */
final class SequenceResource
{
    /** @return SequenceJson with general advice against what it warns of */
    public static function answer(SequenceAnswer $answer, Paper $paper): array
    {
        return self::recipe(new Recipe($answer, Warnings::in($answer)), $paper);
    }

    /** @return SequenceJson */
    public static function recipe(Recipe $recipe, Paper $paper): array
    {
        $answer = $recipe->answer;
        $shades = $answer->shades();
        $names = array_map(static fn (Shade $s): string => $s->name, $shades);
        $words = $answer->words();
        $reasons = PassReasons::of($answer, $paper);
        $dabs = array_map(
            static fn (Outcome $o, int $shade): array => self::dabs($answer, $o, $shade),
            $answer->outcomes,
            array_keys($answer->outcomes),
        );

        return [
            'label' => $answer->label->value,
            'words' => $words->whole(),
            'passes' => array_map(
                static fn (GradedPass $pass, int $at): array => [
                    ...self::tool($pass->tool),
                    'pressures' => self::pressures($pass, $shades),
                    'words' => ucfirst($words->pass($pass)),
                    'reason' => $reasons[$at],
                    'dabs' => (object) array_filter(array_combine($names, array_map(static fn (array $of): ?array => $of[$at], $dabs))),
                ],
                $answer->sequence->passes,
                array_keys($answer->sequence->passes),
            ),
            'outcomes' => (object) array_combine($names, array_map(self::outcome(...), $answer->outcomes)),
            'warnings' => array_map(static fn (Warning $w): array => self::warning($w, $shades), $recipe->warnings),
            ...self::errors($answer->errorOnPaper(), $answer->errorInHand(), $answer->missed()),
            'grain' => Figures::difference($answer->grain()),
        ];
    }

    /**
     * @param  list<Shade>  $shades
     * @return WarningJson
     */
    public static function warning(Warning $warning, array $shades): array
    {
        $in = array_map(static fn (int $i): Shade => $shades[$i], $warning->shades);

        return [
            'code' => $warning->kind->value,
            'pass' => $warning->pass,
            'shades' => array_map(static fn (Shade $s): string => $s->name, $in),
            'where' => implode(' and ', array_map(static fn (Shade $s): string => $s->called(), $in)),
            'text' => $warning->text,
            'remedy' => $warning->remedy,
        ];
    }

    /** @return OutcomeJson what comes of a shade */
    public static function outcome(Outcome $o): array
    {
        $comparison = $o->comparison();

        return [
            'stack' => $o->stack()->text(),
            'hex' => Figures::colour($o->lab)['hex'],
            'deltaE00' => Figures::difference($comparison->deltaE00),
            'valueError' => Figures::difference($comparison->valueError),
            'closenessWords' => $comparison->words(),
            ...self::errors($o->errorOnPaper(), $o->errorInHand(), $o->missed),
            'sway' => Figures::difference($o->sway()),
            'steadinessWords' => self::steadiness($o->sway()),
            'doubt' => Figures::difference($o->doubt),
            'toothUsed' => Figures::share($o->toothUsed),
            'toothWords' => self::tooth($o->toothUsed),
            'grain' => Figures::difference($o->evenness->grain),
            'evenness' => $o->evenness->words(),
        ];
    }

    /** @return list<StackStepJson> the steps of one stack, each with how it looks after it */
    public static function steps(LaidStack $laid): array
    {
        return array_map(static function (LaidStep $step): array {
            [$tool, $share] = $step->step instanceof Finish ? [$step->step, null] : [$step->step->pencil, $step->step->pressure];
            $pressure = $share === null ? null : Pressure::nearest($share);

            return [
                ...self::tool($tool),
                'pressure' => $share,
                'pressureWord' => $pressure?->value,
                'pressureStrokes' => $pressure?->strokes(),
                ...Figures::colour($step->lab),
                ...self::dab($step),
            ];
        }, $laid->looks());
    }

    /**
     * @return array{finish: ?string, pencil: DrawerPencilJson|null, care: ?string} what a pass is laid with, and what to mind with it
     */
    public static function tool(Pencil|Finish $tool): array
    {
        return $tool instanceof Finish
            ? ['finish' => $tool->value, 'pencil' => null, 'care' => $tool->careInShort]
            : ['finish' => null, 'pencil' => RecipeResource::pencil($tool), 'care' => null];
    }

    /**
     * @param  list<Shade>  $shades
     * @return object how hard it is pressed, by shade; null when that is left out
     */
    public static function pressures(GradedPass $pass, array $shades): object
    {
        $pressures = [];
        foreach ($shades as $i => $shade) {
            $pressures[$shade->name] = ($pass->pressures[$i] ?? null)?->value;
        }

        return (object) $pressures;
    }

    /** @return list<array{pressure: string, strokes: int, share: float}> */
    public static function vocabulary(): array
    {
        return array_map(
            static fn (Pressure $m): array => ['pressure' => $m->value, 'strokes' => $m->strokes(), 'share' => $m->share()],
            Pressure::cases(),
        );
    }

    /** @return list<DabJson|null> what every pass leaves in a shade; null when it is left out */
    private static function dabs(SequenceAnswer $answer, Outcome $outcome, int $shade): array
    {
        $looks = $outcome->laid->looks();
        $dabs = [];
        foreach ($answer->sequence->passes as $pass) {
            $look = $pass->in($shade) === null ? null : array_shift($looks);
            $dabs[] = $look === null ? null : ['hex' => $look->hex, ...self::dab($look)];
        }

        return $dabs;
    }

    /** @return array{strata: list<string>, colourWords: string, toothUsed: float, evenness: string} a dab but for its colour */
    private static function dab(LaidStep $step): array
    {
        return [
            'strata' => $step->strataHex,
            'colourWords' => (new ColourReading($step->lab))->words(),
            'toothUsed' => Figures::share($step->toothUsed),
            'evenness' => $step->evenness->words(),
        ];
    }

    /** @return array{errorOnPaper: float, errorInHand: float, missed: float} */
    private static function errors(float $onPaper, float $inHand, float $missed): array
    {
        return [
            'errorOnPaper' => Figures::difference($onPaper),
            'errorInHand' => Figures::difference($inHand),
            'missed' => Figures::difference($missed),
        ];
    }

    private static function steadiness(float $rms): string
    {
        return match (true) {
            $rms < 1.5 => 'very steady',
            $rms < 3.0 => 'steady',
            $rms < Unsteady::FROM => 'needs an even hand',
            default => 'unsteady',
        };
    }

    private static function tooth(float $used): string
    {
        return match (true) {
            $used < 0.25 => 'plenty of tooth left',
            $used < 0.55 => 'tooth left',
            $used < ToothSpent::FROM => 'little tooth left',
            default => 'tooth spent',
        };
    }
}
