<?php

declare(strict_types=1);

namespace App\Edits;

use App\Drawers\DrawerKeeper;
use App\Models\Study;
use App\Models\User;
use App\Plans\PlanRepository;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Finishes\Finish;
use KnottyPrism\Core\Picture\Decisions\PassNote;
use KnottyPrism\Core\Picture\Decisions\SequenceNote;
use KnottyPrism\Core\Recipe\Sequence\Regrade;
use KnottyPrism\Core\Recipe\Sequence\Sequence;
use KnottyPrism\Core\Recipe\Sequence\Shade;

/** What becomes of a zone's sequence when an artist writes it again or grades one of its passes otherwise. */
final readonly class SequenceEdits
{
    public function __construct(private PlanRepository $plans, private DrawerKeeper $drawers)
    {
    }

    /** A sequence with its pencils as the shelf writes them, or null for the planner's. */
    public function asGiven(User $user, mixed $passes): ?SequenceNote
    {
        if (! is_array($passes)) {
            return null;
        }
        $shelf = $this->drawers->shelfOf($user);
        $notes = [];
        /** @var array{tool: string, pressures: array<string, ?string>} $pass */
        foreach ($passes as $pass) {
            $note = PassNote::ofArray(['tool' => $pass['tool'], 'pressures' => array_filter($pass['pressures'], is_string(...))]);
            $notes[] = new PassNote(
                $note->read($shelf, [])->tool instanceof Finish ? $note->tool : $shelf->pencil($note->tool)->id(),
                $note->pressures,
            );
        }

        return new SequenceNote($notes);
    }

    /** @throws ImpossibleChange when there is no such pass, or nothing of it would change */
    public function regraded(User $user, Study $study, int $zone, int $at, Regrade $how): SequenceNote
    {
        $planned = $this->plans->zone($this->plans->ground($user, $study), $zone);
        $passes = $planned->sequence->passes ?? [];
        $pass = $passes[$at] ?? throw ImpossibleChange::unknown('pass');
        $run = array_keys(array_filter($planned->shades, static fn (Shade $s): bool => ! $s->touch));
        $regraded = $pass->tool instanceof Finish ? $pass : $how->of($pass, $run);
        if ($regraded->pressures === $pass->pressures || $regraded->over() === []) {
            throw ImpossibleChange::because("This pass can't get {$how->value}; change a pressure of it, or drop it.");
        }

        return SequenceNote::of(new Sequence(array_values(array_replace($passes, [$at => $regraded]))), $planned->shades);
    }
}
