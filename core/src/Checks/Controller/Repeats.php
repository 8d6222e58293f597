<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\JudgedRun;
use EmberDusk\Checks\Rule;
use EmberDusk\Checks\RunCheck;
use EmberDusk\Plan\Changes\Kit\ShareKit;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A repeater copies the end of the part before it: the entire strip is cut there, + and every channel (common practice, no source). */
final readonly class Repeats extends RunCheck
{
    public function rules(): array
    {
        return [
            new Rule(
                'repeats-nothing',
                'controller',
                'a repeater continues a run that a controller leads',
                Rule::PRACTICE,
            ),
            new Rule('repeats-other', 'controller', 'a repeater copies a strip of as many channels', Rule::PRACTICE),
            new Rule('repeats-same', 'controller', 'a repeater has a supply of its own', Rule::PRACTICE),
        ];
    }

    protected function run(JudgedRun $case): array
    {
        if ($case->controller?->repeats !== true) {
            return [];
        }
        $run = $case->run;
        $place = new FindingPlace(JobStage::Kit, $run->id);
        $before = $case->plan->of($run)->before();
        if ($before === null) {
            return [
                $this->rule('repeats-nothing')->stop(
                    place: $place,
                    title: "{$run->name()}: a repeater without a signal",
                    detail: 'It continues a run that a controller leads. Cut the run in two and give the first part a controller.',
                    fixes: $case->takeFittingController(),
                ),
            ];
        }
        $one = count($case->plan->strip($before->strip)->channels ?? []);
        $two = count($case->strip->channels ?? []);
        if ($one !== $two && $one > 0 && $two > 0) {
            return [
                $this->rule('repeats-other')->stop(
                    place: $place,
                    title: "{$run->name()} has {$two} channels, the part before it {$one}",
                    detail: 'A repeater copies channel by channel.',
                    number: $two,
                    limit: $one,
                    fixes: $case->chosenAgain("{$run->name()} of the same strip", (string) $before->strip),
                ),
            ];
        }
        if ($before->supply === $run->supply && $run->supply !== null) {
            return [
                $this->rule('repeats-same')->watch(
                    place: $place,
                    title: "{$run->name()}: the repeater uses the supply of the part before it",
                    detail: 'It then does not restore the voltage. Give it its own supply.',
                    fixes: [new Fix('Add a separate supply', ShareKit::payload(run: $run->id, with: 'own supply'))],
                ),
            ];
        }

        return [];
    }
}
