<?php

declare(strict_types=1);

namespace EmberDusk\Rates;

use EmberDusk\Kit\Connector;

/** Minutes of a joint of one core: as its entry says, else those of a soldered one (common practice, no source). */
final readonly class JointMinutes
{
    /** A soldered joint: marked, tinned on both sides, joined, cleaned. */
    public const SOLDERED = 6.0;

    /** A core in a terminal of a unit: cut, stripped, with a ferrule, screwed and pulled. */
    public const TERMINAL = 3.0;

    public static function for(?Connector $connector): float
    {
        return $connector->minutes ?? self::SOLDERED;
    }
}
