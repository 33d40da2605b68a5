<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Pass;
use KnottyPrism\Core\Medium\Sheet;

/** A stack of passes while it is searched: the sheet it leaves and how far it is from the target. */
final readonly class Candidate
{
    /** @param  list<Pass>  $passes */
    public function __construct(public array $passes, public Sheet $sheet, public Look $look, public float $deltaE00)
    {
    }

    public static function bare(Sheet $sheet, Lab $target): self
    {
        $look = Look::at($sheet);

        return new self([], $sheet, $look, $look->lab->deltaE00($target));
    }

    /** The pencils and pressures, as a key. */
    public function key(): string
    {
        return implode(',', array_map(static fn (Pass $p): string => $p->pencil->id().'@'.$p->pressure, $this->passes));
    }

    /** The pencils as a set, whatever their order. */
    public function pencilKey(): string
    {
        $ids = array_unique(array_map(static fn (Pass $p): string => $p->pencil->id(), $this->passes));
        sort($ids);

        return implode('+', $ids);
    }

    public function pencilCount(): int
    {
        return count(array_unique(array_map(static fn (Pass $p): string => $p->pencil->id(), $this->passes)));
    }
}
