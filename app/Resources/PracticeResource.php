<?php

declare(strict_types=1);

namespace App\Resources;

use KnottyPrism\Core\Book\Practice\Drills\Skill;
use KnottyPrism\Core\Book\Practice\Question\Choice;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\Shown;
use KnottyPrism\Core\Book\Practice\Training;

/**
 * Practice in the form of docs/openapi.yaml.
 *
 * @phpstan-import-type DrillJson from \Described
 * @phpstan-import-type TrainingJson from \Described
 */
final class PracticeResource
{
    /**
     * @return array{question: string, place: DrillJson['place'], shown: DrillJson['shown'], choices: DrillJson['choices']} no answer with
     *   it
     */
    public static function question(Drill $drill): array
    {
        return [
            'question' => $drill->question,
            'place' => $drill->place,
            'shown' => array_map(self::dab(...), $drill->shown),
            'choices' => array_map(static fn (Choice $c): array => ['words' => $c->words, 'dab' => $c->dab], $drill->choices),
        ];
    }

    /** @return array{right: bool, answer: int, because: string, after: DrillJson['shown']} */
    public static function answer(Drill $drill, int $chosen): array
    {
        return [
            'right' => $chosen === $drill->answer,
            'answer' => $drill->answer,
            'because' => $drill->because,
            'after' => array_map(self::dab(...), $drill->after),
        ];
    }

    /** @return array{words: string, dab: list<string>} */
    private static function dab(Shown $shown): array
    {
        return ['words' => $shown->words, 'dab' => $shown->dab];
    }

    /** @return TrainingJson */
    public static function training(Training $training): array
    {
        $weakest = $training->weakest();

        return [
            'skills' => array_map(static function (Skill $skill) use ($training): array {
                [$tries, $right] = $training->counts($skill);
                $weeks = $training->weeks($skill);

                return [
                    'skill' => $skill->value,
                    'difficulty' => $training->difficulty($skill),
                    'tries' => $tries,
                    'right' => $right,
                    'weeks' => array_map(
                        static fn (int $from, float $share): array => ['from' => $from, 'right' => Figures::share($share)],
                        array_keys($weeks),
                        array_values($weeks),
                    ),
                ];
            }, Skill::cases()),
            'next' => $weakest === null ? null : ['skill' => $weakest->value, 'advice' => $weakest->advice],
        ];
    }
}
