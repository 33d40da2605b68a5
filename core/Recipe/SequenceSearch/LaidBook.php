<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\SequenceSearch;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Stack\Doubt;
use KnottyPrism\Core\Medium\Stack\Steadiness;
use KnottyPrism\Core\Recipe\Search\HandSway;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;

/** Lays passes and remembers what came of them: the same stacks are tried in shade after shade. */
final class LaidBook
{
    /** Stacks remembered, of some 10 kB each; then it starts again. */
    private const MOST = 6000;

    /** The firmest pressure that drags nothing along, from 0 for a whisper. */
    private const MEDIUM = 2;

    public readonly Laid $bare;

    /** @var array<string, Laid> by their moves */
    private array $known = [];

    /** @var list<Pressure> */
    private readonly array $pressures;

    /** @var array<int, float> contrast of two pencils, by below · n + above */
    private array $contrasts = [];

    /** @var list<float> the pressure of a hand that errs by one deviation of a pass's film, by pressure */
    public readonly array $errs;

    public function __construct(public readonly Moves $moves)
    {
        $sheet = new Sheet($moves->paper);
        $this->bare = new Laid(null, [], [], $sheet, Look::at($sheet), 0.0, 0, 0.0, '');
        $this->errs = HandSway::pressures($moves);
        $this->pressures = Pressure::cases();
    }

    public function onto(Laid $on, int $move): Laid
    {
        $key = "$on->key,$move";
        if (isset($this->known[$key])) {
            return $this->known[$key];
        }
        if (count($this->known) >= self::MOST) {
            $this->known = [];
        }
        $pass = $this->moves->passes[$move];
        $sheet = clone $on->sheet;
        LayPass::onto($sheet, $pass->pencil, $pass->pressure);
        $look = Look::at($sheet);
        $pressure = $move % Moves::PRESSURES;

        return $this->known[$key] = new Laid(
            $on,
            [...$on->moves, $move],
            [...$on->pressures, $pressure + 1],
            $sheet,
            $look,
            $on->doubt + $this->doubtAdded($on, $move),
            $on->firm + ($pressure > self::MEDIUM ? 1 : 0),
            $sheet->toothUsed(),
            $key,
        );
    }

    /**
     * What an ordinary hand adds to a stack, ΔE00 squared: hands that each err in one pass by one deviation of its film, up where it is
     * laid lightly and down where firmly. Within a third of {@see Steadiness} for most, in a tenth of the time.
     */
    public function sway(Laid $laid, ?Finish $finish = null): float
    {
        if ($finish === null && $laid->sway !== null) {
            return $laid->sway;
        }
        $intended = $this->finished($laid->sheet, $finish);
        $sum = 0.0;
        foreach ($this->erring($laid) as $sheet) {
            $sum += $this->finished($sheet, $finish)->deltaE00($intended) ** 2;
        }
        if ($finish === null) {
            $laid->sway = $sum;
        }

        return $sum;
    }

    private function finished(Sheet $sheet, ?Finish $finish): Lab
    {
        if ($finish !== null) {
            $sheet = clone $sheet;
            $finish->applyTo($sheet);
        }

        return Lab::ofXyz($sheet->xyz());
    }

    /** @return list<Sheet> */
    private function erring(Laid $laid): array
    {
        if ($laid->erring !== null || $laid->before === null) {
            return $laid->erring ?? [];
        }
        $move = $laid->moves[count($laid->moves) - 1];
        $pass = $this->moves->passes[$move];
        $erring = [];
        foreach ($this->erring($laid->before) as $before) {
            $sheet = clone $before;
            LayPass::onto($sheet, $pass->pencil, $pass->pressure);
            $erring[] = $sheet;
        }
        $sheet = clone $laid->before->sheet;
        LayPass::onto($sheet, $pass->pencil, $this->errs[$move % Moves::PRESSURES]);
        $erring[] = $sheet;

        return $laid->erring = $erring;
    }

    /** L*, see {@see Sheet::grain()}. */
    public function grain(Laid $laid): float
    {
        return $laid->grain ??= $laid->sheet->grain();
    }

    /** @param  list<int>  $moves */
    public function lay(array $moves): Laid
    {
        return array_reduce($moves, $this->onto(...), $this->bare);
    }

    /** @return list<float> see {@see Moves::shares()} */
    public function shares(Laid $laid): array
    {
        return $laid->shares ??= $this->moves->shares($laid->sheet);
    }

    /**
     * {@see Laid::$doubt} of a stack, with nothing laid: it is known from the moves alone.
     *
     * @param  list<int>  $moves
     */
    public function doubtOf(array $moves): float
    {
        $doubt = 0.0;
        $below = null;
        $firm = 0;
        foreach ($moves as $move) {
            $doubt += $below === null ? Doubt::first() : $this->added($below, $move, $firm);
            $firm += $move % Moves::PRESSURES > self::MEDIUM ? 1 : 0;
            $below = $move;
        }

        return $doubt;
    }

    public function doubtAdded(Laid $on, int $move): float
    {
        return $on->moves === [] ? Doubt::first() : $this->added($on->moves[count($on->moves) - 1], $move, $on->firm);
    }

    private function added(int $below, int $move, int $firm): float
    {
        return Doubt::added(
            $this->pressures[$move % Moves::PRESSURES],
            $this->contrast(Moves::pencilOf($below), Moves::pencilOf($move)),
            $firm,
        );
    }

    private function contrast(int $below, int $above): float
    {
        return $this->contrasts[$below * count($this->moves->pencils) + $above] ??= Doubt::contrast(
            $this->moves->pencils[$below],
            $this->moves->pencils[$above],
        );
    }
}
