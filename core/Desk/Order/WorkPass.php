<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Desk\Order;

use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Recipe\Sequence\GradedPass;
use KnottyPrism\Core\Recipe\Sequence\Sequence;

/** A pass as the order of work asks for it: what it is done with, and where how hard. */
final readonly class WorkPass
{
    public ?Finish $finish;

    /**
     * @param  string  $tool  identifier of a pencil, or a finish
     * @param  list<?Pressure>  $pressures  by shade of the zone; null when it is left out
     */
    public function __construct(public string $tool, public array $pressures)
    {
        $this->finish = Finish::tryFrom($tool);
    }

    public static function of(GradedPass $pass): self
    {
        return new self($pass->tool instanceof Finish ? $pass->tool->value : $pass->tool->id(), $pass->pressures);
    }

    /** @return list<self> */
    public static function all(Sequence $sequence): array
    {
        return array_map(self::of(...), $sequence->passes);
    }

    /** @return list<int> the shades that it goes over */
    public function over(): array
    {
        return array_keys(array_filter($this->pressures, static fn (?Pressure $m): bool => $m !== null));
    }

    /**
     * Whether it goes over touches alone.
     *
     * @param  list<bool>  $touches  by shade
     */
    public function isOn(array $touches): bool
    {
        return array_filter($this->over(), static fn (int $i): bool => ! $touches[$i]) === [];
    }
}
