<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Unit;

/** Possible faults of any load driver, regardless of family. */
final readonly class LightSuspects
{
    /** @return list<Suspect> */
    public static function for(Unit $unit): array
    {
        $id = $unit->id;
        $label = $unit->label();
        $single = $unit->kind === 'single';
        $shows = $single
            ? [
                Suspect::LAMP => Observation::Nothing,
                'identify' => Observation::Nothing,
                'accept' => Observation::Nothing,
            ]
            : ['accept' => Observation::Part];
        $suspects = [
            new Suspect(
                code: 'dead',
                device: $id,
                shows: [
                    Suspect::LAMP => Observation::Nothing,
                    'identify' => Observation::Nothing,
                    'accept' => Observation::Nothing,
                ],
                says: "{$label} does not respond: no power at its input, or it is broken",
                check: "Measure the volts at {$label}’s input. If they are right and still nothing lights, replace the unit.",
                seconds: 60.0,
                again: Suspect::DEVICES,
                caution: $unit->source->off(),
            ),
            new Suspect(
                code: 'lead-loose',
                device: $id,
                shows: $shows,
                says: "a lead between {$label} and its {$unit->load} is loose",
                check: "Pull gently at each lead of {$label}’s output. Reseat and tighten any that moves.",
                seconds: 30.0,
                again: Suspect::STEP,
                caution: $unit->source->off(),
            ),
            new Suspect(
                code: 'supply-low',
                device: $id,
                shows: ['accept' => Observation::Dim],
                says: "the supply of {$label} gives too few volts",
                check: "Measure the volts at the terminals of {$label}’s supply, under load. If they are too low, adjust the supply.",
                seconds: 45.0,
                again: Suspect::STEP,
                caution: $unit->source->off(),
            ),
            new Suspect(
                code: 'brown-out',
                device: $id,
                shows: ['accept' => Observation::Nothing],
                says: "the supply of {$label} gives way at full",
                check: "Set {$label} to 80 %, then to full. Lit at 80 % and dark at full: use a stronger supply, or set the limit.",
                seconds: 20.0,
                again: Suspect::STEP,
            ),
        ];
        if (!$single) {
            $suspects[] = new Suspect(
                code: 'leads-swapped',
                device: $id,
                shows: ['accept' => Observation::Wrong],
                says: "two leads at {$label}’s output are swapped",
                check: "Set {$label} to each single colour: where another one lights, swap those two leads.",
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
            shows: ['accept' => Observation::Wrong],
            says: "the switch of {$unit->label()} is set for another type of strip",
            check: "Check the switch of {$unit->label()}. It must match this strip type; set it with the supply off.",
            seconds: 15.0,
            again: Suspect::STEP,
            caution: $unit->source->off(),
        );
    }
}
