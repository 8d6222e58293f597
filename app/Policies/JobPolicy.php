<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Job;
use App\Models\User;
use App\People\Role;
use Illuminate\Auth\Access\Response;

/** A job belongs to a crew; to everybody else it does not exist. A guest of the crew has one job. */
final class JobPolicy
{
    use OfCrew;

    public function work(User $user, Job $job): Response
    {
        if ($user->role === Role::Guest && $user->job_id !== $job->id) {
            return Response::denyAsNotFound();
        }

        return $this->sameCrew($user, $job);
    }
}
