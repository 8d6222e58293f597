<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Job;
use App\Models\PersonLink;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** What belongs to a crew does not exist for everybody else. */
trait OfCrew
{
    private function sameCrew(User $user, Job|PersonLink|User $of): Response
    {
        return $user->crew_id === $of->crew_id ? Response::allow() : Response::denyAsNotFound();
    }
}
