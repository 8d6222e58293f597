<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Fixture;

use EmberDusk\Circuit\FixtureResult;
use EmberDusk\Kit\Cable;
use EmberDusk\Kit\Fixture;
use EmberDusk\Kit\ShelfSource;
use EmberDusk\Plan\Changes\Kit\HangFixture;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\Fitting;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** Rules of fixtures that hang on a low-voltage supply: a cable, volts enough, no more lost on the way than the job allows. */
final readonly class Lamps
{
    /** @return list<Finding> */
    public static function check(Plan $plan, Fitting $fitting, ?FixtureResult $result, ?ShelfSource $shelf): array
    {
        $fixture = $plan->fixture($fitting->kit);
        if ($fixture === null || !$fixture->lowVoltage()) {
            return [];
        }
        $name = strtoupper($fitting->id);
        $place = new Place('wire', $fitting->id);
        if ($plan->cableTo($fitting->id) === null) {
            return [
                new Finding(
                    code: 'lamp-loose',
                    severity: Severity::Open,
                    title: "{$name}: {$fitting->count} x {$fixture->name()} hang on nothing",
                    detail: 'Say which supply they hang on.',
                    place: $place,
                    fixes: self::hang($plan, $fitting, $fixture, $shelf),
                ),
            ];
        }
        if ($result === null) {
            return [];
        }
        $findings = [];
        $limit = $plan->limits->drop * $fixture->volts;
        $lost = array_sum(array_map(static fn($c): float => $c->drop, $result->cables));
        if ($result->volts < $fixture->leastVolts) {
            $findings[] = new Finding(
                code: 'lamp-volts',
                severity: Severity::Stop,
                title: sprintf('%s get %.1f V, need %g V', $name, $result->volts, $fixture->leastVolts),
                detail: 'Their converters give up: they flash or stay dark.',
                place: $place,
                number: $result->volts,
                limit: $fixture->leastVolts,
                source: 'the fixture’s leaflet, on the shelf',
                fixes: self::thicker(
                    plan: $plan,
                    fitting: $fitting,
                    result: $result,
                    short: $limit - $lost,
                    shelf: $shelf,
                ),
            );
        } elseif ($lost > $limit) {
            $findings[] = new Finding(
                code: 'lamp-drop',
                severity: Severity::Watch,
                title: sprintf('%.2f V lost before %s', $lost, $name),
                detail: sprintf('At most %.2f V, %g %% of %g V.', $limit, 100 * $plan->limits->drop, $fixture->volts),
                place: $place,
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
        foreach ($result->cables as $id => $cable) {
            $capacity = $plan->cable($plan->cables[$id]->kit)->conductor->capacity ?? INF;
            if ($cable->amps() > $capacity) {
                $findings[] = new Finding(
                    code: 'lamp-amps',
                    severity: Severity::Stop,
                    title: sprintf('%s carries %.1f A, may carry %g A', strtoupper($id), $cable->amps(), $capacity),
                    detail: 'The cable gets warm.',
                    place: new Place('wire', $id),
                    number: $cable->amps(),
                    limit: $capacity,
                    source: 'as the conductor’s own source says',
                    fixes: self::thicker(
                        plan: $plan,
                        fitting: $fitting,
                        result: $result,
                        short: $limit - $lost,
                        shelf: $shelf,
                    ),
                );
            }
        }

        return $findings;
    }

    /** Watts of all fixtures on a supply. */
    public static function watts(Plan $plan, string $supply): float
    {
        $watts = 0.0;
        foreach ($plan->fixtures as $id => $fitting) {
            $cable = $plan->cableTo($id);
            if ($cable !== null && $plan->root($cable->from) === $supply) {
                $watts += $fitting->count * ($plan->fixture($fitting->kit)->watts ?? 0.0);
            }
        }

        return $watts;
    }

    /** @return list<Fix> */
    private static function hang(Plan $plan, Fitting $fitting, Fixture $fixture, ?ShelfSource $shelf): array
    {
        $cable = null;
        foreach ($shelf?->ofKind('cable') ?? [] as $snapshot) {
            if (
                $snapshot->entry instanceof Cable &&
                $snapshot->entry->cores === 2 &&
                $snapshot->entry->conductor->system === $plan->terms->wire
            ) {
                $cable ??= $snapshot->entry;
            }
        }
        $fixes = [];
        foreach (array_keys($plan->supplies) as $id) {
            $volts = $plan->supply($id)->volts ?? 0.0;
            if ($cable !== null && $volts >= $fixture->leastVolts && $volts <= 1.25 * $fixture->volts) {
                $fixes[] = new Fix(
                    'Hang them on ' . strtoupper($id),
                    HangFixture::payload(fixture: $fitting->id, on: $id, kit: $cable->id()),
                );
            }
        }

        return $fixes;
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
        $laid = $plan->cableTo($fitting->id);
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
                ($c->conductor->capacity ?? 0.0) >= $own->amps() &&
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
