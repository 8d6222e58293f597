<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Plan\Changes\Runs\SetCap;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A supply sized for part of full load is only large enough once the limit is really set: a step and a check (common practice, no source). */
final readonly class Cap extends RunCheck
{
    public function rules(): array
    {
        return [new Rule('cap', 'run', 'a limit that a supply is sized for is set and checked', Rule::PRACTICE)];
    }

    protected function run(JudgedRun $case): array
    {
        $run = $case->run;
        if ($run->cap >= 1 || $run->capChecked || $case->strip === null || $case->supply === null) {
            return [];
        }
        $amps = ($case->watts() * $run->cap) / $case->strip->volts;

        return [
            $this->rule('cap')->open(
                place: new FindingPlace(JobStage::Join, $run->controller ?? $run->id),
                title: sprintf(
                    'Set the limit of %s to %.0f %%, then check it',
                    $case->device($run->controller),
                    100 * $run->cap,
                ),
                detail: sprintf(
                    '%s is sized for %.0f %% of full load. Set the limit in the controller’s app or on its switch, ' .
                        'set all to white and measure the supply: on average at most %.1f A.',
                    $case->device($run->supply),
                    100 * $run->cap,
                    $amps,
                ),
                number: $run->cap,
                fixes: [
                    new Fix('It is set and checked', SetCap::payload(run: $run->id, cap: $run->cap, checked: true)),
                ],
            ),
        ];
    }
}
