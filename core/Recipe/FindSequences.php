<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Error\SchoolRefuses;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\Complements\Neutralisers;
use KnottyPrism\Core\Recipe\School\Beneath;
use KnottyPrism\Core\Recipe\School\Mode;
use KnottyPrism\Core\Recipe\School\School;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\PairBook;
use KnottyPrism\Core\Recipe\Search\Shortlist;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\AreaSearch;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;

/** Finds how an area is worked: up to three clearly different sequences for its shades, from one drawer on one paper, in one school. */
final class FindSequences
{
    /** Raised whenever the same question may get another answer, so that nothing stale is shown. */
    public const VERSION = 1;

    public const MOST_PASSES = 6;

    /** Pencils of a large drawer that one area is searched with. */
    private const LENGTH = 26;

    private readonly Moves $moves;

    private readonly Neutralisers $neutralisers;

    private ?Kit $kit = null;

    private ?Shortlist $shortlist = null;

    private ?PairBook $pairs = null;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(Drawer $drawer, private readonly Paper $paper, private readonly School $school, private readonly ?AtlasShelf $shelf = null, private readonly Mode $mode = Mode::ColourAndValue)
    {
        $this->moves = new Moves($drawer, $paper);
        OutOfRange::check('the number of pencils that may be used', count($this->moves->pencils), 1, 1000);
        $this->neutralisers = new Neutralisers($this->moves, new ComplementTable($this->moves->pencils, $paper), $school->neutralising);
    }

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  array<string, float>  $strangeness  ΔE00 that a pencil costs besides, by its identifier: for those the picture does without
     * @return non-empty-list<SequenceAnswer> the surest on paper first
     *
     * @throws SchoolRefuses when the school leaves no sequence for this area
     */
    public function for(array $shades, int $mostPasses = self::MOST_PASSES, int $count = 1, array $strangeness = []): array
    {
        OutOfRange::check('the number of passes', $mostPasses, 1, 8);
        $wanted = $this->school->beneath === Beneath::Complement ? $this->neutralisers->of(Shade::main($shades)->target) : [];
        $kit = $this->kitFor($shades, $wanted);
        $search = new AreaSearch($kit, $this->school, $this->mode, $shades, $wanted, $mostPasses, array_map(static fn (Pencil $p): float => $strangeness[$p->id()] ?? 0.0, $kit->moves->pencils));

        return $search->answers($count) ?: throw SchoolRefuses::stacks($this->school->settings());
    }

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  list<Pencil>  $wanted  pencils to keep whatever they do
     */
    private function kitFor(array $shades, array $wanted): Kit
    {
        if (count($this->moves->pencils) <= self::LENGTH) {
            return $this->kit ??= new Kit($this->moves, Atlas::kept($this->moves, $this->shelf));
        }
        $this->shortlist ??= new Shortlist($this->moves);
        $score = [];
        foreach ($shades as $shade) {
            foreach ($this->shortlist->for($shade->target, $wanted)->pencils as $rank => $pencil) {
                $score[$pencil->id()] = ($score[$pencil->id()] ?? 0.0) + sqrt($shade->weight) / ($rank + 3);
            }
        }
        arsort($score);
        $chosen = array_slice($score, 0, self::LENGTH, true);
        $moves = new Moves(new Drawer(array_values(array_filter($this->moves->pencils, static fn (Pencil $p): bool => isset($chosen[$p->id()])))), $this->paper);

        return new Kit($moves, Atlas::of($moves, $this->pairs ??= new PairBook));
    }
}
