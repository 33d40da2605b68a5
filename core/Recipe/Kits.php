<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;

/**
 * The kit that was searched with last, for whoever plans the same picture again and again: most stacks of a zone that is planned again were
 * laid before. It remembers and decides nothing, so answers are the same with it and without.
 *
 * Pencils of a kit found here are equal to those asked for, not the same objects.
 */
final class Kits
{
    private string $key = '';

    private ?Kit $kit = null;

    public function like(Moves $moves): ?Kit
    {
        return self::keyOf($moves) === $this->key ? $this->kit : null;
    }

    public function keep(Kit $kit): void
    {
        $this->key = self::keyOf($kit->moves);
        $this->kit = $kit;
    }

    /** Optics, paper and hand; and what else is known of each pencil, which a method asks for and an answer tells. */
    private static function keyOf(Moves $moves): string
    {
        return $moves->fingerprint().
            md5(serialize([$moves->paper->name, array_map(static fn (Pencil $p): array => [$p->record, $p->assumed], $moves->pencils)]));
    }
}
