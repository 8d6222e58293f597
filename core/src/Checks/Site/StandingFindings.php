<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\BoxRoom;
use EmberDusk\Plan\Changes\Wires\PlaceDevice;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Routes\MainsWay;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Problems of unit positions: a box that is gone or too small, no mains for a supply. */
final readonly class StandingFindings extends Check
{
    public function rules(): array
    {
        return [
            new Rule('stands-lost', 'place', 'every position still exists in the notes', Rule::OWN),
            new Rule('mains-reach', 'supply', 'a supply is in a place with mains', Rule::PRACTICE),
            new Rule(
                'box-full',
                'place',
                sprintf('units fit into their box and take at most %g of its room', BoxRoom::FULL),
                Rule::PRACTICE,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $plan = $job->plan;
        $findings = $this->boxes($plan);
        foreach ($plan->devices() as $device) {
            $findings = [...$findings, ...$this->device($plan, $device)];
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function device(Plan $plan, Device $device): array
    {
        $stands = $device->stands;
        $place = $plan->places[$stands->place ?? ''] ?? null;
        if ($stands === null || $place === null) {
            return [];
        }
        $sheet = WallNotes::read($place->notes);
        $name = strtoupper($device->id);
        if ($stands->wall === null) {
            $gone = $sheet->site->spot($stands->spot) === null;
        } else {
            $gone = ($sheet->legs[$stands->wall]->length ?? -1.0) < $stands->at - 1e-9;
        }
        if ($gone) {
            return [
                $this->rule('stands-lost')->watch(
                    place: new FindingPlace(JobStage::Survey, $place->id),
                    title: "{$name} stands at {$stands->words(
                        $plan->terms->length,
                    )}, which {$place->name} does not have",
                    detail: 'The notes were changed since. Place it again, or restore the box, outlet or wall in the notes.',
                    fixes: [new Fix("Remove the position of {$name}", PlaceDevice::payload($device->id, null))],
                ),
            ];
        }
        $mains = MainsWay::to($plan, $device);
        // In a place with a battery and no mains, the run states its supply.
        if ($mains === null || $mains->there || $mains->outlet !== null || $sheet->site->batteries !== []) {
            return [];
        }

        return [
            $this->rule('mains-reach')->stop(
                place: new FindingPlace(JobStage::Survey, $place->id),
                title: "{$name} needs mains, and {$place->name} has none",
                detail: 'Add the existing outlet or spur to the notes, place the supply where mains is, ' .
                    'or feed this place from a battery. Mains is for a licensed person.',
            ),
        ];
    }

    /** @return list<Finding> */
    private function boxes(Plan $plan): array
    {
        $findings = [];
        foreach ($plan->places as $place) {
            foreach (WallNotes::read($place->notes)->site->boxes as $box) {
                $room = BoxRoom::for($plan, $place->id, $box);
                $out = array_keys(array_filter($room->units, static fn($k): bool => $room->holds($k) === false));
                $share = $room->share();
                if ($share === null || ($out === [] && $share <= BoxRoom::FULL + 1e-9)) {
                    continue;
                }
                if ($out === []) {
                    $title = "{$box->spot->name} is too full";
                } else {
                    $title = strtoupper(implode(', ', $out)) . " does not go into {$box->spot->name}";
                }
                $findings[] = $this->rule('box-full')->watch(
                    place: new FindingPlace(JobStage::Survey, "{$place->id}:{$box->spot->word->line}"),
                    title: $title,
                    detail: sprintf(
                        '%s take %.0f %% of its room; %.0f %% is for air, bends and joints. Place one elsewhere, or choose a larger box.',
                        strtoupper(implode(', ', array_keys($room->units))),
                        100 * $share,
                        100 * (1 - BoxRoom::FULL),
                    ),
                    number: $share,
                    limit: BoxRoom::FULL,
                );
            }
        }

        return $findings;
    }
}
