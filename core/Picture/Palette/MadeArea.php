<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Picture\Decisions\PlanSettings;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Sequence\Outcome;
use KnottyPrism\Core\Recipe\Sequence\RecipeLabel;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** How an area of a picture is worked now, and in which method. */
final readonly class MadeArea
{
    public function __construct(public SequenceAnswer $answer, public Method $method, public Mode $mode = Mode::ColourAndValue)
    {
    }

    /** A single colour, by the stack that is kept for it. */
    public static function ofColour(Lab $target, Stack $stack, Paper $paper): self
    {
        return new self(
            SequenceAnswer::of(
                RecipeLabel::OtherPencils,
                Sequence::ofStack($stack),
                [Shade::ofSpot($target)],
                $paper,
                Mode::ColourAndValue,
            ),
            Method::free(),
        );
    }

    /**
     * @param  array<int, SequenceAnswer>  $answers  by zone
     * @return list<self> how each zone is worked
     */
    public static function ofZones(array $answers, PlanSettings $settings): array
    {
        return array_map(
            static fn (SequenceAnswer $a, int $zone): self => new self($a, $settings->methodOf($zone), $settings->mode),
            $answers,
            array_keys($answers),
        );
    }

    /** Share of the picture, in the unit of its shades. */
    public function weight(): float
    {
        return array_sum(array_map(static fn (Outcome $o): float => $o->shade->weight, $this->answer->outcomes));
    }

    /** Names what it is: its colours, how they are laid, and the method. */
    public function key(): string
    {
        return md5(
            json_encode(
                [
                    $this->method->settings(),
                    $this->mode->value,
                    array_map(
                        static fn (Outcome $o): array => [$o->stack()->text(), $o->shade->weight, ...$o->shade->target->toArray()],
                        $this->answer->outcomes,
                    ),
                ],
                JSON_THROW_ON_ERROR,
            ),
        );
    }
}
