<?php

declare(strict_types=1);

namespace EmberDusk\Checks\Protection;

use EmberDusk\Checks\Check;
use EmberDusk\Checks\JudgedJob;
use EmberDusk\Checks\Rule;
use EmberDusk\Kit\InlineSwitch;
use EmberDusk\Plan\Changes\Wires\SetCable;
use EmberDusk\Values\FindingPlace;
use EmberDusk\Values\Fix;
use EmberDusk\Values\JobStage;

/** A switch in a lead is rated for the current and the d.c. volts: otherwise its contacts weld. */
final readonly class SwitchRating extends Check
{
    public function rules(): array
    {
        return [
            new Rule('switch-amps', 'cable', 'an in-line switch is rated for its current', Rule::LEAFLET),
            new Rule(
                'switch-volts',
                'cable',
                'an in-line switch is rated for the volts d.c. of its supply, on charge too',
                Rule::LEAFLET,
            ),
        ];
    }

    public function check(JudgedJob $job): array
    {
        $findings = [];
        foreach ($job->plan->cables as $id => $cable) {
            $switch = $job->plan->inlineSwitch($cable->switch);
            if ($switch === null) {
                continue;
            }
            $amps = round($job->cables()[$id]->openAmps ?? 0.0, 4);
            $supply = $job->plan->supply($job->plan->ways()->supplyBehind($cable->from));
            $volts = $supply !== null ? $supply->charging ?? $supply->volts : 0.0;
            $right = $job->smallest(
                InlineSwitch::class,
                static fn(InlineSwitch $s): bool => $s->amps >= $amps && $s->volts >= $volts,
                static fn(InlineSwitch $s): float => $s->amps,
            );
            $fixes =
                $right !== null
                    ? [new Fix('Use ' . $right->name(), SetCable::payload(cable: $id, switch: $right->id()))]
                    : [];
            $name = strtoupper($id);
            if ($amps > $switch->amps) {
                $findings[] = $this->rule('switch-amps')->stop(
                    place: new FindingPlace(JobStage::Wire, $id),
                    title: sprintf('The switch in %s breaks %g A, %.2f A flow', $name, $switch->amps, $amps),
                    detail: 'A d.c. arc does not go out: too small a switch welds or burns. Choose one rated for this current at d.c.',
                    number: $amps,
                    limit: $switch->amps,
                    fixes: $fixes,
                );
            }
            if ($volts > $switch->volts) {
                $findings[] = $this->rule('switch-volts')->stop(
                    place: new FindingPlace(JobStage::Wire, $id),
                    title: sprintf(
                        'The switch in %s is rated for %g V d.c., %.1f V are there',
                        $name,
                        $switch->volts,
                        $volts,
                    ),
                    detail: 'Its a.c. rating does not count: a d.c. arc does not go out.',
                    number: $volts,
                    limit: $switch->volts,
                    fixes: $fixes,
                );
            }
        }

        return $findings;
    }
}
