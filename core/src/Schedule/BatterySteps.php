<?php

declare(strict_types=1);

namespace EmberDusk\Schedule;

use EmberDusk\Plan\Plan;
use EmberDusk\Plan\Run;
use EmberDusk\Plan\SurveyedBanks;
use EmberDusk\Rates\Work;

/** Steps of runs on a bank and of what moves: rings on the posts, a clamp where weight hangs, a shake test, removing a part to charge. */
final class BatterySteps
{
    public const CAUTION = 'A battery can short and burn: no ring on the hand, one tool at a time, posts covered. Fuse at the tap; no soldering on a battery.';

    /** @var array<string, string> by bank, the step that puts rings on its posts */
    private array $posts = [];

    public function __construct(private readonly Plan $plan, private readonly StepList $list) {}

    /**
     * Before the loose test: the leads of its bank, and their fixing on moving parts.
     *
     * @param  list<string>  $after
     * @return list<string> the steps after which all is held
     */
    public function fed(Run $run, array $after): array
    {
        $last = $after;
        foreach ($this->plan->ways()->unitsOf($run) as $unit) {
            $terminal = $this->plan->block($unit)?->terminal;
            if ($terminal !== null) {
                $this->posts[$unit] ??= $this->list->addFor(
                    of: $run,
                    kind: Work::Posts,
                    title: $terminal->work(strtoupper($unit)),
                    why: $terminal->why() .
                        ' Fit the fuse within 0.18 m (7 in) of the battery; leave its holder empty until the test.',
                    units: 1.0,
                    people: 1,
                    tools: ['crimping tool', 'meter'],
                    caution: self::CAUTION,
                    after: $after,
                );
                $last = [...$last, $this->posts[$unit]];
            }
        }
        if (in_array('moving', $run->mounting, true)) {
            $last[] = $this->list->addFor(
                of: $run,
                kind: Work::Strain,
                title: 'clamp the leads where they carry weight, run them inside hollow parts',
                why: 'Joints carry current, not weight; loose leads get torn off.',
                units: 1.0,
                people: 1,
                tools: ['screwdriver'],
                caution: 'A drilled edge cuts a lead: guard every hole.',
                after: $after,
            );
        }

        return array_values(array_unique($last));
    }

    /** After the second test: shaken where it moves, taken apart where it is charged elsewhere. */
    public function proved(Run $run, string $after): string
    {
        if (in_array('moving', $run->mounting, true)) {
            $after = $this->list->addFor(
                of: $run,
                kind: Work::Shake,
                title: 'shake test',
                why: 'Move it through its full travel while lit: flicker means a loose joint.',
                units: 1.0,
                people: 1,
                tools: [],
                after: [$after],
            );
        }
        if ($this->elsewhere($run)) {
            $after = $this->list->addFor(
                of: $run,
                kind: Work::Apart,
                title: 'remove the part that is charged elsewhere, and refit it',
                why: 'It must come off by hand: plugs within reach, no strain, orientation marked.',
                units: 1.0,
                people: 1,
                tools: ['labels'],
                caution: 'Switch off first. A plug that can be turned round burns the strip.',
                after: [$after],
            );
        }

        return $after;
    }

    private function elsewhere(Run $run): bool
    {
        return in_array('removable', $run->mounting, true) ||
            ($this->plan->power()->onBattery($run) &&
                array_filter(
                    SurveyedBanks::for($this->plan, $run),
                    static fn(array $bank): bool => $bank[1]->elsewhere,
                ) !== []);
    }
}
