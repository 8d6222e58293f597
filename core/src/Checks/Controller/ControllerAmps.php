<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Kit\Controller;
use EmberDusk\Kit\Strip;
use EmberDusk\Plan\Run;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A channel and the controller as a whole carry no more than their amps, at nominal load. */
final readonly class ControllerAmps implements Check
{
    public function check(Judged $case): array
    {
        $strip = $case->strip;
        $controller = $case->controller;
        // A controller that several runs share is judged once, with all their metres: they are of one kind.
        if (
            $strip === null ||
            $controller === null ||
            !$strip->switched() ||
            $case->underController()[0]->id !== $case->run->id
        ) {
            return [];
        }
        $metres = array_sum(
            array_map(
                static fn(Run $r): float => $case->plan->cutMarks($r)?->length() ?? 0.0,
                $case->underController(),
            ),
        );
        $carries = self::metres($strip, $controller);
        if ($metres <= $carries + 1e-9) {
            return [];
        }

        return [
            new Finding(
                code: 'controller-amps',
                severity: Severity::Stop,
                title: sprintf(
                    '%s carries %.1f m of this strip, not %.1f m',
                    $case->device($case->run->controller),
                    $carries,
                    $metres,
                ),
                detail: sprintf(
                    '%.2f A of %g A on the fullest channel, %.2f A of %g A in all.',
                    (self::fullest($strip) * $metres) / $strip->volts,
                    $controller->channelAmps,
                    ($strip->wattsPerMetre() * $metres) / $strip->volts,
                    $controller->totalAmps,
                ),
                place: new Place('kit', $case->run->id),
                number: $metres,
                limit: $carries,
                source: 'the controller’s leaflet, on the shelf',
                fixes: $case->takeFittingController(),
            ),
        ];
    }

    /** Metres of a strip that a controller carries at the strip's volts. */
    public static function metres(Strip $strip, Controller $controller): float
    {
        return min(
            ($controller->channelAmps * $strip->volts) / self::fullest($strip),
            $controller->wattsAt($strip->volts) / $strip->wattsPerMetre(),
        );
    }

    private static function fullest(Strip $strip): float
    {
        return max(array_map(static fn($c): float => $c->wattsPerMetre, $strip->channels));
    }
}
