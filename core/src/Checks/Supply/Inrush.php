<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Device;
use EmberDusk\Survey\WallNotes;

/** Inrush of several supplies on one mains circuit against its breaker. */
final readonly class Inrush extends Check
{
    /** Amps at which a 16 A breaker of type C may trip immediately: 5 times its rating (IEC 60898-1, from memory). */
    private const TRIPS = 80.0;

    public function rules(): array
    {
        return [
            new Rule(
                'inrush',
                'supply',
                'supplies on one mains circuit together draw at most 80 A at switch-on: a 16 A breaker of type C trips from there',
                'IEC 60898-1, from memory',
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $circuits = [];
        foreach ($job->plan->supplies as $id => $unit) {
            $supply = $job->plan->kit[$unit->kit]->entry ?? null;
            if ($supply instanceof Supply && $supply->inrushAmps !== null) {
                $circuits[self::circuit($job, $unit)][$id] = $supply->inrushAmps;
            }
        }
        $findings = [];
        foreach ($circuits as $amps) {
            $sum = round(array_sum($amps), 4);
            if (count($amps) > 1 && $sum > self::TRIPS) {
                $findings[] = $this->rule('inrush')->watch(
                    place: $job->placeOf((string) array_key_first($amps)),
                    title: sprintf(
                        '%s: %g A inrush on one circuit, a breaker may trip from %g A',
                        strtoupper(implode(', ', array_keys($amps))),
                        $sum,
                        self::TRIPS,
                    ),
                    detail: 'Counted for a 16 A breaker of type C. Divide the supplies between circuits or switch ' .
                        'them on in turn. A licensed person decides about the breaker.',
                    number: $sum,
                    limit: self::TRIPS,
                );
            }
        }

        return $findings;
    }

    /** Name of the mains circuit of a unit: that of its outlet, else its place. */
    private static function circuit(JudgedJob $job, Device $unit): string
    {
        $place = $unit->stands->place ?? ($job->plan->runs[$job->placeOf($unit->id)->id]->place ?? '');
        foreach (WallNotes::read($job->plan->places[$place]->notes ?? '')->site->outlets as $outlet) {
            if ($outlet->spot->name === $unit->stands?->spot && $outlet->circuit !== '') {
                return "circuit {$outlet->circuit}";
            }
        }

        // Without a known position it may be on any circuit.
        return $place === '' ? "unit {$unit->id}" : "place {$place}";
    }
}
