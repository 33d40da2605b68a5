<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\DrawerImport;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** An import belongs to one account; for every other it does not exist. */
final class DrawerImportPolicy
{
    public function own(User $user, DrawerImport $import): Response
    {
        return $import->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
