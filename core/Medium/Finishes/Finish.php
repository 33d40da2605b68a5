<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Medium\Finishes;

use KnottyPrism\Core\Kinds\Found;
use KnottyPrism\Core\Kinds\Kind;
use KnottyPrism\Core\Medium\Laying\Sheet;

/**
 * What can be done to laid film between passes, without laying colour. Each is one class of this folder, which says all that is particular
 * to it, and is found there; there is one of each. Figures and reasons: docs/model.md, "Finishes".
 */
abstract class Finish extends Kind
{
    /**
     * @param  string  $value  its name in stacks, files and answers
     * @param  int  $place  among the finishes
     * @param  string  $tool  what the hand holds
     * @param  float  $rate  mm² in a minute
     * @param  int  $coats  that must lie beneath it
     * @param  bool  $dries  whether the next pass waits until it is dry
     * @param  bool  $lifts  whether it takes film away
     * @param  bool  $seals  whether it leaves a surface that later pencils slide on
     * @param  string  $layOut  what else lies ready for it; empty for nothing
     * @param  ?string  $care  for body and room, at the step; null when there is nothing to mind
     * @param  ?string  $careInShort  the same on a sheet or in a row
     */
    protected function __construct(
        string $value,
        int $place,
        public readonly string $tool,
        public readonly float $rate,
        public readonly int $coats = 1,
        public readonly bool $dries = false,
        public readonly bool $lifts = false,
        public readonly bool $seals = false,
        public readonly string $layOut = '',
        public readonly ?string $care = null,
        public readonly ?string $careInShort = null,
    ) {
        parent::__construct($value, $place);
    }

    /** What it does to the film of a sheet. */
    abstract protected function onto(Sheet $sheet): void;

    final public function applyTo(Sheet $sheet): void
    {
        $this->onto($sheet);
        $sheet->rebuild();
    }

    final public static function cases(): array
    {
        /** @var list<static> */
        return Found::of(self::class, __DIR__);
    }
}
