<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Supply;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Kit\BatteryBlock;
use EmberDusk\Kit\Converter;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\JobStage;

/** Where there are batteries and no mains, the supply is a converter on the bank, or the bank (common practice, no source). */
final readonly class NoMains extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule('no-mains', 'supply', 'no mains supply where a place or a job has only batteries', Rule::PRACTICE),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        $entry = $case->plan->kit[$case->plan->supplies[(string) $case->run->supply]->kit ?? '']->entry ?? null;
        if (
            $entry === null ||
            !$case->plan->power()->withoutMains($case->run) ||
            $entry instanceof Converter ||
            $entry instanceof BatteryBlock
        ) {
            return [];
        }

        return [
            $this->rule('no-mains')->watch(
                place: new FindingPlace(JobStage::Kit, $case->run->id),
                title: "{$case->run->name()}: no mains here, use a converter on the bank",
                detail: 'A strip straight on a bank draws far more while it charges, at 14.4 V instead of 12 V: use a regulator.',
            ),
        ];
    }
}
