<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Cable;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A cable length that was reckoned along the run is to be measured. */
final readonly class Lengths implements Check
{
    public function check(Judged $case): array
    {
        $findings = [];
        foreach ($case->plan->cables as $id => $laid) {
            if ($laid->reckoned && isset($case->result->cables[$id])) {
                $findings[] = new Finding(
                    code: 'reckoned',
                    severity: Severity::Open,
                    title: strtoupper($id) . ' is not measured yet',
                    detail: sprintf(
                        '%.2f m is reckoned. Measure its way and type it, or keep the figure.',
                        $laid->length,
                    ),
                    place: new Place('wire', $id),
                    number: $laid->length,
                    fixes: [
                        new Fix(
                            sprintf('Keep %.2f m', $laid->length),
                            SetCable::payload(cable: $id, length: $laid->length),
                        ),
                    ],
                );
            }
        }

        return $findings;
    }
}
