<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Accounts are led by the owners of their crew; those of another crew do not exist. */
final class UserPolicy
{
    public function lead(User $user, User $person): Response
    {
        if ($user->crew_id === $person->crew_id) {
            return Response::allow();
        }

        return Response::denyAsNotFound();
    }
}
