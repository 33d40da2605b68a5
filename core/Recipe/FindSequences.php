<?php

declare(strict_types=1);

namespace KnottyPrism\Core\Recipe;

use KnottyPrism\Core\Drawer\Drawer;
use KnottyPrism\Core\Error\MethodRefuses;
use KnottyPrism\Core\Error\OutOfRange;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Medium\Paper\Paper;
use KnottyPrism\Core\Medium\Pencil\Pencil;
use KnottyPrism\Core\Recipe\Complements\ComplementTable;
use KnottyPrism\Core\Recipe\Complements\Neutralisers;
use KnottyPrism\Core\Recipe\Method\Beneath;
use KnottyPrism\Core\Recipe\Method\Method;
use KnottyPrism\Core\Recipe\Method\Mode;
use KnottyPrism\Core\Recipe\Method\Neutralising;
use KnottyPrism\Core\Recipe\Search\Atlas;
use KnottyPrism\Core\Recipe\Search\AtlasShelf;
use KnottyPrism\Core\Recipe\Search\Moves;
use KnottyPrism\Core\Recipe\Search\PairBook;
use KnottyPrism\Core\Recipe\Search\Rules;
use KnottyPrism\Core\Recipe\Search\Shortlist;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\SequenceAnswer;
use KnottyPrism\Core\Recipe\Sequence\Shade;
use KnottyPrism\Core\Recipe\SequenceSearch\AreaSearch;
use KnottyPrism\Core\Recipe\SequenceSearch\Craft;
use KnottyPrism\Core\Recipe\SequenceSearch\Kit;
use KnottyPrism\Core\Recipe\SequenceSearch\Run;

/** Finds how an area is worked: up to three clearly different sequences for its shades, from one drawer on one paper, in one method. */
final class FindSequences
{
    public const MOST_PASSES = 6;

    /** Pencils of a large drawer that one area is searched with. */
    private const LENGTH = 26;

    private readonly Moves $moves;

    /** What works on what, among the pencils available. */
    public readonly ComplementTable $complements;

    public readonly Neutralisers $neutralisers;

    private ?Kit $kit = null;

    private ?Shortlist $shortlist = null;

    private ?PairBook $pairs = null;

    /** @throws OutOfRange when the drawer has no pencil that may be used */
    public function __construct(
        Drawer $drawer,
        private readonly Paper $paper,
        private readonly Method $method,
        private readonly ?AtlasShelf $shelf = null,
        private readonly Mode $mode = Mode::ColourAndValue,
        private readonly ?Kits $kits = null,
    ) {
        $moves = new Moves($drawer, $paper);
        $this->kit = $kits?->like($moves);
        $this->moves = $this->kit->moves ?? $moves;
        OutOfRange::check('the number of pencils that may be used', count($this->moves->pencils), 1, 1000);
        $this->complements = new ComplementTable($this->moves->pencils, $paper);
        $this->neutralisers = new Neutralisers($this->moves, $this->complements, $method->of(Neutralising::class));
    }

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  array<string, float>  $strangeness  ΔE00 that a pencil costs besides, by its identifier: for those the picture does without
     * @return non-empty-list<SequenceAnswer> the surest on paper first
     *
     * @throws MethodRefuses when the method leaves no sequence for this area
     */
    public function for(array $shades, int $mostPasses = self::MOST_PASSES, int $count = 1, array $strangeness = []): array
    {
        return $this->search($shades, $mostPasses, $strangeness)->answers($count) ?:
            throw MethodRefuses::stacks($this->method->settings());
    }

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  array<string, float>  $strangeness  see {@see self::for()}
     */
    public function search(array $shades, int $mostPasses = self::MOST_PASSES, array $strangeness = []): AreaSearch
    {
        OutOfRange::check('the number of passes', $mostPasses, 1, 8);
        $main = Shade::main($shades)->target;
        $beneath = $this->method->of(Beneath::class) === Beneath::Complement ? $this->neutralisers->of($main) : [];
        // A large drawer is shortened to what serves this area; what an answer may begin with is kept.
        $wanted = $beneath === [] && count($this->moves->pencils) > self::LENGTH ? $this->neutralisers->of($main) : $beneath;
        $kit = $this->kitFor($shades, $wanted);

        return new AreaSearch(
            $kit,
            $this->method,
            $this->mode,
            $shades,
            $this->neutralisers,
            $beneath,
            $mostPasses,
            array_map(static fn (Pencil $p): float => $strangeness[$p->id()] ?? 0.0, $kit->moves->pencils),
        );
    }

    /**
     * Whether a sequence keeps the craft and the method, whatever comes of it: its value run is looked at, touches are the artist's.
     *
     * @param  non-empty-list<Shade>  $shades
     * @return \Closure(Sequence): bool
     */
    public function allowing(array $shades): \Closure
    {
        $run = array_filter($shades, static fn (Shade $s): bool => ! $s->touch);
        uasort($run, static fn (Shade $a, Shade $b): int => $b->target->l <=> $a->target->l);
        if ($run === []) {
            return static fn (): bool => true;
        }
        $craft = $this->craft(array_values($run));

        return function (Sequence $sequence) use ($craft, $run): bool {
            $laid = $this->run($sequence, array_keys($run));

            return $laid !== null && $craft->keeps($laid);
        };
    }

    /**
     * What a narrower search finds, in a third of the time: for comparing what many drawers make of one area.
     *
     * @param  list<Shade>  $shades
     * @param  array<string, float>  $strangeness  see {@see self::for()}
     * @return ?SequenceAnswer null when the method leaves no sequence for this area
     */
    public function atAGlance(array $shades, int $mostPasses = self::MOST_PASSES, array $strangeness = []): ?SequenceAnswer
    {
        return $shades === [] ? null : $this->search($shades, $mostPasses, $strangeness)->atAGlance();
    }

    /**
     * What a sequence's pencils lay over a value run; touches and finishes are left out.
     *
     * @param  list<int>  $shades  of the value run by their place, lightest first
     * @return ?Run null when it takes a pencil that is not available
     */
    private function run(Sequence $sequence, array $shades): ?Run
    {
        $pencils = $pressures = [];
        foreach ($sequence->passes as $pass) {
            $own = array_map(static fn (int $shade): int => ($pass->pressures[$shade] ?? null)?->strokes() ?? 0, $shades);
            if ($pass->tool instanceof Finish || array_sum($own) === 0) {
                continue;
            }
            $pencil = array_search($pass->tool->id(), Pencil::identifiers($this->moves->pencils), true);
            if (! is_int($pencil)) {
                return null;
            }
            [$pencils[], $pressures[]] = [$pencil, $own];
        }

        return new Run($pencils, $pressures);
    }

    /** @param  non-empty-list<Shade>  $run  lightest first */
    private function craft(array $run): Craft
    {
        $main = Shade::main($run);
        $beneath = $this->method->of(Beneath::class) === Beneath::Complement ? $this->neutralisers->of($main->target) : [];

        return new Craft(
            $this->method,
            $this->moves,
            $run,
            array_map(fn (Shade $s): Rules => new Rules($this->method, $this->moves, $s->target, $beneath), $run),
            (int) array_search($main, $run, true),
        );
    }

    /**
     * @param  non-empty-list<Shade>  $shades
     * @param  list<Pencil>  $wanted  pencils to keep whatever they do
     */
    private function kitFor(array $shades, array $wanted): Kit
    {
        if (count($this->moves->pencils) <= self::LENGTH) {
            $this->kit ??= new Kit($this->moves, Atlas::kept($this->moves, $this->shelf));
            $this->kits?->keep($this->kit);

            return $this->kit;
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
        $moves = new Moves(
            new Drawer(array_values(array_filter($this->moves->pencils, static fn (Pencil $p): bool => isset($chosen[$p->id()])))),
            $this->paper,
        );

        return new Kit($moves, Atlas::of($moves, $this->pairs ??= new PairBook()));
    }
}
