<?php

declare(strict_types=1);

namespace EmberDusk\Circuit\Rules;

use EmberDusk\Kit\Controller;
use EmberDusk\Workings\Finding;
use EmberDusk\Workings\Fix;
use EmberDusk\Workings\Place;
use EmberDusk\Workings\Severity;

/** A controller works inside its input range. */
final readonly class InputRange implements Rule
{
    public function check(Judged $case): array
    {
        $controller = $case->controller;
        if ($controller === null) {
            return [];
        }
        $findings = [];
        $channels = $case->strip === null ? 0 : count($case->strip->channels);
        $fits = static fn (Controller $c): bool => $c->channels >= $channels
            && ($case->supply === null || ($c->inputLeast <= $case->supply->volts && $case->supply->volts <= $c->inputMost));
        $other = $case->smallest(Controller::class, $fits, static fn (Controller $c): float => $c->totalAmps);
        $fixes = $other === null ? [] : [new Fix('Take '.$other->name(), ['kind' => 'ChooseKit', 'run' => $case->run->id, 'kit' => $other->id()])];
        $name = $case->device($case->run->controller);
        if ($case->supply !== null && ($case->supply->volts < $controller->inputLeast || $case->supply->volts > $controller->inputMost)) {
            $findings[] = new Finding('input-range', Severity::Stop, sprintf('%s does not take %g V', $name, $case->supply->volts),
                sprintf('Its input goes from %g V to %g V.', $controller->inputLeast, $controller->inputMost),
                new Place('kit', $case->run->id), $case->supply->volts, $controller->inputMost, 'the controller’s leaflet, on the shelf', $fixes);
        }

        return $findings;
    }
}
