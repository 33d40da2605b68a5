<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Search;

use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Medium\Laying\LayPass;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Laying\Pressure;
use KnottyPrism\Core\Medium\Laying\Sheet;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;

/** Every pass that a search may lay, by number: the pencils in a row, each at the five pressures. */
final readonly class Moves
{
    public const PRESSURES = 5;

    /** @var list<Pass> */
    public array $passes;

    /** @var list<Pencil> */
    public array $pencils;

    /** @var list<float> pressure of each pressure */
    public array $pressures;

    /** @var list<float> film that a pass at each pressure lays on bare paper at laydown 1, all strata together */
    public array $bareFilm;

    public function __construct(Drawer $drawer, public Paper $paper)
    {
        $this->pencils = $drawer->usable()->pencils;
        $this->pressures = Pressure::shares();
        $this->bareFilm = array_map(
            static fn (float $p): float => array_sum(LayPass::laidFilm(new Sheet($paper), 1.0, $paper->hand->presses($p))),
            $this->pressures,
        );
        $passes = [];
        foreach ($this->pencils as $pencil) {
            foreach ($this->pressures as $pressure) {
                $passes[] = new Pass($pencil, $pressure);
            }
        }
        $this->passes = $passes;
    }

    public static function pencilOf(int $move): int
    {
        return intdiv($move, self::PRESSURES);
    }

    /**
     * How much of the film that it lays on bare paper a pass can still lay here, one figure for each pressure pressure.
     *
     * @return list<float>
     */
    public function shares(Sheet $sheet): array
    {
        $shares = [];
        foreach ($this->bareFilm as $pressure => $film) {
            $shares[] = array_sum(LayPass::laidFilm($sheet, 1.0, $this->paper->hand->presses($this->pressures[$pressure]))) / $film;
        }

        return $shares;
    }

    /** @return list<Character> what each pencil is to a method, by pencil */
    public function characters(): array
    {
        return array_map(static fn (Pencil $p): Character => Character::of($p), $this->pencils);
    }

    /** Names everything that a computation over these moves depends on: the optics of every pencil, and the paper. */
    public function fingerprint(): string
    {
        $pencils = array_map(static fn (Pencil $p): array => [$p->absorption, $p->scattering, $p->laydown, $p->slickness], $this->pencils);

        return md5(
            serialize([$pencils, $this->pressures, $this->paper->reflectance, $this->paper->tooth, $this->paper->hand->fingerprint()]),
        );
    }

    /**
     * The moves that a stack's passes are, its finishes left out; null when one of them is none of these.
     *
     * @return ?list<int>
     */
    public function numbersOf(Stack $stack): ?array
    {
        $numbers = [];
        foreach ($stack->passes() as $pass) {
            $pencil = array_search($pass->pencil, $this->pencils, true);
            $pressure = array_search($pass->pressure, $this->pressures, true);
            if ($pencil === false || $pressure === false) {
                return null;
            }
            $numbers[] = $pencil * self::PRESSURES + $pressure;
        }

        return $numbers;
    }
}
