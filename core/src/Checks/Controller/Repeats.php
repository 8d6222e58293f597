<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Controller;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\Judged;
use EmberDusk\Values\Finding;
use EmberDusk\Values\Fix;
use EmberDusk\Values\Place;
use EmberDusk\Values\Severity;

/** A repeater copies the end of the part before it: the whole strip is cut there, + and every channel (common practice, no source). */
final readonly class Repeats implements Check
{
    public function check(Judged $case): array
    {
        if ($case->controller?->repeats !== true) {
            return [];
        }
        $run = $case->run;
        $place = new Place('kit', $run->id);
        $before = $case->plan->repeated($run);
        if ($before === null) {
            return [
                new Finding(
                    'repeats-nothing',
                    Severity::Stop,
                    "{$run->name()}: a repeater has nothing to copy",
                    'It continues a run that a controller leads. Cut the run in two and give the first part a controller.',
                    $place,
                    null,
                    null,
                    'common practice, no source',
                    $case->takeFittingController(),
                ),
            ];
        }
        $one = count($case->plan->strip($before->strip)->channels ?? []);
        $two = count($case->strip->channels ?? []);
        if ($one !== $two && $one > 0 && $two > 0) {
            return [
                new Finding(
                    'repeats-other',
                    Severity::Stop,
                    "{$run->name()} has {$two} channels, the part before it {$one}",
                    'A repeater copies channel by channel.',
                    $place,
                    $two,
                    $one,
                    'common practice, no source',
                    [
                        new Fix("{$run->name()} of the same strip", [
                            'kind' => 'ChooseKit',
                            'run' => $run->id,
                            'kit' => (string) $before->strip,
                        ]),
                    ],
                ),
            ];
        }
        if ($before->supply === $run->supply && $run->supply !== null) {
            return [
                new Finding(
                    'repeats-same',
                    Severity::Watch,
                    "{$run->name()}: the repeater hangs on the supply of the part before it",
                    'It then brings no fresh volts. Give it one of its own.',
                    $place,
                    null,
                    null,
                    'common practice, no source',
                    [new Fix('A supply of its own', ['kind' => 'ShareKit', 'run' => $run->id, 'with' => 'own supply'])],
                ),
            ];
        }

        return [];
    }
}
