<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

use EmberDusk\Joining\Seen;
use EmberDusk\Joining\Unit;

/** What can be wrong with anything that drives a load, whatever its family. */
final readonly class LightSuspects
{
    /** @return list<Suspect> */
    public static function of(Unit $unit): array
    {
        $id = $unit->id;
        $label = $unit->label();
        $single = $unit->kind === 'single';
        $shows = $single
            ? [Suspect::LAMP => Seen::NOTHING, 'identify' => Seen::NOTHING, 'accept' => Seen::NOTHING]
            : ['accept' => Seen::PART];
        $suspects = [
            new Suspect(
                code: 'dead',
                device: $id,
                shows: [Suspect::LAMP => Seen::NOTHING, 'identify' => Seen::NOTHING, 'accept' => Seen::NOTHING],
                says: "{$label} does nothing at all: no power at its input, or it is broken",
                check: "Read the volts at {$label}’s input. Right, and still nothing lights: put another unit in its place.",
                seconds: 60.0,
                again: Suspect::DEVICES,
                caution: $unit->source->off(),
            ),
            new Suspect(
                code: 'lead-loose',
                device: $id,
                shows: $shows,
                says: "a lead between {$label} and its strip is loose",
                check: "Pull gently at each lead of {$label}’s output. One that moves goes back in and is tightened.",
                seconds: 30.0,
                again: Suspect::STEP,
                caution: $unit->source->off(),
            ),
            new Suspect(
                code: 'supply-low',
                device: $id,
                shows: ['accept' => Seen::DIM],
                says: "the supply of {$label} gives too few volts",
                check: "Read the volts at the terminals of {$label}’s supply, loaded. Too low: set them right.",
                seconds: 45.0,
                again: Suspect::STEP,
                caution: $unit->source->off(),
            ),
            new Suspect(
                code: 'brown-out',
                device: $id,
                shows: ['accept' => Seen::NOTHING],
                says: "the supply of {$label} gives way at full",
                check: "Ask {$label} for 80 %, then for full. Lit at 80 % and dark at full: a stronger supply, or a limit that is really set.",
                seconds: 20.0,
                again: Suspect::STEP,
            ),
        ];
        if (!$single) {
            $suspects[] = new Suspect(
                code: 'leads-swapped',
                device: $id,
                shows: ['accept' => Seen::WRONG],
                says: "two leads at {$label}’s output are exchanged",
                check: "Ask {$label} for each single colour: where another lights, move those two leads.",
                seconds: 40.0,
                again: Suspect::STEP,
                caution: $unit->source->off(),
            );
        }

        return $suspects;
    }

    /** The switch, wheel or jumper of a controller that is set by hand. */
    public static function setting(Unit $unit): Suspect
    {
        return new Suspect(
            code: 'wrong-setting',
            device: $unit->id,
            shows: ['accept' => Seen::WRONG],
            says: "the switch of {$unit->label()} stands for another kind of strip",
            check: "Look at the switch of {$unit->label()}. It must stand for this strip’s kind; set it with the supply off.",
            seconds: 15.0,
            again: Suspect::STEP,
            caution: $unit->source->off(),
        );
    }
}
