<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Study;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A study belongs to one account; for every other it does not exist. */
final class StudyPolicy
{
    public function own(User $user, Study $study): Response
    {
        return $study->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
