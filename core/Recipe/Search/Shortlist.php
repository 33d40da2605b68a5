<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/**
 * The pencils of a large drawer that are worth searching for one target: those that alone or with one other come nearest, by the
 * densities of single passes. A search tries every two of what it is given, so 120 pencils would cost it 25 times what 24 do.
 */
final readonly class Shortlist
{
    public const LENGTH = 24;

    /** @var list<array{float, float, float}> log cone responses of each single pass */
    private array $looks;

    /** @var array{float, float, float} */
    private array $bare;

    private Moves $moves;

    public function __construct(Moves $moves)
    {
        $this->moves = $moves;
        $bare = new Sheet($moves->paper);
        $this->bare = Look::at($bare)->logs;
        $looks = [];
        foreach ($moves->passes as $pass) {
            $sheet = clone $bare;
            LayPass::onto($sheet, $pass->pencil, $pass->pressure);
            $looks[] = Look::at($sheet)->logs;
        }
        $this->looks = $looks;
    }

    /** @param  list<Pencil>  $wanted  pencils that belong to it whatever they do */
    public function for(Lab $target, array $wanted = []): Drawer
    {
        $pencils = $this->moves->pencils;
        foreach ($this->ranked($target) as $pencil) {
            if (count($wanted) >= self::LENGTH) {
                break;
            }
            if (! in_array($pencils[$pencil], $wanted, true)) {
                $wanted[] = $pencils[$pencil];
            }
        }

        return new Drawer($wanted);
    }

    /** @return list<int> pencils, the most promising first */
    private function ranked(Lab $target): array
    {
        $metric = new LocalMetric($target);
        $goal = Look::of($target)->logs;
        $d0 = $d1 = $d2 = [];
        foreach ($this->looks as $logs) {
            [$d0[], $d1[], $d2[]] = $metric->stretch([$logs[0] - $this->bare[0], $logs[1] - $this->bare[1], $logs[2] - $this->bare[2]]);
        }
        [$x, $y, $z] = $metric->stretch([$this->bare[0] - $goal[0], $this->bare[1] - $goal[1], $this->bare[2] - $goal[2]]);
        $best = array_fill(0, count($this->moves->pencils), INF);
        foreach ($d0 as $i => $u) {
            $pencil = Moves::pencilOf($i);
            [$x1, $y1, $z1] = [$x + $u, $y + $d1[$i], $z + $d2[$i]];
            $best[$pencil] = min($best[$pencil], $x1 * $x1 + $y1 * $y1 + $z1 * $z1);
            for ($j = 0; $j < $i; $j++) {
                $miss = ($x1 + $d0[$j]) ** 2 + ($y1 + $d1[$j]) ** 2 + ($z1 + $d2[$j]) ** 2;
                if ($miss < $best[$pencil]) {
                    $best[$pencil] = $miss;
                }
                $other = Moves::pencilOf($j);
                if ($miss < $best[$other]) {
                    $best[$other] = $miss;
                }
            }
        }
        asort($best);

        return array_keys($best);
    }
}
