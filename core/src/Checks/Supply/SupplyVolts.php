<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** The supply's volts must be the strip's: most small controllers pass them straight through (common practice, no source). */
final readonly class SupplyVolts implements Check
{
    private const SOURCE = 'common practice, no source';

    public function check(Judged $case): array
    {
        $strip = $case->strip;
        $supply = $case->supply;
        if ($strip === null || $supply === null || abs($strip->volts - $supply->volts) < 0.5) {
            return [];
        }
        $right = $case->smallest(
            Supply::class,
            fn(Supply $s): bool => abs($s->volts - $strip->volts) < 0.5 &&
                $s->ratedWatts() * (1 - $case->plan->limits->headroom) >= $case->watts(),
            fn(Supply $s): float => $s->ratedAmps,
        );
        $high = $supply->volts > $strip->volts;

        return [
            new Finding(
                code: 'supply-volts',
                severity: Severity::Stop,
                title: sprintf('%s: %g V on a %g V strip', $case->run->name(), $supply->volts, $strip->volts),
                detail: $high
                    ? 'The controller passes the supply’s volts straight through: the strip overheats and fails. Do not switch it on.'
                    : 'The strip stays dark or dim. Take a supply of the strip’s volts.',
                place: new Place('kit', $case->run->id),
                number: $supply->volts,
                limit: $strip->volts,
                source: self::SOURCE,
                fixes: $right === null
                    ? []
                    : [new Fix('Take ' . $right->name(), ChooseKit::payload(run: $case->run->id, kit: $right->id()))],
            ),
        ];
    }
}
