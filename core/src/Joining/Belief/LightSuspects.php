<?php

declare(strict_types=1);

namespace EmberDusk\Joining\Belief;

use EmberDusk\Joining\Observation;
use EmberDusk\Joining\Unit;

/** Possible faults of any load driver, regardless of family. */
final readonly class LightSuspects
{
    private const LICENSED = 'Mains terminals are for a licensed person, and local rules decide. Isolate and prove dead before a cover is opened.';

    public function __construct(private Unit $unit) {}

    /** @return list<Suspect> */
    public function for(): array
    {
        $id = $this->unit->id;
        $label = $this->unit->label();
        if ($this->unit->load === Unit::LAMPS) {
            return $this->lamps();
        }
        $single = $this->unit->kind === 'single';
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
                caution: $this->unit->source->off(),
            ),
            new Suspect(
                code: 'lead-loose',
                device: $id,
                shows: $shows,
                says: "a lead between {$label} and its {$this->unit->load} is loose",
                check: "Pull gently at each lead of {$label}’s output. Reseat and tighten any that moves.",
                seconds: 30.0,
                again: Suspect::STEP,
                caution: $this->unit->source->off(),
            ),
            new Suspect(
                code: 'supply-low',
                device: $id,
                shows: ['accept' => Observation::Dim],
                says: "the supply of {$label} gives too few volts",
                check: "Measure the volts at the terminals of {$label}’s supply, under load. If they are too low, adjust the supply.",
                seconds: 45.0,
                again: Suspect::STEP,
                caution: $this->unit->source->off(),
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
                caution: $this->unit->source->off(),
            );
        }

        return $suspects;
    }

    /** @return list<Suspect> a wrong switch, wheel or jumper; none of a unit without one */
    public function setting(): array
    {
        if (!$this->unit->hasSwitch) {
            return [];
        }

        return [
            new Suspect(
                code: 'wrong-setting',
                device: $this->unit->id,
                shows: ['accept' => Observation::Wrong],
                says: "the switch of {$this->unit->label()} is set for another type of strip",
                check: "Check the switch of {$this->unit->label()}. It must match this strip type; set it with the supply off.",
                seconds: 15.0,
                again: Suspect::STEP,
                caution: $this->unit->source->off(),
            ),
        ];
    }

    /** @return list<Suspect> of lamps under a dimming module: its terminals are mains */
    private function lamps(): array
    {
        $label = $this->unit->label();
        $dark = [
            Suspect::LAMP => Observation::Nothing,
            'identify' => Observation::Nothing,
            'accept' => Observation::Nothing,
        ];

        return [
            new Suspect(
                code: 'dead',
                device: $this->unit->id,
                shows: $dark,
                says: "{$label} does not respond: no power at its input, or it is broken",
                check: "Press the key of {$label}: do its lamps react? If not, a licensed person checks its mains and its fuse, then replaces it.",
                seconds: 60.0,
                again: Suspect::DEVICES,
                caution: self::LICENSED,
            ),
            new Suspect(
                code: 'lead-loose',
                device: $this->unit->id,
                shows: $dark,
                says: "a lead between {$label} and its {$this->unit->load} is loose",
                check: "A licensed person tightens each terminal of {$label} and of its first lamp, with the mains off.",
                seconds: 60.0,
                again: Suspect::STEP,
                caution: self::LICENSED,
            ),
        ];
    }
}
