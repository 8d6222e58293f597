<?php

declare(strict_types=1);

namespace App\Joining;

use EmberDusk\Control\Presets;
use EmberDusk\Joining\Flaw;
use EmberDusk\Joining\Joinable;
use EmberDusk\Joining\Recovery;
use EmberDusk\Joining\Roster;
use EmberDusk\Joining\TimingMethod;
use EmberDusk\Plan\Plan;
use EmberDusk\Values\IncompletePlan;
use EmberDusk\Values\InvalidInput;

/** Devices of a run: all of a job, or those to join again after a loss or replacement. */
final readonly class RunDevices
{
    /** @param  list<Flaw>  $flaws  changed states that a loss has left, in a rehearsal */
    private function __construct(public Roster $roster, public string $event = '', public array $flaws = []) {}

    /**
     * @param  list<string>  $fixed  panels that are on their walls already
     * @param  string  $recovery  key of a loss or replacement; empty: the first join
     *
     * @throws IncompletePlan where there is nothing to join
     * @throws InvalidInput for an unknown event
     */
    public static function for(Plan $plan, TimingMethod $school, array $fixed, string $recovery): self
    {
        $joinable = Joinable::for($plan, $school);
        if (!$joinable->any()) {
            throw IncompletePlan::at('/kit', $joinable->lacking());
        }
        $roster = $joinable->roster->fixing($fixed);
        if ($recovery === '') {
            return new self($roster->storing(Presets::for($plan)->stored($plan)));
        }
        $event = Recovery::get($roster, $recovery);
        $again = new TimingMethod($school->timing, $school->trustsNew, proves: false);

        return new self($event->roster->in($again), $event->title, $event->flaws);
    }
}
