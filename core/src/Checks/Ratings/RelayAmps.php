<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Ratings;

use EmberDusk\Checks\JudgedJob;
use EmberDusk\Values\Range;

/** Mains amps through the relay of a 0-10 V module: watts of its fixtures over their volts. */
final readonly class RelayAmps implements Quantity
{
    public function code(): string
    {
        return 'relay-amps';
    }

    public function subject(): string
    {
        return 'module';
    }

    public function rule(): string
    {
        return 'the relay of a 0-10 V module is rated for its fixtures';
    }

    public function unit(): string
    {
        return 'A';
    }

    public function range(JudgedJob $job, KitUse $part): ?Range
    {
        $amps = 0.0;
        foreach ($job->plan->fixtures as $fitting) {
            $fixture = $job->plan->fixture($fitting->kit);
            if ($fixture !== null && $fitting->module === $part->id) {
                $amps += ($fitting->count * $fixture->watts) / $fixture->volts;
            }
        }

        return $amps > 0.0 ? new Range($amps, $amps) : null;
    }

    /** A module without a relay has its own finding. */
    public function assumes(JudgedJob $job, KitUse $part): bool
    {
        return false;
    }

    public function words(float $number, float $limit, bool $most): string
    {
        return sprintf('%.2f A through its relay, rated %g A', $number, $limit);
    }

    public function advice(): string
    {
        return 'Its contacts weld together. Divide the fixtures between two modules, or let the relay drive a contactor. ' .
            'Mains work is for a licensed person; local codes decide.';
    }
}
