<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PersonLink;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** Links into a crew are the crew's; those of another do not exist. */
final class PersonLinkPolicy
{
    use OfCrew;

    public function lead(User $user, PersonLink $link): Response
    {
        return $this->sameCrew($user, $link);
    }
}
