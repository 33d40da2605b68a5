<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\AccountImport;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** An account file on its way in belongs to one account; for every other it does not exist. */
final class AccountImportPolicy
{
    public function own(User $user, AccountImport $import): Response
    {
        return $import->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
