<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PracticeRun;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A person's practice is private; it does not exist for others. */
final class PracticeRunPolicy
{
    public function work(User $user, PracticeRun $run): Response
    {
        if ($run->user_id === $user->id) {
            return Response::allow();
        }

        return Response::denyAsNotFound();
    }
}
