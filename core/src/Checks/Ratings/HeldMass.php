<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** Kilograms that each magnet, tie or clamp of a run holds: strip and profile, three times that where they move (common practice, no source). */
final readonly class HeldMass implements Quantity
{
    /** kg/m of strip with its lead, and of aluminium profile with diffuser (common practice, no source). */
    private const STRIP = 0.05;

    private const PROFILE = 0.25;

    /** Jolts of a road or a door. */
    private const MOVING = 3;

    public function code(): string
    {
        return 'held-mass';
    }

    public function subject(): string
    {
        return 'run';
    }

    public function rule(): string
    {
        return 'magnets, ties and clamps hold strip and profile, three times that where they move';
    }

    public function unit(): string
    {
        return 'kg';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $item = $job->plan->items[$part->id];
        $run = $job->plan->runs[$item->on ?? ''] ?? null;
        if ($run === null) {
            return null;
        }
        $profile = in_array('profile', $run->mounting, true) || $job->plan->of($run)->making()->profile !== null;
        $times = in_array('moving', $run->mounting, true) ? self::MOVING : 1;
        $each =
            ($job->plan->of($run)->litLength() * (self::STRIP + ($profile ? self::PROFILE : 0)) * $times) /
            max(1, $item->count);

        return new Range($each, $each);
    }

    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return true;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('each has %.2f kg to hold, holds %g kg', $number, $limit);
    }

    public function advice(): string
    {
        return 'Take more of them, evenly spaced, or stronger ones. A magnet holds far less sideways than it pulls.';
    }
}
