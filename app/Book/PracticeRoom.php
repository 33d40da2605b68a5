<?php

declare(strict_types=1);

namespace App\Book;

use App\Drawers\DrawerKeeper;
use App\Hands\HandKeeper;
use App\Models\PracticeAttempt;
use App\Models\Study;
use App\Models\User;
use App\Photos\PhotoStore;
use App\Photos\SurveyRepository;
use KnottyPrism\Core\Book\Practice\AskDrill;
use KnottyPrism\Core\Book\Practice\Drills\Skill;
use KnottyPrism\Core\Book\Practice\Question\Drill;
use KnottyPrism\Core\Book\Practice\Question\DrillGround;
use KnottyPrism\Core\Book\Practice\Training;
use KnottyPrism\Core\Error\ImpossibleChange;
use KnottyPrism\Core\Medium\Pencil\Pencil;

/** Questions from somebody's own photo and pencils, and what she answered. */
final class PracticeRoom
{
    /** Answers kept of an account; docs/schemas/account.schema.json has the same. */
    private const MOST_ANSWERS = 50_000;

    private const SEEDS = 2_000_000_000;

    /** Of a photo or a drawer that has no question of one kind another seed may have one. */
    private const TRIES = 4;

    public function __construct(
        private readonly DrawerKeeper $drawers,
        private readonly HandKeeper $hands,
        private readonly PhotoStore $photos,
        private readonly SurveyRepository $surveys,
    ) {
    }

    public function training(User $user): Training
    {
        return new Training(
            array_values(
                PracticeAttempt::query()
                    ->where('user_id', $user->id)
                    ->orderBy('made_at')
                    ->get()
                    ->map(static fn (PracticeAttempt $a) => $a->attempt())
                    ->all(),
            ),
        );
    }

    /**
     * What came back, or one of a skill, or of the one whose turn it is.
     *
     * @param  ?Skill  $only  the skill that is wanted
     */
    public function next(User $user, Study $study, Training $training, ?Skill $only): ?Asked
    {
        $ground = $this->ground($user, $study);
        $due = $this->due($study, $training, $only, $ground);
        if ($due !== null) {
            return $due;
        }
        $left = $only === null ? Skill::cases() : [$only];
        while ($left !== []) {
            $skill = $training->turn(...$left);
            // No harder than this photo and these pencils have questions.
            for ($difficulty = $training->difficulty($skill); $difficulty >= AskDrill::EASIEST; $difficulty--) {
                for ($try = 0; $try < self::TRIES; $try++) {
                    $seed = random_int(1, self::SEEDS);
                    $drill = AskDrill::of($skill, $difficulty, $seed, $ground);
                    if ($drill !== null) {
                        return new Asked($skill, $difficulty, $seed, $drill, false);
                    }
                }
            }
            $left = array_values(array_filter($left, static fn (Skill $s): bool => $s->value !== $skill->value));
        }

        return null;
    }

    private function due(Study $study, Training $training, ?Skill $only, DrillGround $ground): ?Asked
    {
        foreach ($training->due(time()) as $due) {
            [$of, $seed] = PracticeAttempt::studyAndSeed($due);
            // What was asked of another photo waits there, and what can't be asked any more keeps nothing else back.
            $drill =
                $of === $study->id && ($only === null || $due->skill->value === $only->value)
                    ? AskDrill::of($due->skill, $due->difficulty, $seed, $ground)
                    : null;
            if ($drill !== null) {
                return new Asked($due->skill, $due->difficulty, $seed, $drill, true);
            }
        }

        return null;
    }

    /** @throws ImpossibleChange where there is no such question any more */
    public function asked(User $user, Study $study, Skill $skill, int $difficulty, int $seed): Drill
    {
        return AskDrill::of($skill, $difficulty, $seed, $this->ground($user, $study)) ??
            throw ImpossibleChange::because('The photo or the drawer has changed, so this question no longer applies. Go to the next one.');
    }

    public function answered(User $user, Study $study, Skill $skill, int $difficulty, int $seed, bool $right): int
    {
        $made = PracticeAttempt::query()->create([
            'user_id' => $user->id,
            'study_id' => $study->id,
            'skill' => $skill->value,
            'difficulty' => $difficulty,
            'seed' => $seed,
            'right' => $right,
            'made_at' => time(),
        ])->id;
        // The latest tell how well one sees; what was years ago is let go of.
        $old = PracticeAttempt::query()->where('user_id', $user->id)->orderByDesc('id')->skip(self::MOST_ANSWERS)->take(100)->pluck('id');
        PracticeAttempt::query()->whereIn('id', $old)->delete();

        return $made;
    }

    private function ground(User $user, Study $study): DrillGround
    {
        $photo = $study->photo();
        $pencils = array_values(
            array_filter($this->drawers->drawerOf($user)->usable()->pencils, static fn (Pencil $p): bool => ! $p->isBlender()),
        );

        return new DrillGround(
            $this->photos->grid($photo, $this->surveys->current($study)->balanceOf($photo->id)),
            $pencils,
            $this->hands->paper($user, $study->paper),
        );
    }
}
