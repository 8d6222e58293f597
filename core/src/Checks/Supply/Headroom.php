<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Kit\Strip;
use EmberDusk\Kit\Supply;
use EmberDusk\Plan\Changes\Kit\ChooseKit;
use EmberDusk\Plan\Changes\Runs\SetCap;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** Part of a supply's rating stays unused: rating x (1 - headroom) >= nominal load (common practice: 144 W asks for 180 W). */
final readonly class Headroom implements Check
{
    /** Below this a limit leaves too little light to be worth a strip. */
    private const LEAST_CAP = 0.3;

    public function check(Judged $case): array
    {
        $supply = $case->supply;
        $strip = $case->strip;
        // A supply that several runs share is judged once, with all of them.
        if (
            $supply === null ||
            $strip === null ||
            $supply->battery() ||
            abs($strip->volts - $supply->volts) >= 0.5 ||
            $case->onSupply()[0]->id !== $case->run->id
        ) {
            return [];
        }
        $headroom = $case->plan->limits->headroom;
        $watts = $case->supplyWatts();
        $asks = $watts / (1 - $headroom);
        if ($supply->ratedWatts() >= $asks - 1e-9) {
            return [];
        }
        $larger = $case->smallest(
            Supply::class,
            static fn(Supply $s): bool => abs($s->volts - $strip->volts) < 0.5 && $s->ratedWatts() >= $asks,
            static fn(Supply $s): float => $s->ratedAmps,
        );
        $over = $watts > $supply->ratedWatts();

        return [
            new Finding(
                code: 'headroom',
                severity: $over ? Severity::Stop : Severity::Watch,
                title: sprintf(
                    '%s loaded to %.0f %%',
                    $case->device($case->run->supply),
                    (100 * $watts) / $supply->ratedWatts(),
                ),
                detail: sprintf(
                    '%.1f W of %.1f W with %s. %.0f %% headroom asks for %.0f W.%s',
                    $watts,
                    $supply->ratedWatts(),
                    $case->run->cap < 1
                        ? sprintf('the limit of %.0f %% set', 100 * $case->run->cap)
                        : 'everything full',
                    100 * $headroom,
                    $asks,
                    $larger === null
                        ? ' No supply on the shelf is large enough: shorten the run or take a strip with less W/m.'
                        : '',
                ),
                place: new Place('kit', $case->run->id),
                number: $watts,
                limit: $supply->ratedWatts() * (1 - $headroom),
                source: 'common practice, no source',
                fixes: [
                    ...$larger === null
                        ? []
                        : [
                            new Fix(
                                'Take ' . $larger->name(),
                                ChooseKit::payload(run: $case->run->id, kit: $larger->id()),
                            ),
                        ],
                    ...self::limit($case, $supply),
                    ...self::less($case, $strip, $supply),
                ],
            ),
        ];
    }

    /** @return list<Fix> the second school: a limit in the controller, in whole twentieths, that the supply carries with its headroom */
    private static function limit(Judged $case, Supply $supply): array
    {
        $cap = floor((20 * $supply->ratedWatts() * (1 - $case->plan->limits->headroom)) / $case->watts() + 1e-9) / 20;
        if (count($case->onSupply()) > 1) {
            return [];
        }
        if ($cap < self::LEAST_CAP || $cap >= 1) {
            return [];
        }

        return [
            new Fix(sprintf('Set a limit of %.0f %%', 100 * $cap), SetCap::payload(run: $case->run->id, cap: $cap)),
        ];
    }

    /** @return list<Fix> less light: the brightest strip of the same kind that the supply carries */
    private static function less(Judged $case, Strip $strip, Supply $supply): array
    {
        $metres = $case->plan->cutMarks($case->run)?->length() ?? 0.0;
        if (count($case->onSupply()) > 1) {
            return [];
        }
        $dimmer = $case->smallest(
            Strip::class,
            static fn(Strip $s): bool => abs($s->volts - $strip->volts) < 0.5 &&
                count($s->channels) === count($strip->channels) &&
                $s->wattsPerMetre() * $metres * $case->run->cap <=
                    $supply->ratedWatts() * (1 - $case->plan->limits->headroom),
            static fn(Strip $s): float => -$s->wattsPerMetre(),
        );
        if ($dimmer === null) {
            return [];
        }

        return [new Fix('Less light: ' . $dimmer->name(), ChooseKit::payload(run: $case->run->id, kit: $dimmer->id()))];
    }
}
