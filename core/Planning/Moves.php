<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Planning;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\LayPass;
use KnottyPrism\Core\Medium\Paper;
use KnottyPrism\Core\Medium\Pass;
use KnottyPrism\Core\Medium\PressureMark;
use KnottyPrism\Core\Medium\Sheet;

/**
 * Every pass a search may lay: each pencil at each pressure mark, with the density it adds on the bare paper. Densities are
 * natural logarithms of linear red, green and blue; films on each other roughly add theirs, which tells a search where to look.
 */
final readonly class Moves
{
    private const PRESSURES = 5;

    /** @var list<Pass> every pencil at every mark, the marks of one pencil in a row */
    public array $passes;

    /** @var list<float> */
    private array $pressures;

    /** @var list<float> film that a pass at each mark lays on bare paper, all strata together */
    private array $bareFilm;

    /** @var list<array{float, float, float}> density that each pass adds on bare paper */
    public array $densities;

    public function __construct(Drawer $drawer, public Paper $paper, School $school)
    {
        $bare = Look::at(new Sheet($paper));
        $this->pressures = PressureMark::pressures();
        $this->bareFilm = array_map(static fn (float $p): float => array_sum(LayPass::laidFilm(new Sheet($paper), 1.0, $p)), $this->pressures);
        $passes = $densities = [];
        foreach ($drawer->usable()->pencils as $pencil) {
            if (! $school->allows($pencil)) {
                continue;
            }
            foreach (PressureMark::pressures() as $pressure) {
                $sheet = new Sheet($paper);
                LayPass::onto($sheet, $pencil, $pressure);
                $look = Look::at($sheet);
                $passes[] = new Pass($pencil, $pressure);
                $densities[] = [$bare->logs[0] - $look->logs[0], $bare->logs[1] - $look->logs[1], $bare->logs[2] - $look->logs[2]];
            }
        }
        $this->passes = $passes;
        $this->densities = $densities;
    }

    /**
     * How much of the film that it lays on bare paper a pass can still lay here, one figure for each pressure mark.
     *
     * @return list<float>
     */
    public function shares(Sheet $sheet): array
    {
        $shares = [];
        foreach ($this->bareFilm as $pressure => $film) {
            $shares[] = array_sum(LayPass::laidFilm($sheet, 1.0, $this->pressures[$pressure])) / $film;
        }

        return $shares;
    }

    public function indexOf(Pass $pass): ?int
    {
        foreach ($this->passes as $i => $move) {
            if ($move->pencil === $pass->pencil && $move->pressure === $pass->pressure) {
                return $i;
            }
        }

        return null;
    }

    /**
     * The moves that by their densities come nearest to a wanted change, best first.
     *
     * @param  array{float, float, float}  $wanted  density still missing
     * @param  list<float>  $shares  see {@see self::shares()}
     * @param  float  $short  weight of falling short: 1 for a last pass, little for one that others follow
     * @return list<int>
     */
    public function nearest(array $wanted, array $shares, float $short, int $count): array
    {
        $miss = $this->misses($wanted, $shares, $short);
        asort($miss);

        return array_slice(array_keys($miss), 0, $count);
    }

    /**
     * How near one more pass could come, as a squared distance in density.
     *
     * @param  array{float, float, float}  $wanted
     * @param  list<float>  $shares
     */
    public function leastMiss(array $wanted, array $shares): float
    {
        $misses = $this->misses($wanted, $shares, 1.0);

        return $misses === [] ? INF : min($misses);
    }

    /**
     * @param  array{float, float, float}  $wanted
     * @param  list<float>  $shares
     * @return array<int, float>
     */
    private function misses(array $wanted, array $shares, float $short): array
    {
        [$w0, $w1, $w2] = $wanted;
        $miss = [];
        foreach ($this->densities as $i => $d) {
            $share = $shares[$i % self::PRESSURES];
            $e0 = $w0 - $share * $d[0];
            $e1 = $w1 - $share * $d[1];
            $e2 = $w2 - $share * $d[2];
            $miss[$i] = ($e0 > 0 ? $short : 1.0) * $e0 * $e0 + ($e1 > 0 ? $short : 1.0) * $e1 * $e1 + ($e2 > 0 ? $short : 1.0) * $e2 * $e2;
        }

        return $miss;
    }
}
