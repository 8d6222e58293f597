<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Accounts are led by the owners of their crew; those of another crew do not exist. */
final class UserPolicy
{
    use OfCrew;

    public function lead(User $user, User $person): Response
    {
        return $this->sameCrew($user, $person);
    }
}
