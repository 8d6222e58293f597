<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PracticeRun;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** What somebody practises is their own; to everybody else it does not exist. */
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
