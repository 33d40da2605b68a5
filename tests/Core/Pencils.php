<?php

declare(strict_types=1);

namespace Tests\Core;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Binder;
use KnottyPrism\Core\Medium\Pencil\Opacity;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Pencil\PencilRecord;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Medium\Swatches\PencilFit;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Remedies\Remedies;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\MemoryShelf;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\Warnings\Warning;
use KnottyPrism\Core\Recipe\Warnings\Warnings;

/** Ordinary made-up pencils, and stacks of them written short: "yellow@0.55 black@0.35 solvent". */
final class Pencils
{
    private const ORDINARY = [
        'yellow' => ['#f5d21a', Opacity::Semi],
        'orange' => ['#ee7d22', null],
        'red' => ['#cf2b2a', null],
        'violet' => ['#5d3a8c', null],
        'blue' => ['#2456a8', null],
        'green' => ['#2c8a4b', null],
        'black' => ['#212429', null],
        'dark warm grey' => ['#3a3632', null],
        'white' => ['#fbfaf6', null],
        'opaque white' => ['#fbfaf6', Opacity::Opaque],
        'pale blue' => ['#a9c7e6', null],
        'pale magenta' => ['#e9a7cb', null],
    ];

    /** @var array<string, Pencil> */
    private static array $made = [];

    public static function named(string $name): Pencil
    {
        [$hex, $opacity] = self::ORDINARY[$name];

        return self::$made[$name] ??= PencilFit::of(
            new PencilRecord('', str_replace(' ', '-', $name), $name, $hex, Binder::Wax, opacity: $opacity),
        );
    }

    /** Keeps atlases for as long as the tests run: most of them search the same drawer. */
    public static function shelf(): AtlasShelf
    {
        static $shelf = null;

        return $shelf ??= new MemoryShelf();
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::ORDINARY);
    }

    public static function stack(string $text): Stack
    {
        return new Stack(
            array_map(static function (string $part): Pass|Finish {
                [$name, $pressure] = explode('@', $part) + [1 => ''];

                return Finish::tryFrom($name) ?? new Pass(self::named(str_replace('-', ' ', $name)), (float) $pressure);
            }, explode(' ', $text)),
        );
    }

    public static function sheet(string $text, ?Paper $paper = null): Sheet
    {
        return self::stack($text)->on($paper ?? Paper::whiteMedium());
    }

    public static function colour(string $text, ?Paper $paper = null): Lab
    {
        return Lab::ofReflectance(self::sheet($text, $paper)->meanReflectance());
    }

    /** A stack as an answer for one colour, which is its own where none is said. */
    public static function answer(
        string $stack,
        ?Lab $target = null,
        ?Paper $on = null,
        float $grainCounts = Shade::SMOOTH,
    ): SequenceAnswer {
        $on ??= Paper::whiteMedium();

        return SequenceAnswer::of(
            RecipeLabel::Closest,
            Sequence::ofStack(self::stack($stack)),
            [Shade::ofSpot($target ?? self::colour($stack, $on), $grainCounts)],
            $on,
            Mode::ColourAndValue,
        );
    }

    /** @return list<Warning> with what removes them, of all these pencils */
    public static function warnings(SequenceAnswer $answer, ?Paper $on = null, ?\Closure $allowed = null): array
    {
        $remedies = new Remedies($on ?? Paper::whiteMedium(), Mode::ColourAndValue, array_map(self::named(...), self::names()), $allowed);

        return array_map(static function (Warning $w) use ($remedies, $answer): Warning {
            $remedy = $remedies->for($w, $answer);

            return $remedy === null ? $w : $w->remedied($remedy->words, $remedy->answer);
        }, Warnings::in($answer));
    }
}
