<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Fixture;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Fixture;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\CableRating;
use EmberDusk\Plan\Changes\Kit\HangFixture;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** Rules of fixtures fed by a low-voltage supply: a cable, enough volts, voltage drop within the limit. */
final readonly class Lamps extends Check
{
    public function rules(): array
    {
        return [
            new Rule('lamp-loose', 'fixture', 'low-voltage fixtures have a supply', Rule::OWN),
            new Rule('lamp-volts', 'fixture', 'fixtures get the volts that their converters need', Rule::LEAFLET),
            new Rule(
                'lamp-drop',
                'fixture',
                'voltage drop from supply to fixture is within the limit (5 % of nominal volts)',
                'IEC 60364-7-715, from memory',
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->fixtures as $id => $fitting) {
            array_push($findings, ...$this->fitting($job, $fitting, $job->fitting($id)));
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function fitting(JudgedJob $job, Fitting $fitting, ?FixtureResult $result): array
    {
        [$plan, $shelf] = [$job->plan, $job->shelf];
        $fixture = $plan->fixture($fitting->kit);
        if ($fixture === null || !$fixture->lowVoltage()) {
            return [];
        }
        $name = strtoupper($fitting->id);
        $place = new FindingPlace(JobStage::Wire, $fitting->id);
        if ($plan->ways()->cableTo($fitting->id) === null) {
            return [
                $this->rule('lamp-loose')->open(
                    place: $place,
                    title: "{$name}: {$fitting->count} x {$fixture->name()} not connected to a supply",
                    detail: 'Choose their supply.',
                    fixes: self::hang($plan, $fitting, $fixture, $shelf),
                ),
            ];
        }
        // An overloaded supply is reported as such: thicker cables would not help.
        if (
            $result === null ||
            $job->supply((string) $plan->ways()->root($plan->ways()->cableTo($fitting->id)->from))->share() > 1
        ) {
            return [];
        }
        $findings = [];
        $limit = $plan->limits->drop * $fixture->volts;
        $lost = array_sum(array_map(static fn($c): float => $c->drop, $result->cables));
        if ($result->volts < $fixture->leastVolts) {
            $findings[] = $this->rule('lamp-volts')->stop(
                place: $place,
                title: sprintf('%s get %.1f V, need %g V', $name, $result->volts, $fixture->leastVolts),
                detail: 'Their drivers shut down: the lamps flash or stay dark.',
                number: $result->volts,
                limit: $fixture->leastVolts,
                source: 'the fixture’s instructions, on the shelf',
                fixes: self::thicker(
                    plan: $plan,
                    fitting: $fitting,
                    result: $result,
                    short: $limit - $lost,
                    shelf: $shelf,
                ),
            );
        } elseif ($lost > $limit) {
            $findings[] = $this->rule('lamp-drop')->watch(
                place: $place,
                title: sprintf('%.2f V lost before %s', $lost, $name),
                detail: sprintf('At most %.2f V, %g %% of %g V.', $limit, 100 * $plan->limits->drop, $fixture->volts),
                number: $lost,
                limit: $limit,
                source: 'IEC 60364-7-715 (from memory)',
                fixes: self::thicker(
                    plan: $plan,
                    fitting: $fitting,
                    result: $result,
                    short: $limit - $lost,
                    shelf: $shelf,
                ),
            );
        }

        return $findings;
    }

    /** @return list<Fix> */
    private static function hang(Plan $plan, Fitting $fitting, Fixture $fixture, ?ShelfSource $shelf): array
    {
        $fixes = [];
        foreach (array_keys($plan->supplies) as $id) {
            $supply = $plan->supply($id);
            $cable = $supply !== null ? self::cable($plan, $supply, $shelf) : null;
            if (
                $supply !== null &&
                $cable !== null &&
                $supply->volts >= $fixture->leastVolts &&
                ($supply->charging ?? $supply->volts) <= $fixture->mostVolts
            ) {
                $fixes[] = new Fix(
                    'Connect them to ' . strtoupper($id),
                    HangFixture::payload(fixture: $fitting->id, on: $id, kit: $cable->id()),
                );
            }
        }

        return $fixes;
    }

    /** The thinnest pair that a supply cannot overload; else the thickest. */
    private static function cable(Plan $plan, Supply $supply, ?ShelfSource $shelf): ?Cable
    {
        $best = null;
        // A thick one that is known to carry too little before one of which nothing is known.
        $rank = static fn(Cable $c): float => match (true) {
            $c->conductor->carries($supply->overloadAmps) => (float) $c->conductor->capacity,
            $c->conductor->capacity !== null => 1000 - $c->conductor->capacity,
            default => INF,
        };
        foreach ($shelf?->ofKind('cable') ?? [] as $snapshot) {
            $cable = $snapshot->entry;
            if (
                $cable instanceof Cable &&
                $cable->cores === 2 &&
                $cable->conductor->system === $plan->terms->wire &&
                ($best === null || $rank($cable) < $rank($best))
            ) {
                $best = $cable;
            }
        }

        return $best;
    }

    /**
     * The thinnest cable for the last length of the way that leaves a tenth of the room in hand.
     *
     * @param  float  $short  volts that are still to spare, or are lacking
     * @return list<Fix>
     */
    private static function thicker(
        Plan $plan,
        Fitting $fitting,
        FixtureResult $result,
        float $short,
        ?ShelfSource $shelf,
    ): array {
        $laid = $plan->ways()->cableTo($fitting->id);
        $now = $plan->cable($laid?->kit);
        $own = $result->cables[$laid->id ?? ''] ?? null;
        if ($laid === null || $now === null || $own === null) {
            return [];
        }
        $best = null;
        foreach ($shelf?->ofKind('cable') ?? [] as $snapshot) {
            $c = $snapshot->entry;
            if (
                $c instanceof Cable &&
                $c->cores >= 2 &&
                $c->conductor->system === $now->conductor->system &&
                (CableRating::for($plan, $laid, $c)->amps ?? 0.0) >= $own->amps() &&
                ($own->drop * $c->conductor->ohmsPerMetre) / $now->conductor->ohmsPerMetre <=
                    0.9 * ($own->drop + $short) &&
                ($best === null ||
                    [$c->conductor->ohmsPerMetre, -$c->cores] > [$best->conductor->ohmsPerMetre, -$best->cores])
            ) {
                $best = $c;
            }
        }
        if ($best === null) {
            return [];
        }

        return [
            new Fix(
                strtoupper($laid->id) . ' in ' . $best->conductor->label(),
                SetCable::payload(cable: $laid->id, kit: $best->id()),
            ),
        ];
    }
}
