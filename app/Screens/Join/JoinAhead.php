<?php

declare(strict_types=1);

namespace App\Screens\Join;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepsAhead;
use EmberDusk\Plan\Plan;

/** The next steps of an on-site run for each answer, for a device that may lose its connection. */
final readonly class JoinAhead
{
    public static function for(StepsAhead $ahead, Roster $roster, Plan $plan): JoinAheadView
    {
        return new JoinAheadView(
            step: JoinPicture::step($ahead->step, $roster, $plan),
            at: $ahead->at,
            next: array_map(static fn(StepsAhead $a): JoinAheadView => self::for($a, $roster, $plan), $ahead->next),
        );
    }
}
