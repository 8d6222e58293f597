<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Kit\Converter;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** On a battery resistor-limited strip takes far more on charge than its label says; a regulator holds the volts (docs/model.md 4). */
final readonly class Swing implements Check
{
    /** Times the nominal light that a strip stands for good (common practice, no source). */
    private const MOST = 1.15;

    public function check(Judged $case): array
    {
        $supply = $case->supply;
        $result = $case->result;
        $most = max([0.0, ...$result->spread[1] ?? []]);
        if ($supply === null || $result === null || !$supply->battery() || $most <= self::MOST) {
            return [];
        }
        $named = $supply->volts;
        $regulator = $case->smallest(
            Converter::class,
            static fn(Converter $c): bool => abs($c->volts - $named) < 0.5 &&
                $c->inputLeast <= ($supply->lowest ?? $named) &&
                $c->inputMost >= ($supply->charging ?? $named) &&
                $c->ratedAmps * (1 - $case->plan->limits->headroom) * $c->volts >= $case->supplyWatts(),
            static fn(Converter $c): float => $c->ratedAmps,
        );

        return [
            new Finding(
                code: 'swing',
                severity: Severity::Watch,
                title: sprintf('%s takes %.0f %% on charge', $case->run->name(), 100 * $most),
                detail: sprintf(
                    '%.1f V empty, %.1f V nominal, %.1f V on charge: the strip runs hot and ages. A regulator holds %g V.',
                    $supply->lowest ?? $named,
                    $supply->emf,
                    $supply->charging ?? $named,
                    $named,
                ),
                place: new Place('kit', $case->run->id),
                number: $most,
                limit: self::MOST,
                source: 'common practice, no source',
                fixes: $regulator === null
                    ? []
                    : [
                        new Fix(
                            'Take ' . $regulator->name(),
                            ChooseKit::payload(run: $case->run->id, kit: $regulator->id()),
                        ),
                    ],
            ),
        ];
    }
}
