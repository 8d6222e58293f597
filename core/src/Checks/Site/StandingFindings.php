<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\BoxRoom;
use EmberDusk\Plan\Changes\Wires\PlaceDevice;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\MainsWay;
use EmberDusk\Survey\TapeNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** What speaks against where units stand: a box that is gone or too small, no mains for a supply. */
final readonly class StandingFindings implements Check
{
    public function rules(): array
    {
        return [
            new Rule('stands-lost', 'place', 'what stands somewhere stands at what the notes still have', Rule::OWN),
            new Rule('mains-reach', 'supply', 'a supply stands in a place that has mains', Rule::PRACTICE),
            new Rule(
                'box-full',
                'place',
                sprintf('units fit into their box and take at most %g of its room', BoxRoom::FULL),
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(Judged $job): array
    {
        $plan = $job->plan;
        $findings = self::boxes($plan);
        foreach ($plan->devices() as $device) {
            $findings = [...$findings, ...self::device($plan, $device)];
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function device(Plan $plan, Device $device): array
    {
        $stands = $device->stands;
        $place = $plan->places[$stands->place ?? ''] ?? null;
        if ($stands === null || $place === null) {
            return [];
        }
        $sheet = TapeNotes::read($place->notes);
        $name = strtoupper($device->id);
        if ($stands->wall === null) {
            $gone = $sheet->site->spot($stands->spot) === null;
        } else {
            $gone = ($sheet->legs[$stands->wall]->length ?? -1.0) < $stands->at - 1e-9;
        }
        if ($gone) {
            return [
                new Finding(
                    code: 'stands-lost',
                    severity: Severity::Watch,
                    title: "{$name} stands at {$stands->words(
                        $plan->terms->length,
                    )}, which {$place->name} does not have",
                    detail: 'The notes were changed since. Place it anew, or write the box, outlet or wall back into them.',
                    place: new Place('survey', $place->id),
                    fixes: [new Fix("{$name} stands nowhere yet", PlaceDevice::payload($device->id, null))],
                ),
            ];
        }
        $mains = MainsWay::of($plan, $device);
        // Where there is a battery and no mains, the run says what its supply must be.
        if ($mains === null || $mains->there || $mains->outlet !== null || $sheet->site->batteries !== []) {
            return [];
        }

        return [
            new Finding(
                code: 'mains-reach',
                severity: Severity::Stop,
                title: "{$name} needs mains, and {$place->name} has none",
                detail: 'Write the outlet or spur that is there into the notes, place the supply where mains is, ' .
                    'or feed this place from a battery. Mains is for a licensed person.',
                place: new Place('survey', $place->id),
                source: Rule::PRACTICE,
            ),
        ];
    }

    /** @return list<Finding> */
    private static function boxes(Plan $plan): array
    {
        $findings = [];
        foreach ($plan->places as $place) {
            foreach (TapeNotes::read($place->notes)->site->boxes as $box) {
                $room = BoxRoom::of($plan, $place->id, $box);
                $out = array_keys(array_filter($room->units, static fn($k): bool => $room->holds($k) === false));
                $share = $room->share();
                if ($out === [] && ($share === null || $share <= BoxRoom::FULL + 1e-9)) {
                    continue;
                }
                if ($out === []) {
                    $title = "{$box->spot->name} is too full";
                } else {
                    $title = strtoupper(implode(', ', $out)) . " does not go into {$box->spot->name}";
                }
                $findings[] = new Finding(
                    code: 'box-full',
                    severity: Severity::Watch,
                    title: $title,
                    detail: sprintf(
                        '%s stand in it and take %.0f %% of its room; %.0f %% is for air, bends and joints. Place one elsewhere, or take a larger box.',
                        strtoupper(implode(', ', array_keys($room->units))),
                        100 * ($share ?? 0.0),
                        100 * (1 - BoxRoom::FULL),
                    ),
                    place: new Place('survey', "{$place->id}:{$box->spot->word->line}"),
                    number: $share,
                    limit: BoxRoom::FULL,
                    source: Rule::PRACTICE,
                );
            }
        }

        return $findings;
    }
}
