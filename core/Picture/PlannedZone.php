<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Picture;

use KnottyPrism\Core\Photo\Zones\Role;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** One zone of a picture with the sequence that it is worked in. */
final readonly class PlannedZone
{
    /** What a touch weighs at least against the value run: one that is there at all is worth a pass. */
    private const LEAST_TOUCH = 0.1;

    /**
     * @param  non-empty-list<Wish>  $wishes  its colours, the lightest first, a touch last
     * @param  ?Sequence  $sequence  over them; the artist's own, or what the planner found; nothing where it was not planned yet
     * @param  string  $label  what the sequence is good at
     * @param  ?string  $key  names all that the planner's answer follows from; nothing before there is a palette
     */
    public function __construct(public int $zone, public array $wishes, public ?Sequence $sequence, public string $label, public bool $own, public ?string $key)
    {
    }

    /**
     * A zone's wishes in the order in which its sequence has them.
     *
     * @param  non-empty-list<Wish>  $wishes
     * @return non-empty-list<Wish>
     */
    public static function inOrder(array $wishes): array
    {
        $order = array_flip(Role::values());
        usort($wishes, static fn (Wish $a, Wish $b): int => $order[$a->role->value] <=> $order[$b->role->value]);

        return $wishes;
    }

    /**
     * @param  non-empty-list<Wish>  $wishes
     * @return non-empty-list<Shade>
     */
    public static function shades(array $wishes): array
    {
        $run = array_sum(array_map(static fn (Wish $w): float => $w->role->isOfValueRun() ? $w->weight : 0.0, $wishes));

        return array_map(static fn (Wish $w): Shade => new Shade($w->role->value, $w->fitted, $w->role->isOfValueRun() ? $w->weight : max($w->weight, self::LEAST_TOUCH * $run), ! $w->role->isOfValueRun(), $w->name, $w->grainCounts), $wishes);
    }

    /**
     * @param  list<Wish>  $wishes
     * @return list<Role>
     */
    public static function roles(array $wishes): array
    {
        return array_map(static fn (Wish $w): Role => $w->role, $wishes);
    }
}
