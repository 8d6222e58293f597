<?php

declare(strict_types=1);

namespace App\People;

/** Kinds of access; each route needs one of them. */
enum Permission
{
    /** Look at jobs, practise, sign out, one's own password and devices. */
    case Read;

    /** Add facts of the work: ticks, entries of the log, readings, rehearsals, photos. */
    case Record;

    /** Change plans, the shelf, links for clients; archive and delete. */
    case Plan;

    /** See what things cost. */
    case Prices;

    /** Invite, close, name roles. */
    case People;
}
