<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Circuit\CableResult;
use EmberDusk\Kit\Cable;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Plan\LaidCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/**
 * A cable is protected when its fuse <= its capacity and 1.25 x load <= fuse; without a fuse what the supply can keep up
 * in overload counts. At a battery's tap there is always a fuse (docs/model.md 7).
 */
final readonly class Fusing implements Check
{
    private const BLADES = 'blade fuses ISO 8820; capacity as the conductor’s own source says';

    public function check(Judged $case): array
    {
        $findings = [];
        foreach ($case->result->cables ?? [] as $id => $result) {
            $laid = $case->plan->cables[$id];
            $cable = $case->plan->cable($laid->kit);
            $capacity = $cable?->conductor->capacity;
            if ($cable !== null && $capacity !== null && $result->openAmps <= $capacity) {
                array_push(
                    $findings,
                    ...self::cable(case: $case, laid: $laid, cable: $cable, capacity: $capacity, result: $result),
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function cable(
        Judged $case,
        LaidCable $laid,
        Cable $cable,
        float $capacity,
        CableResult $result,
    ): array {
        $guard = Guard::of($case->plan, $laid);
        $name = strtoupper($laid->id);
        $place = new Place('wire', $laid->id);
        $load = $result->openAmps;
        $fuse = Guard::fuse($case, $capacity, $load);
        if ($fuse === null) {
            $take = [];
        } else {
            $take = [
                new Fix(
                    "Fuse {$name} with " . sprintf('%g A', $fuse->amps),
                    SetCable::payload(cable: $laid->id, fuse: $fuse->id()),
                ),
            ];
        }
        $own = $case->plan->fuse($laid->fuse)?->amps;
        if ($guard->battery && $laid->from === $guard->supply && $own === null) {
            return [
                new Finding(
                    code: 'tap-fuse',
                    severity: Severity::Stop,
                    title: "{$name} leaves the battery without a fuse",
                    detail: 'A bank can push hundreds of amps into a short. A fuse within 0.18 m of the tap, before anything else is joined.',
                    place: $place,
                    source: 'ABYC E-11, from memory',
                    fixes: $take,
                ),
            ];
        }
        if ($own !== null && 1.25 * $load > $own) {
            return [
                new Finding(
                    code: 'fuse-small',
                    severity: Severity::Watch,
                    title: sprintf('%s: a fuse of %g A blows in use', $name, $own),
                    detail: sprintf('%.2f A flow; a fuse carries them for good from %.2f A.', $load, 1.25 * $load),
                    place: $place,
                    number: 1.25 * $load,
                    limit: $own,
                    source: 'common practice, no source',
                    fixes: $take,
                ),
            ];
        }
        if ($guard->amps <= $capacity) {
            return [];
        }
        $thicker = CableCapacity::thicker($case, $laid, $cable, $guard->amps);
        if ($guard->fusedAt !== null) {
            return [
                new Finding(
                    code: 'fuse-large',
                    severity: Severity::Stop,
                    title: sprintf('%s is fused with %g A, may carry %g A', $name, $guard->amps, $capacity),
                    detail: 'The fuse protects the cable: it must blow first.',
                    place: $place,
                    number: $guard->amps,
                    limit: $capacity,
                    source: self::BLADES,
                    fixes: [...$take, ...$thicker],
                ),
            ];
        }

        return [
            new Finding(
                code: 'cable-protection',
                severity: Severity::Watch,
                title: sprintf('%s is not protected by %s', $name, strtoupper((string) $guard->supply)),
                detail: sprintf(
                    'The supply can keep up %.1f A in overload; %s may carry %g A. A thicker cable, or a fuse of at most %g A at its start.',
                    $guard->amps,
                    $cable->conductor->label(),
                    $capacity,
                    $capacity,
                ),
                place: $place,
                number: $guard->amps,
                limit: $capacity,
                source: $cable->conductor->capacitySource,
                fixes: [...$thicker, ...$take],
            ),
        ];
    }
}
