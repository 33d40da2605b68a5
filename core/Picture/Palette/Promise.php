<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture\Palette;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Sequence\Outcome;

/**
 * What a pencil promises a picture before anything is searched with it: how much nearer its colours come to this pencil alone, in one coat
 * or two, than to any of those in use. A pencil near what is wanted needs few others beside it, and little of a hand. (What two passes of
 * two pencils come to was tried instead: that is near for many, and for others than a search takes up.)
 */
final readonly class Promise
{
    /** @var list<float> how near the pencils in use come to each colour, ΔE00 */
    private array $now;

    /**
     * @param  list<Outcome>  $wanted
     * @param  list<Pencil>  $hand  those in use
     */
    public function __construct(private array $wanted, array $hand, private Paper $paper)
    {
        $now = array_fill(0, count($wanted), INF);
        foreach ($hand as $pencil) {
            $now = array_map(static fn (float $a, float $b): float => min($a, $b), $now, $this->nearest($pencil));
        }
        $this->now = $now;
    }

    /** Sum over the colours, ΔE00 by the share of the picture. */
    public function of(Pencil $pencil): float
    {
        return array_sum(
            array_map(
                static fn (Outcome $o, float $now, float $then): float => $o->shade->weight * max(0.0, $now - $then),
                $this->wanted,
                $this->now,
                $this->nearest($pencil),
            ),
        );
    }

    /** @return list<float> by colour */
    private function nearest(Pencil $pencil): array
    {
        $looks = $this->looks($pencil);

        return array_map(
            static fn (Outcome $o): float => array_reduce(
                $looks,
                static fn (float $least, Lab $look): float => min($least, $look->deltaE00($o->shade->target)),
                INF,
            ),
            $this->wanted,
        );
    }

    /** @return list<Lab> */
    private function looks(Pencil $pencil): array
    {
        $looks = [];
        foreach (Pressure::shares() as $pressure) {
            $sheet = new Sheet($this->paper);
            for ($coat = 0; $coat < 2; $coat++) {
                LayPass::onto($sheet, $pencil, $pressure);
                $looks[] = Lab::ofXyz($sheet->xyz());
            }
        }

        return $looks;
    }
}
