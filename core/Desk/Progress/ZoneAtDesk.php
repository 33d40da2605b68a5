<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Progress;

use KnottyPrism\Core\Desk\Order\DeskStep;
use KnottyPrism\Core\Desk\Order\DeskZone;
use KnottyPrism\Core\Desk\Order\WorkingHabits;
use KnottyPrism\Core\Desk\Order\WorkPass;
use KnottyPrism\Core\Desk\Order\ZoneSteps;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Picture\PlannedZone;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** A zone at the desk: what lies there, and what is to come. */
final readonly class ZoneAtDesk
{
    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  Sequence  $chain  what lies, then what is to come
     * @param  int  $laid  passes of the chain that lie
     */
    public function __construct(
        public PlannedZone $zone,
        public DeskZone $place,
        public array $shades,
        public ZoneProgress $progress,
        public Sequence $chain,
        public int $laid,
    ) {
    }

    /** What it took to lay what lies. */
    public function minutesLaid(WorkingHabits $habits): float
    {
        return array_sum(array_map(static fn (DeskStep $s): float => $s->minutes, array_slice($this->steps($habits), 0, $this->laid)));
    }

    /** @return list<DeskStep> of all passes, in their order */
    public function steps(WorkingHabits $habits): array
    {
        return ZoneSteps::inOrder(
            $this->place,
            $this->passes(),
            array_keys($this->chain->passes),
            $this->shares(),
            $this->touches(),
            $habits,
        );
    }

    public function left(): int
    {
        return count($this->chain->passes) - $this->laid;
    }

    public function laidPart(): Sequence
    {
        return new Sequence(array_slice($this->chain->passes, 0, $this->laid));
    }

    /** @return list<bool> by shade */
    public function touches(): array
    {
        return array_map(static fn (Shade $s): bool => $s->touch, $this->shades);
    }

    /** @return list<float> by shade */
    public function shares(): array
    {
        return array_map(static fn (Shade $s): float => $s->weight, $this->shades);
    }

    /** @return list<WorkPass> */
    public function passes(): array
    {
        return WorkPass::all($this->chain);
    }

    /** mm² that a pass goes over. */
    public function areaOf(WorkPass $pass): float
    {
        $areas = $this->areas();

        return array_sum(array_map(static fn (int $i): float => $areas[$i], $pass->over()));
    }

    /** @return list<float> mm², by shade */
    public function areas(): array
    {
        $shares = $this->shares();

        return array_map(fn (float $s): float => ($this->place->area * $s) / max(1e-9, array_sum($shares)), $shares);
    }

    /** What a pass of the chain leaves on the paper, film units · mm². */
    public function film(int $at, Paper $paper): float
    {
        return FilmLaid::by($this->chain, $at, $this->areas(), $paper);
    }
}
