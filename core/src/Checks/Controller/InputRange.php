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
                'input-range',
                Severity::Stop,
                sprintf('%s does not take %g V', $case->device($case->run->controller), $volts),
                sprintf('Its input goes from %g V to %g V.', $controller->inputLeast, $controller->inputMost),
                new Place('kit', $case->run->id),
                $volts,
                $controller->inputMost,
                'the controller’s leaflet, on the shelf',
                $case->takeFittingController(),
            ),
        ];
    }
}
