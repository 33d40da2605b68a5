<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Preview;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Picture\PlannedPicture;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** A zone as it is drawn: its value run, and the touches within it. */
final readonly class DrawnZone
{
    /**
     * @param  list<DrawnShade>  $run  darkest first
     * @param  list<DrawnShade>  $touches
     */
    public function __construct(public int $number, public array $run, public array $touches)
    {
    }

    /**
     * @param  list<Shade>  $shades  of the zone
     * @param  Sequence  $sequence  over them
     */
    public static function of(int $number, array $shades, Sequence $sequence): self
    {
        $run = $touches = [];
        foreach ($shades as $at => $shade) {
            $drawn = new DrawnShade(
                $shade->seen,
                array_map(static fn (GradedPass $p): Pass|Finish|null => $p->in($at), $sequence->passes),
            );
            if ($shade->touch) {
                $touches[] = $drawn;
            } else {
                $run[] = $drawn;
            }
        }
        usort($run, static fn (DrawnShade $a, DrawnShade $b): int => $a->seen->l <=> $b->seen->l);

        return new self($number, $run, $touches);
    }

    /**
     * @param  array<int, Sequence>  $inOrder  a zone's passes as they are laid, by zone; of others as their sequence has them
     * @return list<self> all zones of a plan
     */
    public static function all(PlannedPicture $plan, array $inOrder = []): array
    {
        $answers = $plan->answers();

        return array_map(
            static fn (int $zone, SequenceAnswer $answer): self => self::of(
                $zone,
                $answer->shades(),
                $inOrder[$zone] ?? $answer->sequence,
            ),
            array_keys($answers),
            $answers,
        );
    }
}
