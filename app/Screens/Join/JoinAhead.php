<?php

declare(strict_types=1);

namespace App\Screens\Join;

use EmberDusk\Joining\Roster;
use EmberDusk\Joining\StepsAhead;
use EmberDusk\Plan\Plan;

/** The next steps of an on-site run for each answer, for a device that may lose its connection. */
final readonly class JoinAhead
{
    /** @return array<string, mixed> as in app/Screens/Join/join.json, $defs/joinAhead */
    public static function for(StepsAhead $ahead, Roster $roster, Plan $plan): array
    {
        return [
            'step' => JoinPicture::step($ahead->step, $roster, $plan),
            'at' => $ahead->at,
            // An empty list would be no map.
            'next' => (object) array_map(
                static fn(StepsAhead $a): array => self::for($a, $roster, $plan),
                $ahead->next,
            ),
        ];
    }
}
