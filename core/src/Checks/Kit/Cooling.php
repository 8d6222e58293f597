<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Kit;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A strong strip needs metal behind it: bare on wood or plaster it cooks itself (common practice, no source). */
final readonly class Cooling extends RunCheck
{
    /** W/m that a bare strip gets rid of. */
    private const BARE = 15.0;

    public function rules(): array
    {
        return [new Rule('hot-bare', 'run', 'a strip without profile gives off at most 15 W/m', Rule::PRACTICE)];
    }

    protected function run(JudgedRun $case): array
    {
        $run = $case->run;
        $makes = round(($case->strip?->wattsPerMetre() ?? 0.0) * $run->cap, 4);
        if ($makes <= self::BARE || !in_array('bare', $run->mounting, true)) {
            return [];
        }

        return [
            $this->rule('hot-bare')->watch(
                place: new FindingPlace(JobStage::Kit, $run->id),
                title: sprintf('%s: %.1f W/m without a profile', $run->name(), $makes),
                detail: sprintf(
                    'Above %g W/m a strip needs metal behind it: on wood or plaster it gets hot, ages and comes loose. ' .
                        'Put it into a profile, or choose a weaker strip.',
                    self::BARE,
                ),
                number: $makes,
                limit: self::BARE,
                fixes: [
                    new Fix(
                        'Use a profile',
                        \EmberDusk\Plan\Changes\Runs\NoteRun::payload(run: $run->id, word: 'profile', on: true),
                    ),
                ],
            ),
        ];
    }
}
