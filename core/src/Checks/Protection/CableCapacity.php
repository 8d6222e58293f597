<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A cable carries its load, also with another feed open (docs/model.md 7; capacity as the conductor's own source says). */
final readonly class CableCapacity implements Check
{
    public function check(Judged $case): array
    {
        $findings = [];
        foreach ($case->result->cables ?? [] as $id => $result) {
            $laid = $case->plan->cables[$id];
            $cable = $case->plan->cable($laid->kit);
            $capacity = $cable?->conductor->capacity;
            if ($cable === null) {
                continue;
            }
            $name = strtoupper($id);
            $source = $cable->conductor->capacitySource;
            if ($capacity === null) {
                $findings[] = new Finding(
                    code: 'capacity-unknown',
                    severity: Severity::Open,
                    title: "{$name}: no capacity is known for {$cable->conductor->label()}",
                    detail: 'The tables do not hold this size; ask the cable’s maker.',
                    place: new Place('wire', $id),
                );
            } elseif ($result->openAmps > $capacity) {
                $findings[] = new Finding(
                    code: 'cable-amps',
                    severity: Severity::Stop,
                    title: sprintf('%s carries %.1f A, may carry %g A', $name, $result->openAmps, $capacity),
                    detail: $result->openAmps > $result->amps() + 0.01
                        ? 'That much flows when another feed is open: a dead feed is not seen, the cable gets warm.'
                        : 'The cable gets warm.',
                    place: new Place('wire', $id),
                    number: $result->openAmps,
                    limit: $capacity,
                    source: $source,
                    fixes: self::thicker(
                        $case,
                        $laid,
                        $cable,
                        max($result->openAmps, Guard::of($case->plan, $laid)->amps),
                    ),
                );
            }
        }

        return $findings;
    }

    /** @return list<Fix> the smallest cable with as many cores that may carry so many amps */
    public static function thicker(Judged $case, LaidCable $laid, Cable $now, float $amps): array
    {
        $cable = $case->smallest(
            Cable::class,
            static fn(Cable $c): bool => $c->cores >= $now->cores &&
                $c->conductor->system === $now->conductor->system &&
                ($c->conductor->capacity ?? 0.0) >= $amps,
            static fn(Cable $c): float => ($c->conductor->capacity ?? 0.0) + $c->cores * 1e-3,
        );
        if ($cable === null) {
            return [];
        }

        return [
            new Fix(
                strtoupper($laid->id) . ' in ' . $cable->conductor->label(),
                SetCable::payload(cable: $laid->id, kit: $cable->id()),
            ),
        ];
    }
}
