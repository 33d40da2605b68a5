<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Colour\Lab;
use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Photo\Zones\Zone;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** One colour that a picture asks for. */
final readonly class Wish
{
    /** A touch is looked at more than its area says: a few red columns make a roof. */
    private const TOUCH_COUNTS = 2.5;

    /**
     * @param  int  $zone  its number
     * @param  Lab  $seen  in the photo
     * @param  Lab  $fitted  what is aimed at, after the tone fit
     * @param  float  $weight  share of the picture it stands for, times how much it matters
     * @param  string  $name  what someone calls it; empty for a shade that is called by its place
     * @param  float  $surfaceCounts  {@see Shade::$grainCounts} by what the zone is: the palette is chosen by it
     * @param  float  $grainCounts  the same by how it is worked, too: its sequence is found by it
     */
    public function __construct(public int $zone, public Role $role, public Lab $seen, public Lab $fitted, public float $weight, public string $name = '', public float $surfaceCounts = Shade::SMOOTH, public float $grainCounts = Shade::SMOOTH)
    {
    }

    /** As one would say it. */
    public function called(): string
    {
        return $this->name === '' ? $this->role->value : $this->name;
    }

    /**
     * The wishes of a zone, the mid first: what it takes, the others of its zone should take too.
     *
     * @param  \Closure(Lab): Lab  $fit
     * @param  School  $school  in which the zone is worked
     * @return non-empty-list<self>
     */
    public static function of(int $number, Zone $zone, float $importance, School $school, \Closure $fit): array
    {
        $wish = static fn (Lab $lab, string $role): self => new self($number, Role::from($role), $lab, $fit($lab), $zone->area * $zone->shareOf(Role::from($role)) * $importance * (Role::from($role)->isOfValueRun() ? 1.0 : self::TOUCH_COUNTS), $zone->nameOf(Role::from($role)), $zone->surface->grainCounts(), $zone->surface->grainCounts() * $school->grainCounts());
        $targets = array_merge(['mid' => $zone->targets['mid']], $zone->targets);

        return array_map($wish, array_values($targets), array_keys($targets));
    }
}
