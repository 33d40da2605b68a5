<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe\Complements;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Colour\Oklch;
use KnottyPrism\Core\Drawer\Character;
use KnottyPrism\Core\Medium\Laying\Pass;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Medium\Stack\Stack;
use KnottyPrism\Core\Recipe\Method\Neutralising;
use KnottyPrism\Core\Recipe\Search\Look;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\Rules;

/** What neutralises a colour's local pencil, in a method's way: what faces it on the wheel, or what on this paper takes its chroma. */
final class Neutralisers
{
    private const MOST = 3;

    /** @var ?list<Lab> every pass on bare paper */
    private ?array $onBare = null;

    public function __construct(
        private readonly Moves $moves,
        private readonly ComplementTable $table,
        private readonly Neutralising $way,
    ) {
    }

    /** @return list<Pencil> the best first */
    public function of(Lab $target): array
    {
        return $this->ofPencil($target, $this->nearestPass($target)->pencil);
    }

    /**
     * Where the pencil has no chroma to take, or nothing takes it, the wheel decides.
     *
     * @param  Pencil  $main  the strongest of what makes the colour
     * @return list<Pencil>
     */
    public function ofPencil(Lab $target, Pencil $main): array
    {
        $local = Oklch::ofLab($target);
        $local = $local->chroma >= Rules::HUELESS ? $local : Oklch::ofLab(Character::of($main)->heavy);
        $computed =
            $this->way === Neutralising::Computed
                ? array_map(static fn (Complement $c): Pencil => $c->pencil, $this->table->neutralisersOf($main))
                : [];

        return array_slice($computed === [] ? $this->table->facing($local) : $computed, 0, self::MOST);
    }

    /** The one pass on bare paper that comes nearest. */
    public function nearestPass(Lab $target): Pass
    {
        $apart = array_map(
            static fn (Lab $lab): float => $lab->deltaE00($target),
            $this->onBare ??= array_map(
                fn (Pass $pass): Lab => Look::at((new Stack([$pass]))->on($this->moves->paper))->lab,
                $this->moves->passes,
            ),
        );
        asort($apart);

        return $this->moves->passes[(int) array_key_first($apart)];
    }
}
