<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Families\Zigbee;

use EmberDusk\Kit\Profiles\ControllerProfile;

/** What the guide counts as a whole reset gesture. The stand-ins count for themselves. */
final readonly class Gesture
{
    /** @param  list<float>  $presses run seconds, the newest last */
    public static function isWhole(array $presses, ControllerProfile $profile): bool
    {
        $last = array_slice($presses, -$profile->presses);

        return count($last) === $profile->presses &&
            $profile->pressesWithin + 1e-9 >= $last[count($last) - 1] - $last[0];
    }
}
