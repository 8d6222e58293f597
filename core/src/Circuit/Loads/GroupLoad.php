<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Loads;

use EmberDusk\Circuit\Load;
use EmberDusk\Kit\Channel;
use EmberDusk\Kit\Strip;

/** The load model that a strip's entry asks for; adding one is a class beside this and a line here. */
final readonly class GroupLoad
{
    /** @param  float  $level  mean duty of pixels */
    public static function for(Strip $strip, Channel $channel, float $level): Load
    {
        if ($strip->pixels === null) {
            return new ResistorLimited(
                volts: $strip->volts,
                nominal: $strip->nominalAmps($channel),
                leds: $strip->leds,
                ledVolts: $channel->ledVolts ?? $strip->ledVolts,
                slope: $strip->slope,
            );
        }

        return new ConstantCurrent(
            $level * $strip->pixels->amps + $strip->pixels->idle,
            $strip->pixels->turnOn,
            $strip->pixels->full,
        );
    }
}
