<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Site;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Plan\Changes\Job\ChangeGroup;
use EmberDusk\Plan\Changes\Wires\PlaceDevice;
use EmberDusk\Plan\Device;
use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Standing;
use EmberDusk\Survey\Site\Box;
use EmberDusk\Survey\Site\Outlet;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Positions of supplies and controllers. Not reported while a place has no power: one open point for one cause. */
final readonly class UnitPositions extends Check
{
    /** Positions that are offered for one unit. */
    private const MOST = 4;

    public function rules(): array
    {
        return [new Rule('unit-nowhere', 'supply', 'every supply and controller has a position', Rule::OWN)];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->supplies as $id => $supply) {
            // Banks and existing supplies need no position.
            if ($supply->stands === null && !$supply->there && $job->plan->block((string) $id) === null) {
                $findings[] = $this->supply($job->plan, $supply);
            }
        }
        foreach ($job->plan->controllers as $id => $controller) {
            $supply = $job->plan->supplies[self::feeding($job->plan, (string) $id)] ?? null;
            if ($controller->stands === null && $supply?->stands !== null) {
                $findings[] = $this->rule('unit-nowhere')->open(
                    place: new FindingPlace(JobStage::Survey, $controller->id),
                    title: strtoupper($controller->id) . ': position not known',
                    detail: 'Its cables are calculated with it beside its supply.',
                    fixes: [
                        new Fix(
                            'Beside ' . strtoupper($supply->id),
                            PlaceDevice::payload($controller->id, $supply->stands),
                        ),
                    ],
                );
            }
        }

        return array_values(array_filter($findings));
    }

    /** Null where its place has no power yet. */
    private function supply(Plan $plan, Device $supply): ?Finding
    {
        $fixes = [];
        $powered = false;
        $places = self::places($plan, $supply->id);
        foreach ($places as $place) {
            $site = WallNotes::read($plan->places[$place]->notes ?? '')->site;
            $powered = $powered || $site->outlets !== [];
            foreach ([...$site->outlets, ...$site->boxes] as $spot) {
                $in = count($places) > 1 ? ', ' . ($plan->places[$place]->name ?? '') : '';
                $fixes[] = self::at($plan, $supply, $place, $spot, $in);
            }
        }
        if (!$powered) {
            return null;
        }

        return $this->rule('unit-nowhere')->open(
            place: new FindingPlace(JobStage::Survey, $supply->id),
            title: strtoupper($supply->id) . ': where does it stand?',
            detail: 'Cable lengths, air around it and its mains follow from its position. Its controllers are placed beside it.',
            fixes: array_slice($fixes, 0, self::MOST),
        );
    }

    /** @return list<string> ids of the places with runs or fixtures on a supply */
    private static function places(Plan $plan, string $supply): array
    {
        $places = [];
        foreach ($plan->runs as $run) {
            if (in_array($supply, $plan->ways()->suppliesOf($run), true)) {
                $places[$run->place] = $run->place;
            }
        }
        foreach ($plan->fixtures as $id => $fixture) {
            if (self::feeding($plan, (string) $id) === $supply) {
                $places[$fixture->place] = $fixture->place;
            }
        }

        return array_values($places);
    }

    /** Places a supply and the controllers on it that have no position. */
    private static function at(Plan $plan, Device $supply, string $place, Outlet|Box $spot, string $in): Fix
    {
        $stands = new Standing($place, $spot->spot->name);
        $changes = [PlaceDevice::payload($supply->id, $stands)];
        foreach ($plan->controllers as $id => $controller) {
            if ($controller->stands === null && self::feeding($plan, (string) $id) === $supply->id) {
                $changes[] = PlaceDevice::payload($controller->id, $stands);
            }
        }
        $where = ($spot instanceof Box ? 'In ' : 'At ') . $spot->spot->name . $in;

        return new Fix(
            $where,
            count($changes) === 1
                ? $changes[0]
                : ChangeGroup::payload(strtoupper($supply->id) . ' and its controllers: ' . lcfirst($where), $changes),
        );
    }

    /** Id of the supply that feeds a controller or a fixture; empty while it has no cable. */
    private static function feeding(Plan $plan, string $unit): string
    {
        return $plan->ways()->root($plan->ways()->cableTo($unit)->from ?? '') ?? '';
    }
}
