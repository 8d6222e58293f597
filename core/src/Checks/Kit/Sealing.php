<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Outdoors a strip is sealed or is in a profile: water on pads lets the copper rot (common practice, no source). */
final readonly class Sealing extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule(
                'unsealed',
                'run',
                'a strip outdoors or in a damp place is sealed or in a profile',
                Rule::PRACTICE,
            ),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $run = $case->run;
        if (
            $case->strip === null ||
            $case->plan->of($run)->sealed() ||
            !$case->plan->of($run)->damp() ||
            in_array('profile', $run->mounting, true)
        ) {
            return [];
        }

        return [
            $this->rule('unsealed')->watch(
                place: new FindingPlace(JobStage::Kit, $run->id),
                title: "{$run->name()}: open strip in a wet place",
                detail: 'Seal it or put it into a gasketed profile; sealed strips cost more and cool less.',
            ),
        ];
    }
}
