<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Colour\ColourReading;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\PressureMark;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\LaidStack;
use KnottyPrism\Core\Medium\Stack\StepPrediction;
use KnottyPrism\Core\Recipe\PassCautions\PassCaution;
use KnottyPrism\Core\Recipe\PassCautions\SequenceCautions;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\PassReasons;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Sequence\ShadeOutcome;

/** A zone's sequence as the screen shows it: each pass once, with its marks and the dab that it leaves in every shade. */
final class SequenceResource
{
    /** @return array<string, mixed> */
    public static function answer(SequenceAnswer $answer, Paper $paper): array
    {
        $shades = $answer->shades();
        $words = $answer->words();
        $reasons = PassReasons::of($answer->sequence, $shades, $paper);
        $dabs = array_map(static fn (int $shade): array => self::dabs($answer->sequence, $shade, $paper), array_keys($shades));

        return [
            'label' => $answer->label->value,
            'words' => $words->whole(),
            'passes' => array_map(static fn (GradedPass $pass, int $at): array => [
                ...self::tool($pass),
                'marks' => (object) self::marks($pass, $shades),
                'words' => ucfirst($words->pass($pass)),
                'reason' => $reasons[$at],
                'dabs' => (object) array_filter(array_combine(array_map(static fn (Shade $s): string => $s->name, $shades), array_map(static fn (array $of): ?array => $of[$at], $dabs))),
            ], $answer->sequence->passes, array_keys($answer->sequence->passes)),
            'cautions' => array_map(static fn (PassCaution $c): array => self::caution($c, $shades), SequenceCautions::in($answer, $paper)),
            ...self::errors($answer->errorOnPaper(), $answer->errorInHand(), $answer->missed()),
            'grain' => Figures::difference($answer->grain()),
            'evenness' => (object) array_combine(array_map(static fn (Shade $s): string => $s->name, $shades), array_map(static fn (ShadeOutcome $o): string => $o->evenness->words(), $answer->outcomes)),
        ];
    }

    /**
     * @param  list<Shade>  $shades
     * @return array<string, mixed>
     */
    private static function caution(PassCaution $caution, array $shades): array
    {
        $names = array_map(static fn (int $i): string => $shades[$i]->name, $caution->shades);

        return ['code' => $caution->code->value, 'pass' => $caution->pass, 'roles' => $names, 'where' => implode(' and ', array_map(static fn (int $i): string => $shades[$i]->called(), $caution->shades)), 'text' => $caution->text, 'remedy' => $caution->remedy];
    }

    /** @return array<string, mixed> */
    public static function outcome(ShadeOutcome $o): array
    {
        return [...self::errors($o->errorOnPaper(), $o->errorInHand(), $o->missed), 'sway' => Figures::difference($o->sway), 'doubt' => Figures::difference($o->doubt), 'grain' => Figures::difference($o->evenness->grain), 'evenness' => $o->evenness->words()];
    }

    /** @return array<string, mixed> */
    private static function errors(float $onPaper, float $inHand, float $missed): array
    {
        return ['errorOnPaper' => Figures::difference($onPaper), 'errorInHand' => Figures::difference($inHand), 'missed' => Figures::difference($missed)];
    }

    /** @return array<string, mixed> what a pass is laid with, and what to mind with it */
    public static function tool(GradedPass $pass): array
    {
        return $pass->tool instanceof Finish
            ? ['finish' => $pass->tool->value, 'pencil' => null, 'care' => $pass->tool->careInShort]
            : ['finish' => null, 'pencil' => RecipeResource::pencil($pass->tool), 'care' => null];
    }

    /**
     * @param  list<Shade>  $shades
     * @return array<string, ?string> by shade's name
     */
    private static function marks(GradedPass $pass, array $shades): array
    {
        $marks = [];
        foreach ($shades as $i => $shade) {
            $marks[$shade->name] = ($pass->marks[$i] ?? null)?->value;
        }

        return $marks;
    }

    /** @return list<array<string, mixed>|null> what every pass leaves in a shade; nothing where it is left out */
    private static function dabs(Sequence $sequence, int $shade, Paper $paper): array
    {
        $laid = LaidStack::of($sequence->stackIn($shade), $paper);
        $dabs = [];
        $step = 0;
        foreach ($sequence->passes as $pass) {
            $done = $pass->in($shade);
            if ($done === null) {
                $dabs[] = null;

                continue;
            }
            $after = StepPrediction::of($done, $laid->after(++$step));
            $dabs[] = ['hex' => $after->hex, 'strata' => $after->strataHex, 'colourWords' => (new ColourReading($after->lab))->words(), 'toothUsed' => Figures::share($after->toothUsed), 'evenness' => $after->evenness->words()];
        }

        return $dabs;
    }

    /** @return list<array{mark: string, strokes: int, pressure: float}> */
    public static function vocabulary(): array
    {
        return array_map(static fn (PressureMark $m): array => ['mark' => $m->value, 'strokes' => $m->strokes(), 'pressure' => $m->pressure()], PressureMark::cases());
    }
}
