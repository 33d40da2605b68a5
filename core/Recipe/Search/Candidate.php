<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Recipe\School\Mode;

/** A stack of passes while it is searched: the sheet it leaves, how far it is from the target, how much a hand may sway it. */
final readonly class Candidate
{
    /**
     * @param  list<int>  $moves  see {@see Moves}
     * @param  float  $deltaE00  from the target; in another mode what {@see Mode::apart()} makes of it
     * @param  float  $sway  squared ΔE00 that an ordinary hand may add, estimated; see {@see Forecast::sway()}
     * @param  ?self  $before  the stack without its finish, where it has one
     */
    public function __construct(public array $moves, public Sheet $sheet, public Look $look, public float $deltaE00, public float $sway = 0.0, public ?self $before = null)
    {
    }

    public static function bare(Sheet $sheet, Lab $target): self
    {
        $look = Look::at($sheet);

        return new self([], $sheet, $look, $look->lab->deltaE00($target));
    }

    /** The pencils and pressures in order, as a key. */
    public function key(): string
    {
        return implode(',', $this->moves);
    }

    /** The pencils as a set, whatever their order. */
    public function pencilKey(): string
    {
        $pencils = $this->pencils();
        sort($pencils);

        return implode('+', $pencils);
    }

    public function pencilCount(): int
    {
        return count($this->pencils());
    }

    /** @return list<int> each pencil once */
    public function pencils(): array
    {
        return array_values(array_unique(array_map(Moves::pencilOf(...), $this->moves)));
    }
}
