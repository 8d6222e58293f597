<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Job;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A job belongs to a crew; to everybody else it does not exist. */
final class JobPolicy
{
    use OfCrew;

    public function work(User $user, Job $job): Response
    {
        return $this->sameCrew($user, $job);
    }
}
