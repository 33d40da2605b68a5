<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\MeasuringSheet;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A sheet belongs to one account; for every other it does not exist. */
final class MeasuringSheetPolicy
{
    public function own(User $user, MeasuringSheet $sheet): Response
    {
        return $sheet->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
