<?php

declare(strict_types=1);

namespace App\Answers;

use App\Models\Study;
use App\Models\User;

/** Opens a study once as its places will: what is taken in can be opened. */
final class StudyOpening
{
    public function __construct(
        private readonly SurveyAnswers $surveys,
        private readonly KeptRecipeAnswers $recipes,
        private readonly PlanAnswers $plans,
    ) {
    }

    /** @throws \Throwable whatever opening it would throw */
    public function check(User $user, Study $study): void
    {
        $this->surveys->survey($user, $study);
        $this->recipes->all($user, $study);
        $this->plans->plan($user, $study);
    }
}
