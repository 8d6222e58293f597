<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A controller works inside its input range. */
final readonly class InputRange implements Check
{
    public function check(Judged $case): array
    {
        $controller = $case->controller;
        $volts = $case->supply?->volts;
        if (
            $controller === null ||
            $volts === null ||
            $case->strip?->switched() === false ||
            ($controller->inputLeast <= $volts && $volts <= $controller->inputMost)
        ) {
            return [];
        }

        return [
            new Finding(
                code: 'input-range',
                severity: Severity::Stop,
                title: sprintf('%s does not take %g V', $case->device($case->run->controller), $volts),
                detail: sprintf('Its input goes from %g V to %g V.', $controller->inputLeast, $controller->inputMost),
                place: new Place('kit', $case->run->id),
                number: $volts,
                limit: $controller->inputMost,
                source: 'the controller’s leaflet, on the shelf',
                fixes: $case->takeFittingController(),
            ),
        ];
    }
}
