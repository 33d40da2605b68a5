<?php

declare(strict_types=1);

namespace App\Answers;

use App\Models\Study;
use App\Models\User;

/** Opens a study once as its places will: what is taken in can be opened. */
final class StudyOpening
{
    public function __construct(private readonly SurveyAnswers $survey, private readonly KeptRecipeAnswers $plan, private readonly PlanAnswers $picture)
    {
    }

    /** @throws \Throwable whatever opening it would throw */
    public function check(User $user, Study $study): void
    {
        $this->survey->survey($user, $study);
        $this->plan->all($user, $study);
        $this->picture->picture($user, $study);
    }
}
