<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

use EmberDusk\Joining\Families\Zigbee\Zigbee;
use EmberDusk\Values\InvalidInput;
use EmberDusk\Values\Refusal;

/** The families that can be joined here: one line each. */
final readonly class Families
{
    /** @throws Refusal when nobody has written that family yet */
    public static function of(string $family): Family
    {
        return match ($family) {
            'zigbee' => new Zigbee(),
            default => throw new InvalidInput("Joining “{$family}” is not known here yet: follow the leaflet."),
        };
    }
}
