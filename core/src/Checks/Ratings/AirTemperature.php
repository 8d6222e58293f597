<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Plan\CableRating;
use EmberDusk\Survey\WallNotes;
use EmberDusk\Values\Range;

/** Temperature of the air around a supply, °C: that of its place, warmer in a box (common practice, no source). */
final readonly class AirTemperature implements Quantity
{
    /** Kelvin above the air of the place, by the air of the box; where it is not noted, Survey asks for it. */
    private const IN_BOX = ['sealed' => 20.0, 'vented' => 10.0, 'open' => 0.0, '' => 0.0];

    public function code(): string
    {
        return 'supply-air';
    }

    public function subject(): string
    {
        return 'supply';
    }

    public function rule(): string
    {
        return 'the air around a supply is no warmer than it carries its full load in; without a figure 40 °C; ' .
            '20 K warmer in a sealed box, 10 K in a vented one';
    }

    public function unit(): string
    {
        return '°C';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $plan = $job->plan;
        $stands = $plan->supplies[$part->id]->stands;
        $place = $plan->places[$stands->place ?? ($plan->runs[$part->place->id]->place ?? '')] ?? null;
        if ($place === null) {
            return null;
        }
        $site = WallNotes::read($place->notes)->site;
        $air = $site->air ?? CableRating::AMBIENT;
        foreach ($site->boxes as $box) {
            if ($stands !== null && $stands->wall === null && $box->spot->name === $stands->spot) {
                $air += self::IN_BOX[$box->air];
            }
        }

        return new Range($air, $air);
    }

    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return true;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('air of about %g °C, full load up to %g °C', $number, $limit);
    }

    public function advice(): string
    {
        return 'A warm supply carries less, switches off and ages. Vent the box, move the supply to a cooler place, or choose one for warmer air.';
    }
}
